package mensor.drawing;

import static mensor.drawing.StripDrawing.mm;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mensor.criteria.CriteriaBook;
import mensor.criteria.Openings;
import mensor.criteria.Rule;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.Undercut;
import mensor.judge.Evaluation;
import mensor.judge.FaceLimit;
import mensor.judge.SectionSize;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.weld.Connection;
import mensor.weld.Corner;
import mensor.weld.Gap;
import mensor.weld.Joint;
import mensor.weld.LegMeaning;
import mensor.weld.Named;
import mensor.weld.Toe;

/**
 * The cross-section at a place, to scale, in millimetres. Of a fillet ({@link GrooveSection} has the grooves): the root corner at (0, 0), the second member's
 * surface along +x, the first member's surface leaving at the dihedral angle, +y up. Without a reading it shows the
 * weld as drawn.
 */
public record SectionDrawing(
        String at,
        boolean read,
        double dihedral,
        List<Outline> members,
        Outline weld,
        List<Point> required,
        String requiredLabel,
        List<Notch> notches,
        List<Dimension> dimensions,
        double gap,
        String gapLabel,
        FaceLine limit) {

    /** How far the face may stand out: from toe to toe through the highest point; absent where no one number governs it. */
    public record FaceLine(Point a, Point through, Point b, String label) {
        static FaceLine over(Point a, Point b, RealLength most) {
            double length = Math.max(1e-9, Math.hypot(b.x() - a.x(), b.y() - a.y()));
            double h = mm(most.rounded());
            Point through = new Point(
                    (a.x() + b.x()) / 2 + (a.y() - b.y()) / length * h,
                    (a.y() + b.y()) / 2 + (b.x() - a.x()) / length * h);
            return new FaceLine(a, through, b, "at most " + most.shown());
        }
    }

    public record Point(double x, double y) {}

    /** A closed outline; where {@code curve} is present the face from the second point to the third bends through it. */
    public record Outline(String name, String label, List<Point> points, Point curve) {}

    /** Undercut at a toe: its place on the outline, its depth, and the way into the member. */
    public record Notch(Point at, double depth, double direction, String label, boolean rejects) {}

    /** What is measured in a section. */
    public enum SectionMeasure implements Named {
        LEG_A("legA"),
        LEG_B("legB"),
        THROAT("throat"),
        CONVEXITY("convexity"),
        REINFORCEMENT("reinforcement"),
        OFFSET("offset");

        private final String id;

        SectionMeasure(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    /** A measure between two points, lettered as a gauge reads; {@code name} is the measure's word in signed drawings. */
    public record Dimension(String name, Point from, Point to, String label, boolean low) {
        Dimension(SectionMeasure measure, Point from, Point to, String label, boolean low) {
            this(measure.id(), from, to, label, low);
        }

        public SectionMeasure measure() {
            return Named.find(SectionMeasure.class, name).orElseThrow();
        }
    }

    /** The sections at all stations that were read, in their order. */
    public static List<SectionDrawing> atStations(Inspection inspection, Evaluation evaluation) {
        Set<Integer> rejecting = new HashSet<>();
        evaluation.rejected().forEach(f -> rejecting.addAll(f.indications()));
        Requirements asked = Requirements.of(inspection, evaluation.book());
        return inspection.readings().stream()
                .filter(r -> r instanceof Reading.Station)
                .map(r -> at(inspection, asked, (Reading.Station) r, rejecting))
                .toList();
    }

    /** The section at a station that was read, with the undercut that lies there. */
    public static SectionDrawing at(
            Inspection inspection, CriteriaBook book, Reading.Station station, Collection<Integer> rejecting) {
        return at(inspection, Requirements.of(inspection, book), station, rejecting);
    }

    /**
     * The section of a rejected place: the deepest undercut of each toe in it, at its own toe and depth, with the legs of a station
     * that was read within the place; where none was, the weld as drawn.
     */
    public static SectionDrawing ofPlace(Inspection inspection, Evaluation evaluation, Span place) {
        Optional<Reading.Station> read = inspection.readings().stream()
                .filter(Reading.Station.class::isInstance)
                .map(Reading.Station.class::cast)
                .filter(r -> place.contains(r.at()))
                .findFirst();
        Length at = read.map(Reading.Station::at).orElse(place.from());
        Map<Toe, Integer> deepest = new EnumMap<>(Toe.class);
        for (int n = 0; n < inspection.indications().size(); n++) {
            if (inspection.indications().get(n) instanceof Undercut u && isIn(inspection.joint(), place, u.span())) {
                deepest.merge(u.toe(), n, (a, b) -> deep(inspection, b).isOver(deep(inspection, a)) ? b : a);
            }
        }
        List<Indication> there = new ArrayList<>();
        List<Integer> rejecting = new ArrayList<>();
        deepest.forEach((toe, n) -> {
            if (evaluation.rejected().stream().anyMatch(f -> f.indications().contains(n))) {
                rejecting.add(there.size());
            }
            there.add(new Undercut(toe, Span.at(at), deep(inspection, n), Optional.empty()));
        });
        Reading.Station station =
                read.orElseGet(() -> Reading.Station.of(at, Reading.FilletMeasures.NONE, Optional.empty()));
        Inspection shown = inspection.with(List.of(station), there);
        SectionDrawing d = at(shown, Requirements.of(shown, evaluation.book()), station, rejecting);
        return read.isPresent() ? d : d.asNotRead();
    }

    private static Length deep(Inspection inspection, int undercut) {
        return ((Undercut) inspection.indications().get(undercut)).deep();
    }

    private static boolean isIn(Joint joint, Span place, Span undercut) {
        return joint.closed()
                ? !joint.ruler()
                        .on(SpanSet.of(joint.ruler().straight(place)), undercut)
                        .isEmpty()
                : !undercut.from().isOver(place.to()) && !undercut.to().isUnder(place.from());
    }

    private SectionDrawing asNotRead() {
        return new SectionDrawing(
                at, false, dihedral, members, weld, required, requiredLabel, notches, dimensions, gap, gapLabel, limit);
    }

    /** What the drawing needs of the code. */
    private record Requirements(Optional<Length> openingFree, Rule profile) {
        static Requirements of(Inspection inspection, CriteriaBook book) {
            Rule size = book.rule(Criterion.SIZE, inspection.joint(), inspection.units());
            Optional<Length> free =
                    size instanceof Rule.FilletSize f ? f.openings().map(Openings::free) : Optional.empty();
            return new Requirements(free, book.rule(Criterion.PROFILE, inspection.joint(), inspection.units()));
        }
    }

    private static SectionDrawing at(
            Inspection inspection, Requirements asked, Reading.Station station, Collection<Integer> rejecting) {
        Optional<RealLength> most = FaceLimit.at(inspection, asked.profile(), station);
        if (!inspection.joint().isFillet()) {
            return new GrooveSection(inspection.joint(), Optional.of(station), Optional.of(asked.profile()), most)
                    .draw(inspection.indications(), rejecting);
        }
        return new Builder(inspection.joint(), Optional.of(station), asked.openingFree(), most)
                .undercut(inspection, station.at(), rejecting)
                .build();
    }

    /** The section as the drawing asks it. */
    public static SectionDrawing asDrawn(Joint joint) {
        return joint.isFillet()
                ? new Builder(joint, Optional.empty(), Optional.empty(), Optional.empty()).build()
                : new GrooveSection(joint, Optional.empty(), Optional.empty(), Optional.empty())
                        .draw(List.of(), List.of());
    }

    private static final class Builder {
        private final Joint joint;
        private final Optional<Reading.Station> station;
        private final Optional<Length> openingFree;
        private final Optional<RealLength> most;
        private final double cos;
        private final double sin;
        private final double wanted;
        private final RealLength size;
        private final double legA;
        private final double legB;
        private final Optional<Gap> gap;
        private final List<Notch> notches = new ArrayList<>();

        Builder(
                Joint joint,
                Optional<Reading.Station> station,
                Optional<Length> openingFree,
                Optional<RealLength> most) {
            this.most = most;
            this.joint = joint;
            this.station = station;
            this.openingFree = openingFree;
            this.cos = joint.dihedral().cosine().doubleValue();
            this.sin = Math.sqrt(1 - cos * cos);
            RealLength drawn = joint.size()
                    .map(RealLength::of)
                    .orElseGet(() ->
                            joint.dihedral().legOf(RealLength.of(joint.throat().orElseThrow()), joint.sizeMeans()));
            this.gap = station.map(Reading.Station::at)
                    .flatMap(at -> joint.gaps().stream()
                            .filter(g -> g.opening().isPositive() && g.span().contains(at))
                            .findFirst());
            this.size = drawn;
            this.wanted = mm(joint.dihedral()
                    .leg(drawn, joint.sizeMeans(), LegMeaning.CONTACT)
                    .rounded());
            this.legA =
                    station.flatMap(Reading.Station::legA).map(this::contact).orElse(wanted);
            this.legB =
                    station.flatMap(Reading.Station::legB).map(this::contact).orElse(wanted);
        }

        private double contact(Length leg) {
            return mm(joint.dihedral().contact(RealLength.of(leg), joint.legs()).rounded());
        }

        private Point onA(double distance) {
            return new Point(distance * cos, distance * sin);
        }

        Builder undercut(Inspection inspection, Length at, Collection<Integer> rejecting) {
            for (int n = 0; n < inspection.indications().size(); n++) {
                Indication i = inspection.indications().get(n);
                if (i instanceof Undercut u
                        && u.toe() != Toe.ROOT
                        && u.span().contains(at)
                        && u.deep().isPositive()) {
                    boolean onA = u.toe() == Toe.A;
                    double intoA = Math.toDegrees(Math.atan2(sin, cos)) + 90;
                    notches.add(new Notch(
                            onA ? onA(legA) : new Point(legB, 0),
                            mm(u.deep()),
                            onA ? intoA : -90,
                            "undercut " + u.deep().shown(),
                            rejecting.contains(n)));
                }
            }
            return this;
        }

        SectionDrawing build() {
            double reach = Math.max(Math.max(legA, legB), wanted) * 8; // past any frame it is drawn in
            double tA = mm(joint.members().get(0).thickness());
            double tB = mm(joint.member(Toe.B).thickness());
            return new SectionDrawing(
                    station.map(s -> s.at().shown()).orElse(""),
                    station.isPresent(),
                    joint.dihedral().degrees().doubleValue(),
                    List.of(memberA(reach, tA), memberB(reach, tA, tB)),
                    weld(),
                    List.of(new Point(0, 0), onA(wanted), new Point(wanted, 0)),
                    joint.throat().map(t -> "throat " + t.shown()).orElseGet(size::shown) + " required",
                    List.copyOf(notches),
                    dimensions(),
                    gap.map(g -> mm(g.opening())).orElse(0.0),
                    gap.map(g -> "gap " + g.opening().shown()).orElse(""),
                    most.map(l -> FaceLine.over(onA(legA), new Point(legB, 0), l))
                            .orElse(null));
        }

        /** The first member stands on the second (tee), ends on it (lap), or meets it at its edge (corner). */
        private Outline memberA(double reach, double t) {
            double lift = gap.map(g -> mm(g.opening())).orElse(0.0);
            double nx = -sin * t;
            double ny = cos * t;
            double top = joint.connection() == Connection.LAP ? Math.max(legA, wanted) : reach;
            Point foot = onA(lift);
            Point head = onA(top);
            double back = joint.connection() == Connection.LAP ? reach : 0;
            List<Point> points = joint.connection() == Connection.LAP
                    ? List.of(foot, onA(mmThickness(0)), new Point(-back, mmThickness(0)), new Point(-back, lift))
                    : List.of(
                            foot,
                            head,
                            new Point(head.x() + nx, head.y() + ny),
                            new Point(foot.x() + nx, foot.y() + ny));
            return new Outline("A", name(0), points, null);
        }

        private double mmThickness(int member) {
            return mm(joint.members().get(member).thickness());
        }

        private Outline memberB(double reach, double tA, double tB) {
            boolean outside = joint.corner().filter(Corner.OUTSIDE::equals).isPresent();
            boolean corner = joint.connection() == Connection.CORNER;
            double left = corner ? (outside ? 0 : -tA) : -reach;
            return new Outline(
                    "B",
                    name(joint.members().size() - 1),
                    List.of(new Point(left, 0), new Point(reach, 0), new Point(reach, -tB), new Point(left, -tB)),
                    null);
        }

        private String name(int member) {
            var m = joint.members().get(member);
            return (m.name().isBlank() ? "member" : m.name()) + " "
                    + m.thickness().shown();
        }

        private Outline weld() {
            Point a = onA(legA);
            Point b = new Point(legB, 0);
            return new Outline("weld", "", List.of(new Point(0, 0), a, b), curve(a, b));
        }

        /** A point on the face at the bisector: from the throat read, else from convexity or concavity on the chord. */
        private Point curve(Point a, Point b) {
            if (station.isEmpty()) {
                return null;
            }
            Reading.Station s = station.get();
            if (s.throat().isPresent()) {
                double half = Math.toRadians(joint.dihedral().degrees().doubleValue() / 2);
                double t = mm(s.throat().get());
                return new Point(t * Math.cos(half), t * Math.sin(half));
            }
            double out = s.convexity().map(StripDrawing::mm).orElse(0.0)
                    - s.concavity().map(StripDrawing::mm).orElse(0.0);
            if (out == 0) {
                return null;
            }
            double length = Math.hypot(b.x() - a.x(), b.y() - a.y());
            double nx = (a.y() - b.y()) / length;
            double ny = (b.x() - a.x()) / length;
            return new Point((a.x() + b.x()) / 2 + nx * out, (a.y() + b.y()) / 2 + ny * out);
        }

        private List<Dimension> dimensions() {
            List<Dimension> dimensions = new ArrayList<>();
            if (station.isEmpty()) {
                String drawn = size.shown();
                dimensions.add(new Dimension(SectionMeasure.LEG_A, new Point(0, 0), onA(wanted), drawn, false));
                dimensions.add(
                        new Dimension(SectionMeasure.LEG_B, new Point(0, 0), new Point(wanted, 0), drawn, false));
                return dimensions;
            }
            Reading.Station s = station.get();
            RealLength need = gap.filter(
                            g -> openingFree.map(g.opening()::isOver).orElse(false))
                    .map(g -> size.plus(RealLength.of(g.opening())))
                    .orElse(size);
            s.legA()
                    .ifPresent(l -> dimensions.add(new Dimension(
                            SectionMeasure.LEG_A, new Point(0, 0), onA(legA), l.shown(), isLow(l, need))));
            s.legB()
                    .ifPresent(l -> dimensions.add(new Dimension(
                            SectionMeasure.LEG_B, new Point(0, 0), new Point(legB, 0), l.shown(), isLow(l, need))));
            s.throat()
                    .ifPresent(t -> dimensions.add(new Dimension(
                            SectionMeasure.THROAT,
                            new Point(0, 0),
                            curve(onA(legA), new Point(legB, 0)),
                            t.shown(),
                            joint.dihedral()
                                            .legOf(RealLength.of(t), joint.sizeMeans())
                                            .isUnder(need)
                                    && SectionSize.of(joint, s)
                                            .map(z -> z.size().isUnder(need))
                                            .orElse(false))));
            s.convexity()
                    .ifPresent(c -> dimensions.add(new Dimension(
                            SectionMeasure.CONVEXITY,
                            new Point(0, 0),
                            curve(onA(legA), new Point(legB, 0)),
                            c.shown(),
                            false)));
            return dimensions;
        }

        private boolean isLow(Length leg, RealLength need) {
            return joint.dihedral()
                    .leg(RealLength.of(leg), joint.legs(), joint.sizeMeans())
                    .isUnder(need);
        }
    }
}
