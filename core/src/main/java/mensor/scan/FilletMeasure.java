package mensor.scan;

import java.util.OptionalDouble;

/** One profile across a fillet, once its members' lines are found. */
final class FilletMeasure {
    private static final double RIGHT = 90;
    private static final double RIGHT_WITHIN = 2;
    private static final double SMOOTH = 1.2;
    /** A face that comes in flatter than this is none. */
    private static final double LEAST_SLOPE = Math.tan(Math.toRadians(5));
    /** The least undercut that a code counts, 0.01 in: a higher step is not taken for mill scale. */
    private static final double HIGHEST_STEP = 0.25;

    private static final int MOST_RAISED = 2;
    /** Between a member's line and the toe, mm. */
    private static final double WIDEST_NOTCH = 4.5;

    private final Profile p;
    /** Both walked from the root outward. */
    private final Line a;

    private final Line b;
    private final double deviceU;
    /** How often a line was raised to the level next to the weld. */
    private final int raised;

    private final double noise;

    FilletMeasure(Profile p, Line left, Line right, double deviceU) {
        this(p, left, right, deviceU, 0);
    }

    private FilletMeasure(Profile p, Line left, Line right, double deviceU, int raised) {
        this.raised = raised;
        this.p = p;
        this.a = left.turned();
        this.b = right;
        this.deviceU = deviceU;
        this.noise = Math.max(left.noise(), right.noise());
    }

    MeasuredProfile measure() {
        Point root = root();
        if (root == null) {
            return new MeasuredProfile.NotMeasured(p.s(), "the members do not meet: no corner in view");
        }
        double rootY = root.y();
        double rootZ = root.z();
        Line atA = a.tangent(a.along(rootY, rootZ));
        Line atB = b.tangent(b.along(rootY, rootZ));
        double cos = Math.max(-1, Math.min(1, atA.dy() * atB.dy() + atA.dz() * atB.dz()));
        double dihedral = Math.toDegrees(Math.acos(cos));
        Face overA = over(a, b, root, -1, dihedral);
        Face overB = over(b, a, root, 1, dihedral);
        // across the corner: x square to the bisector, h along it, out of the root
        double by = atA.dy() + atB.dy();
        double bz = atA.dz() + atB.dz();
        double length = Math.hypot(by, bz);
        by /= length;
        bz /= length;
        Face corner = inFrame(rootY, rootZ, bz, -by, by, bz);
        double half = Math.toRadians(dihedral / 2);
        Curve middle = corner.around(0, corner.width(0, SMOOTH));
        double depth = middle == null ? Double.NaN : middle.a();
        if (!(depth > Math.max(10 * noise, 0.4))) {
            return new MeasuredProfile.NotMeasured(
                    p.s(), "no weld between the members: the surface follows their lines");
        }
        double halfway = depth / Math.cos(half) / 2;
        Toe toeA = Toe.of(overA, Math.min(halfway, depth * Math.cos(half)), overA.last(), noise);
        Toe toeB = Toe.of(overB, Math.min(halfway, depth * Math.cos(half)), overB.last(), noise);
        if (toeA == null || toeB == null) {
            return new MeasuredProfile.NotMeasured(
                    p.s(), "the face does not come down to member " + (toeA == null ? "A" : "B") + " in view");
        }
        double stepA = step(overA, toeA);
        double stepB = step(overB, toeB);
        boolean isStepped = stepA > 0 || stepB > 0;
        if (isStepped && raised < MOST_RAISED && Math.max(stepA, stepB) <= HIGHEST_STEP) {
            return new FilletMeasure(p, a.turned().raised(stepA), b.raised(stepB), deviceU, raised + 1).measure();
        }
        boolean besideA = isBeside(a, root, toeA) && stepA == 0;
        if (!besideA || !isBeside(b, root, toeB) || stepB > 0) {
            return new MeasuredProfile.NotMeasured(
                    p.s(), "the surface beside toe " + (besideA ? "B" : "A") + " follows neither a line nor an arc");
        }
        // in the corner's frame member A lies on the side of smaller x, as it does in the profile
        Point placeA = a.at(a.along(rootY, rootZ) + toeA.at());
        Point placeB = b.at(b.along(rootY, rootZ) + toeB.at());
        double xA = (placeA.y() - rootY) * bz - (placeA.z() - rootZ) * by;
        double hA = (placeA.y() - rootY) * by + (placeA.z() - rootZ) * bz;
        double xB = (placeB.y() - rootY) * bz - (placeB.z() - rootZ) * by;
        double hB = (placeB.y() - rootY) * by + (placeB.z() - rootZ) * bz;
        FaceRun face = FaceRun.of(corner, xA, hA, xB, hB);
        double throat = Throat.of(face);
        double leg = Math.min(toeA.at(), toeB.at());
        Convexity bulge = Convexity.of(face);
        double area = toeA.at() * toeB.at() * Math.sin(Math.toRadians(dihedral)) / 2 + face.areaOverChord();
        boolean right = Math.abs(dihedral - RIGHT) <= RIGHT_WITHIN;
        double size = right ? InscribedTriangle.of(face, leg, half) : Math.min(leg, throat / Math.cos(half));
        double lineU = Math.hypot(a.uncertainty(a.length() / 2 + toeA.at()), b.uncertainty(b.length() / 2 + toeB.at()));
        double pointU = Math.hypot(noise / Math.sqrt(8), Math.hypot(deviceU, lineU));
        FilletProfile.Uncertainty u = new FilletProfile.Uncertainty(
                Math.hypot(toeA.u(), pointU),
                Math.hypot(toeB.u(), pointU),
                pointU,
                Math.hypot(pointU, 0.02),
                Math.hypot(pointU, 0.01),
                Math.hypot(
                        Math.max(a.waviness(), b.waviness()),
                        Math.hypot(noise / Math.sqrt(6), Math.hypot(deviceU, lineU))));
        return new MeasuredProfile.Fillet(new FilletProfile(
                p.s(),
                a,
                b,
                dihedral,
                root,
                placeA,
                placeB,
                OptionalDouble.of(toeA.at()),
                OptionalDouble.of(toeB.at()),
                OptionalDouble.of(throat),
                OptionalDouble.of(size),
                OptionalDouble.of(bulge.above()),
                OptionalDouble.of(bulge.below()),
                OptionalDouble.of(face.chord()),
                undercut(overA, toeA),
                undercut(overB, toeB),
                OptionalDouble.of(toeA.angle()),
                OptionalDouble.of(toeB.angle()),
                area,
                noise,
                u));
    }

    /** Whether a member's line begins where the weld ends, but for an undercut between them. */
    private static boolean isBeside(Line line, Point root, Toe toe) {
        double gap = -line.length() / 2 - line.along(root.y(), root.z()) - toe.at();
        return gap < WIDEST_NOTCH && gap > -1;
    }

    /**
     * How high the surface stands inside of what looks like the toe where it goes on level there: a step of the member's surface, as mill scale makes
     * it, not the weld's face. Zero where there is none.
     */
    private static double step(Face over, Toe toe) {
        Curve inside = over.between(toe.at() - 1.6, toe.at() - 0.4, toe.at() - 1);
        return inside != null && inside.b() > -LEAST_SLOPE ? Math.max(inside.a(), 0.01) : 0;
    }

    /** Absent where the strip beside the toe has no returns: what hides there is not measured. */
    private OptionalDouble undercut(Face over, Toe toe) {
        double depth = UndercutDepth.of(over, toe.at(), over.last(), noise);
        return Double.isNaN(depth) ? OptionalDouble.empty() : OptionalDouble.of(depth);
    }

    /**
     * The surface over a member: x from the root along it, h out of the metal; {@code side} says on which side of the line the air is. In a sharp
     * corner the other member hangs over the weld: its surface is left out.
     */
    private Face over(Line line, Line other, Point root, int side, double dihedral) {
        boolean hangs = dihedral < RIGHT - RIGHT_WITHIN;
        double near = Math.max(8 * noise, 0.2);
        double from = line.along(root.y(), root.z());
        double[] x = new double[p.points()];
        double[] h = new double[p.points()];
        int n = 0;
        for (int i = 0; i < p.points(); i++) {
            if (hangs && Math.abs(other.off(p.y()[i], p.z()[i])) < near) {
                continue;
            }
            x[n] = line.along(p.y()[i], p.z()[i]) - from;
            h[n++] = side * line.off(p.y()[i], p.z()[i]);
        }
        return Face.of(x, h, n, noise);
    }

    /** Where the members' surfaces meet behind the weld; null where they do not. */
    private Point root() {
        Line onA = a;
        Line onB = b;
        Point meet = null;
        for (int k = 0; k < (a.isCurved() || b.isCurved() ? 5 : 1); k++) { // an arc by its tangents
            double cross = onA.dy() * onB.dz() - onA.dz() * onB.dy();
            if (Math.abs(cross) < 0.1) {
                return null;
            }
            double t = ((onB.y() - onA.y()) * onB.dz() - (onB.z() - onA.z()) * onB.dy()) / cross;
            meet = new Point(onA.y() + t * onA.dy(), onA.z() + t * onA.dz());
            onA = a.tangent(a.along(meet.y(), meet.z()));
            onB = b.tangent(b.along(meet.y(), meet.z()));
        }
        return meet;
    }

    private Face inFrame(double y0, double z0, double xy, double xz, double hy, double hz) {
        double[] x = new double[p.points()];
        double[] h = new double[p.points()];
        for (int i = 0; i < p.points(); i++) {
            double dy = p.y()[i] - y0;
            double dz = p.z()[i] - z0;
            x[i] = dy * xy + dz * xz;
            h[i] = dy * hy + dz * hz;
        }
        return Face.of(x, h, p.points(), noise);
    }
}
