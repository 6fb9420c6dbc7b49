package mensor.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mensor.inspection.Cover;
import mensor.inspection.Crack;
import mensor.inspection.CrackPlace;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.IndicationKind;
import mensor.inspection.Inspection;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.inspection.Undersize;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.judge.Finding;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import mensor.weld.Joint;
import mensor.weld.LegMeaning;
import mensor.weld.Toe;

/**
 * The weld unrolled along its length, in numbers: a ruler from the datum, lanes, each indication at its place, what is
 * known of the size ({@code wanted} is what the drawing asks, 0 for a groove), the windows that decide, and in
 * {@code covers} the stretches that cannot be seen. All positions and depths in millimetres; labels in the drawing's units.
 */
public record StripDrawing(
        double length,
        List<Tick> ticks,
        List<Tick> clock,
        List<Lane> lanes,
        List<Mark> marks,
        List<Station> stations,
        List<Band> bands,
        List<Bracket> brackets,
        List<Stretch> gaps,
        List<Stretch> covers,
        double wanted) {
    private static final int MOST_LABELS = 26;
    /** Fractions of the unit are wider to letter. */
    private static final int MOST_FRACTIONS = 12;

    /** A line of the ruler; the label is empty for a minor one. */
    public record Tick(double at, String label) {}

    public record Lane(String id, String name) {}

    /** An indication on its lane; a stretch that passes the datum comes as two. Depth is 0 where none was read. */
    public record Mark(
            int indication,
            String lane,
            String kind,
            IndicationKind.Shape shape,
            double from,
            double to,
            double depth,
            String label,
            boolean rejects) {}

    /**
     * A station where something was read.
     *
     * @param size the least leg or the throat read there, as the drawing gives the size; 0 where neither was read
     * @param sizeLabel the same as the gauge showed it; of a groove the crown
     */
    public record Station(int reading, double at, String label, boolean rejects, double size, String sizeLabel) {}

    /** What is known of the size along a stretch. */
    public enum Size {
        /** The blade of the size wanted goes. */
        GOES,
        /** Only a smaller blade was shown to go. */
        SMALLER,
        /** Marked under size. */
        MARKED,
        UNTRIED,
        UNWELDED
    }

    public record Band(double from, double to, Size state, String label) {}

    /**
     * The place that decides a finding, with its sum.
     *
     * @param windowed it is the worst of many windows, and so worth showing where nothing rejects
     */
    public record Bracket(String finding, double from, double to, String label, boolean rejects, boolean windowed) {}

    public record Stretch(double from, double to, String label) {}

    public static StripDrawing of(Inspection inspection, Evaluation evaluation) {
        Joint joint = inspection.joint();
        Set<Integer> rejecting = new HashSet<>();
        Set<Integer> rejectingReadings = new HashSet<>();
        evaluation.rejected().forEach(f -> {
            rejecting.addAll(f.indications());
            rejectingReadings.addAll(f.readings());
        });
        return new StripDrawing(
                mm(joint.length()),
                ticks(joint.length(), inspection.units()),
                clock(joint),
                lanes(inspection),
                marks(inspection, rejecting),
                stations(inspection, rejectingReadings),
                bands(inspection),
                brackets(inspection, evaluation),
                gaps(inspection),
                covers(inspection),
                joint.size().or(joint::throat).map(StripDrawing::mm).orElse(0.0));
    }

    /** A length in millimetres, near enough to draw. */
    public static double mm(Length length) {
        return length.approximateNanometres() / Unit.MILLIMETRE.nanometres();
    }

    /** The full hours of a weld around a round member, where they lie; the quarters are lettered. */
    static List<Tick> clock(Joint joint) {
        return joint.clock()
                .map(clock -> IntStream.rangeClosed(1, 12)
                        .mapToObj(hour -> new Tick(mm(clock.place(hour + ":00")), hour % 3 == 0 ? hour + ":00" : ""))
                        .sorted(Comparator.comparingDouble(Tick::at))
                        .toList())
                .orElseGet(List::of);
    }

    /** Ruler lines at a step of the unit that leaves room for the labels. */
    static List<Tick> ticks(Length length, Unit unit) {
        List<Length> steps = unit == Unit.INCH
                ? List.of(
                        Length.inches(1, 8),
                        Length.inches(1, 4),
                        Length.inches(1, 2),
                        Length.inches(1),
                        Length.inches(2),
                        Length.inches(6),
                        Length.inches(12),
                        Length.inches(24),
                        Length.inches(60),
                        Length.inches(120),
                        Length.inches(600),
                        Length.inches(1200))
                : List.of("5", "10", "20", "50", "100", "200", "500", "1000", "2000", "5000", "10000", "50000").stream()
                        .map(Length::millimetres)
                        .toList();
        Length step = steps.stream()
                .filter(s -> !length.isOver(
                        s.times(unit == Unit.INCH && s.isUnder(Length.inches(1)) ? MOST_FRACTIONS : MOST_LABELS)))
                .findFirst()
                .orElse(length);
        List<Tick> ticks = new ArrayList<>();
        for (Length at = Length.zero(unit); !at.isOver(length); at = at.plus(step)) {
            ticks.add(new Tick(mm(at), at.shown()));
            Length half = at.plus(step.dividedBy(2));
            if (!half.isOver(length)) {
                ticks.add(new Tick(mm(half), ""));
            }
        }
        Tick last = ticks.get(ticks.size() - 1);
        if (last.at() < mm(length) - 1e-9) {
            ticks.add(new Tick(mm(length), length.in(unit).shown()));
        }
        return ticks;
    }

    private static List<Lane> lanes(Inspection inspection) {
        Joint joint = inspection.joint();
        List<Lane> lanes = new ArrayList<>();
        lanes.add(new Lane("A", joint.toeName(Toe.A)));
        lanes.add(new Lane("face", "face"));
        lanes.add(new Lane("B", joint.toeName(Toe.B)));
        boolean root =
                joint.oneSided() || inspection.indications().stream().anyMatch(i -> i.criterion() == Criterion.ROOT);
        if (root) {
            lanes.add(new Lane("root", "root"));
        }
        lanes.add(new Lane("base", "beside"));
        return lanes;
    }

    /** The kind's lane; what stands on a toe is on that toe's, a crack of the base metal beside the weld. */
    private static String lane(Indication i) {
        boolean inBase = i instanceof Crack c
                && c.where().filter(CrackPlace.BASE::equals).isPresent();
        IndicationKind.Lane lane =
                inBase ? IndicationKind.Lane.BESIDE : i.kind().lane();
        return lane == IndicationKind.Lane.TOE ? ((Toe) i.values().find("toe").orElseThrow()).id() : lane.id();
    }

    /** Where the indications of an inspection would stand, before anything is judged. */
    public static List<Mark> marksOf(Inspection inspection) {
        return marks(inspection, Set.of());
    }

    private static List<Mark> marks(Inspection inspection, Set<Integer> rejecting) {
        List<Mark> marks = new ArrayList<>();
        Length end = inspection.joint().length();
        for (int n = 0; n < inspection.indications().size(); n++) {
            Indication i = inspection.indications().get(n);
            double depth = i.depth().map(StripDrawing::mm).orElse(0.0);
            if (!i.isPlaced()) {
                continue;
            }
            for (Span s : inspection.joint().ruler().straight(i.span())) {
                marks.add(new Mark(
                        n,
                        lane(i),
                        i.kind().id(),
                        i.shape(),
                        mm(s.from().min(end)),
                        mm(s.to().min(end)),
                        depth,
                        label(i),
                        rejecting.contains(n)));
            }
        }
        return marks;
    }

    private static String label(Indication i) {
        if (i instanceof Undersize u) {
            return "least " + u.least().in(u.least().unit()).shown();
        }
        if (i instanceof Porosity p) {
            return p.diameter().shown() + (p.count() > 1 ? " ×" + p.count() : "");
        }
        return i.depth().filter(Length::isPositive).map(Length::shown).orElse("");
    }

    private static List<Station> stations(Inspection inspection, Set<Integer> rejecting) {
        List<Station> stations = new ArrayList<>();
        for (int n = 0; n < inspection.readings().size(); n++) {
            if (inspection.readings().get(n) instanceof Reading.Station s) {
                Optional<Length> size = sizeAt(inspection.joint(), s);
                String label = size.or(s::reinforcement).map(Length::shown).orElse("");
                stations.add(new Station(
                        n,
                        mm(s.at()),
                        s.at().shown(),
                        rejecting.contains(n),
                        size.map(StripDrawing::mm).orElse(0.0),
                        label));
            }
        }
        return stations;
    }

    private static Optional<Length> sizeAt(Joint joint, Reading.Station s) {
        if (!joint.isFillet()) {
            return Optional.empty();
        }
        if (joint.throat().isPresent()) {
            return s.throat();
        }
        return Stream.of(s.legA(), s.legB()).flatMap(Optional::stream).min(Comparator.naturalOrder());
    }

    /** What blades and marks tell of the size; the rest is untried, whatever stations say of single places. */
    private static List<Band> bands(Inspection inspection) {
        Joint joint = inspection.joint();
        if (!joint.isFillet()) {
            return List.of();
        }
        RealLength wanted = joint.size()
                .map(RealLength::of)
                .orElseGet(() ->
                        joint.dihedral().legOf(RealLength.of(joint.throat().orElseThrow()), LegMeaning.CONTACT));
        List<Band> bands = new ArrayList<>();
        List<Span> marked = new ArrayList<>();
        for (Indication i : inspection.indications()) {
            if (i instanceof Undersize u) {
                for (Span s : joint.ruler().straight(u.span())) {
                    bands.add(new Band(
                            mm(s.from()),
                            mm(s.to()),
                            Size.MARKED,
                            "least " + u.least().shown()));
                    marked.add(s);
                }
            }
        }
        SpanSet known = SpanSet.of(marked);
        for (Reading r : inspection.readings()) {
            if (r instanceof Reading.Blade b) {
                RealLength goes = joint.throat().isPresent()
                        ? joint.dihedral().legOf(RealLength.of(b.atLeast()), joint.sizeMeans())
                        : joint.dihedral().leg(RealLength.of(b.atLeast()), joint.legs(), joint.sizeMeans());
                Size state = goes.isUnder(wanted) ? Size.SMALLER : Size.GOES;
                SpanSet here = SpanSet.of(joint.ruler().straight(b.span()));
                for (Span s : here.minus(known).spans()) {
                    bands.add(new Band(
                            mm(s.from()), mm(s.to()), state, b.atLeast().shown() + " blade goes"));
                }
                known = known.union(here);
            }
        }
        SpanSet welded = joint.segments().isEmpty()
                ? SpanSet.of(List.of(joint.ruler().whole()))
                : joint.ruler().straight(joint.segments());
        for (Span s : welded.minus(known).spans()) {
            bands.add(new Band(mm(s.from()), mm(s.to()), Size.UNTRIED, "blade not tried"));
        }
        for (Span s : SpanSet.of(List.of(joint.ruler().whole())).minus(welded).spans()) {
            bands.add(new Band(mm(s.from()), mm(s.to()), Size.UNWELDED, "no weld"));
        }
        return bands;
    }

    private static List<Bracket> brackets(Inspection inspection, Evaluation evaluation) {
        List<Bracket> brackets = new ArrayList<>();
        for (Finding f : evaluation.findings()) {
            boolean windowed = f.criterion() == Criterion.UNDERCUT || f.criterion() == Criterion.POROSITY;
            if (f.span().isEmpty()) {
                continue;
            }
            Length end = inspection.joint().length();
            for (Span s : inspection.joint().ruler().straight(f.span().get())) {
                if (s.to().isOver(end)) {
                    continue; // beside the weld, past its end
                }
                brackets.add(new Bracket(
                        f.id(),
                        mm(s.from()),
                        mm(s.to()),
                        sum(f),
                        f.verdict() == Verdict.REJECT,
                        windowed && !s.extent().isZero() && !f.indications().isEmpty()));
            }
        }
        return brackets;
    }

    private static String sum(Finding f) {
        String title = f.criterion().title().toLowerCase(java.util.Locale.ROOT);
        String measured = f.measured().isEmpty() ? "" : " " + f.measured();
        return (f.measured().startsWith(title) ? f.measured() : title + measured)
                + (f.allowed().isEmpty() ? "" : " · " + f.allowed() + " allowed");
    }

    private static List<Stretch> gaps(Inspection inspection) {
        List<Stretch> stretches = new ArrayList<>();
        inspection
                .joint()
                .gaps()
                .forEach(g -> inspection
                        .joint()
                        .ruler()
                        .straight(g.span())
                        .forEach(s -> stretches.add(new Stretch(
                                mm(s.from()), mm(s.to()), "gap " + g.opening().shown()))));
        return stretches;
    }

    private static List<Stretch> covers(Inspection inspection) {
        List<Stretch> stretches = new ArrayList<>();
        for (Cover c : inspection.covered()) {
            String how = c.by().map(b -> "covered by " + b).orElse("not accessible");
            c.where()
                    .ifPresent(w -> inspection
                            .joint()
                            .ruler()
                            .straight(w)
                            .forEach(s -> stretches.add(new Stretch(
                                    mm(s.from()), mm(s.to()), c.criterion().title() + " " + how))));
        }
        return stretches;
    }
}
