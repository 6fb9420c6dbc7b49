package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningMensor.class)
class WeldingRecordTest {
    private final TestBrowser ines = RunningMensor.as("ines");

    private static String verdict(JsonNode bench, String criterion) {
        return bench.get("evaluation")
                .get("findings")
                .valueStream()
                .filter(f -> f.get("id").asString().equals(criterion))
                .findFirst()
                .orElseThrow()
                .get("verdict")
                .asString();
    }

    private void fittedWell(String joint) {
        for (String q : new String[] {"scale-off", "tacks", "square", "tight-elsewhere"}) {
            ines.made(joint, "FIT_UP_ANSWER", "'question':'" + q + "','asWanted':true")
                    .expect(200);
        }
    }

    @Test
    void aGapRaisesTheLegAndTheFinalInspectionAsksForIt() {
        String inspection = ines.inspection("M1");
        String joint = ines.jointOf(inspection);
        ines.made(joint, "FIT_UP", "'from':'10','to':'14','opening':'1/8'").expect(200);
        fittedWell(joint);
        JsonNode fitUp = ines.get("/api/joints/" + joint + "/welding-record")
                .expect(200)
                .json()
                .get("fitUp");
        assertThat(fitUp.get("verdict").asString()).isEqualTo("accept");
        assertThat(fitUp.get("raised").get(0).asString()).isEqualTo("5/16 + gap 1/8 = leg 7/16 in along 10–14");
        ines.sound(inspection);
        assertThat(verdict(ines.get(inspection).json(), "size"))
                .as("a 5/16 blade along the gap is not enough")
                .isNotEqualTo("accept");
        ines.add(inspection, "READING", "'from':'10','to':'14','atLeast':'7/16'")
                .expect(200);
        assertThat(verdict(ines.get(inspection).json(), "size")).isEqualTo("accept");
        assertThat(ines.get(inspection).json().get("strip").get("gaps")).hasSize(1);
    }

    @Test
    void aGapBeyondTheLimitStopsTheJointUntilItIsTakenOff() {
        String joint = ines.jointOf(ines.inspection("M2"));
        UUID id = UUID.randomUUID();
        String path = "/api/joints/" + joint + "/welding-record/entries/" + id;
        JsonNode made = ines.put(path, "{'kind':'FIT_UP','content':{'at':'12','opening':'1/4'}}")
                .expect(200)
                .json();
        assertThat(made.get("fitUp").get("stops").asBoolean()).isTrue();
        assertThat(made.get("fitUp").get("items").get(0).get("reason").asString())
                .contains("1/16 in over", "stops here", "Engineer");
        JsonNode off = ines.delete(path + "?version=0").expect(200).json();
        assertThat(off.get("fitUp").get("stops").asBoolean()).isFalse();
        assertThat(ines.post(path + "/restore", null)
                        .expect(200)
                        .json()
                        .get("fitUp")
                        .get("stops")
                        .asBoolean())
                .isTrue();
    }

    @Test
    void aSignedInspectionKeepsItsFitUpButItsPassesMayGrow() {
        String inspection = ines.inspection("M3");
        ines.sound(inspection);
        ines.sign(inspection, "accept").expect(200);
        String joint = ines.jointOf(inspection);
        assertThat(ines.made(joint, "FIT_UP", "'at':'12','opening':'1/8'")
                        .expect(409)
                        .detail())
                .contains("signed");
        ines.made(joint, "PASS", "'kind':'root','electrode':'E7018','amps':120").expect(200);
        assertThat(ines.get(inspection).json().get("evaluation").get("verdict").asString())
                .isEqualTo("accept");
    }

    @Test
    void stackedStartsAndRemarksAreQuietMarksAtTheBench() {
        String inspection = ines.inspection("M4");
        String joint = ines.jointOf(inspection);
        ines.made(joint, "PASS", "'kind':'root','starts':['0','8'],'stops':['8','24']")
                .expect(200);
        ines.made(joint, "PASS", "'kind':'cap','starts':['0','8 1/2'],'stops':['8 1/2','24']")
                .expect(200);
        JsonNode made = ines.made(joint, "PROCESS", "'question':'slag-lines','asWanted':false,'from':'3','to':'5'")
                .expect(200)
                .json();
        assertThat(made.get("process")
                        .valueStream()
                        .filter(i -> i.get("verdict").asString().equals("reject"))
                        .map(i -> i.get("id").asString()))
                .containsExactly("slag-lines", "stagger");
        assertThat(ines.get(inspection)
                        .json()
                        .get("quiet")
                        .valueStream()
                        .map(m -> m.get("kind").asString()))
                .contains("start", "stop", "stacked", "remark");
    }

    @Test
    void anAnswerGivenAnewTakesThePlaceOfTheOldOne() {
        String joint = ines.jointOf(ines.inspection("M5"));
        ines.made(joint, "FIT_UP_ANSWER", "'question':'tacks','asWanted':false").expect(200);
        JsonNode made = ines.made(joint, "FIT_UP_ANSWER", "'question':'tacks','asWanted':true")
                .expect(200)
                .json();
        assertThat(made.get("entries")
                        .valueStream()
                        .filter(e -> !e.get("withdrawn").asBoolean()))
                .hasSize(1);
        assertThat(made.get("fitUp").get("stops").asBoolean()).isFalse();
    }

    @Test
    void whatCannotBeIsRefusedAtItsFieldAndNothingIsStored() {
        String joint = ines.jointOf(ines.inspection("M6"));
        assertThat(ines.made(joint, "FIT_UP", "'at':'30','opening':'1/8'")
                        .expect(422)
                        .json()
                        .get("errors")
                        .get(0)
                        .get("field")
                        .asString())
                .isEqualTo("at");
        ines.made(joint, "FIT_UP_ANSWER", "'question':'colour','asWanted':true").expect(422);
        ines.made(joint, "RODS", "'electrode':'E7018','outings':[{'out':'yesterday'}]")
                .expect(422);
        assertThat(ines.get("/api/joints/" + joint + "/welding-record").json().get("entries"))
                .isEmpty();
        RunningMensor.as("vera")
                .put(
                        "/api/joints/" + joint + "/welding-record/entries/" + UUID.randomUUID(),
                        "{'kind':'PASS','content':{}}")
                .expect(403);
    }

    @Test
    void twoPeopleAtOnePassAreToldApart() {
        String joint = ines.jointOf(ines.inspection("M7"));
        String path = "/api/joints/" + joint + "/welding-record/entries/" + UUID.randomUUID();
        ines.put(path, "{'kind':'PASS','content':{'amps':120}}").expect(200);
        ines.put(path, "{'kind':'PASS','content':{'amps':120}}").expect(200);
        ines.put(path, "{'kind':'PASS','content':{'amps':125},'version':0}").expect(200);
        assertThat(RunningMensor.as("tomas")
                        .put(path, "{'kind':'PASS','content':{'amps':130},'version':0}")
                        .expect(409)
                        .detail())
                .contains("changed this meanwhile");
    }

    @Test
    void theWaitOfADelayedSteelRunsByItself() {
        String body =
                TestBrowser.newJoint("M8").replace("'weld':'fillet'", "'weld':'fillet','grade':'A514','delayed':true");
        JsonNode created = ines.post("/api/joints", body).expect(200).json();
        String inspection = "/api/inspections/" + created.get("inspectionId").asString();
        String welded = "/api/joints/" + created.get("jointId").asString() + "/welding-record/welded";
        ines.put(inspection + "/conditions", TestBrowser.READY).expect(200);
        assertThat(verdict(ines.get(inspection).json(), "readiness")).isEqualTo("incomplete");
        Instant now = Instant.now().truncatedTo(ChronoUnit.SECONDS);
        ines.put(welded, "{'at':'" + now.minus(47, ChronoUnit.HOURS) + "'}").expect(200);
        assertThat(verdict(ines.get(inspection).json(), "readiness")).isEqualTo("incomplete");
        assertThat(ines.get(inspection)
                        .json()
                        .get("conditions")
                        .get("hoursSinceWelding")
                        .asDouble())
                .isEqualTo(47);
        assertThat(ines.get(inspection).json().get("next").asString()).matches("Wait (60|61) min more after welding");
        assertThat(ines.get("/api/joints?find=M8&group=all")
                        .json()
                        .get("rows")
                        .get(0)
                        .get("next")
                        .asString())
                .startsWith("Wait 6");
        ines.put(welded, "{'at':'" + now.minus(49, ChronoUnit.HOURS) + "'}").expect(200);
        assertThat(verdict(ines.get(inspection).json(), "readiness")).isEqualTo("accept");
        ines.put(welded, "{'at':'" + now.plus(2, ChronoUnit.HOURS) + "'}").expect(422);
    }

    /** Nobody touches the inspection when the wait ends; the worklist says all the same that it can be signed. */
    @Test
    void theWorklistKnowsWhenTheWaitIsOver() throws InterruptedException {
        String body =
                TestBrowser.newJoint("M8W").replace("'weld':'fillet'", "'weld':'fillet','grade':'A514','delayed':true");
        JsonNode created = ines.post("/api/joints", body).expect(200).json();
        String inspection = "/api/inspections/" + created.get("inspectionId").asString();
        Instant nearly = Instant.now()
                .truncatedTo(ChronoUnit.SECONDS)
                .minus(48, ChronoUnit.HOURS)
                .plusSeconds(8);
        ines.put(
                        "/api/joints/" + created.get("jointId").asString() + "/welding-record/welded",
                        "{'at':'" + nearly + "'}")
                .expect(200);
        ines.sound(inspection);
        assertThat(next("M8W")).startsWith("Wait");
        for (int i = 0; i < 60 && !next("M8W").startsWith("Sign"); i++) {
            Thread.sleep(1_000);
        }
        assertThat(next("M8W")).isEqualTo("Sign the accept");
    }

    private String next(String mark) {
        return ines.get("/api/joints?find=" + mark + "&group=all")
                .json()
                .get("rows")
                .get(0)
                .get("next")
                .asString();
    }

    @Test
    void rodsOutTooLongSpeakForTheConsumable() {
        String inspection = ines.inspection("M9");
        String joint = ines.jointOf(inspection);
        ines.add(inspection, "INDICATION", "'kind':'porosity','from':'8','to':'8 3/4','diameter':'3/32','count':5")
                .expect(200);
        ines.made(joint, "PASS", "'kind':'root','electrode':'E7018','diameter':'1/8','amps':125,'polarity':'DCEP'")
                .expect(200);
        Instant now = Instant.now().truncatedTo(ChronoUnit.SECONDS);
        JsonNode made = ines.made(
                        joint,
                        "RODS",
                        "'electrode':'E7018','outings':[{'out':'" + now.minus(7, ChronoUnit.HOURS) + "'}]")
                .expect(200)
                .json();
        assertThat(made.get("rods").get(0).get("over").asBoolean()).isTrue();
        assertThat(made.get("rods").get(0).get("shown").asString())
                .startsWith("7 h")
                .endsWith("of 4 h");
        assertThat(ines.get(inspection + "/causes").json().toString()).contains("the rods were out 7 h");
    }

    @Test
    void aPlanOfTheJointAsFittedUp() {
        String joint = ines.jointOf(ines.inspection("M10"));
        ines.made(joint, "FIT_UP", "'from':'10','to':'14','opening':'1/8'").expect(200);
        JsonNode plan =
                ines.post("/api/joints/" + joint + "/plan", "{}").expect(200).json();
        assertThat(plan.get("plan").get("stretches")).hasSize(2);
        assertThat(plan.get("rodsFrom").asString()).isEqualTo("nothing recorded: assumed");
        JsonNode changed = ines.post("/api/joints/" + joint + "/plan", "{'constants':{'runLength':'16'}}")
                .expect(200)
                .json();
        assertThat(changed.get("constants")
                        .valueStream()
                        .filter(c -> c.get("changed").asBoolean())
                        .map(c ->
                                c.get("name").asString() + " " + c.get("value").asString() + " "
                                        + c.get("unit").asString()))
                .containsExactly("runLength 16 in");
        assertThat(ines.post("/api/joints/" + joint + "/plan", "{'constants':{'runLength':'long'}}")
                        .expect(422)
                        .detail())
                .contains("constants.runLength", "long");
        assertThat(changed.get("plan").get("beads").size())
                .as("a longer run of a rod is a thinner bead")
                .isGreaterThan(plan.get("plan").get("beads").size());
        assertThat(ines.post("/api/joints/" + joint + "/plan", "{'constants':{'density':1}}")
                        .expect(422)
                        .detail())
                .contains("constants.density");
    }
}
