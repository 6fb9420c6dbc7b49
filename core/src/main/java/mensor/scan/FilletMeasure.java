package mensor.scan;

import java.util.OptionalDouble;
import java.util.function.IntPredicate;

/** One profile across a fillet, once its members' lines are found. */
final class FilletMeasure {
    private static final double RIGHT = 90;
    private static final double RIGHT_WITHIN = 2;
    private static final double SMOOTH = 1.2;

    private final Profile p;
    /** Both walked from the root outward. */
    private final Line a;

    private final Line b;
    private final double deviceU;
    private final double noise;

    FilletMeasure(Profile p, Line left, Line right, double deviceU) {
        this.p = p;
        this.a = left.turned();
        this.b = right;
        this.deviceU = deviceU;
        this.noise = Math.max(left.noise(), right.noise());
    }

    MeasuredProfile measure() {
        double cross = a.dy() * b.dz() - a.dz() * b.dy();
        double cos = Math.max(-1, Math.min(1, a.dy() * b.dy() + a.dz() * b.dz()));
        double dihedral = Math.toDegrees(Math.acos(cos));
        if (Math.abs(cross) < 0.1) {
            return new MeasuredProfile.NotMeasured(p.s(), "the members do not meet: no corner in view");
        }
        double t = ((b.y() - a.y()) * b.dz() - (b.z() - a.z()) * b.dy()) / cross;
        double rootY = a.y() + t * a.dy();
        double rootZ = a.z() + t * a.dz();
        Face overA = over(a, b, rootY, rootZ, -1, dihedral);
        Face overB = over(b, a, rootY, rootZ, 1, dihedral);
        // across the corner: x square to the bisector, h along it, out of the root
        double by = a.dy() + b.dy();
        double bz = a.dz() + b.dz();
        double length = Math.hypot(by, bz);
        by /= length;
        bz /= length;
        Face corner = inFrame(rootY, rootZ, bz, -by, by, bz, i -> false);
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
        // in the corner's frame member A lies on the side of smaller x, as it does in the profile
        double xA = -toeA.at() * Math.sin(half);
        double hA = toeA.at() * Math.cos(half);
        double xB = toeB.at() * Math.sin(half);
        double hB = toeB.at() * Math.cos(half);
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
                Math.hypot(noise / Math.sqrt(6), Math.hypot(deviceU, lineU)));
        return new MeasuredProfile.Fillet(new FilletProfile(
                p.s(),
                a,
                b,
                dihedral,
                new Point(rootY, rootZ),
                new Point(rootY + toeA.at() * a.dy(), rootZ + toeA.at() * a.dz()),
                new Point(rootY + toeB.at() * b.dy(), rootZ + toeB.at() * b.dz()),
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

    /** Absent where the strip beside the toe has no returns: what hides there is not measured. */
    private OptionalDouble undercut(Face over, Toe toe) {
        return UndercutDepth.isSeen(over, toe.at(), over.last())
                ? OptionalDouble.of(UndercutDepth.of(over, toe.at(), over.last(), noise))
                : OptionalDouble.empty();
    }

    /**
     * The surface over a member: x from the root along it, h out of the metal; {@code side} says on which side of the line the air is. In a sharp
     * corner the other member hangs over the weld: its surface is left out.
     */
    private Face over(Line line, Line other, double rootY, double rootZ, int side, double dihedral) {
        boolean hangs = dihedral < RIGHT - RIGHT_WITHIN;
        double near = Math.max(8 * noise, 0.2);
        return inFrame(
                rootY,
                rootZ,
                line.dy(),
                line.dz(),
                -side * line.dz(),
                side * line.dy(),
                i -> hangs && Math.abs(other.off(p.y()[i], p.z()[i])) < near);
    }

    private Face inFrame(double y0, double z0, double xy, double xz, double hy, double hz, IntPredicate leftOut) {
        double[] x = new double[p.points()];
        double[] h = new double[p.points()];
        int n = 0;
        for (int i = 0; i < p.points(); i++) {
            if (leftOut.test(i)) {
                continue;
            }
            double dy = p.y()[i] - y0;
            double dz = p.z()[i] - z0;
            x[n] = dy * xy + dz * xz;
            h[n++] = dy * hy + dz * hz;
        }
        return Face.of(x, h, n, noise);
    }
}
