package mensor.server.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import mensor.inspection.Entry;
import mensor.server.inspection.MadeUpWeld;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** What exercises of earlier versions hold, line by line, is read as entries, and the same ones each time. */
class ExerciseContentTest {
    private static final String EARLIER =
            "{\"lines\":[{\"id\":\"" + new UUID(1, 2) + "\",\"line\":\"none crack overlap\",\"entries\":["
                    + "{\"sort\":\"CLEAR\",\"content\":\"{\\\"criterion\\\":\\\"crack\\\"}\"},"
                    + "{\"sort\":\"CLEAR\",\"content\":\"{\\\"criterion\\\":\\\"overlap\\\"}\"}]}],"
                    + "\"gauged\":[],\"seen\":[[0.0,20.0]],\"seconds\":12}";

    private final JsonMapper json = JsonMapper.builder().build();

    @Test
    void linesOfAnEarlierVersionAreEntries() {
        ExerciseContent read = json.readValue(EARLIER, ExerciseContent.class);
        assertThat(read.entries())
                .extracting(MadeUpWeld.Kept::kind, MadeUpWeld.Kept::content)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(Entry.Sort.CLEAR, "{\"criterion\":\"crack\"}"),
                        org.assertj.core.groups.Tuple.tuple(Entry.Sort.CLEAR, "{\"criterion\":\"overlap\"}"));
        assertThat(read.entries()).extracting(MadeUpWeld.Kept::id).doesNotHaveDuplicates();
        assertThat(json.readValue(EARLIER, ExerciseContent.class).entries())
                .as("an entry has one id, however often it is read")
                .isEqualTo(read.entries());
        assertThat(read.seconds()).isEqualTo(12);
    }

    @Test
    void whatIsWrittenNowIsReadBack() {
        ExerciseContent read = json.readValue(EARLIER, ExerciseContent.class).looked(15, 40, 3);
        ExerciseContent again = json.readValue(json.writeValueAsString(read), ExerciseContent.class);
        assertThat(again.entries()).isEqualTo(read.entries());
        assertThat(again.lines()).isNull();
        assertThat(again.seen()).hasSize(1);
        assertThat(again.seen().get(0)).containsExactly(0, 40);
        assertThat(again.with(List.of()).entries()).isEmpty();
    }
}
