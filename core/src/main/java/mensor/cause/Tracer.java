package mensor.cause;

import static mensor.cause.CauseClass.*;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import mensor.cause.CauseTable.Situation;
import mensor.judge.Evaluation;
import mensor.judge.Finding;
import mensor.length.Length;
import mensor.length.Span;
import mensor.look.CrackPlace;
import mensor.look.Indication;
import mensor.look.Inspection;
import mensor.look.Reading;
import mensor.weld.ArcLength;
import mensor.weld.Gap;
import mensor.weld.Pass;
import mensor.weld.PassAmps;
import mensor.weld.Polarity;
import mensor.weld.Position;
import mensor.weld.Progression;
import mensor.weld.RodClock;
import mensor.weld.RodTable;
import mensor.weld.Sign;
import mensor.weld.Technique;
import mensor.weld.Toe;
import mensor.weld.WeldingRecord;

/**
 * Traces what rejects to its likely causes: log-odds of a cause = its place in the shop's order plus the weight of each
 * piece of evidence in the record, normalised over the known causes and "other". A ranking with its evidence, not a proof.
 */
public final class Tracer {
    private static final double LIKELY_PER_SIGN = 0.2;

    private final Inspection inspection;
    private final WeldingRecord record;

    private Tracer(Inspection inspection) {
        this.inspection = inspection;
        this.record = inspection.welding();
    }

    /** Every indication and reading that decides a rejecting finding, traced, in the order of the findings. */
    public static List<Traced> trace(Inspection inspection, Evaluation evaluation) {
        Tracer tracer = new Tracer(inspection);
        List<Traced> traced = new ArrayList<>();
        Set<Integer> seen = new HashSet<>();
        Set<Integer> read = new HashSet<>();
        for (Finding f : evaluation.rejected()) {
            for (int i : f.indications()) {
                if (seen.add(i)) {
                    traced.add(tracer.indication(i));
                }
            }
            for (int i : f.readings()) {
                if (read.add(i)) {
                    traced.add(tracer.reading(i, f));
                }
            }
        }
        return List.copyOf(traced);
    }

    /** Every indication traced, whatever its verdict, in the order of the file. */
    public static List<Traced> traceAll(Inspection inspection) {
        Tracer tracer = new Tracer(inspection);
        List<Traced> traced = new ArrayList<>();
        for (int i = 0; i < inspection.indications().size(); i++) {
            traced.add(tracer.indication(i));
        }
        return List.copyOf(traced);
    }

    private Traced indication(int index) {
        Indication i = inspection.indications().get(index);
        return rank(OptionalInt.of(index), OptionalInt.empty(), i.kind(), situation(i), i.span(), toe(i));
    }

    private Traced reading(int index, Finding finding) {
        Situation situation = switch (finding.criterion()) {
            case PROFILE -> Situation.CONVEX;
            case MISALIGNMENT -> Situation.MISALIGNED;
            case ROOT -> Situation.BURN_THROUGH;
            default -> Situation.UNDERSIZE;
        };
        String kind = situation == Situation.CONVEX
                ? "convexity"
                : situation == Situation.UNDERSIZE ? "undersize" : finding.id();
        Span span = inspection.readings().get(index).span();
        return rank(OptionalInt.empty(), OptionalInt.of(index), kind, situation, span, Optional.empty());
    }

    private static Optional<Toe> toe(Indication i) {
        if (i instanceof Indication.Undercut u) {
            return Optional.of(u.toe());
        }
        return i instanceof Indication.Overlap o ? Optional.of(o.toe()) : Optional.empty();
    }

    private Situation situation(Indication i) {
        if (i instanceof Indication.Crack c) {
            CrackPlace where = c.where().orElse(CrackPlace.WELD);
            return switch (where) {
                case CRATER -> Situation.CRACK_CRATER;
                case TOE, BASE -> Situation.CRACK_TOE;
                case WELD -> Situation.CRACK_ALONG;
            };
        }
        return switch (i.kind()) {
            case "undercut" -> bothToesUndercut() ? Situation.UNDERCUT_BOTH_TOES : Situation.UNDERCUT_ONE_TOE;
            case "overlap" -> Situation.OVERLAP;
            case "undersize" -> Situation.UNDERSIZE;
            case "underfill", "root-concavity" -> Situation.UNDERFILL;
            case "porosity" -> nearAnEnd(i.span()) ? Situation.POROSITY_AT_START : Situation.POROSITY_SCATTERED;
            case "slag" -> Situation.SLAG;
            case "incomplete-fusion" -> Situation.FUSION;
            case "incomplete-penetration" -> Situation.PENETRATION;
            case "burn-through", "melt-through" -> Situation.BURN_THROUGH;
            case "crater" -> Situation.CRATER;
            case "arc-strike" -> Situation.ARC_STRIKE;
            case "spatter" -> Situation.SPATTER;
            case "short-weld" -> Situation.SHORT;
            case "misalignment" -> Situation.MISALIGNED;
            default -> Situation.NOT_AS_DRAWN;
        };
    }

    private boolean bothToesUndercut() {
        return undercut(Toe.A) && undercut(Toe.B);
    }

    private boolean undercut(Toe toe) {
        return inspection.indications().stream()
                .anyMatch(i -> i instanceof Indication.Undercut u
                        && u.toe() == toe
                        && u.deep().isPositive());
    }

    /** Wholly within an inch of an end of an open weld. */
    private boolean nearAnEnd(Span span) {
        Length inch = inspection.units().pick(Length.inches(1), Length.millimetres("25"));
        Length end = inspection.joint().length();
        return !inspection.joint().closed()
                && (!span.to().isOver(inch) || !span.from().isUnder(end.minus(inch)));
    }

    private Traced rank(
            OptionalInt indication,
            OptionalInt reading,
            String kind,
            Situation situation,
            Span span,
            Optional<Toe> toe) {
        List<CauseTable.Row> rows = CauseTable.rows(situation);
        Evidence evidence = new Evidence();
        if (indication.isEmpty()
                || inspection.indications().get(indication.getAsInt()).isPlaced()) {
            place(evidence, situation, span);
        }
        toe.ifPresent(t -> toeEvidence(evidence, situation, t, span));
        record(evidence, situation);
        signs(evidence);
        double[] odds = new double[rows.size()];
        double sum = Math.exp(CauseTable.OTHER);
        for (int i = 0; i < rows.size(); i++) {
            CauseClass c = rows.get(i).cause();
            odds[i] =
                    evidence.ruledOut().containsKey(c) ? 0 : Math.exp(-CauseTable.ORDER_STEP * i + evidence.weight(c));
            sum += odds[i];
        }
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            if (odds[i] > 0) {
                order.add(i);
            }
        }
        order.sort(Comparator.comparingDouble(i -> -odds[i]));
        List<Traced.Cause> causes = new ArrayList<>();
        for (int i : order) {
            CauseTable.Row row = rows.get(i);
            causes.add(new Traced.Cause(
                    row.cause(),
                    row.name(),
                    Standing.of(odds[i] / sum),
                    evidence.speaksFor(row.cause()),
                    evidence.speaksAgainst(row.cause()),
                    row.check(),
                    row.change()));
        }
        List<Traced.RuledOut> ruledOut = rows.stream()
                .filter(r -> evidence.ruledOut().containsKey(r.cause()))
                .map(r -> new Traced.RuledOut(r.cause(), evidence.ruledOut().get(r.cause())))
                .toList();
        return new Traced(
                indication, reading, kind, List.copyOf(causes), ruledOut, next(rows, odds, sum), doubt(situation));
    }

    private void place(Evidence evidence, Situation situation, Span span) {
        String at = span.shown();
        if (nearAnEnd(span)) {
            evidence.add(ARC_BLOW, 0.8, "within an inch of the weld's end (" + at + ")");
            evidence.add(MANIPULATION, 0.5, "at a start or a stop (" + at + ")");
        } else {
            evidence.add(ARC_BLOW, -1.2, "in mid length (" + at + "), where arc blow is weak");
        }
        Length half = inspection.joint().weldedLength().dividedBy(2);
        if (!span.wraps() && span.extent().isOver(half)) {
            evidence.add(WORK_ANGLE, 0.8, "steady along more than half of the weld");
        }
        if (situation == Situation.UNDERSIZE && nearAnEnd(span)) {
            evidence.add(MANIPULATION, 1.0, "only at the end of the weld");
        }
        for (Gap gap : inspection.joint().gaps()) {
            if (gap.opening().isPositive() && touches(gap.span(), span)) {
                evidence.add(
                        FIT_UP,
                        1.5,
                        "a fit-up opening of " + gap.opening().shownWithUnit() + " lies at "
                                + gap.span().shown());
            }
        }
    }

    private boolean touches(Span a, Span b) {
        var ruler = inspection.joint().ruler();
        return !ruler.straight(List.of(a)).intersect(ruler.straight(List.of(b))).isEmpty();
    }

    private void toeEvidence(Evidence evidence, Situation situation, Toe toe, Span span) {
        if (toe == Toe.ROOT) {
            return;
        }
        String name = inspection.joint().toeName(toe);
        if (situation == Situation.UNDERCUT_ONE_TOE) {
            evidence.add(WORK_ANGLE, 1.0, "on the " + name + " only");
            evidence.add(CURRENT_HIGH, -0.8, "too much current undercuts both toes; this is on the " + name + " only");
            evidence.add(SPEED_FAST, -0.6, "fast travel starves both toes; this is on the " + name + " only");
        }
        if (situation == Situation.UNDERCUT_BOTH_TOES) {
            evidence.add(WORK_ANGLE, -1.5, "both toes are undercut");
            evidence.add(CURRENT_HIGH, 0.5, "both toes are undercut");
            evidence.add(SPEED_FAST, 0.5, "both toes are undercut");
        }
        if (situation == Situation.OVERLAP) {
            evidence.add(WORK_ANGLE, 0.7, "on the " + name);
        }
        legs(evidence, situation, toe, span);
    }

    /** Which leg is longer at the station nearest to the place. */
    private void legs(Evidence evidence, Situation situation, Toe toe, Span span) {
        Optional<Reading.Station> nearest = inspection.readings().stream()
                .filter(r -> r instanceof Reading.Station)
                .map(r -> (Reading.Station) r)
                .filter(s -> s.legA().isPresent() && s.legB().isPresent())
                .min(Comparator.comparing(s -> distance(s.at(), span)));
        if (nearest.isEmpty()) {
            return;
        }
        Reading.Station s = nearest.get();
        Length own = (toe == Toe.A ? s.legA() : s.legB()).orElseThrow();
        Length other = (toe == Toe.A ? s.legB() : s.legA()).orElseThrow();
        String lettered =
                "at " + s.at().shown() + " the leg at this toe is " + own.shown() + ", the other " + other.shown();
        if (situation == Situation.OVERLAP) {
            if (own.isOver(other)) {
                evidence.add(WORK_ANGLE, 0.8, lettered + ": metal laid toward this toe");
            }
            return;
        }
        if (other.isOver(own)) {
            evidence.add(WORK_ANGLE, 1.2, lettered + ": the rod was aimed away from this toe");
        } else if (own.isOver(other)) {
            evidence.add(WORK_ANGLE, -0.8, lettered + ": the rod was not aimed away from this toe");
            evidence.add(ARC_LONG, 0.8, lettered + ": the toe is gouged and the metal sags");
        }
    }

    private static Length distance(Length at, Span span) {
        if (span.contains(at)) {
            return Length.zero(at.unit());
        }
        Length from = at.minus(span.from());
        Length to = at.minus(span.to());
        return (from.isNegative() ? from.negate() : from).min(to.isNegative() ? to.negate() : to);
    }

    private void record(Evidence evidence, Situation situation) {
        List<Pass> measured = record.passes().stream().filter(p -> !p.planned()).toList();
        measured.forEach(p -> pass(evidence, situation, p));
        if (situation == Situation.SLAG && measured.size() == 1) {
            evidence.ruleOut(CLEANLINESS, "a single pass has no slag between passes");
        }
        record.arcLength().ifPresent(a -> {
            if (a == ArcLength.LONG) {
                evidence.add(ARC_LONG, 1.8, "a long arc is recorded");
            } else {
                evidence.add(ARC_LONG, -1.2, "the arc is recorded as " + a.id());
            }
        });
        record.millScaleRemoved().ifPresent(removed -> {
            if (removed) {
                evidence.add(CLEANLINESS, -0.8, "the mill scale is recorded as removed");
            } else {
                evidence.add(CLEANLINESS, 1.3, "the mill scale is recorded as left on");
            }
        });
        record.electrodeExposureHours().ifPresent(h -> exposure(evidence, h));
        boolean vertical = inspection
                .joint()
                .position()
                .filter(p -> p == Position.VERTICAL_FILLET || p == Position.VERTICAL_GROOVE)
                .isPresent();
        if (!vertical && inspection.joint().position().isPresent()) {
            evidence.ruleOut(
                    ARC_FORCE,
                    "arc force gouges on verticals; this is position "
                            + inspection.joint().position().get().id());
        }
    }

    private void exposure(Evidence evidence, double hours) {
        if (hours > RodClock.E70_HOURS) {
            evidence.add(
                    CONSUMABLE,
                    1.6,
                    "the rods were out " + plain(hours) + " h; " + plain(RodClock.E70_HOURS)
                            + " h for E70 low-hydrogen rods");
        } else {
            evidence.add(
                    CONSUMABLE, -0.8, "the rods were out " + plain(hours) + " h, within " + plain(RodClock.E70_HOURS));
        }
    }

    private void pass(Evidence evidence, Situation situation, Pass p) {
        if (p.polarity().filter(Polarity.AC::equals).isPresent()) {
            evidence.add(ARC_BLOW, -4, "AC is recorded");
        }
        boolean lowHydrogen = p.electrode().flatMap(RodTable::isLowHydrogen).orElse(false);
        if (lowHydrogen && p.polarity().isPresent()) {
            boolean wrong = p.polarity().get() == Polarity.DCEN;
            evidence.add(
                    POLARITY,
                    wrong ? 2 : -2,
                    p.electrode().orElseThrow() + " on " + p.polarity().get().id());
        }
        if (p.technique().filter(Technique.STRINGER::equals).isPresent()) {
            evidence.add(MANIPULATION, -1, "stringer beads are recorded: no weave to pause in");
        }
        boolean thick = !inspection.joint().thinner().thickness().isUnder(Length.inches(1, 4));
        if (situation == Situation.FUSION
                && thick
                && p.progression().filter(Progression.DOWN::equals).isPresent()) {
            evidence.add(PROCEDURE, 2.2, "welded vertical down on 1/4 in or over");
        }
        PassAmps.of(p, record.procedureAmps()).ifPresent(a -> amps(evidence, a));
    }

    private void amps(Evidence evidence, PassAmps amps) {
        if (amps.isOver()) {
            evidence.add(CURRENT_HIGH, 2, amps.line());
            evidence.add(CURRENT_LOW, -2, amps.line());
        } else if (amps.isUnder()) {
            evidence.add(CURRENT_LOW, 2, amps.line());
            evidence.add(CURRENT_HIGH, -2, amps.line());
        } else {
            evidence.add(CURRENT_HIGH, -0.9, amps.line());
            evidence.add(CURRENT_LOW, -0.9, amps.line());
        }
    }

    private static String plain(double d) {
        return java.math.BigDecimal.valueOf(d).stripTrailingZeros().toPlainString();
    }

    private void signs(Evidence evidence) {
        for (Sign sign : record.signs()) {
            for (CauseTable.SignWeight w : CauseTable.weights(sign)) {
                evidence.add(w.cause(), w.weight(), words(sign) + " was seen");
            }
        }
        for (Sign sign : record.signsAbsent()) {
            for (CauseTable.SignWeight w : CauseTable.weights(sign)) {
                if (w.weight() > 0) {
                    evidence.add(w.cause(), -0.6 * w.weight(), words(sign) + " was looked for and not seen");
                }
            }
        }
    }

    private static String words(Sign sign) {
        return sign.id().replace('-', ' ');
    }

    /** The sign whose answer leaves the least expected entropy over the causes. */
    private Optional<Traced.NextCheck> next(List<CauseTable.Row> rows, double[] odds, double sum) {
        double[] share = new double[odds.length + 1];
        for (int i = 0; i < odds.length; i++) {
            share[i] = odds[i] / sum;
        }
        share[odds.length] = Math.exp(CauseTable.OTHER) / sum;
        Sign best = null;
        double least = entropy(share) - 1e-9;
        for (Sign sign : Sign.values()) {
            if (record.signs().contains(sign) || record.signsAbsent().contains(sign)) {
                continue;
            }
            double expected = expectedEntropy(rows, share, sign);
            if (expected < least) {
                least = expected;
                best = sign;
            }
        }
        if (best == null) {
            return Optional.empty();
        }
        Sign sign = best;
        List<String> about = CauseTable.weights(sign).stream()
                .map(CauseTable.SignWeight::cause)
                .filter(c -> rows.stream().anyMatch(r -> r.cause() == c))
                .map(c -> c.title().toLowerCase(java.util.Locale.ROOT))
                .toList();
        return Optional.of(new Traced.NextCheck(
                "look for this sign: " + words(sign), sign, "would speak for or against: " + String.join(", ", about)));
    }

    private static double expectedEntropy(List<CauseTable.Row> rows, double[] share, Sign sign) {
        double[] yes = new double[share.length];
        double[] no = new double[share.length];
        double pYes = 0;
        for (int i = 0; i < share.length; i++) {
            double likely = LIKELY_PER_SIGN;
            if (i < rows.size()) {
                for (CauseTable.SignWeight w : CauseTable.weights(sign)) {
                    if (w.cause() == rows.get(i).cause()) {
                        likely = Math.min(0.95, LIKELY_PER_SIGN * Math.exp(w.weight()));
                    }
                }
            }
            yes[i] = share[i] * likely;
            no[i] = share[i] * (1 - likely);
            pYes += yes[i];
        }
        double pNo = 1 - pYes;
        for (int i = 0; i < share.length; i++) {
            yes[i] /= pYes;
            no[i] /= pNo;
        }
        return pYes * entropy(yes) + pNo * entropy(no);
    }

    private static double entropy(double[] shares) {
        double sum = 0;
        for (double p : shares) {
            if (p > 0) {
                sum -= p * Math.log(p);
            }
        }
        return sum;
    }

    private List<String> doubt(Situation situation) {
        List<String> doubt = new ArrayList<>();
        boolean amps =
                record.passes().stream().anyMatch(p -> !p.planned() && p.amps().isPresent());
        boolean speed = record.passes().stream()
                .anyMatch(p ->
                        !p.planned() && (p.speed().isPresent() || p.runLength().isPresent()));
        if (!amps && !speed) {
            doubt.add(
                    "Neither amps nor travel speed is recorded: hot and fast, or cold and slow, can look alike; take no single cause as the one.");
        }
        boolean crack = situation == Situation.CRACK_ALONG
                || situation == Situation.CRACK_CRATER
                || situation == Situation.CRACK_TOE;
        if (crack) {
            doubt.add("A crack is never put down to the welder's hand alone.");
        }
        doubt.add("A ranking with its evidence, from common practice; not a proof and not a measured probability.");
        return List.copyOf(doubt);
    }
}
