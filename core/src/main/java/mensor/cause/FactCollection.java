package mensor.cause;

import static mensor.cause.Fact.*;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
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
import mensor.weld.Groove;
import mensor.weld.Joint;
import mensor.weld.MinimumPreheat;
import mensor.weld.Pass;
import mensor.weld.PassAmps;
import mensor.weld.PassLimits;
import mensor.weld.Polarity;
import mensor.weld.Position;
import mensor.weld.Progression;
import mensor.weld.Range;
import mensor.weld.RodClass;
import mensor.weld.RodClock;
import mensor.weld.RodTable;
import mensor.weld.Sign;
import mensor.weld.Steel;
import mensor.weld.Technique;
import mensor.weld.Toe;
import mensor.weld.WeldingRecord;

/** Gathers what the inspection, the joint and the record tell of one defect, and what they rule out. */
final class FactCollection {
    /** So many like places are a habit. */
    private static final int REPEATED_FROM = 3;

    private static final int MOST_RODS = 1000;

    private final Inspection inspection;
    private final Joint joint;
    private final WeldingRecord record;
    private final Surroundings around;
    private final List<Pass> measured;
    private final Optional<GapRead> gap;

    FactCollection(Inspection inspection, Surroundings around) {
        this.inspection = inspection;
        this.joint = inspection.joint();
        this.record = inspection.welding();
        this.around = around;
        this.measured = evidently(record.passes());
        this.gap = gapAsFitted();
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
                                "spatter to one side, toward the weld's end, on direct current: together they speak for arc blow"));
        joint(evidence, situation);
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
            evidence.tried(
                    t.cause(),
                    CauseTable.constant(t.better() ? "tried-better" : "tried-no-better"),
                    t.better(),
                    t.words());
        }
        return evidence;
    }

    /** What cannot be the cause, and why: what contradicts the record. */
    Map<CauseTable.Row, String> ruledOut(Situation situation) {
        Map<CauseTable.Row, String> ruledOut = new LinkedHashMap<>();
        for (CauseTable.Row row : CauseTable.rows(situation)) {
            contradiction(row).ifPresent(why -> ruledOut.put(row, why));
        }
        return ruledOut;
    }

    private Optional<String> contradiction(CauseTable.Row row) {
        Optional<String> byHow = switch (row.how()) {
            case WEAVE -> when(hasStringersOnly(), "stringer beads are recorded: there is no weave");
            case PASSES -> when(measured.size() == 1, "a single pass has no slag and no valley between passes");
            case DOWN ->
                when(
                        all(p -> p.progression().filter(Progression.UP::equals).isPresent()),
                        "vertical up is recorded: nobody went down");
            case LOW_HYDROGEN ->
                when(
                        all(p -> p.electrode()
                                .flatMap(RodTable::isLowHydrogen)
                                .filter(low -> !low)
                                .isPresent()),
                        "no low-hydrogen rod is recorded");
            case WIDE -> gap.filter(g -> g.sense() == GapSense.TIGHT).map(g -> g.words() + ": not too wide");
            case TIGHT -> gap.filter(g -> g.sense() == GapSense.WIDE).map(g -> g.words() + ": not too tight");
            case ENDS, PREHEAT, ROD, ANY -> Optional.empty();
        };
        return switch (row.cause()) {
            case POLARITY ->
                byHow.or(() -> when(
                        all(p -> RodTable.runsOn(p.electrode(), p.polarity()).orElse(false)),
                        "the polarity recorded is right for the rod"));
            case ARC_FORCE ->
                byHow.or(() -> when(
                        flat() && measured.stream().noneMatch(p -> p.arcForce().isPresent()),
                        "arc force matters where the weld is not flat; this is position "
                                + joint.position().map(Position::id).orElse("")));
            default -> byHow;
        };
    }

    private static Optional<String> when(boolean so, String why) {
        return so ? Optional.of(why) : Optional.empty();
    }

    private boolean all(Predicate<Pass> so) {
        return !measured.isEmpty() && measured.stream().allMatch(so);
    }

    boolean hasStringersOnly() {
        return all(p -> p.technique().filter(Technique.STRINGER::equals).isPresent());
    }

    boolean isSinglePass() {
        return measured.size() == 1;
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

    /** The toe that lies higher, where one does and somebody said which. */
    Optional<Toe> upperToe() {
        return liesOnItsSide() ? joint.upper() : Optional.empty();
    }

    /** Whether one toe lies above the other. */
    boolean liesOnItsSide() {
        return joint.position()
                .filter(p -> p == Position.HORIZONTAL_FILLET
                        || p == Position.OVERHEAD_FILLET
                        || p == Position.HORIZONTAL_GROOVE)
                .isPresent();
    }

    /** Wholly within an inch of an end of an open weld. */
    boolean atTheEnd(Span span) {
        Length inch = inspection.units().pick(Length.inches(1), Length.millimetres("25"));
        return !joint.closed()
                && (!span.to().isOver(inch)
                        || !span.from().isUnder(joint.length().minus(inch)));
    }

    /** Reaches into the last 4 in [100 mm] before an end of an open weld, where an arc is blown. */
    private boolean reachesAnEnd(Span span) {
        Length zone = inspection.units().pick(Length.inches(4), Length.millimetres("100"));
        return !joint.closed()
                && (!span.from().isOver(zone)
                        || !span.to().isUnder(joint.length().minus(zone)));
    }

    /** What arc blow leaves together: spatter to one side at an end, on direct current and on no other. */
    private boolean isBlown(Span span) {
        boolean direct = measured.stream()
                        .anyMatch(
                                p -> p.polarity().filter(x -> x != Polarity.AC).isPresent())
                && measured.stream()
                        .noneMatch(p -> p.polarity().filter(Polarity.AC::equals).isPresent());
        return direct
                && reachesAnEnd(span)
                && !isLongAlong(span)
                && record.signs().contains(Sign.ONE_SIDED_SPATTER);
    }

    private boolean isLongAlong(Span span) {
        return !span.wraps() && span.extent().isOver(joint.weldedLength().dividedBy(2));
    }

    /** At a place where a rod was begun or ended. */
    boolean atAStartOrStop(Span span) {
        Length near = inspection.units().pick(Length.inches(1, 2), Length.millimetres("12"));
        return Stream.concat(around.startsAndStops().stream(), runStarts().stream())
                .anyMatch(p -> !span.distanceTo(p).isOver(near));
    }

    /** Where rods were begun, told from how far each went; of several passes nobody knows whose start lies on top. */
    private List<Length> runStarts() {
        Optional<Length> run = isSinglePass() ? measured.get(0).runLength() : Optional.empty();
        List<Length> starts = new ArrayList<>();
        for (Length at = Length.zero(joint.length().unit());
                run.filter(Length::isPositive).isPresent() && at.isUnder(joint.length());
                at = at.plus(run.get())) {
            starts.add(at);
        }
        return starts.size() > MOST_RODS ? List.of() : starts;
    }

    private void place(Evidence evidence, Span span) {
        String at = span.shown();
        if (atTheEnd(span)) {
            evidence.tell(AT_THE_END, "within an inch of the weld's end (" + at + ")");
        } else if (!reachesAnEnd(span) || isLongAlong(span)) {
            evidence.tell(MID_LENGTH, "in mid length (" + at + "), where arc blow is weak");
        }
        if (atAStartOrStop(span)) {
            evidence.tell(AT_A_START_OR_STOP, "a rod was begun or ended there (" + at + ")");
        }
        if (isLongAlong(span)) {
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
        Length more = s.legA().get().max(s.legB().get());
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
        if (more.minus(less).isOver(little)) {
            evidence.tell(LEGS_UNEQUAL, legs + ": one member had more of the rod");
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

    private void joint(Evidence evidence, Situation situation) {
        Length thick = inspection.units().pick(Length.inches(1), Length.millimetres("25"));
        Length most = joint.thicker().thickness();
        if (!most.isUnder(thick)) {
            evidence.tell(THICK, "the thicker part is " + most.shownWithUnit());
        }
        gap.ifPresent(g -> evidence.tell(g.sense() == GapSense.WIDE ? GAP_WIDE : GAP_TIGHT, g.words()));
        if (situation == Situation.NOT_WRAPPED) {
            evidence.tell(RETURN_MISSING, "the weld ends at the corner");
        }
        passesForSize().ifPresent(words -> evidence.tell(ONE_PASS, words));
    }

    private enum GapSense {
        WIDE,
        TIGHT
    }

    private record GapRead(GapSense sense, String words) {}

    /**
     * The root opening as fitted against the one drawn; where none is drawn, against what an open root usually has, 1/16 to
     * 5/32 in [1.5 to 4 mm] (common practice, no source). A fillet is drawn without one.
     */
    private Optional<GapRead> gapAsFitted() {
        if (joint.rootOpening().isEmpty() || joint.isFillet()) {
            return Optional.empty();
        }
        Unit unit = inspection.units();
        Length read = joint.rootOpening().get();
        Optional<Length> drawn = joint.groove().flatMap(Groove::rootOpening);
        Length most = drawn.orElse(unit.pick(Length.inches(5, 32), Length.millimetres("4")));
        Length least = drawn.orElse(unit.pick(Length.inches(1, 16), Length.millimetres("1.5")));
        String words = "the gap was read " + read.shownWithUnit()
                + drawn.map(d -> " where " + d.shown() + " is drawn").orElse("");
        if (read.isOver(most)) {
            return Optional.of(new GapRead(GapSense.WIDE, words));
        }
        return read.isUnder(least) ? Optional.of(new GapRead(GapSense.TIGHT, words)) : Optional.empty();
    }

    /** That one pass was laid where the size wants several. */
    private Optional<String> passesForSize() {
        if (!isSinglePass() || !record.passes().equals(measured)) {
            return Optional.empty();
        }
        Unit unit = inspection.units();
        Length most = joint.position()
                .map(p -> PassLimits.singlePass(p, unit))
                .orElse(unit.pick(Length.inches(1, 2), Length.millimetres("12")));
        Length wanted = joint.isFillet()
                ? joint.size().orElse(most)
                : joint.throat().orElse(joint.thinner().thickness());
        return wanted.isOver(most)
                ? Optional.of("one pass is recorded for " + wanted.shownWithUnit() + "; one pass lays at most "
                        + most.shownWithUnit() + " here")
                : Optional.empty();
    }

    /** A rod that lays more than the weld can take, or is thicker than the position lets it be. */
    private void rodSize(Evidence evidence, Pass p) {
        if (p.diameter().isEmpty()) {
            return;
        }
        Unit unit = inspection.units();
        Length rod = p.diameter().get();
        boolean lowHydrogen = isLowHydrogen(p);
        joint.position()
                .flatMap(at -> PassLimits.rod(at, lowHydrogen, unit))
                .filter(most -> rod.isOver(most) && !RodTable.isCalled(rod, most))
                .ifPresent(most -> evidence.tell(
                        ROD_TOO_BIG,
                        PassAmps.rod(p) + " in position "
                                + joint.position().orElseThrow().id() + ": at most " + most.shownWithUnit()));
        joint.size()
                .filter(size -> joint.isFillet() && RodTable.isTooBigFor(rod, size))
                .ifPresent(size -> evidence.tell(
                        ROD_TOO_BIG,
                        PassAmps.rod(p) + " on a " + size.shown()
                                + " fillet: its bead is more than the toes can take"));
    }

    private void record(Evidence evidence, Optional<Span> span) {
        PassesAtPlace here = new PassesAtPlace(
                around.changes(), w -> span.map(s -> touches(w, s)).orElse(false));
        List<Pass> asRun = here.of(record.passes());
        List<Pass> passes = evidently(asRun);
        passes.forEach(p -> pass(evidence, p));
        if (!flat()) {
            arcForceKept(evidence, record.passes(), asRun);
        }
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
        record.electrodeExposureHours().ifPresent(h -> exposure(evidence, passes, h));
        preheat(evidence);
    }

    /** By the class of each rod that was out; a coating that is not low-hydrogen has no such clock. */
    private static void exposure(Evidence evidence, List<Pass> passes, double hours) {
        passes.stream().flatMap(p -> p.electrode().stream()).distinct().forEach(rod -> {
            Optional<RodClass> known = RodClass.of(rod);
            Optional<Duration> limit = known.flatMap(RodClass::exposure);
            if (limit.isEmpty()) {
                return;
            }
            double most = known.flatMap(RodClass::exposureAtMost).orElseThrow().toMinutes() / 60.0;
            String words = "the rods were out " + Range.plain(hours) + " h; " + RodClock.shown(limit.get())
                    + " is the most for " + rod;
            if (hours > most) {
                evidence.tell(RODS_OUT_TOO_LONG, words);
            } else if (hours <= limit.get().toMinutes() / 60.0) {
                evidence.tell(RODS_IN_TIME, words);
            }
        });
    }

    /** Against the least of the steel's group; a steel that is not known has none. */
    private void preheat(Evidence evidence) {
        if (record.preheatF().isEmpty()) {
            return;
        }
        double read = record.preheatF().getAsDouble();
        boolean lowHydrogen = measured.stream()
                .noneMatch(p -> p.electrode()
                        .flatMap(RodTable::isLowHydrogen)
                        .filter(low -> !low)
                        .isPresent());
        Steel steel = joint.steel() == Steel.UNKNOWN ? around.steel() : joint.steel();
        MinimumPreheat.of(steel, lowHydrogen, joint.thicker().thickness())
                .filter(m -> read < m.fahrenheit())
                .ifPresent(m -> evidence.tell(
                        PREHEAT_LOW,
                        "preheat " + Range.plain(read) + " °F; at least " + m.shown()
                                + " for this steel and thickness"));
    }

    private static boolean isLowHydrogen(Pass p) {
        return p.electrode().flatMap(RodTable::isLowHydrogen).orElse(false);
    }

    private void pass(Evidence evidence, Pass p) {
        p.polarity()
                .ifPresent(pole -> evidence.tell(
                        pole == Polarity.AC ? AC : DC, (pole == Polarity.AC ? "AC" : pole.id()) + " is recorded"));
        RodTable.runsOn(p.electrode(), p.polarity())
                .ifPresent(right -> evidence.tell(
                        right ? POLARITY_RIGHT : isLowHydrogen(p) ? LOW_HYDROGEN_ON_DCEN : WRONG_POLE,
                        p.electrode().orElseThrow() + " on "
                                + p.polarity().orElseThrow().id()));
        rodSize(evidence, p);
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

    private void arcForce(Evidence evidence, Pass p, double force) {
        ArcForceUse use = ArcForceUse.of(p.electrode(), p.kind());
        String words = "arc force " + Range.plain(force) + " % of the machine's scale; " + use.words();
        if (force > use.much()) {
            evidence.tell(ARC_FORCE_HIGH, words);
        } else if (force <= use.little()) {
            evidence.tell(ARC_FORCE_LOW, words);
        }
    }

    /** The amps were turned down within a pass and its arc force was left where it digs. */
    private void arcForceKept(Evidence evidence, List<Pass> asSet, List<Pass> here) {
        for (int i = 0; i < asSet.size(); i++) {
            Pass before = asSet.get(i);
            Pass after = here.get(i);
            boolean turnedDown = before.amps().isPresent()
                    && after.amps().isPresent()
                    && after.amps().getAsDouble() < before.amps().getAsDouble();
            double much = ArcForceUse.of(after.electrode(), after.kind()).much();
            if (turnedDown && after.arcForce().orElse(0) > much && !after.planned()) {
                evidence.tell(
                        ARC_FORCE_KEPT,
                        "the amps were turned down from "
                                + Range.plain(before.amps().getAsDouble()) + " to "
                                + Range.plain(after.amps().getAsDouble()) + " A and the arc force was left at "
                                + Range.plain(after.arcForce().getAsDouble()) + " %");
            }
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
        amps.stream().filter(PassAmps::isPerhapsLow).forEach(a -> evidence.tell(AMPS_PERHAPS_LOW, a.line()));
        if (amps.isEmpty() || amps.stream().anyMatch(a -> a.isOver() || a.isUnder() || a.isPerhapsLow())) {
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
