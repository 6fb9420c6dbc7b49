package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** One person of a small shop holds several roles; what one did in two roles is marked, and a job may keep hands apart. */
@ExtendWith(RunningMensor.class)
class SeveralRolesTest {
    private final TestBrowser quinn = RunningMensor.as("quinn");

    /** A person with the first roles given. */
    private TestBrowser person(String login, String roles) {
        quinn.post(
                        "/api/people",
                        "{'login':'" + login + "','name':'" + login + "','roles':[" + roles + "],'password':'"
                                + RunningMensor.PASSWORD + "'}")
                .expect(200);
        return RunningMensor.as(login);
    }

    private JsonNode papers(String login) {
        for (JsonNode p : quinn.get("/api/people/papers").expect(200).json()) {
            if (p.get("person").get("login").asString().equals(login)) {
                return p;
            }
        }
        throw new AssertionError(login);
    }

    private TestBrowser.Answer hold(String login, String roles) {
        JsonNode p = papers(login);
        return quinn.put(
                "/api/people/" + p.get("person").get("id").asString() + "/roles",
                "{'roles':[" + roles + "],'version':" + p.get("papers").get("version") + "}");
    }

    private static String rejected(TestBrowser by, String mark, String job) {
        String inspection = "/api/inspections/"
                + by.post("/api/joints", TestBrowser.newJoint(mark).replace("Footbridge", job))
                        .expect(200)
                        .json()
                        .get("inspectionId")
                        .asString();
        by.sound(inspection);
        by.add(inspection, "INDICATION", "'kind':'undercut','toe':'A','from':'2','to':'3','depth':'1/8'")
                .expect(200);
        by.sign(inspection, "reject").expect(200);
        return inspection;
    }

    private static String defect(TestBrowser by, String inspection) {
        return "/api/defects/"
                + by.get(inspection + "/defects")
                        .expect(200)
                        .json()
                        .get("defects")
                        .get(0)
                        .get("id")
                        .asString();
    }

    @Test
    void aRoleGivenOrTakenWorksAtOnceInALiveSession() {
        TestBrowser una = person("una", "'REPAIR_LEAD'");
        una.post("/api/joints", TestBrowser.newJoint("TR-1")).expect(403);
        hold("una", "'REPAIR_LEAD','INSPECTOR'").expect(200);
        assertThat(una.get("/api/session").json().get("person").get("roles").toString())
                .isEqualTo("[\"INSPECTOR\",\"REPAIR_LEAD\"]");
        una.post("/api/joints", TestBrowser.newJoint("TR-1")).expect(200);
        hold("una", "'REPAIR_LEAD'").expect(200);
        una.post("/api/joints", TestBrowser.newJoint("TR-2")).expect(403);
    }

    @Test
    void aViewerHoldsNoOtherRoleAndSomebodyStaysQualityManager() {
        person("vito", "'VIEWER'");
        assertThat(hold("vito", "'VIEWER','INSPECTOR'").expect(422).detail()).contains("no other role");
        assertThat(hold("vito", "").expect(422).detail()).contains("a role is required");
        assertThat(hold("quinn", "'INSPECTOR'").expect(422).detail()).contains("nobody else is quality manager");
        RunningMensor.as("ines")
                .put("/api/people/" + papers("vito").get("person").get("id").asString() + "/roles", "{'roles':[]}")
                .expect(403);
    }

    @Test
    void aJobKeepsInspectionAndRepairInDifferentHandsUnlessItSaysOtherwise() {
        TestBrowser one = person("ondra", "'INSPECTOR','REPAIR_LEAD'");
        String inspection = rejected(one, "TR-3", "Footbridge");
        String defect = defect(one, inspection);
        assertThat(one.put(defect + "/disposition", "{'decision':'add-metal'}")
                        .expect(403)
                        .detail())
                .contains("ondra signed an inspection of this weld", "different hands");
        TestBrowser rufus = RunningMensor.as("rufus");
        rufus.put(defect + "/disposition", "{'decision':'add-metal'}").expect(200);
        assertThat(one.put(defect + "/steps/extent-known", "{'from':'1','to':'4'}")
                        .expect(403)
                        .detail())
                .contains("different hands");
    }

    @Test
    void whoDecidedARepairDoesNotReinspectItWhereHandsAreKeptApart() {
        TestBrowser two = person("otto", "'INSPECTOR','REPAIR_LEAD'");
        String inspection = rejected(RunningMensor.as("ines"), "TR-4", "Footbridge");
        String defect = defect(two, inspection);
        repairedBy(two, defect);
        assertThat(two.post(inspection + "/re-inspection", "{}").expect(403).detail())
                .contains("otto decided the disposition of NC-", "recorded the repair of NC-");
        RunningMensor.as("tomas").post(inspection + "/re-inspection", "{}").expect(200);
    }

    @Test
    void whatOnePersonDidInTwoRolesStandsOnTheRecord() {
        quinn.post("/api/jobs", "{'name':'One-person shop','criteria':'d1.1-static','units':'in','oneHand':true}")
                .expect(200);
        TestBrowser sole = person("solveig", "'INSPECTOR','REPAIR_LEAD','WELDING_ENGINEER'");
        String inspection = rejected(sole, "TR-5", "One-person shop");
        assertThat(sole.get(inspection).json().get("evaluation").get("notes").toString())
                .doesNotContain("two roles");
        repairedBy(sole, defect(sole, inspection));
        String again = "/api/inspections/"
                + sole.post(inspection + "/re-inspection", "{}")
                        .expect(200)
                        .json()
                        .get("inspectionId")
                        .asString();
        sole.put(
                        again + "/conditions",
                        "{'cleaned':true,'ambient':true,'coated':false,'light':true,'near':true,"
                                + "'inCalibration':true,'reverseFace':true,'groundPlaces':true}")
                .expect(200);
        sole.add(again, "READING", "'from':'1','to':'4','atLeast':'5/16'").expect(200);
        for (String c : TestBrowser.CLEARABLE) {
            sole.add(again, "CLEAR", "'criterion':'" + c + "'");
        }
        sole.sign(again, "accept").expect(200);
        String notes = sole.get(again).json().get("evaluation").get("notes").toString();
        assertThat(notes)
                .contains("One person in two roles: solveig inspected and signed")
                .contains("decided the disposition of NC-", "recorded the repair of NC-");
    }

    private static void repairedBy(TestBrowser by, String defect) {
        by.put(defect + "/disposition", "{'decision':'add-metal'}").expect(200);
        JsonNode holds = by.get(defect).expect(200).json().get("defect").get("holds");
        for (JsonNode hold : holds) {
            RunningMensor.as("wanda")
                    .putBytes(
                            defect + "/holds/" + hold.get("kind").asString()
                                    + "/document?number=MC-1&engineer=P.%20Quill&date=2026-01-05&name=mill.pdf",
                            "%PDF-1.4 a document".getBytes(java.nio.charset.StandardCharsets.US_ASCII))
                    .expect(200);
        }
        by.put(defect + "/steps/extent-known", "{'from':'1','to':'4'}").expect(200);
        by.put(defect + "/steps/excavated", "{'from':'1','to':'4','method':'wheel','depth':'1/16'}")
                .expect(200);
        by.put(defect + "/steps/cavity-accepted", "{'clean':true,'seenBy':'the foreman'}")
                .expect(200);
        by.put(
                        defect + "/steps/welded",
                        "{'welder':'K7','rod':'E7018','diameter':'1/8','rods':1,'preheat':80,'weldedAt':'"
                                + java.time.Instant.now() + "'}")
                .expect(200);
        by.put(defect + "/steps/ready-to-inspect", "{'cleaned':true,'cooled':true}")
                .expect(200);
    }
}
