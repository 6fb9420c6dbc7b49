package mensor.scan;

/**
 * A member's surface in a profile: a straight line through a point, with the direction in which it is walked, or an arc that touches that line there;
 * the metal lies to its right where it is walked away from the weld on member A, so heights are told by the caller.
 *
 * @param noise standard deviation of what is left of the points that belong to it
 * @param points how many belong to it
 * @param length how far they reach, mm
 * @param bow one over the radius, over zero where it curves to the left of its direction; zero where it is straight
 * @param bowU its standard uncertainty
 * @param waviness what the surface goes up and down by, over what the points' noise explains, mm
 */
public record Line(
        double y,
        double z,
        double dy,
        double dz,
        double noise,
        int points,
        double length,
        double bow,
        double bowU,
        double waviness) {
    Line(double y, double z, double dy, double dz, double noise, int points, double length) {
        this(y, z, dy, dz, noise, points, length, 0, 0, 0);
    }

    Line withWaviness(double waves) {
        return new Line(y, z, dy, dz, noise, points, length, bow, bowU, waves);
    }

    /** Moved to the left, square to itself, as a step in the surface moves it; by as much it is uncertain as by its waves. */
    Line raised(double by) {
        return new Line(
                y - by * dz,
                z + by * dy,
                dy,
                dz,
                noise,
                points,
                length,
                bow == 0 ? 0 : bow / (1 - by * bow),
                bowU,
                Math.max(waviness, by / 4));
    }

    /** Whether it is an arc. */
    public boolean isCurved() {
        return bow != 0;
    }

    /** Along the surface from its point. */
    double along(double py, double pz) {
        double straight = (py - y) * dy + (pz - z) * dz;
        if (bow == 0) {
            return straight;
        }
        double over = (pz - z) * dy - (py - y) * dz;
        return Math.atan2(straight * bow, 1 - over * bow) / bow;
    }

    /** Square to the surface; over zero to the left of its direction. */
    double off(double py, double pz) {
        double over = (pz - z) * dy - (py - y) * dz;
        if (bow == 0) {
            return over;
        }
        double straight = (py - y) * dy + (pz - z) * dz;
        return (1 - Math.hypot(straight * bow, 1 - over * bow)) / bow;
    }

    /** The place on the surface so far along it. */
    Point at(double along) {
        double straight = bow == 0 ? along : Math.sin(along * bow) / bow;
        double over = bow == 0 ? 0 : (1 - Math.cos(along * bow)) / bow;
        return new Point(y + straight * dy - over * dz, z + straight * dz + over * dy);
    }

    /** The straight line that touches it so far along. */
    Line tangent(double along) {
        Point p = at(along);
        double turn = along * bow;
        return new Line(
                p.y(),
                p.z(),
                dy * Math.cos(turn) - dz * Math.sin(turn),
                dz * Math.cos(turn) + dy * Math.sin(turn),
                noise,
                points,
                length,
                0,
                0,
                waviness);
    }

    /** Standard uncertainty of its place at a distance along it from the middle of its points. */
    double uncertainty(double fromMiddle) {
        double spread = Math.max(length / Math.sqrt(12), 1e-9);
        double far = fromMiddle / spread;
        double share = Math.sqrt(1 + far * far);
        double ofPoints = noise / Math.sqrt(Math.max(1, points)) * share;
        // waves about a millimeter long: as many of them as the line is long are like as many readings
        double ofWaves = waviness / Math.sqrt(Math.max(1, length)) * share;
        double ofBow = bowU * Math.max(0, fromMiddle * fromMiddle - spread * spread) / 2;
        return Math.sqrt(ofPoints * ofPoints + ofWaves * ofWaves + ofBow * ofBow);
    }

    Line turned() {
        return new Line(y, z, -dy, -dz, noise, points, length, -bow, bowU, waviness);
    }
}
