package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The list of rejected places: found, sorted and cut by the database. */
@ExtendWith(RunningMensor.class)
@Tag("postgresql")
class RepairsListTest {
    private final TestBrowser ines = RunningMensor.as("ines");

    private JsonNode list(String query) {
        return ines.get("/api/repairs?" + query).expect(200).json();
    }

    private void reject(String mark) {
        String inspection = ines.inspection(mark);
        ines.sound(inspection);
        ines.add(inspection, "INDICATION", "'kind':'slag','from':'3','to':'5','trapped':true")
                .expect(200);
        ines.sign(inspection, "reject").expect(200);
    }

    @Test
    void aPageIsFoundSortedAndCut() {
        reject("LIST-A");
        reject("LIST-B");
        JsonNode found = list("find=list-%20SLAG");
        assertThat(found.get("fitting").asInt()).isEqualTo(2);
        JsonNode last = list("find=list-&sort=-weld&size=1");
        assertThat(last.get("fitting").asInt()).isEqualTo(2);
        assertThat(last.get("defects")).hasSize(1);
        assertThat(last.get("defects").get(0).get("mark").asString()).isEqualTo("LIST-B");
        assertThat(list("find=list-&sort=-weld&size=1&from=1")
                        .get("defects")
                        .get(0)
                        .get("mark")
                        .asString())
                .isEqualTo("LIST-A");
        assertThat(list("find=list-&where=undecided").get("fitting").asInt()).isEqualTo(2);
        assertThat(list("find=list-&where=hold").get("fitting").asInt()).isZero();
        assertThat(list("find=list-&where=welded").get("fitting").asInt()).isZero();
        assertThat(list("find=100%25").get("fitting").asInt())
                .as("a sign is itself")
                .isZero();
        assertThat(ines.get("/api/repairs?where=lost").expect(422).text()).contains("ready-to-inspect");
    }
}
