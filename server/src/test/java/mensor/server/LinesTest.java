package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The entry line at the bench: what is typed or pasted is read by the weld as it stands, and stores nothing by itself. */
@ExtendWith(RunningMensor.class)
class LinesTest {
    private final TestBrowser ines = RunningMensor.as("ines");

    private JsonNode read(String inspection, String lines) {
        return ines.post(inspection + "/lines", "{'lines':[" + lines + "],'before':'leg'}")
                .expect(200)
                .json();
    }

    @Test
    void aLineIsUnderstoodBeforeItIsPutDown() {
        String inspection = ines.inspection("EL-1");
        long version = ines.get(inspection).json().get("version").asLong();
        JsonNode line = read(inspection, "'uc web 12-14 1/32'").get(0);
        assertThat(line.get("kind").asString()).isEqualTo("undercut");
        JsonNode entry = line.get("entries").get(0);
        assertThat(entry.get("kind").asString()).isEqualTo("INDICATION");
        assertThat(line.get("marks").get(0).get("lane").asString()).isEqualTo("A");
        assertThat(ines.get(inspection).json().get("version").asLong()).isEqualTo(version);
        ines.add(inspection, "INDICATION", entry.get("content").toString().replaceAll("^\\{|}$", ""))
                .expect(200);
    }

    @Test
    void whatTheWeldCannotHaveIsSaidInTheTradesWords() {
        String inspection = ines.inspection("EL-2");
        assertThat(read(inspection, "'uc a 12-40 1/32'").get(0).get("problem").asString())
                .contains("past the weld's end");
        JsonNode wrong = read(inspection, "'uc a 12 1/32'").get(0);
        assertThat(wrong.get("problem").asString()).contains("from where to where");
        assertThat(wrong.get("from").asInt()).isEqualTo(5);
        assertThat(wrong.get("entries").isEmpty()).isTrue();
    }

    @Test
    void rowsOfASpreadsheetAreLegs() {
        String inspection = ines.inspection("EL-3");
        StringBuilder rows = new StringBuilder();
        for (int i = 0; i < 20; i++) {
            rows.append(i == 0 ? "" : ",").append("'").append(i + 1).append("\\t5/16\\t3/8'");
        }
        JsonNode lines = read(inspection, rows.toString());
        assertThat(lines.size()).isEqualTo(20);
        for (JsonNode l : lines) {
            assertThat(l.get("entries").get(0).get("content").get("legB").asString())
                    .isEqualTo("3/8");
        }
        ines.post(inspection + "/lines", "{'lines':[]}").expect(422);
        assertThat(ines.get("/api/entry-line").expect(200).json().size()).isGreaterThan(20);
    }
}
