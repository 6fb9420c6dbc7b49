package mensor.weld;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Exposure of low-hydrogen rods: AWS D1.1 7.1 (5.1), from memory. */
class RodClockTest {
    private static final Instant EIGHT = Instant.parse("2026-05-12T08:00:00Z");

    private static Instant at(double hours) {
        return EIGHT.plus(Duration.ofMinutes(Math.round(hours * 60)));
    }

    private static RodClock.Outing outing(double out, Double back) {
        return new RodClock.Outing(at(out), Optional.ofNullable(back).map(RodClockTest::at));
    }

    @ParameterizedTest
    @CsvSource({
        "E7018, 240",
        "E7018R, 540",
        "E7018-1, 240",
        "E7018-H4R, 540",
        "E7018-1 H4R, 540",
        "E7018M, 540",
        "E8018-C3 H4R, 120",
        "E7016, 240",
        "E8018-C3, 120",
        "E9018-M, 60",
        "E10018-D2, 30",
        "E11018-M, 30"
    })
    void limitByClassAtAndOver(String electrode, long minutes) {
        assertThat(RodClock.limit(electrode)).contains(Duration.ofMinutes(minutes));
        RodClock clock = new RodClock(electrode, List.of(outing(0, null)));
        assertThat(clock.isOver(EIGHT.plus(Duration.ofMinutes(minutes)))).isFalse();
        assertThat(clock.isOver(EIGHT.plus(Duration.ofMinutes(minutes + 1)))).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"E6010", "E6011", "E6013", "E7014", "E7024", "nothing"})
    void otherRodsHaveNoClock(String electrode) {
        assertThat(RodClock.limit(electrode)).isEmpty();
        assertThat(new RodClock(electrode, List.of(outing(0, null))).isOver(at(100)))
                .isFalse();
    }

    @Test
    void outingsAddUpUnlessFourHoursInTheOvenLieBetween() {
        RodClock shortRest = new RodClock("E7018", List.of(outing(0, 2.0), outing(5.9, null)));
        assertThat(shortRest.out(at(7.9))).isEqualTo(Duration.ofHours(4));
        assertThat(shortRest.isOver(at(8))).isTrue();
        RodClock dried = new RodClock("E7018", List.of(outing(0, 2.0), outing(6, null)));
        assertThat(dried.out(at(8))).isEqualTo(Duration.ofHours(2));
        assertThat(dried.shown(at(8.5))).isEqualTo("2 h 30 min of 4 h");
    }

    @Test
    void rodsThatWereOutTooLongDoNotStartAnew() {
        RodClock late = new RodClock("E7018", List.of(outing(0, 4.5), outing(10, null)));
        assertThat(late.isOver(at(10))).isTrue();
    }

    @Test
    void rodsThatAreOutCannotBeTakenOutAgain() {
        assertThatThrownBy(() -> new RodClock("E7018", List.of(outing(0, null), outing(1, null))))
                .isInstanceOf(InvalidField.class);
        assertThatThrownBy(() -> outing(2, 1.0)).isInstanceOf(InvalidField.class);
    }
}
