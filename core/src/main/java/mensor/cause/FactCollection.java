package mensor.cause;

import static mensor.cause.Fact.*;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.inspection.Face;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.Undercut;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.ArcForceUse;
import mensor.weld.ArcLength;
import mensor.weld.Gap;
import mensor.weld.Joint;
import mensor.weld.MinimumPreheat;
import mensor.weld.Pass;
import mensor.weld.PassAmps;
import mensor.weld.Polarity;
import mensor.weld.Position;
import mensor.weld.Progression;
import mensor.weld.Range;
import mensor.weld.RodClock;
import mensor.weld.RodTable;
import mensor.weld.Sign;
import mensor.weld.Technique;
import mensor.weld.Toe;
import mensor.weld.WeldingRecord;

/** Gathers what the inspection, the joint and the record tell of one defect, and what they rule out. */
final class FactCollection {
    private static final double LEAST_PREHEAT_F = 50;
    /** So many like places are a habit. */
    private static final int REPEATED_FROM = 3;

    private final Inspection inspection;
    private final Joint joint;
    private final WeldingRecord record;
    private final Surroundings around;
    private final List<Pass> measured;

    FactCollection(Inspection inspection, Surroundings around) {
        this.inspection = inspection;
        this.joint = inspection.joint();
        this.record = inspection.welding();
        this.around = around;
        this.measured = evidently(record.passes());
    }

    private static List<Pass> evidently(List<Pass> passes) {
        return passes.stream().filter(p -> !p.planned() && p.isStick()).toList();
    }

    /**
     * All that is known of a defect.
     *
     * @param span where it lies; empty where it was said of the whole bead
     */
    Evidence evidence(Situation situation, Optional<Span> span, Optional<Toe> toe, List<Indication> alike) {
        Evidence evidence = new Evidence(situation);
        span.ifPresent(s -> place(evidence, s));
        span.ifPresent(s -> alike(evidence, s, alike));
        toe.filter(t -> t != Toe.ROOT).ifPresent(t -> toe(evidence, situation, t, span.orElseThrow()));
        station(span).ifPresent(s -> profile(evidence, situation, s));
        span.filter(this::isBlown)
                .ifPresent(
                        s -> evidence.tell(
                                BLOWN,
                                "spatter to one side, near the weld's end, on direct current: together they speak for arc blow"));
        joint(evidence);
        record(evidence, span);
        around.remarks().stream()
                .filter(r -> r.where().isEmpty()
                        || span.map(s -> touches(r.where().get(), s)).orElse(true))
                .forEach(r -> evidence.tell(r.fact(), r.words()));
        record.signs().forEach(evidence::seen);
        record.signsAbsent().forEach(evidence::absent);
        for (Surroundings.Tried t : around.tried()) {
            if (!t.trouble().equals(situation.trouble())) {
                continue;
            }
            evidence.add(
                    t.cause(),
                    CauseTable.constant(t.better() ? "tried-better" : "tried-no-better"),
                    t.better(),
                    t.words());
        }
        return evidence;
    }

    /** What cannot be the cause, and why. */
    Map<CauseClass, String> ruledOut(Situation situation) {
        Map<CauseClass, String> ruledOut = new EnumMap<>(CauseClass.class);
        boolean stringers = !measured.isEmpty()
                && measured.stream()
                        .allMatch(p ->
                                p.technique().filter(Technique.STRINGER::equals).isPresent());
        for (CauseTable.Row row : CauseTable.rows(situation)) {
            if (row.how() == CauseTable.How.WEAVE && stringers) {
                ruledOut.put(row.cause(), "stringer beads are recorded: there is no weave");
            }
            if (row.how() == CauseTable.How.PASSES && measured.size() == 1) {
                ruledOut.put(row.cause(), "a single pass has no slag and no valley between passes");
            }
        }
        if (flat() && measured.stream().noneMatch(p -> p.arcForce().isPresent())) {
            ruledOut.put(
                    CauseClass.ARC_FORCE,
                    "arc force matters where the weld is not flat; this is position "
                            + joint.position().orElseThrow().id());
        }
        return ruledOut;
    }

    /** Causes that never lead: with alternating current the arc is hardly blown. */
    List<CauseClass> neverFirst() {
        return measured.stream()
                        .anyMatch(p -> p.polarity().filter(Polarity.AC::equals).isPresent())
                ? List.of(CauseClass.ARC_BLOW)
                : List.of();
    }

    boolean vertical() {
        return in(Position.VERTICAL_FILLET, Position.VERTICAL_GROOVE);
    }

    private boolean flat() {
        return joint.position().filter(Position::isFlat).isPresent();
    }

    private boolean in(Position one, Position other) {
        return joint.position().filter(p -> p == one || p == other).isPresent();
    }

    /** The toe that lies higher, where the position tells: sections are drawn with the first member upright. */
    Optional<Toe> upperToe() {
        return joint.position().map(p -> switch (p) {
            case HORIZONTAL_FILLET -> Toe.A;
            case OVERHEAD_FILLET -> Toe.B;
            default -> null;
        });
    }

    /** Wholly within an inch of an end of an open weld. */
    boolean atTheEnd(Span span) {
        Length inch = inspection.units().pick(Length.inches(1), Length.millimetres("25"));
        return !joint.closed()
                && (!span.to().isOver(inch)
                        || !span.from().isUnder(joint.length().minus(inch)));
    }

    /** What arc blow leaves together: spatter to one side near an end, on direct current and on no other. */
    private boolean isBlown(Span span) {
        boolean direct = measured.stream()
                        .anyMatch(
                                p -> p.polarity().filter(x -> x != Polarity.AC).isPresent())
                && measured.stream()
                        .noneMatch(p -> p.polarity().filter(Polarity.AC::equals).isPresent());
        return direct && atTheEnd(span) && record.signs().contains(Sign.ONE_SIDED_SPATTER);
    }

    /** At a place where a rod was begun or ended. */
    boolean atAStartOrStop(Span span) {
        Length near = inspection.units().pick(Length.inches(1, 2), Length.millimetres("12"));
        return around.startsAndStops().stream()
                .anyMatch(p -> !span.distanceTo(p).isOver(near));
    }

    private void place(Evidence evidence, Span span) {
        String at = span.shown();
        if (atTheEnd(span)) {
            evidence.tell(AT_THE_END, "within an inch of the weld's end (" + at + ")");
        } else {
            evidence.tell(MID_LENGTH, "in mid length (" + at + "), where arc blow is weak");
        }
        if (atAStartOrStop(span)) {
            evidence.tell(AT_A_START_OR_STOP, "a rod was begun or ended there (" + at + ")");
        }
        if (!span.wraps() && span.extent().isOver(joint.weldedLength().dividedBy(2))) {
            evidence.tell(LONG_ALONG, "steady along more than half of the weld");
        }
        for (Gap gap : joint.gaps()) {
            if (gap.opening().isPositive() && touches(gap.span(), span)) {
                evidence.tell(
                        GAP_HERE,
                        "a fit-up opening of " + gap.opening().shownWithUnit() + " lies at "
                                + gap.span().shown());
            }
        }
    }

    private void alike(Evidence evidence, Span span, List<Indication> alike) {
        if (alike.size() >= REPEATED_FROM) {
            evidence.tell(REPEATED, alike.size() + " such places along the weld: a habit or a setting");
        } else if (alike.size() == 1 && !span.wraps() && span.extent().times(4).isUnder(joint.weldedLength())) {
            evidence.tell(SINGLE, "one short place only: a setting shows along the weld");
        }
    }

    private boolean touches(Span a, Span b) {
        var ruler = joint.ruler();
        return !ruler.straight(List.of(a)).intersect(ruler.straight(List.of(b))).isEmpty();
    }

    private void toe(Evidence evidence, Situation situation, Toe toe, Span span) {
        String name = joint.toeName(toe);
        if (undercut(toe) && undercut(toe.opposite())) {
            evidence.tell(BOTH_TOES, "both toes are undercut");
        } else {
            evidence.tell(
                    ONE_TOE, "on the " + name + " only: a wrong angle does that; amps and speed show on both toes");
        }
        Optional<Reading.Station> nearest = station(Optional.of(span))
                .filter(s -> s.legA().isPresent() && s.legB().isPresent());
        nearest.ifPresent(s -> {
            Length own = s.leg(toe).orElseThrow();
            Length other = s.leg(toe.opposite()).orElseThrow();
            String read =
                    "at " + s.at().shown() + " the leg at this toe is " + own.shown() + ", the other " + other.shown();
            if (other.isOver(own)) {
                evidence.tell(OTHER_LEG_LONGER, read + ": the rod was aimed away from this toe");
            } else if (own.isOver(other)) {
                evidence.tell(
                        OWN_LEG_LONGER,
                        read
                                + (situation == Situation.OVERLAP
                                        ? ": metal laid toward this toe"
                                        : ": gouged, not starved"));
            }
        });
    }

    private boolean undercut(Toe toe) {
        return inspection.indications().stream()
                .anyMatch(i ->
                        i instanceof Undercut u && u.toe() == toe && u.deep().isPositive());
    }

    boolean bothToesUndercut() {
        return undercut(Toe.A) && undercut(Toe.B);
    }

    private void profile(Evidence evidence, Situation situation, Reading.Station s) {
        boolean concave = s.face().filter(Face.CONCAVE::equals).isPresent()
                || s.concavity().filter(Length::isPositive).isPresent();
        if (concave) {
            evidence.tell(CONCAVE_FACE, "the face is concave at " + s.at().shown());
        }
        Optional<Length> size = joint.size();
        if (s.legA().isEmpty() || s.legB().isEmpty() || size.isEmpty()) {
            return;
        }
        Length less = s.legA().get().min(s.legB().get());
        String legs =
                "legs " + s.legA().get().shown() + " and " + s.legB().get().shown() + " at " + s.at().shown()
                        + " where " + size.get().shown() + " is drawn";
        Length little = inspection.units().pick(Length.inches(1, 16), Length.millimetres("1.5"));
        if (less.isOver(size.get().plus(little))) {
            evidence.tell(LEGS_OVER_SIZE, legs);
        }
        if (!less.isUnder(size.get())) {
            evidence.tell(LEGS_GOOD, legs);
        }
        if (situation == Situation.UNEQUAL_LEGS) {
            Toe shorter = s.legA().get().isUnder(s.legB().get()) ? Toe.A : Toe.B;
            if (undercut(shorter)) {
                evidence.tell(UNDERCUT_OPPOSITE, "the " + joint.toeName(shorter) + ", at the shorter leg, is undercut");
            }
        }
    }

    /** The station nearest to the place; for the whole bead the first one. */
    private Optional<Reading.Station> station(Optional<Span> span) {
        return inspection.readings().stream()
                .filter(r -> r instanceof Reading.Station)
                .map(r -> (Reading.Station) r)
                .min(Comparator.comparing(
                        s -> span.map(p -> p.distanceTo(s.at())).orElse(Length.zero(s.at().unit()))));
    }

    private void joint(Evidence evidence) {
        Length thick = inspection.units().pick(Length.inches(1), Length.millimetres("25"));
        Length most = joint.thicker().thickness();
        if (!most.isUnder(thick)) {
            evidence.tell(THICK, "the thicker part is " + most.shownWithUnit());
        }
    }

    private void record(Evidence evidence, Optional<Span> span) {
        PassesAtPlace here = new PassesAtPlace(
                around.changes(), w -> span.map(s -> touches(w, s)).orElse(false));
        List<Pass> passes = evidently(here.of(record.passes()));
        passes.forEach(p -> pass(evidence, p));
        amps(evidence, passes);
        if (measured.size() > 1) {
            evidence.tell(MANY_PASSES, measured.size() + " passes are recorded");
        }
        here.arcLength()
                .or(record::arcLength)
                .ifPresent(a -> evidence.tell(
                        a == ArcLength.LONG
                                ? ARC_RECORDED_LONG
                                : a == ArcLength.SHORT ? ARC_RECORDED_SHORT : ARC_RECORDED_NORMAL,
                        "a " + a.id() + " arc is recorded"));
        record.millScaleRemoved()
                .ifPresent(removed -> evidence.tell(
                        removed ? SCALE_REMOVED : SCALE_LEFT,
                        "the mill scale is recorded as " + (removed ? "removed" : "left on")));
        record.electrodeExposureHours()
                .ifPresent(h -> evidence.tell(
                        h > RodClock.E70_HOURS ? RODS_OUT_TOO_LONG : RODS_IN_TIME,
                        "the rods were out " + Range.plain(h) + " h; " + Range.plain(RodClock.E70_HOURS)
                                + " h for E70 low-hydrogen rods"));
        preheat(evidence);
    }

    private void preheat(Evidence evidence) {
        if (record.preheatF().isEmpty()) {
            return;
        }
        double read = record.preheatF().getAsDouble();
        boolean lowHydrogen = measured.stream().allMatch(FactCollection::isLowHydrogen);
        double least = MinimumPreheat.of(
                        around.steel(), lowHydrogen, joint.thicker().thickness())
                .map(m -> (double) m.fahrenheit())
                .orElse(LEAST_PREHEAT_F);
        if (read < least) {
            evidence.tell(
                    PREHEAT_LOW,
                    "preheat " + Range.plain(read) + " °F; at least " + Range.plain(least) + " °F for this thickness");
        }
    }

    private static boolean isLowHydrogen(Pass p) {
        return p.electrode().flatMap(RodTable::isLowHydrogen).orElse(false);
    }

    private void pass(Evidence evidence, Pass p) {
        p.polarity()
                .ifPresent(pole -> evidence.tell(
                        pole == Polarity.AC ? AC : DC, (pole == Polarity.AC ? "AC" : pole.id()) + " is recorded"));
        if (isLowHydrogen(p) && p.polarity().isPresent()) {
            boolean wrong = p.polarity().get() == Polarity.DCEN;
            evidence.tell(
                    wrong ? LOW_HYDROGEN_ON_DCEN : POLARITY_RIGHT,
                    p.electrode().orElseThrow() + " on " + p.polarity().get().id());
        }
        if (p.technique().filter(Technique.WEAVE::equals).isPresent()) {
            evidence.tell(WEAVE, "a weave is recorded");
        }
        boolean down = p.progression().filter(Progression.DOWN::equals).isPresent();
        if (down) {
            evidence.tell(VERTICAL_DOWN, "welded vertical down");
            if (isThick()) {
                evidence.tell(VERTICAL_DOWN_THICK, "welded vertical down on 1/4 in or over");
            }
        }
        if (vertical()
                && !down
                && p.technique().filter(Technique.STRINGER::equals).isPresent()) {
            evidence.tell(STRAIGHT_UP, "a straight drag up a vertical is recorded");
        }
        if (!flat() && p.arcForce().isPresent()) {
            arcForce(evidence, p, p.arcForce().getAsDouble());
        }
    }

    private static void arcForce(Evidence evidence, Pass p, double force) {
        ArcForceUse use = ArcForceUse.of(p.electrode());
        String words = "arc force " + Range.plain(force) + " % of the machine's scale; " + use.words();
        if (force > use.much()) {
            evidence.tell(ARC_FORCE_HIGH, words);
        } else if (force <= use.little()) {
            evidence.tell(ARC_FORCE_LOW, words);
        }
    }

    /** Plate of 1/4 in [6 mm] and over, where welding vertical down does not melt the root. */
    boolean isThick() {
        Unit units = inspection.units();
        return !joint.thinner().thickness().isUnder(units.pick(Length.inches(1, 4), Length.millimetres("6")));
    }

    /** Passes over and under their range each count once; where none is, that all lie inside does. */
    private void amps(Evidence evidence, List<Pass> passes) {
        List<PassAmps> amps = passes.stream()
                .map(p -> PassAmps.of(p, record.procedureAmps(), around.label(p.electrode(), p.diameter())))
                .flatMap(Optional::stream)
                .toList();
        amps.stream().filter(PassAmps::isOver).forEach(a -> evidence.tell(AMPS_OVER, a.line()));
        amps.stream().filter(PassAmps::isUnder).forEach(a -> evidence.tell(AMPS_UNDER, a.line()));
        if (amps.isEmpty() || amps.stream().anyMatch(a -> a.isOver() || a.isUnder())) {
            return;
        }
        boolean upper = amps.stream().anyMatch(PassAmps::isUpperHalf);
        Fact inside = upper ? AMPS_INSIDE_UPPER_HALF : AMPS_INSIDE_LOWER_HALF;
        amps.forEach(a -> evidence.tell(inside, a.line()));
    }

    /** What the passes of a judged look tell of amps under their range: used where fusion is in doubt. */
    Optional<String> cold() {
        return measured.stream()
                .map(p -> PassAmps.of(p, record.procedureAmps(), around.label(p.electrode(), p.diameter())))
                .flatMap(Optional::stream)
                .filter(PassAmps::isUnder)
                .map(PassAmps::line)
                .findFirst();
    }

    List<Pass> measured() {
        return measured;
    }
}
