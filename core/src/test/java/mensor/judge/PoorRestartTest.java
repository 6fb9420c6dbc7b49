package mensor.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.inspection.Criterion;
import mensor.inspection.PoorRestart;
import mensor.inspection.Underfill;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** ISO 5817:2014 names a poor restart (1.19) and permits it; AWS D1.1 and ASME B31.3 do not name it (from memory). */
class PoorRestartTest {
    /** ISO 5817, 1.19: levels B and C do not permit one, whatever its height (from memory, medium confidence). */
    private static final List<String> NOT_PERMITTED = List.of("iso5817-b", "iso5817-c");

    @Test
    void theStricterLevelsOfIsoPermitNone() {
        for (String id : NOT_PERMITTED) {
            CriteriaBook book = CriteriaBooks.find(id).orElseThrow();
            assertThat(inspection(book).verdict(Criterion.PROFILE)).isEqualTo(Verdict.REJECT);
            Length none = Length.millimetres("0");
            assertThat(TestInspection.millimetres("600")
                            .by(book)
                            .blade("0", "600", "8")
                            .seen(new PoorRestart(
                                    Span.at(Length.millimetres("100")),
                                    Optional.of(none),
                                    Optional.of(none),
                                    Optional.empty()))
                            .verdict(Criterion.PROFILE))
                    .as("nothing there")
                    .isEqualTo(Verdict.ACCEPT);
        }
    }

    static Stream<CriteriaBook> books() {
        return CriteriaBooks.all().stream().filter(b -> !NOT_PERMITTED.contains(b.id()));
    }

    private static TestInspection inspection(CriteriaBook book) {
        Length most = Length.millimetres("2");
        return TestInspection.millimetres("600")
                .by(book)
                .blade("0", "600", "8")
                .seen(new PoorRestart(
                        Span.at(Length.millimetres("100")), Optional.of(most), Optional.empty(), Optional.empty()));
    }

    @ParameterizedTest
    @MethodSource("books")
    void hasNoLimitOfItsOwnAndWhatItMakesIsJudgedAsThat(CriteriaBook book) {
        Evaluation e = inspection(book).judge();
        Finding profile = e.finding(Criterion.PROFILE.id()).orElseThrow();
        assertThat(profile.verdict()).isEqualTo(Verdict.ACCEPT);
        assertThat(profile.trace()).anyMatch(t -> t.startsWith("poor restart at 100: no limit"));
        assertThat(e.notes()).anyMatch(n -> n.contains("poor restart has no limit here"));
        Length deep = Length.millimetres("9");
        TestInspection made = inspection(book)
                .seen(new Underfill(
                        new Span(Length.millimetres("100"), Length.millimetres("104")),
                        Optional.of(deep),
                        Optional.empty()));
        assertThat(made.verdict(Criterion.PROFILE)).isEqualTo(Verdict.REJECT);
    }
}
