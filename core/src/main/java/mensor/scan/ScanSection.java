package mensor.scan;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * One scanned profile drawn as a section: of a fillet the root in the middle, member B to the right and A upward; of a butt member A level. In mm.
 *
 * @param points the surface
 * @param lines the members' lines, A then B; from the root, or across the weld
 * @param triangle the largest that lies in the metal, from the root; empty where there is none
 * @param undercuts the deepest places beside the toes
 * @param why it was not measured; empty where it was
 */
public record ScanSection(
        double s,
        List<ScanPoint> points,
        List<List<ScanPoint>> lines,
        List<ScanPoint> toes,
        List<ScanPoint> triangle,
        List<ScannedUndercut> undercuts,
        List<ScannedValue> values,
        String why) {
    private static final int MOST_POINTS = 400;
    private static final double NEAR_TOE = 6;
    private static final int ARC_PARTS = 12;
    private static final double LEAST_SHOWN = 0.1;

    /** x to the right, y up. */
    public record ScanPoint(double x, double y) {}

    /** @param foot on the member's line over the deepest place */
    public record ScannedUndercut(boolean a, ScanPoint deepest, ScanPoint foot, double depth) {}

    /** @param u standard uncertainty */
    public record ScannedValue(String id, double value, double u) {}

    /** A frame to draw in. */
    private record Frame(Point origin, double uy, double uz) {
        ScanPoint at(double y, double z) {
            double dy = y - origin.y();
            double dz = z - origin.z();
            return new ScanPoint(dy * uy + dz * uz, dz * uy - dy * uz);
        }

        ScanPoint at(Point p) {
            return at(p.y(), p.z());
        }
    }

    public static ScanSection of(Profile p, boolean fillet, double deviceU) {
        return of(p, MeasuredProfile.of(p, fillet, deviceU));
    }

    /**
     * As above, among its neighbors: they say how a member bends.
     *
     * @param around it and those beside it
     */
    public static ScanSection among(Profile p, List<Profile> around, boolean fillet, double deviceU) {
        List<SeenProfile> seen =
                around.stream().map(n -> SeenProfile.of(n, fillet)).toList();
        return of(p, MeasuredProfile.among(SeenProfile.of(p, fillet), seen, deviceU));
    }

    private static ScanSection of(Profile p, MeasuredProfile m) {
        if (m instanceof MeasuredProfile.Fillet f) {
            return of(p, f.profile());
        }
        if (m instanceof MeasuredProfile.Butt b) {
            return of(p, b.profile());
        }
        Frame level = new Frame(
                new Point(p.points() == 0 ? 0 : p.y()[p.points() / 2], p.points() == 0 ? 0 : p.z()[p.points() / 2]),
                1,
                0);
        return new ScanSection(
                p.s(),
                thinned(p, level),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                ((MeasuredProfile.NotMeasured) m).why());
    }

    private static ScanSection of(Profile p, FilletProfile f) {
        Line atRoot = tangentAt(f.memberB(), f.root());
        Frame frame = new Frame(f.root(), atRoot.dy(), atRoot.dz());
        double reach = Math.max(f.legA().orElse(0), f.legB().orElse(0)) + NEAR_TOE;
        List<ScannedValue> values = new ArrayList<>();
        value(values, "legA", f.legA(), f.u().legA());
        value(values, "legB", f.legB(), f.u().legB());
        value(values, "throat", f.throat(), f.u().throat());
        value(values, "size", f.size(), f.u().size());
        value(values, "convexity", f.convexity(), f.u().convexity());
        value(values, "concavity", f.concavity(), f.u().convexity());
        value(values, "undercutA", f.undercutA(), f.u().undercut());
        value(values, "undercutB", f.undercutB(), f.u().undercut());
        double size = f.size().orElse(0);
        List<ScanPoint> triangle = size == 0
                ? List.of()
                : List.of(
                        frame.at(f.root()),
                        frame.at(along(f.root(), tangentAt(f.memberA(), f.root()), size)),
                        frame.at(along(f.root(), atRoot, size)));
        return new ScanSection(
                p.s(),
                thinned(p, frame),
                List.of(surface(frame, f.root(), f.memberA(), reach), surface(frame, f.root(), f.memberB(), reach)),
                List.of(frame.at(f.toeA()), frame.at(f.toeB())),
                triangle,
                notches(
                        p,
                        frame,
                        f.memberA(),
                        f.toeA(),
                        f.undercutA().orElse(0),
                        f.memberB(),
                        f.toeB(),
                        f.undercutB().orElse(0)),
                List.copyOf(values),
                "");
    }

    private static ScanSection of(Profile p, ButtProfile b) {
        Frame frame = new Frame(b.toeA(), b.memberA().dy(), b.memberA().dz());
        List<ScannedValue> values = new ArrayList<>();
        value(values, "reinforcement", OptionalDouble.of(b.reinforcement()), b.u());
        value(values, "underfill", OptionalDouble.of(b.underfill()), b.u());
        value(values, "offset", OptionalDouble.of(Math.abs(b.offset())), b.u());
        value(values, "faceWidth", OptionalDouble.of(b.faceWidth()), 0.1);
        value(values, "undercutA", OptionalDouble.of(b.undercutA()), b.u());
        value(values, "undercutB", OptionalDouble.of(b.undercutB()), b.u());
        Line outA = b.memberA().turned();
        return new ScanSection(
                p.s(),
                thinned(p, frame),
                List.of(
                        List.of(
                                frame.at(along(b.toeA(), outA, NEAR_TOE)),
                                frame.at(along(b.toeA(), b.memberA(), b.faceWidth()))),
                        List.of(
                                frame.at(along(b.toeB(), b.memberB(), -b.faceWidth())),
                                frame.at(along(b.toeB(), b.memberB(), NEAR_TOE)))),
                List.of(frame.at(b.toeA()), frame.at(b.toeB())),
                List.of(),
                notches(p, frame, outA, b.toeA(), b.undercutA(), b.memberB(), b.toeB(), b.undercutB()),
                List.copyOf(values),
                "");
    }

    private static void value(List<ScannedValue> values, String id, OptionalDouble value, double u) {
        value.ifPresent(v -> values.add(new ScannedValue(id, v, u)));
    }

    private static Line tangentAt(Line member, Point p) {
        return member.tangent(member.along(p.y(), p.z()));
    }

    private static Point along(Point from, Line line, double by) {
        return new Point(from.y() + by * line.dy(), from.z() + by * line.dz());
    }

    /** From the root as far as is drawn: two points of a line, more of an arc. */
    private static List<ScanPoint> surface(Frame frame, Point root, Line member, double reach) {
        double from = member.along(root.y(), root.z());
        int parts = member.isCurved() ? ARC_PARTS : 1;
        List<ScanPoint> points = new ArrayList<>();
        points.add(frame.at(root));
        for (int i = 1; i <= parts; i++) {
            points.add(frame.at(member.at(from + reach * i / parts)));
        }
        return List.copyOf(points);
    }

    private static List<ScannedUndercut> notches(
            Profile p, Frame frame, Line outA, Point toeA, double deepA, Line outB, Point toeB, double deepB) {
        List<ScannedUndercut> notches = new ArrayList<>();
        if (deepA >= LEAST_SHOWN) {
            notches.add(notch(p, frame, true, outA, toeA, deepA));
        }
        if (deepB >= LEAST_SHOWN) {
            notches.add(notch(p, frame, false, outB, toeB, deepB));
        }
        return notches;
    }

    /** Where the surface lies closest to the depth that was found: a single wild point may lie deeper. */
    private static ScannedUndercut notch(Profile p, Frame frame, boolean a, Line out, Point toe, double depth) {
        double from = out.along(toe.y(), toe.z());
        Point best = toe;
        double closest = Double.MAX_VALUE;
        for (int i = 0; i < p.points(); i++) {
            double along = out.along(p.y()[i], p.z()[i]) - from;
            double off = Math.abs(Math.abs(out.off(p.y()[i], p.z()[i])) - depth);
            if (along >= 0 && along <= NEAR_TOE && off < closest) {
                closest = off;
                best = new Point(p.y()[i], p.z()[i]);
            }
        }
        double t = out.along(best.y(), best.z());
        return new ScannedUndercut(a, frame.at(best), frame.at(out.at(t)), depth);
    }

    private static List<ScanPoint> thinned(Profile p, Frame frame) {
        List<ScanPoint> points = new ArrayList<>();
        int step = Math.max(1, (p.points() + MOST_POINTS - 1) / MOST_POINTS);
        for (int i = 0; i < p.points(); i += step) {
            points.add(frame.at(p.y()[i], p.z()[i]));
        }
        return points;
    }
}
