package mensor.rejectrate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mensor.rejectrate.TimesToClose.Step;
import mensor.rejectrate.TimesToClose.Time;
import org.junit.jupiter.api.Test;

/**
 * Against the remission times of 21 patients on 6-mercaptopurine (Freireich and others 1963), the example that books on survival work
 * out: shares and Greenwood's errors as R's survfit gives them (from memory).
 */
class TimesToCloseTest {
    private static final int[] ENDED = {6, 6, 6, 7, 10, 13, 16, 22, 23};
    private static final int[] WATCHED = {6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35};

    private static List<Time> published() {
        List<Time> times = new ArrayList<>();
        for (int t : ENDED) {
            times.add(new Time(t, true));
        }
        for (int t : WATCHED) {
            times.add(new Time(t, false));
        }
        return times;
    }

    @Test
    void theBooksRemissionTimes() {
        TimesToClose k = TimesToClose.of(published());
        assertThat(k.closed()).isEqualTo(9);
        assertThat(k.open()).isEqualTo(12);
        double[][] published = {
            {6, 21, .857, .0764},
            {7, 17, .807, .0869},
            {10, 15, .753, .0963},
            {13, 12, .690, .1068},
            {16, 11, .627, .1141},
            {22, 7, .538, .1282},
            {23, 6, .448, .1346}
        };
        assertThat(k.steps()).hasSameSizeAs(published);
        for (int i = 0; i < published.length; i++) {
            Step s = k.steps().get(i);
            assertThat(s.time()).isEqualTo(published[i][0]);
            assertThat(s.atRisk()).isEqualTo((int) published[i][1]);
            assertThat(s.share()).isCloseTo(published[i][2], within(.0005));
            assertThat(s.error()).isCloseTo(published[i][3], within(.0001));
        }
        assertThat(k.steps().get(0).low()).isCloseTo(.720, within(.0005));
        assertThat(k.steps().get(0).high()).isEqualTo(1);
        assertThat(k.steps().get(6).low()).isCloseTo(.249, within(.0005));
        assertThat(k.steps().get(6).high()).isCloseTo(.807, within(.0005));
        assertThat(k.median()).hasValue(23);
        assertThat(k.medianLow()).hasValue(16);
        assertThat(k.medianHigh()).as("nothing bounds it").isEmpty();
    }

    @Test
    void whereAllAreClosedItIsTheShareLeft() {
        TimesToClose k =
                TimesToClose.of(List.of(new Time(1, true), new Time(2, true), new Time(2, true), new Time(9, true)));
        assertThat(k.steps().stream().map(Step::share)).containsExactly(.75, .25, 0.0);
        assertThat(k.steps().get(2).high()).isZero();
        assertThat(k.median()).hasValue(2);
    }

    @Test
    void allOpenHasNoMedian() {
        TimesToClose k = TimesToClose.of(List.of(new Time(40, false)));
        assertThat(k.steps()).isEmpty();
        assertThat(k.median()).isEmpty();
        assertThatThrownBy(() -> TimesToClose.of(List.of())).hasMessageContaining("at least one");
        assertThatThrownBy(() -> TimesToClose.of(List.of(new Time(-1, true)))).hasMessageContaining("zero or more");
    }

    /** Half of a known law is closed after ln 2 means, whatever is open still: the median's interval holds it in at least 90 of 100. */
    @Test
    void theIntervalHoldsTheTrueMedian() {
        Random random = new Random(9);
        int held = 0;
        for (int round = 0; round < 300; round++) {
            List<Time> times = new ArrayList<>();
            for (int i = 0; i < 60; i++) {
                double end = -10 * Math.log(1 - random.nextDouble());
                double watched = 5 + 20 * random.nextDouble();
                times.add(new Time(Math.min(end, watched), end <= watched));
            }
            TimesToClose k = TimesToClose.of(times);
            double truth = 10 * Math.log(2);
            held += k.medianLow().orElse(Double.MAX_VALUE) <= truth
                            && truth <= k.medianHigh().orElse(Double.MAX_VALUE)
                    ? 1
                    : 0;
        }
        assertThat(held).isBetween(270, 297);
    }
}
