package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningMensor.class)
class RepairTest {
    @Test
    void aCracksPlanAsksItsDepthAndThenHasNumbers() {
        TestBrowser ines = RunningMensor.as("ines");
        String look = ines.look("RP-1");
        JsonNode bench = ines.add(look, "INDICATION", "'kind':'crack','from':'10','to':'11'")
                .expect(200)
                .json();
        String entry = bench.get("entries").get(0).get("id").asString();
        JsonNode place = ines.get(look + "/repair").json().get("places").get(0);
        assertThat(place.get("entry").asString()).isEqualTo(entry);
        assertThat(place.get("extent").asString()).isEqualTo("8–13");
        assertThat(place.get("asksDepth").asBoolean()).isTrue();
        assertThat(place.has("numbers")).isFalse();
        JsonNode deep = ines.get(look + "/repair?depth=" + entry + ":1/4")
                .json()
                .get("places")
                .get(0);
        assertThat(deep.get("numbers").get("depthMm").asDouble()).isEqualTo(6.35);
        assertThat(deep.get("numbers").get("rods").asInt()).isPositive();
        assertThat(ines.get(look + "/repair?depth=" + entry + ":deep")
                        .expect(422)
                        .detail())
                .startsWith("depth: ");
    }

    @Test
    void theLeastRepairStandsBesideCorrectingAll() {
        TestBrowser ines = RunningMensor.as("ines");
        String look = ines.look("RP-2");
        ines.add(look, "INDICATION", "'kind':'undercut','toe':'A','from':'11','to':'12 1/4','depth':'3/64'")
                .expect(200);
        ines.add(look, "INDICATION", "'kind':'undercut','toe':'A','from':'13 1/4','to':'14 1/4','depth':'3/64'")
                .expect(200);
        JsonNode repair = ines.get(look + "/repair").json();
        assertThat(repair.get("places").get(0).get("least").asString())
                .isEqualTo("correcting 1/4 in at 13 1/4–13 1/2 suffices for undercut");
        assertThat(repair.get("cautions")).isNotEmpty();
    }
}
