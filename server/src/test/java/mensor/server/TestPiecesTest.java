package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A welder's test piece from plate to range: looked at, cut by plan, bent, decided, written into the welder's tests. */
@ExtendWith(RunningMensor.class)
class TestPiecesTest {
    private final TestBrowser ines = RunningMensor.as("ines");
    private final TestBrowser quinn = RunningMensor.as("quinn");

    private JsonNode piece(String mark, String stamp) {
        return ines.post(
                        "/api/joints",
                        "{'job':'Plates " + mark + "','lot':'T','criteria':'d1.1-welder-test','units':'in','welder':'"
                                + stamp + "','joint':{'mark':'" + mark
                                + "','weld':'groove','connection':'butt','length':'7','penetration':'cjp','position':'3G','backing':true,"
                                + "'members':[{'thickness':'3/8'},{'thickness':'3/8'}]}}")
                .expect(200)
                .json();
    }

    private JsonNode open(String joint) {
        return ines.get("/api/joints/" + joint + "/test-piece").expect(200).json();
    }

    private JsonNode bend(String joint, String kind, String opening) {
        return ines.put(
                        "/api/joints/" + joint + "/test-piece/specimens/" + UUID.randomUUID(),
                        "{'kind':'" + kind + "','specimen':'" + kind + " 1','openings':[" + opening
                                + "],'lookedOver':true}")
                .expect(200)
                .json();
    }

    private void signed(JsonNode created) {
        String inspection = "/api/inspections/" + created.get("inspectionId").asString();
        ines.nothingSeen(inspection);
        ines.add(inspection, "READING", "'at':'3','reinforcement':'1/16','offset':'0','division':'1/64'")
                .expect(200);
        ines.add(inspection, "READING", "'at':'5','reinforcement':'1/16','offset':'0','division':'1/64'")
                .expect(200);
        ines.sign(inspection, "accept").expect(200);
    }

    @Test
    void fromPlateToRange() {
        String failed = "/api/pieces/" + UUID.randomUUID();
        ines.put(
                        failed,
                        "{'form':{'kind':'groove-plate','purpose':'qualification','units':'in','welder':'Q1','settings':{'position':'3G'}}}")
                .expect(200);
        ines.put(
                        failed + "/specimens/" + UUID.randomUUID(),
                        "{'kind':'root-bend','specimen':'root bend 1','openings':['1/4'],'lookedOver':true}")
                .expect(200);
        JsonNode created = piece("TP-1", "Q1");
        String joint =
                ines.jointOf("/api/inspections/" + created.get("inspectionId").asString());
        assertThat(created.path("redLines").toString())
                .as("it is what qualifies")
                .doesNotContain("qualif");
        JsonNode fresh = open(joint);
        assertThat(fresh.get("cuts")).hasSize(2);
        assertThat(fresh.get("decision").asString()).isEqualTo("incomplete");
        assertThat(fresh.get("bend").get("elongation").asDouble()).isEqualTo(20.0);
        ines.made(joint, "PASS", "'kind':'root','electrode':'E7018','diameter':'1/8','amps':120")
                .expect(200);
        bend(joint, "root-bend", "'1/16'");
        assertThat(open(joint).get("lines").toString()).contains("face bend: 0 of 1 tested");
        bend(joint, "face-bend", "");
        ines.post("/api/joints/" + joint + "/test-piece/qualification", "").expect(409);
        signed(created);
        JsonNode accepted = open(joint);
        assertThat(accepted.get("decision").asString()).isEqualTo("accept");
        assertThat(accepted.get("qualifies").get("thickest").asString()).isEqualTo("3/4 in");
        assertThat(accepted.get("qualifies").get("ready").asBoolean()).isTrue();
        assertThat(quinn.post("/api/joints/" + joint + "/test-piece/qualification", "")
                        .expect(409)
                        .text())
                .contains("not on record");
        quinn.put("/api/welders", "{'form':{'stamp':'Q1','name':'Quentin Ash','tests':[]},'version':null}")
                .expect(200);
        ines.post("/api/joints/" + joint + "/test-piece/qualification", "").expect(403);
        assertThat(quinn.post("/api/joints/" + joint + "/test-piece/qualification", "")
                        .expect(200)
                        .json()
                        .get("qualifies")
                        .get("written")
                        .asBoolean())
                .isTrue();
        assertThat(ines.get(failed).json().get("retest").asString()).startsWith("0 of 2");
        ines.post("/api/joints/" + joint + "/test-piece/piece", "{}").expect(200);
        assertThat(ines.get(failed).json().get("retest").asString()).startsWith("1 of 2");
        String welders = quinn.get("/api/welders").expect(200).text();
        assertThat(welders).contains("\"position\":\"3G\"").contains("\"thickest\":\"3/4 in\"");
    }

    @Test
    void whatLooksGoodAndBreaksBadlyStandsOut() {
        JsonNode created = piece("TP-2", "Q2");
        String joint =
                ines.jointOf("/api/inspections/" + created.get("inspectionId").asString());
        signed(created);
        bend(joint, "face-bend", "");
        JsonNode broke = bend(joint, "root-bend", "'5/32'");
        assertThat(broke.get("decision").asString()).isEqualTo("reject");
        assertThat(broke.get("lesson").asBoolean()).isTrue();
        String specimen = broke.get("tests").get(1).get("id").asString();
        JsonNode off = ines.delete("/api/joints/" + joint + "/test-piece/specimens/" + specimen)
                .expect(200)
                .json();
        assertThat(off.get("decision").asString()).isEqualTo("incomplete");
        ines.post("/api/joints/" + joint + "/test-piece/specimens/" + specimen + "/restore", "")
                .expect(200);
        assertThat(ines.get("/api/test-pieces").expect(200).text())
                .contains("TP-2")
                .contains("\"lesson\":true");
        RunningMensor.as("vera").get("/api/joints/" + joint + "/test-piece").expect(403);
    }
}
