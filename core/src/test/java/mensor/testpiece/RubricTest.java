package mensor.testpiece;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

class RubricTest {
    private static Map<Rubric, Integer> all(boolean most) {
        Map<Rubric, Integer> points = new EnumMap<>(Rubric.class);
        for (Rubric r : Rubric.values()) {
            points.put(r, most ? r.most() : 0);
        }
        return points;
    }

    @Test
    void itRunsFromNoughtToTen() {
        assertThat(Rubric.sum(all(true))).isEqualTo(10);
        assertThat(Rubric.sum(all(false))).isZero();
    }

    @Test
    void aPointThatIsMissingOrTooManyIsNamed() {
        Map<Rubric, Integer> points = all(true);
        points.put(Rubric.CLEANING, 2);
        assertThatThrownBy(() -> Rubric.sum(points)).hasMessage("cleaning");
        points.remove(Rubric.PROFILE);
        assertThatThrownBy(() -> Rubric.sum(points)).hasMessage("profile");
    }
}
