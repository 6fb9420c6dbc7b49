package mensor.scan;

/** One profile across a butt, once its members' lines are found. */
final class ButtMeasure {
    /** The lines end so far before the toes, because they stop a little early. */
    private static final double EARLY = 1.5;

    private final Profile p;
    private final Line a;
    private final Line b;
    private final double deviceU;
    private final double noise;

    /** Both lines walked toward larger y. */
    ButtMeasure(Profile p, Line left, Line right, double deviceU) {
        this.p = p;
        this.a = left;
        this.b = right;
        this.deviceU = deviceU;
        this.noise = Math.max(left.noise(), right.noise());
    }

    MeasuredProfile measure() {
        double cos = Math.max(-1, Math.min(1, a.dy() * b.dy() + a.dz() * b.dz()));
        double sin = a.dy() * b.dz() - a.dz() * b.dy();
        double bend = Math.toDegrees(Math.atan2(sin, cos));
        if (Math.abs(bend) > 45) {
            return new MeasuredProfile.NotMeasured(p.s(), "the members meet at a corner: this is no butt");
        }
        // A's frame: x along it, h above it
        Face overA = over(a, a.y(), a.z(), 1);
        double endA = a.length() / 2;
        double beginB =
                (b.y() - b.dy() * b.length() / 2 - a.y()) * a.dy() + (b.z() - b.dz() * b.length() / 2 - a.z()) * a.dz();
        if (beginB < endA + 1) {
            return new MeasuredProfile.NotMeasured(
                    p.s(), "no weld between the members: the surface follows their lines");
        }
        double middle = (endA + beginB) / 2;
        double midY = a.y() + middle * a.dy();
        double midZ = a.z() + middle * a.dz();
        double half = (beginB - endA) / 2;
        // outward from the middle of the weld, over each member
        Face outA = over(a.turned(), midY, midZ, -1);
        Face outB = over(b, midY + projected(midY, midZ, b)[0], midZ + projected(midY, midZ, b)[1], 1);
        Toe toeA = toe(outA, half);
        Toe toeB = toe(outB, half);
        if (toeA == null || toeB == null) {
            return new MeasuredProfile.NotMeasured(
                    p.s(),
                    "the face does not meet member " + (toeA == null ? "A" : "B") + " clearly: it lies level with it");
        }
        double xA = middle - toeA.at();
        double xB = middle + toeB.at() * cos;
        double hB = (b.y() + along(b, midY, midZ, toeB.at())[0] - a.y()) * -a.dz()
                + (b.z() + along(b, midY, midZ, toeB.at())[1] - a.z()) * a.dy();
        FaceRun face = FaceRun.of(overA, xA, 0, xB, hB);
        double under = Underfill.of(face, a, b);
        double lineU = Math.hypot(a.uncertainty(a.length() / 2 + half), b.uncertainty(b.length() / 2 + half));
        return new MeasuredProfile.Butt(new ButtProfile(
                p.s(),
                a,
                b,
                new Point(a.y() + xA * a.dy(), a.z() + xA * a.dz()),
                new Point(b.y() + along(b, midY, midZ, toeB.at())[0], b.z() + along(b, midY, midZ, toeB.at())[1]),
                bend,
                face.chord(),
                Convexity.of(face).above(),
                under > 3 * noise ? under : 0,
                MemberOffset.at(a, b, middle),
                undercut(outA, toeA),
                undercut(outB, toeB),
                toeA.angle(),
                toeB.angle(),
                face.areaOverChord(),
                noise,
                Math.hypot(noise / Math.sqrt(8), Math.hypot(deviceU, lineU))));
    }

    /** Not a number where the strip beside the toe has no returns: what hides there is not measured. */
    private double undercut(Face out, Toe toe) {
        return UndercutDepth.of(out, toe.at(), out.last(), noise);
    }

    private static double[] projected(double py, double pz, Line l) {
        double off = l.off(py, pz);
        return new double[] {off * l.dz(), -off * l.dy()};
    }

    /** From a line's own point to a place outward from the foot of another point on it. */
    private static double[] along(Line l, double py, double pz, double outward) {
        double t = l.along(py, pz) + outward;
        return new double[] {t * l.dy(), t * l.dz()};
    }

    /** A face that stands over the member, or lies under it. */
    private Toe toe(Face out, double half) {
        double from = Math.max(0, half - EARLY - 4);
        Toe over = Toe.of(out, from, Math.min(out.last(), half + 3), noise);
        return over != null ? over : Toe.of(out.mirrored(), from, Math.min(out.last(), half + 3), noise);
    }

    private Face over(Line line, double y0, double z0, int side) {
        int n = p.points();
        double[] x = new double[n];
        double[] h = new double[n];
        for (int i = 0; i < n; i++) {
            double dy = p.y()[i] - y0;
            double dz = p.z()[i] - z0;
            x[i] = dy * line.dy() + dz * line.dz();
            h[i] = side * (dz * line.dy() - dy * line.dz());
        }
        return Face.of(x, h, n, noise);
    }
}
