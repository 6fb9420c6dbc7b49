package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The schools of practice: the shop picks, a job may pick otherwise, and what is said follows. */
@ExtendWith(RunningMensor.class)
class SchoolsTest {
    private final TestBrowser wanda = RunningMensor.as("wanda");
    private final TestBrowser ines = RunningMensor.as("ines");

    private TestBrowser.Answer pick(String picks) {
        JsonNode version = wanda.get("/api/schools").expect(200).json().get("version");
        return wanda.put("/api/schools", "{'picks':{" + picks + "},'version':" + version + "}");
    }

    @AfterEach
    void asBefore() {
        pick("").expect(200);
    }

    private JsonNode welding(String joint) {
        return ines.get("/api/joints/" + joint + "/welding-record").expect(200).json();
    }

    private static String picked(JsonNode schools, String topic) {
        for (JsonNode s : schools) {
            if (s.get("topic").asString().equals(topic)) {
                return s.path("picked").asString("");
            }
        }
        return "no such topic";
    }

    @Test
    void whatTheShopPicksHoldsInEachJobUnlessItPicksOtherwise() {
        String joint = ines.jointOf(ines.inspection("SC-A"));
        assertThat(picked(welding(joint).get("schools"), "cover")).isEmpty();
        pick("'cover':'even-face','restart-lead':'one-inch','slag-lines':'burnt-out'")
                .expect(200);
        JsonNode record = welding(joint);
        assertThat(picked(record.get("schools"), "cover")).isEqualTo("even-face");
        assertThat(record.get("sights").toString()).contains("Strike about 1 in ahead of the crater");
        JsonNode plan =
                ines.post("/api/joints/" + joint + "/plan", "{}").expect(200).json();
        assertThat(plan.get("constants").toString()).contains("\"value\":\"0.85\"");

        String job = "SC-" + UUID.randomUUID();
        ines.post(
                        "/api/jobs",
                        "{'name':'" + job + "','criteria':'d1.1-static','units':'in','schools':{'cover':'sixty'}}")
                .expect(200);
        String own = ines.post("/api/joints", TestBrowser.newJoint("SC-B").replace("'Footbridge'", "'" + job + "'"))
                .expect(200)
                .json()
                .get("inspectionId")
                .asString();
        JsonNode inJob = welding(ines.jointOf("/api/inspections/" + own)).get("schools");
        assertThat(picked(inJob, "cover")).as("the job's own").isEqualTo("sixty");
        assertThat(picked(inJob, "restart-lead")).as("the shop's").isEqualTo("one-inch");
    }

    @Test
    void onlyWhoAnswersForTheWeldingPicksAndOnlyWhatThereIs() {
        assertThat(ines.put("/api/schools", "{'picks':{'cover':'sixty'}}")
                        .expect(403)
                        .text())
                .contains("welding engineer");
        assertThat(pick("'cover':'none'").expect(422).text()).contains("even-face");
        pick("'cover':'sixty'").expect(200);
        wanda.put("/api/schools", "{'picks':{'cover':'even-face'},'version':-1}")
                .expect(409);
        assertThat(RunningMensor.as("quinn").get("/api/history").expect(200).text())
                .contains("schools");
    }
}
