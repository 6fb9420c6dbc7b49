package mensor.repair;

import static org.assertj.core.api.Assertions.assertThat;

import mensor.inspection.Criterion;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Repairs as AWS D1.1 7.25 (2020 numbering) orders them, from memory. */
class DispositionTest {
    @ParameterizedTest
    @EnumSource(Criterion.class)
    void everyFindingHasAUsualDispositionAndAWay(Criterion c) {
        assertThat(Disposition.suiting(Disposition.Kind.of(c)))
                .isNotEmpty()
                .doesNotHaveDuplicates()
                .contains(Disposition.REFER, Disposition.ACCEPT_AS_IS);
        assertThat(Disposition.why(Disposition.Kind.of(c))).isNotBlank();
    }

    @ParameterizedTest
    @EnumSource(
            value = Criterion.class,
            names = {"CRACK", "FUSION", "POROSITY", "SLAG"})
    void nothingIsWeldedOverADefect(Criterion c) {
        assertThat(Disposition.suiting(Disposition.Kind.of(c)))
                .doesNotContain(Disposition.ADD_METAL, Disposition.BLEND);
        assertThat(Disposition.suiting(Disposition.Kind.of(c)).get(0)).isEqualTo(Disposition.REMOVE_AND_REWELD);
    }

    @ParameterizedTest
    @EnumSource(Disposition.class)
    void onlyAcceptAsIsNeedsTheEngineersDocument(Disposition d) {
        assertThat(d.needsEngineersDocument()).isEqualTo(d == Disposition.ACCEPT_AS_IS);
        assertThat(d.title()).isNotBlank();
    }
}
