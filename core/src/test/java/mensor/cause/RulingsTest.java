package mensor.cause;

import static mensor.cause.CauseClass.*;
import static mensor.cause.Scene.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mensor.cause.Surroundings.BoxLabel;
import mensor.cause.Surroundings.Remark;
import mensor.cause.Surroundings.Tried;
import mensor.inspection.ArcStrike;
import mensor.inspection.Crack;
import mensor.inspection.CrackPlace;
import mensor.inspection.Crater;
import mensor.inspection.InProcessInspection;
import mensor.inspection.IncompleteFusion;
import mensor.inspection.IncompletePenetration;
import mensor.inspection.Indication;
import mensor.inspection.InspectionItem;
import mensor.inspection.Overlap;
import mensor.inspection.Porosity;
import mensor.inspection.ProcessQuestion;
import mensor.inspection.Slag;
import mensor.inspection.Spatter;
import mensor.inspection.Undersize;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.weld.Polarity;
import mensor.weld.Position;
import mensor.weld.Range;
import mensor.weld.Sign;
import mensor.weld.Steel;
import mensor.weld.Technique;
import mensor.weld.Toe;
import mensor.weld.WeldingRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The rulings of the shop's knowledge (common practice, no source), what several defects have in common, and what to change. */
class RulingsTest {
    private static Scene horizontal() {
        return fillet(Position.HORIZONTAL_FILLET);
    }

    private static Scene slag() {
        return horizontal().seen(new Slag(span("10", "12"), true));
    }

    private static CauseTrace.Cause cause(CauseTrace t, CauseClass c) {
        return t.causes().stream().filter(x -> x.cause() == c).findFirst().orElseThrow();
    }

    private static Surroundings around(List<Remark> remarks, List<BoxLabel> labels, List<Tried> tried) {
        return new Surroundings(remarks, List.of(), labels, Optional.of("W-12 rev B"), Steel.UNKNOWN, tried);
    }

    @Test
    void withAlternatingCurrentArcBlowNeverLeads() {
        CauseTrace t = horizontal()
                .pass("E6011", 100, Polarity.AC, Technique.STRINGER, Optional.empty(), OptionalDouble.empty())
                .signs(Sign.ONE_SIDED_SPATTER)
                .seen(new Spatter(span("0", "1"), true))
                .traced();
        assertThat(t.leading().orElseThrow().cause()).isNotEqualTo(ARC_BLOW);
        assertThat(cause(t, ARC_BLOW).speaksAgainst()).contains("AC is recorded");
    }

    @Test
    void withStringersNoWeaveIsACause() {
        Scene both = horizontal().undercut(Toe.A, "2", "9").undercut(Toe.B, "2", "9");
        assertThat(both.traced().leading().orElseThrow().cause()).isEqualTo(MANIPULATION);
        CauseTrace stringer =
                both.pass(120, Technique.STRINGER).signs(Sign.REPEATS_AT_WEAVE).traced();
        assertThat(stringer.causes()).extracting(CauseTrace.Cause::cause).doesNotContain(MANIPULATION);
        assertThat(stringer.ruledOut()).extracting(CauseTrace.RuledOut::cause).contains(MANIPULATION);
        CauseTrace crater = horizontal()
                .pass(120, Technique.STRINGER)
                .seen(new Crater(in("23"), Optional.empty(), Optional.empty()))
                .traced();
        assertThat(crater.leading().orElseThrow().cause())
                .as("breaking off needs no weave")
                .isEqualTo(MANIPULATION);
    }

    @Test
    void aSinglePassHasNoSlagBetweenPasses() {
        CauseTrace t = slag().pass(120, Technique.STRINGER).traced();
        assertThat(t.ruledOut()).extracting(CauseTrace.RuledOut::cause).contains(CLEANLINESS);
        CauseTrace two = slag().pass(120, Technique.STRINGER)
                .pass(120, Technique.STRINGER)
                .traced();
        assertThat(two.ruledOut()).extracting(CauseTrace.RuledOut::cause).doesNotContain(CLEANLINESS);
    }

    @Test
    void ampsInsideTheRangeLowerTheCurrentAndDoNotRemoveIt() {
        CauseTrace none = slag().traced();
        CauseTrace inside = slag().pass(125, Technique.STRINGER)
                .pass(125, Technique.STRINGER)
                .traced();
        assertThat(cause(inside, CURRENT_LOW).standing())
                .isGreaterThanOrEqualTo(cause(none, CURRENT_LOW).standing());
        assertThat(cause(inside, CURRENT_LOW).speaksAgainst()).anyMatch(l -> l.contains("115–130 A"));
        assertThat(inside.ruledOut()).extracting(CauseTrace.RuledOut::cause).doesNotContain(CURRENT_LOW, CURRENT_HIGH);
    }

    @Test
    void verticalAndOverheadDoNotAskForTheLowerHalf() {
        CauseTrace flat = fillet(Position.FLAT_FILLET)
                .pass(128, Technique.WEAVE)
                .undercut(Toe.A, "2", "9")
                .undercut(Toe.B, "2", "9")
                .traced();
        CauseTrace up = fillet(Position.VERTICAL_FILLET)
                .pass(128, Technique.WEAVE)
                .undercut(Toe.A, "2", "9")
                .undercut(Toe.B, "2", "9")
                .traced();
        assertThat(cause(up, CURRENT_HIGH).speaksAgainst())
                .isEqualTo(cause(flat, CURRENT_HIGH).speaksAgainst());
        assertThat(cause(up, CURRENT_HIGH).change().to())
                .isEqualTo(cause(flat, CURRENT_HIGH).change().to());
    }

    @Test
    void theBoxLabelGoesBeforeTheGeneralTable() {
        Scene e6013 =
                slag().pass("E6013", 75, Polarity.DCEP, Technique.STRINGER, Optional.empty(), OptionalDouble.empty());
        Scene noProcedure = e6013.around(
                around(List.of(), List.of(new BoxLabel("E6013", Length.inches(1, 8), new Range(70, 110))), List.of()));
        // the procedure of the scene speaks of the root: it goes first, and both are said
        assertThat(cause(noProcedure.trace().get(0), CURRENT_LOW).speaksFor())
                .anyMatch(l -> l.contains("the procedure says 115–130 A, the box label says 70–110 A"));
    }

    @Test
    void oneToeIsTheAngleFarAboveTheCurrentAndBothToesTheOtherWayRound() {
        CauseTrace one = horizontal().undercut(Toe.A, "2", "9").traced();
        assertThat(one.leading().orElseThrow().cause()).isEqualTo(WORK_ANGLE);
        assertThat(cause(one, CURRENT_HIGH).standing()).isEqualTo(Standing.UNLIKELY);
        CauseTrace both =
                horizontal().undercut(Toe.A, "2", "9").undercut(Toe.B, "2", "9").traced();
        assertThat(cause(both, WORK_ANGLE).standing()).isEqualTo(Standing.UNLIKELY);
        CauseTrace up =
                fillet(Position.VERTICAL_FILLET).undercut(Toe.A, "2", "9").traced();
        assertThat(up.causes().indexOf(cause(up, WORK_ANGLE)))
                .isLessThan(up.causes().indexOf(cause(up, CURRENT_HIGH)));
    }

    @Test
    void firstOrLastInchOnlyIsTheStartTheStopOrArcBlow() {
        CauseTrace t = horizontal().undercut(Toe.B, "23 1/4", "24").traced();
        assertThat(cause(t, ARC_BLOW).speaksFor()).anyMatch(l -> l.contains("within an inch of the weld's end"));
        CauseTrace middle = horizontal().undercut(Toe.B, "11", "12").traced();
        assertThat(cause(middle, ARC_BLOW).standing())
                .isGreaterThan(cause(t, ARC_BLOW).standing());
    }

    @Test
    void aCrackIsNeverPutDownToTheHandAlone() {
        for (CrackPlace where : CrackPlace.values()) {
            CauseTrace t = horizontal()
                    .seen(new Crack(span("10", "11"), Optional.of(where)))
                    .traced();
            assertThat(t.doubt()).anyMatch(d -> d.contains("never laid to the welder's hand"));
            assertThat(t.causes()).extracting(CauseTrace.Cause::cause).contains(METALLURGY);
        }
    }

    @Test
    void whatSeveralDefectsHaveInCommonRanksHigher() {
        CauseTrace alone = slag().traced();
        Scene two = slag().undercut(Toe.A, "2", "9").signs(Sign.ROPY_BEAD);
        CauseTrace beside = slag().signs(Sign.ROPY_BEAD).traced();
        List<CauseTrace> together = two.trace();
        CauseTrace slagThen = together.stream()
                .filter(t -> t.situation() == Situation.SLAG)
                .findFirst()
                .orElseThrow();
        assertThat(cause(slagThen, CURRENT_LOW).speaksFor()).contains("also explains the undercut");
        assertThat(cause(slagThen, CURRENT_LOW).standing())
                .isLessThanOrEqualTo(cause(beside, CURRENT_LOW).standing());
        assertThat(cause(alone, CURRENT_LOW).speaksFor()).isEmpty();
        assertThat(Tracer.common(together)).first().satisfies(c -> {
            assertThat(c.explains()).contains("slag", "undercut");
            assertThat(c.leaves()).isEmpty();
        });
    }

    @Test
    void aTroubleThatNoSharedCauseExplainsIsSaid() {
        List<CauseTrace> three = slag().undercut(Toe.A, "2", "9")
                .signs(Sign.ROPY_BEAD)
                .seen(new ArcStrike(in("5"), Optional.of(false), Optional.empty()))
                .trace();
        assertThat(Tracer.common(three))
                .filteredOn(c -> c.cause() == CURRENT_LOW)
                .first()
                .satisfies(c -> assertThat(c.leaves()).contains("arc strike"));
    }

    @Test
    void theColdPassIsToBeRaisedToAValueOfTheProcedure() {
        CauseTrace t = slag().pass(100, Technique.STRINGER)
                .around(around(List.of(), List.of(), List.of()))
                .trace()
                .get(0);
        OneChange change = t.leading().orElseThrow().change();
        assertThat(change.text()).isEqualTo("root pass: amps from 100 to 125 (W-12 rev B says 115–130 A)");
        assertThat(change.from()).hasValue(100);
        assertThat(change.to()).hasValue(125);
    }

    @ParameterizedTest
    @ValueSource(doubles = {131, 140, 170})
    void aHotPassIsToBeLoweredIntoTheProcedure(double amps) {
        CauseTrace t = horizontal()
                .undercut(Toe.A, "2", "9")
                .undercut(Toe.B, "2", "9")
                .pass(amps, Technique.STRINGER)
                .traced();
        OneChange change = cause(t, CURRENT_HIGH).change();
        assertThat(change.to().orElseThrow()).isBetween(115.0, 130.0).isLessThan(amps);
    }

    @Test
    void whatTheProcedureDoesNotAllowIsTheEngineers() {
        CauseTrace t = slag().pass(130, Technique.STRINGER).traced();
        assertThat(cause(t, CURRENT_LOW).change().text()).contains("refer to the welding engineer");
        assertThat(cause(t, CURRENT_LOW).change().to()).isEmpty();
    }

    @Test
    void theGeneralTableAloneGivesNoNumber() {
        CauseTrace t = slag().traced();
        assertThat(cause(t, CURRENT_LOW).change().to()).isEmpty();
        assertThat(cause(t, CURRENT_LOW).change().text()).contains("from the procedure or the box label");
    }

    @Test
    void whatWasTriedAndDidNotHelpSpeaksAgainst() {
        Tried no = new Tried(CURRENT_LOW, "slag", false, "amps 100 to 125 on FB-05: no better");
        CauseTrace before = slag().pass(100, Technique.STRINGER).trace().get(0);
        CauseTrace after = slag().pass(100, Technique.STRINGER)
                .around(around(List.of(), List.of(), List.of(no)))
                .trace()
                .get(0);
        assertThat(cause(after, CURRENT_LOW).speaksAgainst()).contains("amps 100 to 125 on FB-05: no better");
        assertThat(cause(after, CURRENT_LOW).standing())
                .isGreaterThanOrEqualTo(cause(before, CURRENT_LOW).standing());
    }

    @Test
    void aRemarkOfTheInProcessInspectionSpeaksOfTheDefectsAtItsPlace() {
        InProcessInspection.Answer dirty = new InProcessInspection.Answer(
                ProcessQuestion.SLAG_LINES, false, Optional.empty(), Optional.of(span("11", "14")), "web side");
        InProcessInspection.Answer elsewhere = new InProcessInspection.Answer(
                ProcessQuestion.SLAG_LINES, false, Optional.empty(), Optional.of(span("20", "22")), "");
        InProcessInspection.Answer fine =
                new InProcessInspection.Answer(ProcessQuestion.ROOT, true, Optional.empty(), Optional.empty(), "");
        CauseTrace t = slag().around(around(Surroundings.remarks(List.of(dirty, fine)), List.of(), List.of()))
                .trace()
                .get(0);
        assertThat(t.leading().orElseThrow().cause()).isEqualTo(CLEANLINESS);
        assertThat(t.leading().orElseThrow().speaksFor())
                .singleElement()
                .asString()
                .contains("Slag lines")
                .contains("at 11–14 (web side)");
        CauseTrace other = slag().around(around(Surroundings.remarks(List.of(elsewhere)), List.of(), List.of()))
                .trace()
                .get(0);
        assertThat(cause(other, CLEANLINESS).speaksFor()).isEmpty();
    }

    @Test
    void aFitUpThatWasOffSpeaksOfTheDefectsAtItsPlace() {
        InspectionItem tight = new InspectionItem(
                "root-opening",
                "Root opening",
                Verdict.REJECT,
                "1/32 in",
                "1/8 ± 1/16 in",
                "open it",
                Optional.of(span("9", "13")),
                "D1.1");
        InspectionItem good =
                new InspectionItem("offset", "Offset", Verdict.ACCEPT, "0", "1/8 in", "", Optional.empty(), "D1.1");
        Scene low = butt(Position.FLAT_GROOVE)
                .seen(new IncompletePenetration(span("10", "12"), Optional.empty(), Optional.empty()));
        List<Remark> remarks = Surroundings.fitUp(List.of(tight, good));
        CauseTrace t = low.around(around(remarks, List.of(), List.of())).trace().get(0);
        assertThat(t.leading().orElseThrow().cause()).isEqualTo(FIT_UP);
        assertThat(t.leading().orElseThrow().speaksFor())
                .contains("fit-up: root opening 1/32 in, allowed 1/8 ± 1/16 in");
    }

    @Test
    void whatTwoPassesTellAlikeWeighsOnce() {
        Evidence once = new Evidence(Situation.SLAG);
        once.tell(Fact.AMPS_UNDER, "at 95 A");
        Evidence twice = new Evidence(Situation.SLAG);
        twice.tell(Fact.AMPS_UNDER, "at 95 A");
        twice.tell(Fact.AMPS_UNDER, "at 90 A");
        CauseTable.Row cold = CauseTable.rows(Situation.SLAG).stream()
                .filter(r -> r.cause() == CURRENT_LOW)
                .findFirst()
                .orElseThrow();
        assertThat(twice.weight(cold)).isEqualTo(once.weight(cold));
        assertThat(twice.speaksFor(cold)).containsExactly("at 95 A", "at 90 A");
    }

    @Test
    void threeLikePlacesAreAHabitAndOneShortOneIsNot() {
        Scene strikes = horizontal();
        for (String at : List.of("3", "9", "15")) {
            strikes.seen(new ArcStrike(in(at), Optional.of(false), Optional.empty()));
        }
        assertThat(strikes.traced().leading().orElseThrow().speaksFor())
                .contains("3 such places along the weld: a habit or a setting");
        assertThat(cause(slag().traced(), CURRENT_LOW).speaksAgainst())
                .contains("one short place only: a setting shows along the weld");
    }

    @Test
    void aWeldAllAroundHasNoEnd() {
        Indication pores = new Porosity(span("0", "1/2"), Length.inches(1, 8), 9, Optional.empty());
        assertThat(horizontal().seen(pores).traced().situation()).isEqualTo(Situation.POROSITY_AT_START);
        assertThat(horizontal().with(j -> j.closed(true)).seen(pores).traced().situation())
                .isEqualTo(Situation.POROSITY);
    }

    @Test
    void theCauseThatLeadsCanChangeByWhatTheDefectsHaveInCommon() {
        List<Indication> kinds = List.of(
                new Slag(span("10", "12"), true),
                new Overlap(Toe.B, span("4", "6"), Optional.empty(), Optional.empty()),
                new IncompleteFusion(span("15", "17")),
                new Undersize(span("18", "20"), in("1/8")),
                new Crater(in("22"), Optional.empty(), Optional.empty()));
        boolean changes = false;
        for (int i = 0; i < kinds.size(); i++) {
            CauseClass alone = horizontal()
                    .seen(kinds.get(i))
                    .traced()
                    .leading()
                    .orElseThrow()
                    .cause();
            for (int j = 0; j < kinds.size(); j++) {
                for (int k = 0; k < kinds.size(); k++) {
                    if (i != j && j != k && i != k) {
                        CauseTrace among = horizontal()
                                .seen(kinds.get(i))
                                .seen(kinds.get(j))
                                .seen(kinds.get(k))
                                .traced();
                        changes |= among.leading().orElseThrow().cause() != alone;
                    }
                }
            }
        }
        assertThat(changes).isTrue();
    }

    @Test
    void slagWantsTheUpperHalfOfTheBoxLabelAndTheFarthestPassIsChanged() {
        WeldingRecord record = slag().pass(80, Technique.STRINGER)
                .pass(70, Technique.STRINGER)
                .inspection()
                .welding();
        WeldingRecord unwritten = new WeldingRecord(
                record.passes(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                Map.of());
        Surroundings box =
                around(List.of(), List.of(new BoxLabel("E7018", Length.inches(1, 8), new Range(90, 140))), List.of());
        CauseTable.Row cold = CauseTable.rows(Situation.SLAG).stream()
                .filter(r -> r.cause() == CURRENT_LOW)
                .findFirst()
                .orElseThrow();
        OneChange change = OneChange.of(cold, Situation.SLAG, unwritten, box);
        assertThat(change.from()).hasValue(70);
        assertThat(change.to()).hasValue(130);
        assertThat(change.source()).contains("the box label says 90–140 A");
        assertThat(OneChange.of(cold, Situation.OVERLAP, unwritten, box).to()).hasValue(115);
    }

    /** Two or three answers usually settle: from nothing recorded, the truthful answers lead to the cause. */
    @Test
    void twoOrThreeAnswersSettle() {
        List<Sign> seen = new java.util.ArrayList<>();
        List<Sign> absent = new java.util.ArrayList<>();
        int asked = 0;
        CauseTrace t = slag().traced();
        while (t.leading().orElseThrow().standing() != Standing.STRONG && asked < 4) {
            Sign sign = t.next().orElseThrow().sign();
            boolean speaks =
                    CauseTable.weights(sign).stream().anyMatch(w -> w.cause() == CLEANLINESS && w.weight() > 0);
            (speaks ? seen : absent).add(sign);
            t = slag().signs(seen.toArray(Sign[]::new))
                    .absent(absent.toArray(Sign[]::new))
                    .traced();
            asked++;
        }
        assertThat(t.leading().orElseThrow().cause()).isEqualTo(CLEANLINESS);
        assertThat(asked).isLessThanOrEqualTo(3);
    }

    @EnabledIfSystemProperty(named = "sweeps", matches = "true")
    @Test
    void aTraceTakesUnderFiveMilliseconds() {
        Scene s = slag().pass(100, Technique.STRINGER).signs(Sign.ROPY_BEAD, Sign.STICK_MARKS);
        mensor.inspection.Inspection inspection = s.inspection();
        for (int i = 0; i < 200; i++) {
            Tracer.traceAll(inspection);
        }
        long best = Long.MAX_VALUE;
        for (int i = 0; i < 20; i++) {
            long begun = System.nanoTime();
            Tracer.traceAll(inspection);
            best = Math.min(best, System.nanoTime() - begun);
        }
        assertThat(best / 1e6).as("ms").isLessThan(5);
    }
}
