package mensor.rejectrate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import mensor.rejectrate.CountChart.Point;
import mensor.rejectrate.CountChart.Sample;
import org.junit.jupiter.api.Test;

/** A u-chart against the worked example of Montgomery, Introduction to Statistical Quality Control: computers, 20 samples of 5, 193 nonconformities. */
class CountChartTest {
    /** The counts of the samples, from memory; their sum is the book's. */
    private static final int[] COMPUTERS = {10, 12, 8, 14, 10, 16, 11, 7, 10, 15, 9, 5, 7, 11, 12, 6, 8, 10, 7, 5};

    @Test
    void theBooksComputers() {
        assertThat(IntStream.of(COMPUTERS).sum()).isEqualTo(193);
        CountChart c = CountChart.of(
                IntStream.of(COMPUTERS).mapToObj(n -> new Sample(n, 5)).toList());
        assertThat(c.mean()).isCloseTo(1.93, within(1e-9));
        assertThat(c.points().get(0).low()).isCloseTo(.07, within(5e-3));
        assertThat(c.points().get(0).high()).isCloseTo(3.79, within(5e-3));
        assertThat(c.points()).as("the book's process is in control").noneMatch(Point::out);
    }

    @Test
    void aShortSampleHasWiderLimitsAndALeapIsSeen() {
        List<Sample> samples = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            samples.add(new Sample(4 + i % 2, 100));
        }
        samples.add(new Sample(1, 10));
        samples.add(new Sample(16, 100));
        CountChart c = CountChart.of(samples);
        Point little = c.points().get(12);
        assertThat(little.high() - c.mean()).isGreaterThan(c.points().get(0).high() - c.mean());
        assertThat(little.out()).as("one in ten inches is no leap").isFalse();
        assertThat(c.points().get(13).out()).isTrue();
        assertThat(little.low()).isZero();
    }

    @Test
    void eightInARowOnOneSideAreNoChance() {
        List<Sample> samples = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            samples.add(new Sample(3, 100));
        }
        for (int i = 0; i < 7; i++) {
            samples.add(new Sample(6, 100));
        }
        CountChart c = CountChart.of(samples);
        assertThat(c.points().subList(0, 8)).allMatch(Point::run);
        assertThat(c.points().subList(8, 15)).as("seven are not yet").noneMatch(Point::run);
    }

    /** A steady shop: with limits of three standard deviations about one point in 370 lies out (the normal's table; a Poisson count a little more). */
    @Test
    void aSteadyShopIsRarelyCalledOut() {
        Random random = new Random(5);
        int out = 0;
        for (int chart = 0; chart < 200; chart++) {
            List<Sample> samples = new ArrayList<>();
            for (int i = 0; i < 20; i++) {
                int count = 0;
                for (double t = -Math.log(1 - random.nextDouble()); t < 12; t -= Math.log(1 - random.nextDouble())) {
                    count++;
                }
                samples.add(new Sample(count, 400));
            }
            out += (int)
                    CountChart.of(samples).points().stream().filter(Point::out).count();
        }
        assertThat(out / 4000.0).isBetween(0.0005, 0.01);
    }

    @Test
    void noLengthIsRefused() {
        assertThatThrownBy(() -> CountChart.of(List.of(new Sample(1, 0)))).hasMessageContaining("over zero");
        assertThatThrownBy(() -> CountChart.of(List.of())).hasMessageContaining("at least one");
    }
}
