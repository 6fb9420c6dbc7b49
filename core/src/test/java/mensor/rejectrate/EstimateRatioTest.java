package mensor.rejectrate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.DoubleStream;
import mensor.rejectrate.EstimateRatio.Pair;
import org.junit.jupiter.api.Test;

class EstimateRatioTest {
    /** Student 1908, the hours of sleep gained of ten patients, taken as logarithms: mean 1.58, 95 % .7001 to 2.4599 (as R's t.test gives it). */
    @Test
    void studentsSleep() {
        EstimateRatio r = EstimateRatio.of(DoubleStream.of(1.2, 2.4, 1.3, 1.3, 0, 1, 1.8, .8, 4.6, 1.4)
                .mapToObj(x -> new Pair(7, 7 * Math.exp(x)))
                .toList());
        assertThat(Math.log(r.ratio())).isCloseTo(1.58, within(1e-9));
        assertThat(Math.log(r.interval().orElseThrow().low())).isCloseTo(.7001, within(.00005));
        assertThat(Math.log(r.interval().orElseThrow().high())).isCloseTo(2.4599, within(.00005));
        assertThat(r.pairs()).isEqualTo(10);
        assertThat(r.estimated()).isCloseTo(70, within(1e-9));
    }

    @Test
    void oneTellsNoSpreadAndZeroIsRefused() {
        EstimateRatio r = EstimateRatio.of(List.of(new Pair(2, 3)));
        assertThat(r.ratio()).isCloseTo(1.5, within(1e-9));
        assertThat(r.interval()).isEmpty();
        assertThatThrownBy(() -> EstimateRatio.of(List.of(new Pair(0, 1)))).hasMessageContaining("over zero");
        assertThatThrownBy(() -> EstimateRatio.of(List.of())).hasMessageContaining("at least one");
    }
}
