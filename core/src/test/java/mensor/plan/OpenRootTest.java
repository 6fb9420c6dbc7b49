package mensor.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.length.Length;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;

/** How an open root is laid; common practice, no source. */
class OpenRootTest {
    private static Joint groove(boolean backing) {
        return new JointBuilder("G-1", WeldType.GROOVE, Connection.BUTT, Length.inches(6))
                .members(new Member("A", Length.inches(3, 8)), new Member("B", Length.inches(3, 8)))
                .penetration(Penetration.COMPLETE)
                .backing(backing)
                .build();
    }

    private static List<String> lines(String rod, Map<String, String> picks) {
        return OpenRoot.lines(groove(false), Optional.of(rod), picks);
    }

    @Test
    void theRodSaysHowWhereNothingIsPicked() {
        assertThat(lines("E6010", Map.of())).singleElement().asString().contains("whip and pause");
        assertThat(lines("E7018", Map.of())).singleElement().asString().contains("small weave");
        assertThat(lines("E9999", Map.of())).as("an unknown rod").isEmpty();
    }

    @Test
    void thePickIsFollowedAndAWhippedLowHydrogenRodIsWarnedOf() {
        assertThat(lines("E6010", Map.of("open-root", "drag")))
                .singleElement()
                .asString()
                .contains("as the shop does it");
        assertThat(lines("E7018", Map.of("open-root", "whip")))
                .hasSize(2)
                .last()
                .asString()
                .contains("porosity");
    }

    @Test
    void thereIsNoneOnBackingOrByAnotherProcess() {
        assertThat(OpenRoot.lines(groove(true), Optional.of("E6010"), Map.of())).isEmpty();
        assertThat(OpenRoot.lines(groove(false), Optional.empty(), Map.of())).isEmpty();
    }
}
