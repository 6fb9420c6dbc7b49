package mensor.scan;

/**
 * A straight line through a point, with the direction in which it is walked; the metal lies to its right where it is walked away from the weld
 * on member A, so heights are told by the caller.
 *
 * @param noise standard deviation of what is left of the points that belong to it
 * @param points how many belong to it
 * @param length how far they reach, mm
 */
public record Line(double y, double z, double dy, double dz, double noise, int points, double length) {
    /** Along the line from its point. */
    double along(double py, double pz) {
        return (py - y) * dy + (pz - z) * dz;
    }

    /** Square to it; over zero to the left of its direction. */
    double off(double py, double pz) {
        return (pz - z) * dy - (py - y) * dz;
    }

    /** Standard uncertainty of its place at a distance along it from the middle of its points. */
    double uncertainty(double fromMiddle) {
        double spread = length / Math.sqrt(12);
        return noise / Math.sqrt(Math.max(1, points)) * Math.sqrt(1 + Math.pow(fromMiddle / Math.max(spread, 1e-9), 2));
    }

    Line turned() {
        return new Line(y, z, -dy, -dz, noise, points, length);
    }
}
