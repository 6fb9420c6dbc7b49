package mensor.drawing;

import static mensor.drawing.StripDrawing.mm;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mensor.criteria.Measure;
import mensor.criteria.Rule;
import mensor.drawing.SectionDrawing.Dimension;
import mensor.drawing.SectionDrawing.Notch;
import mensor.drawing.SectionDrawing.Outline;
import mensor.drawing.SectionDrawing.Point;
import mensor.drawing.SectionDrawing.SectionMeasure;
import mensor.inspection.Indication;
import mensor.inspection.Reading;
import mensor.inspection.Undercut;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.weld.Connection;
import mensor.weld.Gap;
import mensor.weld.Groove;
import mensor.weld.Joint;
import mensor.weld.Penetration;
import mensor.weld.Preparation;
import mensor.weld.Toe;

/**
 * The cross-section of a groove at a place, to scale, in millimetres. A butt: the lower surface along y = 0, the middle of the
 * root at x = 0, toe A on the left. All else: a bevel on the first member, which stands or lies on the second along y = 0. What the
 * drawing does not say of the preparation is taken as is common (60° V, 45° bevel, no root face) and said so.
 */
final class GrooveSection {
    private static final double V_ANGLE = 60;
    private static final double BEVEL_ANGLE = 45;
    private static final double BACKING = 8;

    private final Joint joint;
    private final Optional<Reading.Station> station;
    private final Optional<Rule> profile;
    private final Optional<RealLength> most;
    private final double thicknessA;
    private final double thicknessB;
    private final double angle;
    private final double rootFace;
    private final double opening;
    private final Optional<Gap> gap;
    private final boolean square;
    private final boolean bevel;
    private final boolean bothSides;

    GrooveSection(Joint joint, Optional<Reading.Station> station, Optional<Rule> profile, Optional<RealLength> most) {
        this.most = most;
        this.joint = joint;
        this.station = station;
        this.profile = profile;
        this.thicknessA = mm(joint.member(Toe.A).thickness());
        this.thicknessB = mm(joint.member(Toe.B).thickness());
        Optional<Groove> drawn = joint.groove();
        Optional<Preparation> prep = drawn.flatMap(Groove::preparation);
        this.square = prep.filter(p -> p == Preparation.SQUARE).isPresent();
        this.bothSides = prep.filter(Preparation::isDouble).isPresent();
        this.bevel = prep.filter(Preparation::isBevel).isPresent() || !isButt(joint);
        this.angle = square ? 0 : drawn.flatMap(Groove::includedAngle).orElse(bevel ? BEVEL_ANGLE : V_ANGLE);
        this.rootFace = Math.min(
                drawn.flatMap(Groove::rootFace).map(StripDrawing::mm).orElse(0.0), Math.min(thicknessA, thicknessB));
        this.gap = station.map(Reading.Station::at)
                .flatMap(at -> joint.gaps().stream()
                        .filter(g -> g.opening().isPositive() && g.span().contains(at))
                        .findFirst());
        this.opening = gap.map(g -> mm(g.opening()))
                .or(() -> drawn.flatMap(Groove::rootOpening).map(StripDrawing::mm))
                .orElse(0.0);
    }

    private static boolean isButt(Joint joint) {
        return joint.connection() == Connection.BUTT || joint.connection() == Connection.PIPE_BUTT;
    }

    SectionDrawing draw(List<Indication> indications, Collection<Integer> rejecting) {
        if (isButt(joint)) {
            return butt(indications, rejecting);
        }
        return joint.connection() == Connection.LAP ? lap(indications, rejecting) : stem(indications, rejecting);
    }

    /** How deep the preparation goes from the face of a member of this thickness. */
    private double depth(double thickness) {
        boolean partial =
                joint.penetration().filter(Penetration.PARTIAL::equals).isPresent();
        double whole = thickness - rootFace;
        return partial ? Math.min(whole, joint.throat().map(StripDrawing::mm).orElse(whole)) : whole;
    }

    private SectionDrawing butt(List<Indication> indications, Collection<Integer> rejecting) {
        double tanA = Math.tan(Math.toRadians(bevel ? angle : angle / 2));
        double tanB = bevel ? 0 : tanA;
        boolean partial =
                joint.penetration().filter(Penetration.PARTIAL::equals).isPresent();
        double deepA = bothSides ? (thicknessA - rootFace) / 2 : depth(thicknessA);
        double deepB = bothSides ? (thicknessB - rootFace) / 2 : depth(thicknessB);
        List<Point> edgeA = edge(-opening / 2, -tanA, thicknessA, deepA);
        List<Point> edgeB = edge(opening / 2, tanB, thicknessB, deepB);
        Point a = edgeA.get(0);
        Point b = edgeB.get(0);
        // round the weld from the root of A's side over both toes, so that the face is its second stretch
        List<Point> outline = new ArrayList<>(List.of(edgeA.get(1), a, b, edgeB.get(1)));
        if (!partial) {
            outline.addAll(edgeB.subList(2, edgeB.size()));
            for (int i = edgeA.size() - 1; i >= 2; i--) {
                outline.add(edgeA.get(i));
            }
        }
        double reach = Math.max(thicknessA, thicknessB) * 8;
        List<Outline> members = new ArrayList<>();
        members.add(new Outline("A", name(Toe.A), plate(-reach, thicknessA, edgeA), null));
        members.add(new Outline("B", name(Toe.B), plate(reach, thicknessB, edgeB), null));
        if (joint.backing().orElse(false)) {
            double wide = Math.max(12, opening / 2 + 10);
            members.add(new Outline(
                    "backing",
                    "backing",
                    List.of(
                            new Point(-wide, 0),
                            new Point(wide, 0),
                            new Point(wide, -BACKING),
                            new Point(-wide, -BACKING)),
                    null));
        }
        return section(180, members, List.copyOf(outline), a, b, notches(indications, rejecting, a, -90, b, -90));
    }

    /** A prepared edge from its toe down to the lower surface; {@code lean} is how far it leans out for each mm of depth. */
    private List<Point> edge(double root, double lean, double thickness, double deep) {
        Point toe = new Point(root + lean * deep, thickness);
        Point upper = new Point(root, thickness - deep);
        return bothSides
                ? List.of(toe, upper, new Point(root, deep), new Point(root + lean * deep, 0))
                : List.of(toe, upper, new Point(root, 0));
    }

    private static List<Point> plate(double far, double thickness, List<Point> edge) {
        List<Point> points = new ArrayList<>(List.of(new Point(far, 0), new Point(far, thickness)));
        points.addAll(edge);
        return points;
    }

    /** A member that lies on the other, its edge bevelled: the face runs from its upper edge to the surface it lies on. */
    private SectionDrawing lap(List<Indication> indications, Collection<Integer> rejecting) {
        double deep = depth(thicknessA);
        double top = opening + thicknessA;
        Point a = new Point(-deep * Math.tan(Math.toRadians(Math.min(angle, 80))), top);
        Point b = new Point(thicknessA / 4, 0);
        Point heel = new Point(0, top - deep);
        List<Point> outline = List.of(heel, a, b, new Point(0, 0));
        double reach = Math.max(thicknessA, thicknessB) * 8;
        List<Outline> members = List.of(
                new Outline(
                        "A",
                        name(Toe.A),
                        List.of(heel, a, new Point(-reach, top), new Point(-reach, opening), new Point(0, opening)),
                        null),
                new Outline(
                        "B",
                        name(Toe.B),
                        List.of(
                                new Point(-reach, 0),
                                new Point(reach, 0),
                                new Point(reach, -thicknessB),
                                new Point(-reach, -thicknessB)),
                        null));
        return section(90, members, outline, a, b, notches(indications, rejecting, a, -90, b, -90));
    }

    /** A bevelled member that stands on the other: a tee, a corner. The face runs to a quarter of its thickness. */
    private SectionDrawing stem(List<Indication> indications, Collection<Integer> rejecting) {
        double deep = bothSides ? (thicknessA - rootFace) / 2 : depth(thicknessA);
        Point a = new Point(0, opening + deep * Math.tan(Math.toRadians(Math.min(angle, 80))));
        Point b = new Point(thicknessA / 4, 0);
        Point root = new Point(-deep, 0);
        // prepared from both sides, the weld goes through under the member to a face like this one
        Point farToe = new Point(-thicknessA, a.y());
        List<Point> outline = bothSides
                ? List.of(
                        new Point(-deep, opening),
                        a,
                        b,
                        new Point(-thicknessA - thicknessA / 4, 0),
                        farToe,
                        new Point(deep - thicknessA, opening))
                : List.of(root, a, b);
        double reach = Math.max(thicknessA, thicknessB) * 8;
        boolean corner = joint.connection() == Connection.CORNER;
        List<Outline> members = List.of(
                new Outline(
                        "A",
                        name(Toe.A),
                        bothSides
                                ? List.of(
                                        new Point(-deep, opening),
                                        a,
                                        new Point(0, reach),
                                        new Point(-thicknessA, reach),
                                        farToe,
                                        new Point(deep - thicknessA, opening))
                                : List.of(
                                        new Point(-deep, opening),
                                        a,
                                        new Point(0, reach),
                                        new Point(-thicknessA, reach),
                                        new Point(-thicknessA, opening)),
                        null),
                new Outline(
                        "B",
                        name(Toe.B),
                        List.of(
                                new Point(corner ? -thicknessA : -reach, 0),
                                new Point(reach, 0),
                                new Point(reach, -thicknessB),
                                new Point(corner ? -thicknessA : -reach, -thicknessB)),
                        null));
        return section(90, members, outline, a, b, notches(indications, rejecting, a, 180, b, -90));
    }

    private SectionDrawing section(
            double dihedral, List<Outline> members, List<Point> outline, Point a, Point b, List<Notch> notches) {
        Point face = new Point((a.x() + b.x()) / 2, (a.y() + b.y()) / 2);
        Optional<Length> stands = station.flatMap(s -> s.reinforcement().or(s::convexity));
        double length = Math.max(1e-9, Math.hypot(b.x() - a.x(), b.y() - a.y()));
        Point crown = stands.map(StripDrawing::mm)
                .map(h -> new Point(face.x() + (a.y() - b.y()) / length * h, face.y() + (b.x() - a.x()) / length * h))
                .orElse(null);
        List<Dimension> dimensions = new ArrayList<>();
        station.flatMap(Reading.Station::reinforcement)
                .ifPresent(r ->
                        dimensions.add(new Dimension(SectionMeasure.REINFORCEMENT, face, crown, r.shown(), fails(r))));
        station.filter(s -> s.reinforcement().isEmpty())
                .flatMap(Reading.Station::convexity)
                .ifPresent(c -> dimensions.add(new Dimension(SectionMeasure.CONVEXITY, face, crown, c.shown(), false)));
        station.flatMap(Reading.Station::offset)
                .ifPresent(o -> dimensions.add(new Dimension(SectionMeasure.OFFSET, b, b, o.shown(), false)));
        return new SectionDrawing(
                station.map(s -> s.at().shown()).orElse(""),
                station.isPresent(),
                dihedral,
                members,
                new Outline("weld", "", outline, crown),
                outline,
                wanted(),
                notches,
                dimensions,
                gap.map(g -> mm(g.opening())).orElse(0.0),
                gap.map(g -> "gap " + g.opening().shown()).orElse(""),
                most.map(l -> SectionDrawing.FaceLine.over(a, b, l)).orElse(null));
    }

    private boolean fails(Length reinforcement) {
        List<Boolean> notified = profile.stream()
                .flatMap(Rule::leaves)
                .flatMap(r -> exceeds(r, reinforcement).stream())
                .toList();
        return !notified.isEmpty() && notified.stream().allMatch(f -> f);
    }

    private static Optional<Boolean> exceeds(Rule rule, Length reinforcement) {
        if (rule instanceof Rule.FaceHeight h) {
            return Optional.of(reinforcement.isOver(h.most())
                    || reinforcement.isNegative() && reinforcement.negate().isOver(h.below()));
        }
        if (rule instanceof Rule.AtMost m && m.measure() == Measure.REINFORCEMENT) {
            return m.bound().greatest().map(g -> RealLength.of(reinforcement).isOver(g));
        }
        return Optional.empty();
    }

    private String wanted() {
        boolean partial =
                joint.penetration().filter(Penetration.PARTIAL::equals).isPresent();
        String what = partial
                ? "PJP" + joint.throat().map(t -> ", throat " + t.shown()).orElse("")
                : "CJP";
        String taken = joint.groove().flatMap(Groove::includedAngle).isPresent() || square
                ? ""
                : ", angle not given: " + (int) angle + "° drawn";
        return what + (joint.flush() ? ", flush" : "") + taken;
    }

    private List<Notch> notches(
            List<Indication> indications, Collection<Integer> rejecting, Point a, double intoA, Point b, double intoB) {
        List<Notch> notches = new ArrayList<>();
        for (int n = 0; n < indications.size(); n++) {
            boolean here = station.isPresent()
                    && indications.get(n).isPlaced()
                    && indications.get(n).span().contains(station.get().at());
            if (here
                    && indications.get(n) instanceof Undercut u
                    && u.toe() != Toe.ROOT
                    && u.deep().isPositive()) {
                boolean onA = u.toe() == Toe.A;
                notches.add(new Notch(
                        onA ? a : b,
                        mm(u.deep()),
                        onA ? intoA : intoB,
                        "undercut " + u.deep().shown(),
                        rejecting.contains(n)));
            }
        }
        return List.copyOf(notches);
    }

    private String name(Toe toe) {
        var m = joint.member(toe);
        return (m.name().isBlank() ? "member" : m.name()) + " " + m.thickness().shown();
    }
}
