package mensor.cause;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.inspection.Criterion;
import mensor.inspection.Face;
import mensor.inspection.Indication;
import mensor.inspection.IndicationKind;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.judge.Evaluation;
import mensor.judge.Finding;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.Pass;
import mensor.weld.Sign;
import mensor.weld.Toe;

/**
 * Traces what rejects to its likely causes: see {@code causes.md} for the shop's knowledge and its weights. What several
 * defects of one weld have in common ranks higher. A ranking with its evidence, not a proof.
 */
public final class Tracer {
    private final Inspection inspection;
    private final Surroundings around;
    private final FactCollection gathering;

    private Tracer(Inspection inspection, Surroundings around) {
        this.inspection = inspection;
        this.around = around;
        this.gathering = new FactCollection(inspection, around);
    }

    /**
     * One defect before it is ranked.
     *
     * @param alone it stands at one place and nothing like it does: it has no pitch and follows nothing
     */
    private record Occurrence(
            OptionalInt indication,
            OptionalInt reading,
            String kind,
            Situation situation,
            boolean alone,
            Evidence evidence,
            Map<CauseTable.Row, String> ruledOut) {}

    /** Every indication and reading that decides a rejecting finding, traced, in the order of the findings. */
    public static List<CauseTrace> trace(Inspection inspection, Evaluation evaluation) {
        return trace(inspection, evaluation, Surroundings.NONE, List.of());
    }

    /**
     * As {@link #trace(Inspection, Evaluation)}, with what is known around the weld.
     *
     * @param also troubles that were seen and that no criterion knows, as a wavy bead
     */
    public static List<CauseTrace> trace(
            Inspection inspection, Evaluation evaluation, Surroundings around, List<Situation> also) {
        return trace(inspection, evaluation, around, also, false);
    }

    /**
     * As above.
     *
     * @param accepted what was accepted is asked about as well: why did this happen?
     */
    public static List<CauseTrace> trace(
            Inspection inspection, Evaluation evaluation, Surroundings around, List<Situation> also, boolean accepted) {
        Tracer tracer = new Tracer(inspection, around);
        List<Occurrence> found = new ArrayList<>();
        Set<Integer> seen = new HashSet<>();
        Set<Integer> read = new HashSet<>();
        for (Finding f : evaluation.rejected()) {
            f.indications().stream().filter(seen::add).forEach(i -> found.add(tracer.indication(i)));
            f.readings().stream().filter(read::add).forEach(i -> found.add(tracer.reading(i, f)));
        }
        for (int i = 0; accepted && i < inspection.indications().size(); i++) {
            if (seen.add(i)) {
                found.add(tracer.indication(i));
            }
        }
        also.forEach(s -> found.add(tracer.seen(s)));
        return tracer.ranked(found);
    }

    /** Every indication traced, whatever its verdict, and every reading that rejects. */
    public static List<CauseTrace> traceAll(Inspection inspection, Evaluation evaluation) {
        Tracer tracer = new Tracer(inspection, Surroundings.NONE);
        List<Occurrence> found = tracer.all();
        Set<Integer> read = new HashSet<>();
        for (Finding f : evaluation.rejected()) {
            f.readings().stream().filter(read::add).forEach(i -> found.add(tracer.reading(i, f)));
        }
        return tracer.ranked(found);
    }

    /** Every indication traced, whatever its verdict, with nothing known around the weld. */
    public static List<CauseTrace> traceAll(Inspection inspection) {
        return traceAll(inspection, Surroundings.NONE);
    }

    /** Every indication traced, with what is known around the weld. */
    public static List<CauseTrace> traceAll(Inspection inspection, Surroundings around) {
        Tracer tracer = new Tracer(inspection, around);
        return tracer.ranked(tracer.all());
    }

    private List<Occurrence> all() {
        List<Occurrence> found = new ArrayList<>();
        for (int i = 0; i < inspection.indications().size(); i++) {
            found.add(indication(i));
        }
        return found;
    }

    private Occurrence indication(int index) {
        Indication i = inspection.indications().get(index);
        Optional<Toe> toe = toe(i);
        List<Indication> alike = inspection.indications().stream()
                .filter(o -> o.kind() == i.kind() && toe(o).equals(toe))
                .toList();
        Situation situation = i.answer(new SituationOf(gathering));
        return found(
                OptionalInt.of(index),
                OptionalInt.empty(),
                i.kind().id(),
                situation,
                i.isPlaced() ? Optional.of(i.span()) : Optional.empty(),
                i.isPlaced() ? toe : Optional.empty(),
                alike);
    }

    private Occurrence reading(int index, Finding finding) {
        Reading reading = inspection.readings().get(index);
        Situation situation = situation(reading, finding.criterion());
        String kind = switch (situation) {
            case CONVEX -> "convexity";
            case ROOT_CONCAVE -> IndicationKind.ROOT_CONCAVITY.id();
            case BURN_THROUGH -> IndicationKind.MELT_THROUGH.id();
            default -> situation.id();
        };
        return found(
                OptionalInt.empty(),
                OptionalInt.of(index),
                kind,
                situation,
                Optional.of(reading.span()),
                Optional.empty(),
                List.of());
    }

    private Occurrence seen(Situation situation) {
        return found(
                OptionalInt.empty(),
                OptionalInt.empty(),
                situation.id(),
                situation,
                Optional.empty(),
                Optional.empty(),
                List.of());
    }

    private Occurrence found(
            OptionalInt indication,
            OptionalInt reading,
            String kind,
            Situation situation,
            Optional<Span> span,
            Optional<Toe> toe,
            List<Indication> alike) {
        return new Occurrence(
                indication,
                reading,
                kind,
                situation,
                alike.size() == 1 && span.map(p -> p.extent().isZero()).orElse(false),
                gathering.evidence(situation, span, toe, alike),
                gathering.ruledOut(situation));
    }

    private static Optional<Toe> toe(Indication i) {
        return i.values().find("toe").map(Toe.class::cast);
    }

    private Situation situation(Reading reading, Criterion criterion) {
        boolean fillet = inspection.joint().isFillet();
        return switch (criterion) {
            case PROFILE -> fillet ? Situation.CONVEX : crown(reading);
            case MISALIGNMENT -> Situation.MISALIGNED;
            case ROOT ->
                isBelow(reading, Reading.Station::rootReinforcement) ? Situation.ROOT_CONCAVE : Situation.BURN_THROUGH;
            default -> reading instanceof Reading.Station s ? size(s) : Situation.UNDERSIZE;
        };
    }

    private static Situation crown(Reading reading) {
        return isBelow(reading, Reading.Station::reinforcement) ? Situation.UNDERFILL : Situation.REINFORCEMENT;
    }

    private static boolean isBelow(Reading reading, Function<Reading.Station, Optional<Length>> height) {
        return reading instanceof Reading.Station s
                && height.apply(s).filter(Length::isNegative).isPresent();
    }

    /** Why a station is too small: one leg short beside a good one, or good legs with a hollow face, or both legs short. */
    private Situation size(Reading.Station s) {
        Optional<Length> size = inspection.joint().size();
        if (s.legA().isEmpty() || s.legB().isEmpty() || size.isEmpty()) {
            return Situation.UNDERSIZE;
        }
        boolean a = !s.legA().get().isUnder(size.get());
        boolean b = !s.legB().get().isUnder(size.get());
        if (a != b) {
            return Situation.UNEQUAL_LEGS;
        }
        boolean hollow = s.face().filter(Face.CONCAVE::equals).isPresent()
                || s.concavity().filter(Length::isPositive).isPresent();
        return a && hollow ? Situation.CONCAVE : Situation.UNDERSIZE;
    }

    private List<CauseTrace> ranked(List<Occurrence> found) {
        List<Ranking> alone = found.stream()
                .map(f -> new Ranking(f.situation(), f.evidence(), f.ruledOut(), gathering.neverFirst()))
                .toList();
        Map<CauseClass, Set<String>> explained = explained(found, alone);
        List<CauseTrace> traced = new ArrayList<>();
        for (Occurrence f : found) {
            explained.forEach((cause, troubles) -> {
                List<String> others = troubles.stream()
                        .filter(t -> !t.equals(f.situation().trouble()))
                        .toList();
                if (!others.isEmpty()) {
                    f.evidence()
                            .shared(
                                    cause,
                                    CauseTable.constant("shared") * others.size(),
                                    "also explains the " + String.join(", the ", others));
                }
            });
            traced.add(traced(f, new Ranking(f.situation(), f.evidence(), f.ruledOut(), gathering.neverFirst())));
        }
        return OppositeChanges.settled(traced);
    }

    /** The troubles that each cause is at least possible for, each by itself. */
    private static Map<CauseClass, Set<String>> explained(List<Occurrence> found, List<Ranking> alone) {
        Map<CauseClass, Set<String>> explained = new EnumMap<>(CauseClass.class);
        for (int i = 0; i < found.size(); i++) {
            for (CauseTable.Row row : alone.get(i).order()) {
                if (alone.get(i).standing(row) != Standing.UNLIKELY) {
                    explained
                            .computeIfAbsent(row.cause(), c -> new TreeSet<>())
                            .add(found.get(i).situation().trouble());
                }
            }
        }
        return explained;
    }

    private CauseTrace traced(Occurrence f, Ranking ranking) {
        List<CauseTrace.Cause> causes = ranking.order().stream()
                .map(row -> new CauseTrace.Cause(
                        row.cause(),
                        row.name(),
                        ranking.standing(row),
                        f.evidence().speaksFor(row),
                        f.evidence().speaksAgainst(row),
                        row.check(),
                        OneChange.of(row, f.situation(), inspection.welding(), around),
                        CauseTable.prevention(row.cause())))
                .toList();
        List<CauseTrace.RuledOut> ruledOut = ranking.ruledOut().entrySet().stream()
                .map(e -> new CauseTrace.RuledOut(e.getKey().cause(), e.getKey().name() + ": " + e.getValue()))
                .toList();
        return new CauseTrace(
                f.indication(),
                f.reading(),
                f.kind(),
                f.situation(),
                causes,
                ruledOut,
                next(f, ranking),
                doubt(f.situation()));
    }

    private Optional<CauseTrace.NextCheck> next(Occurrence f, Ranking ranking) {
        List<Sign> answered = Stream.of(
                        inspection.welding().signs().stream(),
                        inspection.welding().signsAbsent().stream(),
                        Stream.of(Sign.values()).filter(s -> isAnswered(s, f)))
                .flatMap(s -> s)
                .toList();
        return ranking.next(answered).map(sign -> {
            String about = CauseTable.weights(sign).stream()
                    .map(CauseTable.Weight::cause)
                    .filter(c -> CauseTable.rows(f.situation()).stream().anyMatch(r -> r.cause() == c))
                    .map(c -> c.title().toLowerCase(java.util.Locale.ROOT))
                    .collect(Collectors.joining(", "));
            return new CauseTrace.NextCheck(
                    "check for this sign: " + CauseTable.words(sign), sign, "would speak for or against: " + about);
        });
    }

    /** What the record answers by itself, or what makes no sense of this defect. */
    private boolean isAnswered(Sign sign, Occurrence f) {
        return switch (sign) {
            case REPEATS_AT_WEAVE -> gathering.hasStringersOnly() || f.alone();
            case FOLLOWS_PATCHES, FOLLOWS_GAP, ONE_ROD_ONLY, LAST_THIRD_OF_ROD -> f.alone();
            case MILL_SCALE_LEFT -> inspection.welding().millScaleRemoved().isPresent();
            case NOT_WIRE_BRUSHED_BETWEEN_PASSES -> gathering.isSinglePass();
            default -> false;
        };
    }

    /** What is not recorded, in words; the less is, the less the ranking is worth. */
    private List<String> doubt(Situation situation) {
        List<String> doubt = new ArrayList<>();
        List<Pass> measured = gathering.measured();
        if (measured.isEmpty()) {
            doubt.add(
                    "No measured pass is recorded: the ranking rests on what is seen. Values copied from the procedure are no evidence.");
        }
        boolean amps = measured.stream().anyMatch(p -> p.amps().isPresent());
        boolean speed = measured.stream()
                .anyMatch(p -> p.speed().isPresent() || p.runLength().isPresent());
        if (!amps && !speed) {
            doubt.add(
                    "Neither amps nor travel speed is recorded: hot and fast, or cold and slow, can look alike; take no single cause as the one.");
        }
        if (situation.isCrack()) {
            doubt.add("A crack is never laid to the welder's hand alone.");
        }
        if (situation == Situation.FUSION) {
            doubt.add("Visual inspection often cannot see it: ask for a macro, a break or a bend.");
        }
        boolean sideMatters = situation == Situation.UNDERCUT_UPPER || situation == Situation.OVERLAP;
        if (sideMatters
                && gathering.liesOnItsSide()
                && inspection.joint().upper().isEmpty()) {
            doubt.add(
                    "Which member stands upright or lies above is not recorded: the upper and the lower toe have other causes.");
        }
        doubt.add("A ranking with its evidence, from common practice; not a proof and not a measured probability.");
        return List.copyOf(doubt);
    }

    /** A sign in the words of the trade. */
    public static String words(Sign sign) {
        return CauseTable.words(sign);
    }

    /** What the defects of a weld have in common: the causes that explain more than one trouble, those of most first. */
    public static List<Common> common(List<CauseTrace> traced) {
        Set<String> troubles =
                traced.stream().map(t -> t.situation().trouble()).collect(Collectors.toCollection(TreeSet::new));
        Map<CauseClass, Set<String>> explains = new EnumMap<>(CauseClass.class);
        Map<CauseClass, Integer> weight = new EnumMap<>(CauseClass.class);
        for (CauseTrace t : traced) {
            for (CauseTrace.Cause c : t.causes()) {
                if (c.standing() != Standing.UNLIKELY) {
                    explains.computeIfAbsent(c.cause(), x -> new TreeSet<>())
                            .add(t.situation().trouble());
                    weight.merge(
                            c.cause(),
                            Standing.UNLIKELY.ordinal() - c.standing().ordinal(),
                            Integer::sum);
                }
            }
        }
        return explains.entrySet().stream()
                .filter(e -> e.getValue().size() > 1)
                .sorted(Comparator.<Map.Entry<CauseClass, Set<String>>>comparingInt(
                                e -> -e.getValue().size())
                        .thenComparingInt(e -> -weight.get(e.getKey())))
                .map(e -> new Common(
                        e.getKey(),
                        List.copyOf(e.getValue()),
                        troubles.stream().filter(t -> !e.getValue().contains(t)).toList()))
                .toList();
    }

    /** A cause that explains several troubles of a weld, and the ones it leaves unexplained. */
    public record Common(CauseClass cause, List<String> explains, List<String> leaves) {}
}
