package mensor.rejectrate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.stream.IntStream;
import mensor.rejectrate.Pareto.Bar;
import org.junit.jupiter.api.Test;

/**
 * Against the purchase orders of Wadsworth, Stephens and Godfrey, Modern Methods for Quality Control and Improvement, as the manual of
 * the R package qcc works them out (from memory): 300 errors in five kinds.
 */
class ParetoTest {
    private static final Map<String, Long> ERRORS = Map.of(
            "price code", 80L, "schedule date", 27L, "supplier code", 66L, "contact number", 94L, "part number", 33L);

    @Test
    void theBooksPurchaseOrders() {
        Pareto p = Pareto.of(ERRORS);
        assertThat(p.total()).isEqualTo(300);
        assertThat(p.bars().stream().map(Bar::name))
                .containsExactly("contact number", "price code", "supplier code", "part number", "schedule date");
        double[] share = {31.33, 26.67, 22.00, 11.00, 9.00};
        double[] down = {31.33, 58.00, 80.00, 91.00, 100.00};
        IntStream.range(0, 5).forEach(i -> {
            assertThat(100 * p.bars().get(i).share()).isCloseTo(share[i], within(.005));
            assertThat(100 * p.bars().get(i).cumulative()).isCloseTo(down[i], within(.005));
        });
        assertThat(p.few()).as("three make four fifths").hasSize(3);
    }

    @Test
    void ninetyFourAgainstEightyMayBeChanceAndFortyAgainstTenIsNot() {
        assertThat(Pareto.of(ERRORS).firstStandsOut()).isFalse();
        assertThat(Pareto.of(Map.of("slag", 40L, "undercut", 10L)).firstStandsOut())
                .isTrue();
        assertThat(Pareto.of(Map.of("slag", 1L)).firstStandsOut()).isTrue();
    }

    @Test
    void whatIsEqualStandsByNameAndNothingIsLeftOut() {
        Pareto p = Pareto.of(Map.of("slag", 2L, "overlap", 2L, "crack", 0L));
        assertThat(p.bars().stream().map(Bar::name)).containsExactly("overlap", "slag");
        Pareto none = Pareto.of(Map.of());
        assertThat(none.bars()).isEmpty();
        assertThat(none.few()).isEmpty();
        assertThat(none.firstStandsOut()).isFalse();
    }
}
