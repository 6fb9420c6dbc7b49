package mensor.rejectrate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IntervalTest {
    /** Newcombe 1998, 95 %. */
    @ParameterizedTest
    @CsvSource({"81, 263, .2553, .3662", "15, 148, .0624, .1605", "0, 20, 0, .1611"})
    void wilson(long k, long n, double low, double high) {
        Interval i = Interval.wilson(k, n);
        assertThat(i.low()).isCloseTo(low, within(.00005));
        assertThat(i.high()).isCloseTo(high, within(.00005));
    }

    /** Newcombe 1998, 95 %. */
    @ParameterizedTest
    @CsvSource({"15, 148, .0578, .1617", "0, 20, 0, .1684"})
    void clopperPearson(long k, long n, double low, double high) {
        Interval i = Interval.clopperPearson(k, n);
        assertThat(i.low()).isCloseTo(low, within(.00005));
        assertThat(i.high()).isCloseTo(high, within(.00005));
    }

    /** Exact Poisson limits as the standard tables give them (Garwood 1936, from memory): 0, 1, 5 and 10 events. */
    @ParameterizedTest
    @CsvSource({"0, 0, 3.689", "1, .0253, 5.572", "5, 1.623, 11.668", "10, 4.795, 18.390"})
    void poisson(long events, double low, double high) {
        Interval one = Interval.poisson(events, 1);
        assertThat(one.low()).isCloseTo(low, within(.001));
        assertThat(one.high()).isCloseTo(high, within(.001));
        Interval four = Interval.poisson(events, 4);
        assertThat(four.low()).isCloseTo(low / 4, within(.001));
        assertThat(four.high()).isCloseTo(high / 4, within(.001));
    }

    @Test
    void mirroredAndTheTail() {
        assertThat(Interval.wilson(20, 20).high()).isEqualTo(1);
        assertThat(Interval.wilson(20, 20).low()).isCloseTo(1 - .1611, within(.00005));
        assertThat(Interval.clopperPearson(20, 20).low()).isCloseTo(1 - .1684, within(.00005));
        assertThatThrownBy(() -> Interval.wilson(3, 2)).hasMessage("3 of 2");
        assertThatThrownBy(() -> Interval.poisson(1, 0)).hasMessageContaining("1 events");
    }
}
