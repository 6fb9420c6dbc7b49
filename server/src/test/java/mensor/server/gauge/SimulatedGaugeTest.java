package mensor.server.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.LongStream;
import mensor.server.gauge.SimulatedGauge.GaugeReading;
import org.junit.jupiter.api.Test;

/** The stand-in for a digital gauge behaves as one: repeatable, a little noisy, badly seated now and then. */
class SimulatedGaugeTest {
    private final SimulatedGauge gauge = new SimulatedGauge("FB-9", 7.9375, true);

    private List<GaugeReading> readings(int many) {
        return LongStream.range(0, many)
                .mapToObj(n -> gauge.read("legA", 152.4, n))
                .toList();
    }

    private static double value(String text) {
        return Double.parseDouble(text);
    }

    @Test
    void theSameWeldIsMeasuredEachTime() {
        assertThat(gauge.read("legA", 152.4, 7))
                .isEqualTo(new SimulatedGauge("FB-9", 7.9375, true).read("legA", 152.4, 7));
        assertThat(readings(50))
                .extracting(GaugeReading::truth)
                .containsOnly(readings(1).get(0).truth());
        assertThat(gauge.read("legA", 300, 7).truth())
                .isNotEqualTo(gauge.read("legA", 152.4, 7).truth());
    }

    /** The spread of 3,000 squeezes is within a tenth of the stated one: its own standard error is 1.3 %. */
    @Test
    void wellSeatedItScattersAsSaid() {
        List<GaugeReading> good =
                readings(3000).stream().filter(s -> !s.misSeated()).toList();
        double sum = 0;
        for (GaugeReading s : good) {
            sum += Math.pow((value(s.text()) - value(s.truth())) * 25.4, 2);
        }
        assertThat(Math.sqrt(sum / good.size())).isCloseTo(SimulatedGauge.NOISE, within(SimulatedGauge.NOISE / 10));
    }

    @Test
    void oneInTwelveIsBadlySeatedAndReadsHigh() {
        List<GaugeReading> bad =
                readings(3000).stream().filter(GaugeReading::misSeated).toList();
        assertThat(bad).hasSizeBetween(200, 300);
        assertThat(bad).allMatch(s -> value(s.text()) - value(s.truth()) > 0.012);
    }

    @Test
    void itShowsTheUnitsFinestDigits() {
        assertThat(gauge.read("legA", 10, 1).text()).matches("0\\.\\d{3}");
        assertThat(new SimulatedGauge("FB-9", 8, false).read("legA", 10, 1).text())
                .matches("\\d\\.\\d{2}");
        assertThat(SimulatedGauge.reads("toeAngleA")).isFalse();
    }
}
