package mensor.server.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import mensor.inspection.IndicationKind.Shape;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The shapes on paper are those of the screen: the interface's tests draw the same from the file that is held here. */
class MarkOutlineTest {
    private static final Path FILE = Path.of("..", "web", "src", "test", "mark-outlines.json");

    record Case(
            Shape shape,
            String lane,
            double depth,
            double from,
            double to,
            double top,
            double height,
            @Nullable String path,
            List<MarkOutline.Circle> circles,
            MarkOutline.@Nullable Box box) {
        static Case of(Shape shape, String lane, double depth, double from, double to) {
            double top = lane.equals("B") ? 110 : 34;
            MarkOutline o = MarkOutline.of(shape, depth, new MarkOutline.LaneBox(lane, top, 36), from, to);
            return new Case(shape, lane, depth, from, to, top, 36, o.path(), o.circles(), o.box());
        }
    }

    @Test
    void theOutlinesAreThoseThatTheInterfaceIsHeldAgainst() throws Exception {
        List<Case> cases = new ArrayList<>();
        for (Shape shape : Shape.values()) {
            for (String lane : List.of("A", "B")) {
                cases.add(Case.of(shape, lane, 0, 200, 203));
                cases.add(Case.of(shape, lane, 0.8, 200, 320));
                cases.add(Case.of(shape, lane, 6, 150.5, 162));
            }
        }
        String json = JsonMapper.builder()
                        .enable(SerializationFeature.INDENT_OUTPUT)
                        .build()
                        .writeValueAsString(cases)
                + "\n";
        if (Boolean.getBoolean("openapi.write")) {
            Files.writeString(FILE, json);
        }
        assertThat(json).isEqualToNormalizingNewlines(Files.readString(FILE));
    }
}
