package mensor.cause;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import mensor.inspection.ArcStrike;
import mensor.inspection.BurnThrough;
import mensor.inspection.Conditions;
import mensor.inspection.Crack;
import mensor.inspection.CrackPlace;
import mensor.inspection.Crater;
import mensor.inspection.IncompleteFusion;
import mensor.inspection.IncompletePenetration;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Overlap;
import mensor.inspection.Porosity;
import mensor.inspection.ReadingChoices;
import mensor.inspection.ShortWeld;
import mensor.inspection.Slag;
import mensor.inspection.Underfill;
import mensor.inspection.Undersize;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.ArcLength;
import mensor.weld.Connection;
import mensor.weld.Gap;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Position;
import mensor.weld.Sign;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import mensor.weld.WeldingRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The shop's ordering of causes, kind by kind: common practice, no source. The leading cause, or one of the first two. */
class ShopKnowledgeTest {
    private static final Span MIDDLE = new Span(Length.inches(10), Length.inches(12));
    private static final Span END = new Span(Length.inches(0), Length.inches(1, 2));

    private static JointBuilder joint() {
        return new JointBuilder("T1", WeldType.FILLET, Connection.TEE, Length.inches(24))
                .size(Length.inches(1, 4))
                .position(Position.HORIZONTAL_FILLET)
                .members(new Member("web", Length.inches(3, 8)), new Member("flange", Length.inches(3, 4)));
    }

    private static WeldingRecord record(Sign... signs) {
        return new WeldingRecord(
                List.of(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                List.of(signs),
                List.of(),
                Map.of());
    }

    private static CauseTrace trace(JointBuilder joint, WeldingRecord record, Indication seen) {
        Inspection i = new Inspection(
                joint.build(),
                Unit.INCH,
                Conditions.READY,
                Set.of(),
                true,
                List.of(),
                List.of(),
                List.of(seen),
                List.of(),
                ReadingChoices.CAREFUL,
                record);
        return Tracer.traceAll(i).get(0);
    }

    private static List<CauseClass> firstTwo(CauseTrace t) {
        return t.causes().stream().limit(2).map(CauseTrace.Cause::cause).toList();
    }

    private static Indication indication(String kind, Span span) {
        Optional<Length> none = Optional.empty();
        return switch (kind) {
            case "overlap" -> new Overlap(Toe.B, span, none, none);
            case "undersize" -> new Undersize(span, Length.inches(1, 8));
            case "underfill" -> new Underfill(span, none, none);
            case "porosity" -> new Porosity(span, Length.inches(1, 8), 9, none);
            case "slag" -> new Slag(span, true);
            case "fusion" -> new IncompleteFusion(span);
            case "crater" -> new Crater(span.from(), none, none);
            case "crater-crack" -> new Crack(span, Optional.of(CrackPlace.CRATER));
            case "toe-crack" -> new Crack(span, Optional.of(CrackPlace.TOE));
            case "crack" -> new Crack(span, Optional.empty());
            case "arc-strike" -> new ArcStrike(span.from(), none.map(x -> true), Optional.empty());
            case "penetration" -> new IncompletePenetration(span, none, none);
            case "burn-through" -> new BurnThrough(span.from());
            case "short" -> new ShortWeld(Length.inches(1));
            default -> throw new IllegalArgumentException(kind);
        };
    }

    @ParameterizedTest
    @CsvSource({
        "overlap, SPEED_SLOW, CURRENT_LOW",
        "undersize, SPEED_FAST, FIT_UP",
        "underfill, SPEED_FAST, PROCEDURE",
        "porosity, CONSUMABLE, ARC_LONG",
        "slag, CLEANLINESS, CURRENT_LOW",
        "fusion, CURRENT_LOW, POLARITY",
        "crater, MANIPULATION, CURRENT_HIGH",
        "crater-crack, MANIPULATION, METALLURGY",
        "crack, METALLURGY, PROCEDURE",
        "toe-crack, METALLURGY, PROCEDURE",
        "arc-strike, MANIPULATION, PROCEDURE",
        "penetration, FIT_UP, CURRENT_LOW",
        "burn-through, CURRENT_HIGH, FIT_UP",
        "short, MANIPULATION, ARC_BLOW"
    })
    void withNothingRecordedTheShopsOrderStands(String kind, CauseClass first, CauseClass second) {
        assertThat(firstTwo(trace(joint(), WeldingRecord.NONE, indication(kind, MIDDLE))))
                .contains(first)
                .isSubsetOf(first, second, CauseClass.WORK_ANGLE);
    }

    @ParameterizedTest
    @CsvSource({
        "undersize, FOLLOWS_GAP, FIT_UP",
        "porosity, FOLLOWS_PATCHES, CLEANLINESS",
        "porosity, ONE_ROD_ONLY, CONSUMABLE",
        "porosity, COARSE_SPATTER, ARC_LONG",
        "slag, SLAG_AHEAD_OF_POOL, TRAVEL_ANGLE",
        "slag, NOT_WIRE_BRUSHED_BETWEEN_PASSES, CLEANLINESS",
        "slag, ROPY_BEAD, CURRENT_LOW",
        "overlap, ROUND_CLOSE_RIPPLES, SPEED_SLOW",
        "fusion, SPUTTERING, POLARITY",
        "fusion, NARROW_BEAD, SPEED_FAST",
        "crater, BROKE_OFF_QUICKLY, MANIPULATION",
        "toe-crack, APPEARED_LATER, METALLURGY"
    })
    void aTellingSignBringsItsCauseIntoTheFirstTwo(String kind, Sign sign, CauseClass wanted) {
        assertThat(firstTwo(trace(joint(), record(sign), indication(kind, MIDDLE))))
                .contains(wanted);
    }

    @Test
    void aGapUnderTheWeldSpeaksForFitUp() {
        JointBuilder gapped = joint().gaps(List.of(new Gap(MIDDLE, Length.inches(1, 8))));
        CauseTrace t = trace(gapped, WeldingRecord.NONE, indication("undersize", MIDDLE));
        assertThat(t.causes().get(0).cause()).isEqualTo(CauseClass.FIT_UP);
        assertThat(t.causes().get(0).speaksFor()).anyMatch(l -> l.contains("1/8 in"));
    }

    @Test
    void poresAtTheStartAreTheStrikes() {
        CauseTrace t = trace(joint(), WeldingRecord.NONE, indication("porosity", END));
        assertThat(firstTwo(t)).contains(CauseClass.MANIPULATION);
        assertThat(t.causes()).extracting(c -> c.change().text()).anyMatch(c -> c.contains("strike"));
    }

    @Test
    void rodsOutTooLongAndALongArcAreSaidWithTheirNumbers() {
        WeldingRecord r = new WeldingRecord(
                List.of(Scene.rod("E7018")),
                Optional.of(false),
                OptionalDouble.of(6),
                OptionalDouble.empty(),
                Optional.of(ArcLength.LONG),
                List.of(),
                List.of(),
                Map.of());
        CauseTrace t = trace(joint(), r, indication("porosity", MIDDLE));
        Map<CauseClass, List<String>> lines =
                t.causes().stream().collect(Collectors.toMap(CauseTrace.Cause::cause, CauseTrace.Cause::speaksFor));
        assertThat(lines.get(CauseClass.CONSUMABLE)).anyMatch(l -> l.contains("6 h") && l.contains("4 h"));
        assertThat(lines.get(CauseClass.ARC_LONG)).contains("a long arc is recorded");
        assertThat(lines.get(CauseClass.CLEANLINESS)).anyMatch(l -> l.contains("mill scale"));
    }

    @Test
    void theOrderOfSignsDoesNotMatter() {
        Sign[] signs = {Sign.ROPY_BEAD, Sign.COARSE_SPATTER, Sign.FOLLOWS_PATCHES};
        Sign[] reversed = {Sign.FOLLOWS_PATCHES, Sign.COARSE_SPATTER, Sign.ROPY_BEAD};
        List<CauseClass> a = trace(joint(), record(signs), indication("slag", MIDDLE)).causes().stream()
                .map(CauseTrace.Cause::cause)
                .toList();
        List<CauseClass> b = trace(joint(), record(reversed), indication("slag", MIDDLE)).causes().stream()
                .map(CauseTrace.Cause::cause)
                .toList();
        assertThat(a).isEqualTo(b);
    }

    @Test
    void anAnsweredSignIsNotAskedAgain() {
        CauseTrace open = trace(joint(), WeldingRecord.NONE, indication("slag", MIDDLE));
        Sign asked = open.next().orElseThrow().sign();
        CauseTrace answered = trace(joint(), record(asked), indication("slag", MIDDLE));
        assertThat(answered.next().map(CauseTrace.NextCheck::sign)).isNotEqualTo(Optional.of(asked));
    }

    @ParameterizedTest
    @EnumSource(Situation.class)
    void everySituationHasCausesWithACheckAndAChange(Situation s) {
        assertThat(CauseTable.rows(s)).isNotEmpty().allSatisfy(r -> {
            assertThat(r.check()).isNotBlank();
            assertThat(r.change()).isNotBlank();
        });
        assertThat(CauseTable.rows(s))
                .as("two rows of a cause differ by what they speak of")
                .extracting(r -> List.of(r.cause(), r.how()))
                .doesNotHaveDuplicates();
    }

    @Test
    void everyCauseClassIsKnownToSomeSituation() {
        Set<CauseClass> known = Arrays.stream(Situation.values())
                .flatMap(s -> CauseTable.rows(s).stream())
                .map(CauseTable.Row::cause)
                .collect(Collectors.toSet());
        assertThat(known).containsExactlyInAnyOrder(CauseClass.values());
    }
}
