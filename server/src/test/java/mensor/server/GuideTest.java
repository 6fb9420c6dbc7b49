package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What the bench proposes next, what it draws at the stations, and the gauge that stands in for a real one. */
@ExtendWith(RunningMensor.class)
class GuideTest {
    private final TestBrowser ines = RunningMensor.as("ines");

    private static List<String> words(JsonNode bench) {
        List<String> words = new ArrayList<>();
        bench.get("guide").forEach(s -> words.add(s.get("words").asString()));
        return words;
    }

    @Test
    void theWalkGoesFromTheDatumOnAndGetsShorter() {
        String inspection = ines.inspection("WK-1");
        JsonNode bench = ines.get(inspection).expect(200).json();
        JsonNode first = bench.get("guide").get(0);
        assertThat(first.get("kind").asString()).isEqualTo("STATION");
        assertThat(first.get("line").asString()).isEqualTo("leg 1 ");
        assertThat(first.get("from").asDouble()).isEqualTo(25.4);
        assertThat(words(bench)).contains("Crack: inspect the whole weld");
        ines.add(inspection, "READING", "'from':'0','to':'24','atLeast':'5/16'").expect(200);
        ines.add(inspection, "CLEAR", "'criterion':'crack'").expect(200);
        assertThat(words(ines.get(inspection).json()))
                .noneMatch(w -> w.startsWith("Read the legs"))
                .noneMatch(w -> w.startsWith("Crack"));
    }

    @Test
    void aReadingNearItsLimitLeadsToItsEntry() {
        String inspection = ines.inspection("WK-2");
        ines.add(
                        inspection,
                        "INDICATION",
                        "'kind':'undercut','toe':'A','from':'3','to':'4','depth':'.028','division':'1/64'")
                .expect(200);
        JsonNode bench = ines.get(inspection).json();
        JsonNode again = null;
        for (JsonNode s : bench.get("guide")) {
            again = s.get("kind").asString().equals("REPEAT") ? s : again;
        }
        assertThat(again).isNotNull();
        assertThat(again.get("entry").asString())
                .isEqualTo(bench.get("entries").get(0).get("id").asString());
    }

    @Test
    void aBrowserThatHasTheBenchIsToldWhatChanged() {
        String inspection = ines.inspection("WK-3");
        ines.add(inspection, "READING", "'at':'6','legA':'5/16','legB':'5/16'").expect(200);
        JsonNode had = ines.get(inspection).json();
        ines.add(inspection, "INDICATION", "'kind':'undercut','toe':'A','from':'5','to':'7','depth':'1/32'")
                .expect(200);
        JsonNode change =
                ines.get(inspection, "X-Bench", had.get("tag").asString()).json();
        assertThat(change.get("since").asString()).isEqualTo(had.get("tag").asString());
        assertThat(change.get("rest").has("entries")).isFalse();
        assertThat(change.get("entries").get("first").asInt())
                .as("the reading is not sent again")
                .isEqualTo(1);
        assertThat(change.get("entries").get("items").size()).isEqualTo(1);
        assertThat(change.get("sections").get("items").get(0).get("notches").size())
                .as("the undercut lies in the section")
                .isEqualTo(1);
        assertThat(change.get("marks").get("items").size()).isEqualTo(1);
        assertThat(change.get("stations").get("first").asInt()).isEqualTo(1);

        JsonNode again = ines.get(
                        inspection, "X-Bench", change.get("rest").get("tag").asString())
                .json();
        assertThat(again.get("entries").get("first").asInt()).isEqualTo(2);
        assertThat(again.get("entries").get("items").size()).isZero();
        assertThat(again.get("sections").get("items").size()).isZero();
    }

    @Test
    void anotherTagOrAnotherInspectionsIsAnsweredWithTheWholeBench() {
        String one = ines.inspection("WK-5");
        String other = ines.inspection("WK-6");
        String tag = ines.get(one).json().get("tag").asString();
        assertThat(ines.get(other, "X-Bench", tag).json().has("entries")).isTrue();
        assertThat(ines.get(one, "X-Bench", "long gone").json().has("entries")).isTrue();
    }

    @Test
    void theSimulatedGaugeTypesWhatADigitalGaugeWould() {
        String inspection = ines.inspection("WK-4");
        JsonNode read = ines.get(inspection + "/simulated-gauge?measure=legA&at=25.4&number=1")
                .expect(200)
                .json();
        assertThat(read.get("text").asString()).matches("0\\.\\d{3}");
        assertThat(ines.get(inspection + "/simulated-gauge?measure=colour&at=1&number=1")
                        .expect(422)
                        .detail())
                .contains("cannot read this");
    }
}
