package mensor.testpiece;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The rubric of a test piece, 0 to 10; common practice, no source. */
class RubricTest {
    private static Map<String, Integer> all(boolean most) {
        Map<String, Integer> points = new HashMap<>();
        Rubric.USUAL.parts().forEach(p -> points.put(p.id(), most ? p.most() : 0));
        return points;
    }

    @Test
    void thePointsGoFromNoneToTen() {
        assertThat(Rubric.USUAL.sum(all(true))).isEqualTo(10);
        assertThat(Rubric.USUAL.sum(all(false))).isZero();
    }

    @Test
    void aPointTooManyOrMissingOrForNoLineIsNamed() {
        Map<String, Integer> points = all(true);
        points.put("cleaning", 2);
        assertThatThrownBy(() -> Rubric.USUAL.sum(points)).hasMessageContaining("points.cleaning");
        points.remove("profile");
        assertThatThrownBy(() -> Rubric.USUAL.sum(points)).hasMessageContaining("points.profile");
        points.put("hat", 1);
        assertThatThrownBy(() -> Rubric.USUAL.sum(points)).hasMessageContaining("points.hat");
    }

    @Test
    void aShopsOwnRubricAddsUpToTen() {
        Rubric own = new Rubric(
                List.of(new Rubric.Part("look", "Look", 6, "even"), new Rubric.Part("size", "Size", 4, "as asked")));
        assertThat(own.sum(Map.of("look", 5, "size", 4))).isEqualTo(9);
        assertThatThrownBy(() -> new Rubric(List.of(new Rubric.Part("look", "Look", 6, "even"))))
                .hasMessageContaining("got 6");
        assertThatThrownBy(() -> new Rubric(List.of(
                        new Rubric.Part("look", "Look", 5, "even"), new Rubric.Part("look", "Size", 5, "as asked"))))
                .hasMessageContaining("same id");
    }
}
