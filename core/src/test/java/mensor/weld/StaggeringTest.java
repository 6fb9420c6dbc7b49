package mensor.weld;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Unit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Starts and stops at least 1 in apart: a rule of thumb (common practice, no source). */
class StaggeringTest {
    /** A pass that starts and stops at the places given. */
    static LoggedPass pass(String... places) {
        List<Length> at =
                Arrays.stream(places).map(p -> Length.parse(p, Unit.INCH)).toList();
        Pass none = new Pass(
                OptionalInt.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of("E7018"),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                false);
        return new LoggedPass(
                none, OptionalDouble.empty(), at, at, Optional.empty(), Optional.empty(), Optional.empty(), Set.of());
    }

    private static List<Stagger.StackedStarts> stacked(boolean closed, String apart, LoggedPass... passes) {
        return Stagger.stacked(List.of(passes), new Ruler(Length.inches(24), closed), Length.parse(apart, Unit.INCH));
    }

    @ParameterizedTest
    @CsvSource({"8, 9, 0", "8, 8 15/16, 1", "8, 8, 1", "9, 8, 0", "8 1/2, 8, 1"})
    void oneInchIsApartEnough(String first, String second, int found) {
        assertThat(stacked(false, "1", pass(first), pass(second))).hasSize(found);
    }

    @Test
    void onlyNeighboursAreComparedAndTheEndsAreEveryPasss() {
        assertThat(stacked(false, "1", pass("0", "8", "24"), pass("0", "12", "24"), pass("0", "8", "24")))
                .isEmpty();
    }

    @Test
    void theWantedDistanceCanBeSetOtherwise() {
        assertThat(stacked(false, "2", pass("8"), pass("9 1/2")))
                .singleElement()
                .satisfies(s -> {
                    assertThat(s.line(Length.inches(2)))
                            .isEqualTo(
                                    "pass 2 at 9 1/2 and pass 1 at 8: 1 1/2 in apart, 2 in required (rule of thumb)");
                });
    }

    @Test
    void aClosedWeldIsMeasuredRoundTheDatum() {
        assertThat(stacked(true, "1", pass("23 1/2"), pass("1/4")))
                .singleElement()
                .satisfies(s -> assertThat(s.apart()).isEqualByComparingTo(Length.inches(3, 4)));
        assertThat(stacked(true, "1", pass("23 1/2"), pass("1/2"))).isEmpty();
    }
}
