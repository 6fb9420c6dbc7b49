package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Causes, what was changed, specimens, the page for the welder, and the rates. */
@ExtendWith(RunningMensor.class)
class CausesTest {
    private TestBrowser ines;

    @BeforeEach
    void signedIn() {
        ines = RunningMensor.as("ines");
    }

    private static JsonNode with(JsonNode list, String field, String value) {
        for (JsonNode n : list) {
            if (n.get(field).asString().equals(value)) {
                return n;
            }
        }
        throw new AssertionError(field + " " + value + " is not in " + list);
    }

    private String slag(String mark) {
        String inspection = ines.inspection(mark);
        ines.add(inspection, "INDICATION", "'kind':'slag','from':'10','to':'12','trapped':true")
                .expect(200);
        return inspection;
    }

    private String coldPass(String inspection) {
        String joint = ines.get(inspection).json().get("joint").get("id").asString();
        ines.put(
                        "/api/joints/" + joint + "/welding-record/entries/" + UUID.randomUUID(),
                        "{'kind':'PASS','content':{'kind':'root','electrode':'E7018','diameter':'1/8','amps':80,'starts':['0'],'stops':['24']}}")
                .expect(200);
        return joint;
    }

    @Test
    void aColdRecordLeadsToTheCurrentAndTheBoxSaysHowMuch() {
        String inspection = slag("CS-1");
        String joint = coldPass(inspection);
        JsonNode defect = ines.get(inspection + "/causes").json().get("defects").get(0);
        assertThat(defect.get("causes").get(0).get("id").asString()).isEqualTo("current-low");
        assertThat(defect.get("causes").get(0).get("change").asString()).contains("the procedure or the box label");
        ines.put(
                        "/api/joints/" + joint + "/welding-record/entries/" + UUID.randomUUID(),
                        "{'kind':'RODS','content':{'electrode':'E7018','diameter':'1/8','labelAmps':[90,140],'outings':[]}}")
                .expect(200);
        JsonNode labelled = ines.get(inspection + "/causes")
                .json()
                .get("defects")
                .get(0)
                .get("causes")
                .get(0);
        assertThat(labelled.get("change").asString())
                .isEqualTo("root pass: amps from 80 to 130 (the box label says 90–140 A)");
        assertThat(labelled.get("prevent").asString()).isNotBlank();
        assertThat(ines.put(
                                "/api/joints/" + joint + "/welding-record/entries/" + UUID.randomUUID(),
                                "{'kind':'RODS','content':{'electrode':'E7018','labelAmps':[140,90],'outings':[]}}")
                        .expect(422)
                        .detail())
                .contains("least and the most amps");
    }

    @Test
    void aTroubleThatNoCriterionKnowsIsTracedToo() {
        String inspection = slag("CS-2");
        JsonNode causes = ines.get(inspection + "/causes?also=wavy").json();
        assertThat(causes.get("defects")).hasSize(2);
        assertThat(with(causes.get("defects"), "situation", "wavy").has("entry"))
                .isFalse();
        assertThat(ines.get(inspection + "/causes?also=ugly").expect(422).detail())
                .contains("wavy, tie-in");
    }

    @Test
    void aChangeThatDidNotHelpIsSeenAtTheWeldersNextWeld() {
        String inspection = slag("CS-3");
        coldPass(inspection);
        String trial = inspection + "/trials/" + UUID.randomUUID();
        ines.put(trial, "{'cause':'current-low','trouble':'slag','words':'amps from 80 to 130'}")
                .expect(200);
        assertThat(ines.put(trial + "/outcome", "{'nextMark':'CS-4'}")
                        .expect(422)
                        .detail())
                .contains("better, the same or worse");
        JsonNode after = ines.put(trial + "/outcome", "{'nextMark':'CS-4','showed':'SAME','note':'slag again'}")
                .expect(200)
                .json();
        JsonNode low = with(after.get("defects").get(0).get("causes"), "id", "current-low");
        assertThat(low.get("speaksAgainst").toString()).contains("amps from 80 to 130, after CS-3: CS-4 was no better");
        assertThat(ines.put(trial, "{'cause':'current-low','trouble':'slag','words':'something else'}")
                        .expect(409)
                        .detail())
                .contains("noted already");
        assertThat(ines.put(
                                inspection + "/trials/" + UUID.randomUUID(),
                                "{'cause':'gremlins','trouble':'slag','words':'x'}")
                        .expect(422)
                        .detail())
                .contains("cause");
    }

    @Test
    void aSpecimenIsJudgedAndCanBeTakenOff() {
        String inspection = ines.inspection("CS-5");
        String test = inspection + "/tests/" + UUID.randomUUID();
        JsonNode bent = ines.put(
                        test,
                        "{'kind':'bend','specimen':'root bend 1','openings':['1/8','3/32'],'corners':[],'lookedOver':true}")
                .expect(200)
                .json()
                .get("tests")
                .get(0);
        assertThat(bent.get("verdict").asString()).isEqualTo("accept");
        JsonNode blank = ines.put(
                        inspection + "/tests/" + UUID.randomUUID(), "{'kind':'root-bend','specimen':'root bend 2'}")
                .expect(200)
                .json()
                .get("tests")
                .get(1);
        assertThat(blank.get("verdict").asString()).as("nobody looked").isEqualTo("incomplete");
        assertThat(ines.delete(test)
                        .expect(200)
                        .json()
                        .get("tests")
                        .get(0)
                        .get("withdrawn")
                        .asBoolean())
                .isTrue();
        ines.post(test + "/restore", "").expect(200);
        JsonNode broken = ines.put(
                        inspection + "/tests/" + UUID.randomUUID(),
                        "{'kind':'fillet-break','specimen':'break 1','fullFusion':false,'largest':'0','sum':'0'}")
                .expect(200)
                .json()
                .get("tests")
                .get(2);
        assertThat(broken.get("verdict").asString()).isEqualTo("reject");
        assertThat(ines.put(
                                inspection + "/tests/" + UUID.randomUUID(),
                                "{'kind':'macro','specimen':'m','undercut':'a bit'}")
                        .expect(422)
                        .detail())
                .startsWith("undercut: ");
        assertThat(ines.put(inspection + "/tests/" + UUID.randomUUID(), "{'kind':'bend','openings':[]}")
                        .expect(422)
                        .detail())
                .contains("specimen");
    }

    @Test
    void thePageForTheWelderSaysOneThingToChangeAndARatingStandsApart() {
        String inspection = slag("CS-6");
        coldPass(inspection);
        JsonNode note = ines.get(inspection + "/note").json();
        assertThat(note.get("seen").get(0).get("why").asString()).contains("Too cold");
        assertThat(note.get("change").get("cause").asString()).contains("Too cold");
        assertThat(note.get("ratings")).isEmpty();
        String points = "'points':{'profile':2,'toes':2,'uniformity':1,'tie-ins':1,'cleaning':1,'defects':0}";
        assertThat(ines.put(inspection + "/rating", "{" + points + ",'firstReason':'even face'}")
                        .expect(422)
                        .detail())
                .contains("secondReason");
        JsonNode rated = ines.put(
                        inspection + "/rating",
                        "{" + points + ",'firstReason':'even face','secondReason':'slag at the toes'}")
                .expect(200)
                .json();
        assertThat(rated.get("ratings").get(0).get("sum").asInt()).isEqualTo(7);
        JsonNode second = RunningMensor.as("tomas")
                .put(
                        inspection + "/rating",
                        "{" + points.replace("'toes':2", "'toes':1")
                                + ",'firstReason':'even face','secondReason':'toes not wetted'}")
                .expect(200)
                .json()
                .get("ratings");
        assertThat(second.valueStream().map(r -> r.get("sum").asInt()))
                .as("each rater's own stands beside the other's")
                .containsExactly(7, 6);
        assertThat(second.valueStream().map(r -> r.get("own").asBoolean())).containsExactly(false, true);
        assertThat(rated.get("verdict").asString())
                .isEqualTo(note.get("verdict").asString());
        assertThat(ines.put(inspection + "/rating", "{'points':{'toes':3},'firstReason':'a','secondReason':'b'}")
                        .expect(422)
                        .detail())
                .contains("profile");
    }

    @Test
    void aSignedInspectionCountsOnceWithItsLengthAndItsPlaces() {
        JsonNode before = ines.get("/api/reject-rates?by=welder").json();
        String inspection = slag("CS-7");
        ines.sign(inspection, "reject").expect(200);
        JsonNode rejectRates = ines.get("/api/reject-rates?by=welder").json();
        long wasPlaces = sum(before, "places");
        assertThat(sum(rejectRates, "places")).isEqualTo(wasPlaces + 1);
        assertThat(sum(rejectRates, "welds")).isEqualTo(sum(before, "welds") + 1);
        ines.post(inspection + "/amend", "{'reason':'read again'}").expect(200);
        assertThat(sum(ines.get("/api/reject-rates?by=welder").json(), "welds")).isEqualTo(sum(rejectRates, "welds"));
        assertThat(ines.get("/api/reject-rates?by=shoe-size").expect(422).detail())
                .contains("welder, procedure");
        assertThat(ines.get("/api/reject-rates/one?by=welder&key=nobody")
                        .expect(404)
                        .detail())
                .contains("no signed inspection");
        JsonNode row = rejectRates.get("rows").get(0);
        String key = row.has("key") ? "&key=" + row.get("key").asString() : "";
        JsonNode one = ines.get("/api/reject-rates/one?by=welder" + key).json();
        assertThat(one.get("trend")).isNotEmpty();
        assertThat(one.get("row").get("low").asDouble())
                .isLessThanOrEqualTo(one.get("row").get("per100").asDouble());
        assertThat(RunningMensor.as("vera").get("/api/reject-rates").expect(403).detail())
                .contains("viewer");
    }

    private static long sum(JsonNode rejectRates, String field) {
        long sum = 0;
        for (JsonNode r : rejectRates.get("rows")) {
            sum += r.get(field).asLong();
        }
        return sum;
    }
}
