package mensor.judge;

import static mensor.inspection.Verdict.ACCEPT;
import static mensor.inspection.Verdict.INCOMPLETE;
import static mensor.inspection.Verdict.REJECT;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import mensor.criteria.d11.StaticBook;
import mensor.inspection.AddendumKind;
import mensor.inspection.Crack;
import mensor.inspection.Criterion;
import mensor.inspection.Deviation;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.Toe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the Engineer allows on one weld beyond the code. */
class DeviationTest {
    private static Finding judged(TestInspection inspection, Criterion criterion, String max, String from, String to) {
        Optional<Span> where = from == null ? Optional.empty() : Optional.of(inspection.s(from, to));
        Deviation d = new Deviation(
                criterion,
                where,
                Optional.ofNullable(max).map(inspection::l),
                "E-14",
                "E. Marlow",
                LocalDate.of(2026, 11, 2),
                "");
        return Judge.evaluate(inspection.inspection(), new StaticBook(), new Terms(Optional.empty(), List.of(d)))
                .finding(criterion.id())
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        "3/32, , , ACCEPT",
        "5/64, , , REJECT", // deeper than the document allows
        "3/32, 4, 8, ACCEPT",
        "3/32, 5 1/2, 8, REJECT", // not all of it within the stretch
        ", 4, 8, ACCEPT", // as it is
    })
    void coversWhatItsDocumentSays(String max, String from, String to, Verdict wanted) {
        TestInspection inspection = TestInspection.inches("24").undercut(Toe.A, "5", "6", "3/32");
        Finding f = judged(inspection, Criterion.UNDERCUT, max, from, to);
        assertThat(f.verdict()).isEqualTo(wanted);
        if (wanted == ACCEPT) {
            assertThat(f.reason().words()).startsWith("within the Engineer's document E-14 (E. Marlow, 2026-11-02)");
            assertThat(f.trace()).anyMatch(t -> t.contains("3/32 in at 5–6"));
        }
    }

    @Test
    void whatIsNotCoveredIsJudgedAsEverAndKeepsItsPlaceInTheList() {
        TestInspection inspection = TestInspection.inches("24")
                .undercut(Toe.A, "5", "6", "3/32")
                .undercut(Toe.A, "10", "11", "1/64")
                .undercut(Toe.B, "20", "21", "1/8");
        Finding f = judged(inspection, Criterion.UNDERCUT, "3/32", null, null);
        assertThat(f.verdict()).isEqualTo(REJECT);
        assertThat(f.indications()).containsExactly(2);
    }

    /** Two stretches that add up: with one of them allowed the other keeps the sum. */
    @Test
    void aSumIsTakenOfTheRest() {
        TestInspection inspection = TestInspection.inches("24")
                .undercut(Toe.A, "5", "6 1/2", "3/64")
                .undercut(Toe.A, "10", "11", "3/64");
        assertThat(inspection.verdict(Criterion.UNDERCUT)).isEqualTo(REJECT);
        assertThat(judged(inspection, Criterion.UNDERCUT, "3/64", "10", "11").verdict())
                .isEqualTo(ACCEPT);
    }

    @Test
    void anotherCriterionIsNotTouched() {
        TestInspection inspection = TestInspection.inches("24")
                .seen(new Crack(new Span(Length.inches(3), Length.inches(4)), Optional.empty()));
        assertThat(judged(inspection, Criterion.CRACK, null, null, null).verdict())
                .isEqualTo(ACCEPT);
        Deviation forUndercut = new Deviation(
                Criterion.UNDERCUT, Optional.empty(), Optional.empty(), "E-1", "E. Marlow", LocalDate.EPOCH, "");
        Evaluation e = Judge.evaluate(
                inspection.inspection(), new StaticBook(), new Terms(Optional.empty(), List.of(forUndercut)));
        assertThat(e.verdict()).isEqualTo(REJECT);
    }

    @Test
    void aInspectionThatIsNotFinishedStaysOpen() {
        TestInspection inspection =
                TestInspection.inches("24").nothingInspected().undercut(Toe.A, "5", "6", "3/32");
        Deviation d = new Deviation(
                Criterion.UNDERCUT, Optional.empty(), Optional.empty(), "E-1", "E. Marlow", LocalDate.EPOCH, "");
        Evaluation e =
                Judge.evaluate(inspection.inspection(), new StaticBook(), new Terms(Optional.empty(), List.of(d)));
        assertThat(e.verdict()).isEqualTo(INCOMPLETE);
        assertThat(e.finding("undercut").orElseThrow().verdict()).isEqualTo(ACCEPT);
    }

    /** The Engineer acts for the owner: his document holds against the contract's own limit too. */
    @Test
    void holdsAgainstTheContractsLimitAsWell() {
        TestInspection inspection = TestInspection.inches("24")
                .addendum(AddendumKind.UNDERCUT_DEPTH, "1/64")
                .undercut(Toe.A, "5", "6", "3/32");
        Deviation d = new Deviation(
                Criterion.UNDERCUT,
                Optional.empty(),
                Optional.of(inspection.l("3/32")),
                "E-1",
                "E. Marlow",
                LocalDate.EPOCH,
                "");
        Evaluation e =
                Judge.evaluate(inspection.inspection(), new StaticBook(), new Terms(Optional.empty(), List.of(d)));
        assertThat(e.finding("undercut.depth").orElseThrow().verdict()).isEqualTo(ACCEPT);
    }
}
