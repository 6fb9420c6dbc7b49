package mensor.testpiece;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.inspection.Verdict;
import mensor.length.Unit;
import org.junit.jupiter.api.Test;

/** What a piece without a weld at the bench comes to: never accepted by what happens to be there. */
class PieceDecisionTest {
    private static final Drill PORES = new Drill(
            "bead",
            "Bead",
            PieceKind.BEAD,
            "try",
            List.of(),
            List.of(new Drill.Aim(
                    "pores",
                    "Pores",
                    Drill.Measure.COUNT,
                    Optional.empty(),
                    Optional.of(new Drill.Value.OfNumber(0)))));

    private static PieceDecision.Tested broke(Verdict verdict) {
        return new PieceDecision.Tested(
                SpecimenKind.FILLET_BREAK, "break 1", new Specimen.Result(verdict, List.of("as it broke"), false));
    }

    private static Optional<Verdict> verdict(
            Purpose purpose, boolean inspected, String pores, PieceDecision.Tested... tested) {
        Optional<DrillCheck> drill =
                Optional.ofNullable(pores).map(p -> DrillCheck.of(PORES, Map.of("pores", p), Unit.INCH));
        return PieceDecision.withoutBench(purpose, inspected, true, drill, List.of(tested))
                .map(PieceDecision::verdict);
    }

    @Test
    void aQualificationIsNeverAcceptedWithoutTheBench() {
        assertThat(verdict(Purpose.QUALIFICATION, true, "0", broke(Verdict.ACCEPT)))
                .contains(Verdict.INCOMPLETE);
        assertThat(verdict(Purpose.PROCEDURE, true, null, broke(Verdict.ACCEPT)))
                .contains(Verdict.INCOMPLETE);
        assertThat(verdict(Purpose.QUALIFICATION, true, null)).contains(Verdict.INCOMPLETE);
        assertThat(verdict(Purpose.QUALIFICATION, true, null, broke(Verdict.REJECT)))
                .contains(Verdict.REJECT);
    }

    @Test
    void practiceIsJudgedByItsAimsAndSpecimensTogether() {
        assertThat(verdict(Purpose.PRACTICE, false, null))
                .as("neither is there")
                .isEmpty();
        assertThat(verdict(Purpose.PRACTICE, false, "0")).contains(Verdict.ACCEPT);
        assertThat(verdict(Purpose.PRACTICE, false, "")).contains(Verdict.INCOMPLETE);
        assertThat(verdict(Purpose.PRACTICE, true, "1", broke(Verdict.ACCEPT))).contains(Verdict.REJECT);
        assertThat(verdict(Purpose.PRACTICE, true, "0", broke(Verdict.INCOMPLETE)))
                .contains(Verdict.INCOMPLETE);
        assertThat(verdict(Purpose.PRACTICE, true, null, broke(Verdict.ACCEPT))).contains(Verdict.ACCEPT);
    }

    @Test
    void aSpecimenAloneSaysNothingOfHowThePieceLooks() {
        assertThat(verdict(Purpose.PRACTICE, false, null, broke(Verdict.ACCEPT)))
                .contains(Verdict.INCOMPLETE);
    }

    @Test
    void itLooksGoodAndBreaksBadlyOnlyWhereSomebodyLooked() {
        for (boolean inspected : new boolean[] {true, false}) {
            assertThat(PieceDecision.withoutBench(
                            Purpose.PRACTICE, inspected, true, Optional.empty(), List.of(broke(Verdict.REJECT))))
                    .hasValueSatisfying(d -> assertThat(d.lesson()).isEqualTo(inspected));
        }
    }
}
