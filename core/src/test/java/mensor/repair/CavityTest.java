package mensor.repair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import mensor.weld.InvalidField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The cavity against plain geometry: its limits, and its outline added up in thin layers. */
class CavityTest {
    /** Half the width at a height above the bottom: on the circle below the point where the wall touches it, else on the wall. */
    private static double halfWidth(double at, double included, double radius) {
        double theta = Math.toRadians(included / 2);
        double touch = radius * (1 - Math.sin(theta));
        if (at < touch) {
            return Math.sqrt(at * (2 * radius - at));
        }
        return radius * Math.cos(theta) + (at - touch) * Math.tan(theta);
    }

    @ParameterizedTest
    @CsvSource({
        "10, 60, 6.35",
        "3, 60, 6.35",
        "3.175, 60, 6.35",
        "25, 20, 3",
        "8, 90, 0",
        "12, 0, 5",
        "2, 0, 5",
        "6.35, 60, 6.35"
    })
    void areaAndWidthAreThoseOfItsOutline(double depth, double included, double radius) {
        Cavity c = new Cavity(depth, included, radius);
        int layers = 200_000;
        double sum = 0;
        for (int i = 0; i < layers; i++) {
            sum += 2 * halfWidth((i + 0.5) * depth / layers, included, radius) * depth / layers;
        }
        assertThat(c.area()).isCloseTo(sum, within(sum * 1e-6));
        assertThat(c.width()).isCloseTo(2 * halfWidth(depth, included, radius), within(1e-9));
    }

    /** Without a radius it is a V, d²·tan θ; with upright walls 2r(d − r) + πr²/2. */
    @Test
    void itsLimits() {
        assertThat(new Cavity(10, 60, 1e-9).area()).isCloseTo(100 * Math.tan(Math.toRadians(30)), within(1e-6));
        assertThat(new Cavity(10, 0, 4).area()).isCloseTo(2 * 4 * 6 + Math.PI * 16 / 2, within(1e-9));
    }

    @Test
    void theEndsRunOut() {
        Cavity c = new Cavity(10, 60, 6.35);
        assertThat(c.volume(100, 3)).isCloseTo(c.area() * 130, within(1e-9));
    }

    @Test
    void whatCannotBeIsNamed() {
        assertThatThrownBy(() -> new Cavity(0, 60, 6))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("depth");
        assertThatThrownBy(() -> new Cavity(5, 180, 6)).hasMessageContaining("includedDegrees");
        assertThatThrownBy(() -> new Cavity(5, 60, -1)).hasMessageContaining("rootRadius");
    }
}
