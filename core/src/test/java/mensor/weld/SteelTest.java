package mensor.weld;

import static org.assertj.core.api.Assertions.assertThat;

import mensor.length.Length;
import mensor.length.Unit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Steels by their grades and their least preheat: AWS D1.1 Table 5.8 (3.2), from memory, medium confidence. */
class SteelTest {
    @ParameterizedTest
    @CsvSource({
        "A36, A36_TYPE",
        "ASTM A36, A36_TYPE",
        "A106-B, A36_TYPE",
        "A53 Grade B, A36_TYPE",
        "API 5L-B, A36_TYPE",
        "A572-50, A572_TYPE",
        "A572 Gr 50, A572_TYPE",
        "A992, A572_TYPE",
        "A588, A572_TYPE",
        "A709-50W, A572_TYPE",
        "A572-65, HIGHER",
        "A913-60, HIGHER",
        "A514, QUENCHED",
        "A517, QUENCHED",
        "A709 HPS 100W, QUENCHED",
        "S355J2, UNKNOWN",
        "whatever lay there, UNKNOWN"
    })
    void aGradeNamesItsSteel(String grade, Steel steel) {
        assertThat(Steel.ofGrade(grade)).isEqualTo(steel);
        assertThat(Steel.canCrackLate(grade)).isEqualTo(steel == Steel.QUENCHED);
    }

    @ParameterizedTest
    @CsvSource({
        "A36_TYPE, false, 3/4, 32",
        "A36_TYPE, false, 13/16, 150",
        "A36_TYPE, false, 2, 225",
        "A36_TYPE, false, 3, 300",
        "A36_TYPE, true, 1, 50",
        "A572_TYPE, true, 1 1/2, 50",
        "A572_TYPE, true, 1 9/16, 150",
        "HIGHER, true, 3/4, 50",
        "HIGHER, true, 3, 300",
        "QUENCHED, true, 3/4, 50",
        "QUENCHED, true, 1, 125",
        "QUENCHED, true, 2, 175",
        "QUENCHED, true, 3, 225"
    })
    void theLeastPreheatGoesBySteelRodAndThickness(Steel steel, boolean lowHydrogen, String thick, int fahrenheit) {
        assertThat(MinimumPreheat.of(steel, lowHydrogen, Length.parse(thick, Unit.INCH)))
                .hasValueSatisfying(p -> assertThat(p.shown()).startsWith(fahrenheit + " °F"));
    }

    @Test
    void whatTheTableDoesNotKnowHasNoNumber() {
        assertThat(MinimumPreheat.of(Steel.UNKNOWN, true, Length.inches(1))).isEmpty();
        assertThat(MinimumPreheat.of(Steel.A572_TYPE, false, Length.inches(1)))
                .as("rods without low hydrogen")
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "E7018, 70, 18, '', true",
        "E7018-1 H4R, 70, 18, 1H4R, true",
        "E8018-C3, 80, 18, C3, true",
        "e11018-M, 110, 18, M, true",
        "E6010, 60, 10, '', false"
    })
    void aRodsClassIsTakenApart(String written, int strength, int coating, String suffix, boolean low) {
        assertThat(RodClass.of(written)).contains(new RodClass(strength, coating, suffix));
        assertThat(RodClass.of(written).orElseThrow().isLowHydrogen()).isEqualTo(low);
        assertThat(RodClass.of("ER70S-6")).as("a wire").isEmpty();
    }
}
