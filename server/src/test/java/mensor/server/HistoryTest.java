package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Every change is kept with who made it, when, what stood before and what after. */
@ExtendWith(RunningMensor.class)
@Tag("postgresql")
class HistoryTest {
    private final TestBrowser ines = RunningMensor.as("ines");
    private final TestBrowser tomas = RunningMensor.as("tomas");

    @Test
    void anEntryThatWasChangedShowsBothValuesAndBothPeople() {
        String inspection = ines.inspection("H1");
        JsonNode entry = ines.add(
                        inspection, "INDICATION", "'kind':'undercut','toe':'A','from':'3','to':'4','depth':'1/32'")
                .expect(200)
                .json()
                .get("entries")
                .get(0);
        String path = inspection + "/entries/" + entry.get("id").asString();
        tomas.put(
                        path,
                        "{'kind':'INDICATION','content':{'kind':'undercut','toe':'A','from':'3','to':'4','depth':'1/16'},'version':"
                                + entry.get("version").asLong() + "}")
                .expect(200);
        long version =
                ines.get(inspection).json().get("entries").get(0).get("version").asLong();
        ines.delete(path + "?version=" + version).expect(200);
        JsonNode history = ines.get("/api/joints/" + ines.jointOf(inspection) + "/history")
                .expect(200)
                .json();
        JsonNode off = of(history, "Entry", 0);
        JsonNode changed = of(history, "Entry", 1);
        JsonNode put = of(history, "Entry", 2);
        assertThat(off.get("by").asString()).isEqualTo("ines");
        assertThat(off.get("fields").toString()).contains("withdrawn");
        assertThat(changed.get("by").asString()).isEqualTo("tomas");
        assertThat(changed.get("fields")).singleElement().satisfies(f -> {
            assertThat(f.get("field").asString()).isEqualTo("depth");
            assertThat(f.get("before").asString()).isEqualTo("1/32");
            assertThat(f.get("after").asString()).isEqualTo("1/16");
        });
        assertThat(put.get("did").asString()).isEqualTo("recorded");
        assertThat(of(history, "Weld", 0).get("fields").toString()).contains("\"length\"");
        assertThat(of(history, "Inspection", 0).get("by").asString()).isEqualTo("ines");
    }

    @Test
    void aRepairIsReadableOnItsWeld() {
        String inspection = ines.inspection("H2");
        ines.add(inspection, "INDICATION", "'kind':'overlap','toe':'B','from':'3','to':'4'")
                .expect(200);
        ines.sign(inspection, "reject").expect(200);
        String defect = "/api/defects/"
                + ines.get(inspection + "/defects")
                        .json()
                        .get("defects")
                        .get(0)
                        .get("id")
                        .asString();
        RunningMensor.as("rufus")
                .put(defect + "/disposition", "{'decision':'blend'}")
                .expect(200);
        JsonNode history =
                ines.get("/api/joints/" + ines.jointOf(inspection) + "/history").json();
        JsonNode decided = of(history, "Defect", 0);
        assertThat(decided.get("by").asString()).isEqualTo("rufus");
        assertThat(decided.get("fields").toString()).contains("\"disposition\"").contains("blend");
        assertThat(of(history, "Inspection", 0).get("fields").toString()).contains("signed");
    }

    /** No stored name, no piece of a document: only words. */
    @Test
    void everyChangeIsSaidInTheTradesWords() {
        String inspection = ines.inspection("H3");
        ines.add(inspection, "READING", "'at':'2','legA':'5/16','legB':'1/4','division':'1/64'")
                .expect(200);
        ines.add(inspection, "INDICATION", "'kind':'crack','at':'3'").expect(200);
        ines.sign(inspection, "reject").expect(200);
        JsonNode history =
                ines.get("/api/joints/" + ines.jointOf(inspection) + "/history").json();
        assertThat(of(history, "Entry", 1).get("fields").toString())
                .contains("\"leg A\"")
                .contains("5/16");
        assertThat(of(history, "Entry", 0).get("name").asString()).isEqualTo("crack");
        history.forEach(c -> c.get("fields").forEach(f -> {
            assertThat(f.get("field").asString()).as("a field in words").doesNotMatch(".*([a-z][A-Z]|[_{}\\[\\]:]).*");
            for (String value : new String[] {"before", "after"}) {
                if (f.has(value)) {
                    assertThat(f.get(value).asString())
                            .as(f.get("field").asString())
                            .doesNotMatch("(?s).*([{}\\[\\]\"]|[0-9a-f]{8}-[0-9a-f]{4}).*");
                }
            }
        }));
    }

    private static JsonNode of(JsonNode history, String what, int n) {
        return history.valueStream()
                .filter(c -> c.get("what").asString().equals(what))
                .skip(n)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theShopsOwnChangesAreReadByTheQualityManagerAlone() {
        TestBrowser quinn = RunningMensor.as("quinn");
        String gauge = "/api/gauges/" + UUID.randomUUID();
        String form = "{'form':{'name':'HS-7','kind':'fillet blades','serial':'HS7','division':";
        long version = quinn.put(gauge, form + "'1/32'}}")
                .expect(200)
                .json()
                .get("version")
                .asLong();
        quinn.put(gauge, form + "'1/64'},'version':" + version + "}").expect(200);
        JsonNode page =
                quinn.get("/api/history?what=Gauge&find=hs-7").expect(200).json();
        assertThat(page.get("fitting").asInt()).isEqualTo(2);
        assertThat(page.get("changes").get(0).get("did").asString()).isEqualTo("changed");
        assertThat(page.get("changes").get(0).get("fields")).singleElement().satisfies(f -> {
            assertThat(f.get("before").asString()).isEqualTo("1/32");
            assertThat(f.get("after").asString()).isEqualTo("1/64");
        });
        ines.inspection("H9"); // in a job
        JsonNode all = quinn.get("/api/history?most=5000").expect(200).json();
        assertThat(all.get("kinds").propertyNames()).contains("Job", "Person", "Acceptance criteria", "Gauge");
        assertThat(all.toString()).doesNotContain("$2a$", "bcrypt", "passwordHash", "password");
        ines.get("/api/history").expect(403);
        RunningMensor.as("vera").get("/api/history").expect(403);
    }
}
