package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Jobs, procedures, welders, gauges and the inspectors' papers. */
@ExtendWith(RunningMensor.class)
class ShopTest {
    private static final String WPS =
            "{'format':'mensor-procedure/1','number':'%s','revision':'A','units':'in','welds':['fillet'],'thickest':'1','positions':['2F'],'steel':'a36-type','preheatF':50,"
                    + "'passes':[{'kind':'root','electrode':'E7018','diameter':'1/8','amps':[115,140]}]}";

    private final TestBrowser ines = RunningMensor.as("ines");
    private final TestBrowser wanda = RunningMensor.as("wanda");
    private final TestBrowser quinn = RunningMensor.as("quinn");

    private static String field(TestBrowser.Answer refused) {
        return refused.json().get("errors").get(0).get("field").asString();
    }

    @Test
    void aJobHoldsBookUnitsTestsAndLots() {
        JsonNode job = ines.post(
                        "/api/jobs",
                        "{'name':'Shop job 1','criteria':'d1.1-static','units':'mm','tests':[{'method':'MT','percent':10,'status':'due'},{'method':'UT','status':'done'}],'lots':['Deck'],"
                                + "'drawings':[{'number':'D-1','revision':'B'}]}")
                .expect(200)
                .json();
        assertThat(job.get("welds").asInt()).isZero();
        String body = TestBrowser.newJoint("S-1")
                .replace("'Footbridge'", "'Shop job 1'")
                .replace("'criteria':'d1.1-static','units':'in',", "")
                .replace("'length':'24','size':'5/16'", "'length':'300','size':'8'")
                .replace("'3/8'", "'10'")
                .replace("'3/4'", "'20'");
        String inspection = "/api/inspections/"
                + ines.post("/api/joints", body)
                        .expect(200)
                        .json()
                        .get("inspectionId")
                        .asString();
        JsonNode bench = ines.get(inspection).json();
        assertThat(bench.get("joint").get("units").asString()).isEqualTo("mm");
        assertThat(bench.get("due").toString()).isEqualTo("[\"MT 10%\"]");
        String path = "/api/jobs/" + job.get("id").asString();
        assertThat(field(ines.put(
                                path,
                                "{'version':0,'form':{'name':'Shop job 1','criteria':'d1.1-static','units':'in'}}")
                        .expect(422)))
                .isEqualTo("criteria");
        ines.put(path, "{'version':7,'form':{'name':'Shop job 1','criteria':'d1.1-static','units':'mm'}}")
                .expect(409);
        assertThat(field(ines.post("/api/joints", body.replace("'S-1'", "'S-2'").replace("'lot'", "'units':'in','lot'"))
                        .expect(422)))
                .isEqualTo("units");
    }

    @Test
    void jobsThatCannotBeAreRefusedByField() {
        assertThat(field(ines.post("/api/jobs", "{'criteria':'d1.1-static','units':'in'}")
                        .expect(422)))
                .isEqualTo("name");
        assertThat(field(ines.post("/api/jobs", "{'name':'Shop job 2','criteria':'none','units':'in'}")
                        .expect(422)))
                .isEqualTo("criteria");
        assertThat(field(ines.post(
                                "/api/jobs",
                                "{'name':'Shop job 2','criteria':'d1.1-static','units':'in','tests':[{'method':'smell'}]}")
                        .expect(422)))
                .isEqualTo("tests[0].method");
        assertThat(field(ines.post(
                                "/api/jobs",
                                "{'name':'Shop job 2','criteria':'d1.1-static','units':'in','apart':'far'}")
                        .expect(422)))
                .isEqualTo("apart");
        RunningMensor.as("rufus")
                .post("/api/jobs", "{'name':'Shop job 2','criteria':'d1.1-static','units':'in'}")
                .expect(403);
    }

    @Test
    void aUsedRevisionIsFrozenAndANewOneIsNot() {
        String form = WPS.formatted("S-W1");
        ines.post("/api/procedures", form).expect(403);
        JsonNode wps = wanda.post("/api/procedures", form).expect(200).json();
        String path = "/api/procedures/" + wps.get("id").asString();
        wanda.put(path, "{'version':0,'form':" + form.replace("[115,140]", "[115,135]") + "}")
                .expect(200);
        ines.post("/api/joints", TestBrowser.newJoint("S-W1").replace("'welder'", "'wps':'S-W1','welder'"))
                .expect(200);
        assertThat(wanda.get(path).json().get("used").asInt()).isEqualTo(1);
        assertThat(wanda.put(path, "{'version':1,'form':" + form + "}")
                        .expect(409)
                        .detail())
                .contains("frozen");
        assertThat(field(wanda.post("/api/procedures", form).expect(422))).isEqualTo("revision");
        wanda.post("/api/procedures", form.replace("'revision':'A'", "'revision':'B'"))
                .expect(200);
        assertThat(ines.get("/api/joints/preview").status()).isNotEqualTo(500);
    }

    @Test
    void breachesAreShownWithTheirArithmeticAndAFileComesBackAsItWent() {
        String bad =
                WPS.formatted("S-W2").replace("'preheatF':50", "'preheatF':40").replace("[115,140]", "[100,140]");
        JsonNode preview =
                wanda.post("/api/procedures/preview", bad).expect(200).json();
        assertThat(preview.get("breaches").valueStream().map(b -> b.get("field").asString()))
                .containsExactly("passes[0].amps", "preheatF");
        assertThat(preview.get("breaches").get(1).get("line").asString()).contains("10 °F short", "category B");
        JsonNode wps = wanda.post("/api/procedures", bad).expect(200).json();
        String document = wanda.get("/api/procedures/" + wps.get("id").asString() + "/document")
                .expect(200)
                .text();
        assertThat(document).contains("\"format\":\"mensor-procedure/1\"");
        assertThat(wanda.post("/api/procedures/preview", "{'format':'mensor-procedure/1','units':'in'}")
                        .json()
                        .get("problems")
                        .get(0)
                        .get("field")
                        .asString())
                .isEqualTo("number");
    }

    @Test
    void theRedLineOfAWelderAndOfAProcedureStandAtSetUp() {
        LocalDate today = LocalDate.now();
        quinn.put(
                        "/api/welders",
                        "{'form':{'stamp':'SX1','name':'A. Welder','tests':[{'group':4,'position':'2F','backing':false,'tested':'"
                                + today.minusYears(1) + "','lastUsed':'" + today.minusDays(5) + "'}]}}")
                .expect(200);
        wanda.post("/api/procedures", WPS.formatted("S-W3")).expect(200);
        String joint = TestBrowser.newJoint("S-3").replace("'welder':'K7'", "'welder':'SX1','wps':'S-W3 rev A'");
        assertThat(ines.post("/api/joints/preview", joint.replace("'length'", "'position':'2F','length'"))
                        .expect(200)
                        .json()
                        .get("redLines"))
                .isEmpty();
        JsonNode lines = ines.post("/api/joints/preview", joint.replace("'length'", "'position':'4F','length'"))
                .expect(200)
                .json()
                .get("redLines");
        assertThat(lines.toString())
                .contains("position 4F is not among those of S-W3 rev A: 2F", "position 4F, tested in 2F");
        assertThat(field(quinn.put("/api/welders", "{'form':{'stamp':'SX1','name':'Again','tests':[]}}")
                        .expect(422)))
                .isEqualTo("stamp");
        ines.put("/api/welders", "{'form':{'stamp':'SX2','name':'B','tests':[]}}")
                .expect(403);
    }

    @Test
    void aGaugeFoundOutListsWhatItTouchedAndMakesAInspectionNotReady() {
        UUID id = UUID.randomUUID();
        String gauge = "{'form':{'name':'SG 1','kind':'undercut gauge','division':'1/64','serial':'1','due':'"
                + LocalDate.now().plusDays(1) + "'%s}%s}";
        quinn.put("/api/gauges/" + id, gauge.formatted("", "")).expect(200);
        ines.put("/api/kit", "['" + id + "']").expect(200);
        String inspection = ines.inspection("SG-1");
        ines.sound(inspection);
        JsonNode used = ines.put(inspection + "/conditions", "{'gauges':['" + id + "']}")
                .expect(200)
                .json();
        assertThat(used.get("evaluation").get("verdict").asString()).isEqualTo("accept");
        String other = ines.inspection("SG-2");
        ines.add(other, "INDICATION", "'kind':'crack','at':'3'").expect(200);
        ines.add(other, "READING", "'at':'3','legA':'1/4','gauge':'SG 1'").expect(200);
        String signed = ines.inspection("SG-3");
        ines.sound(signed);
        ines.put(signed + "/conditions", "{'gauges':['" + id + "']}").expect(200);
        ines.sign(signed, "accept").expect(200);
        quinn.put("/api/gauges/" + id, gauge.formatted(",'foundOut':'" + LocalDate.now() + "'", ",'version':0"))
                .expect(200);
        assertThat(quinn.get("/api/gauges/" + id + "/records")
                        .expect(200)
                        .json()
                        .valueStream()
                        .map(r -> r.get("mark").asString()))
                .containsExactly("SG-1", "SG-2", "SG-3");
        assertThat(ines.get(inspection).json().get("evaluation").get("verdict").asString())
                .isEqualTo("incomplete");
        assertThat(ines.get(signed).json().get("evaluation").get("verdict").asString())
                .as("a signature stands")
                .isEqualTo("accept");
        assertThat(ines.put("/api/kit", "['" + id + "']").expect(422).detail()).contains("found out of calibration");
    }

    @Test
    void papersThatRanOutDoNotSign() {
        quinn.post(
                        "/api/people",
                        "{'login':'sp.one','name':'Sid Pane','roles':['INSPECTOR'],'certificate':'QC-1','password':'lock-bridge-12'}")
                .expect(200);
        TestBrowser sid = RunningMensor.browser();
        sid.signIn("sp.one", "lock-bridge-12").expect(200);
        String inspection = sid.inspection("SP-1");
        sid.sound(inspection);
        String papers = "/api/people/"
                + quinn.get("/api/people/papers")
                        .json()
                        .valueStream()
                        .filter(p -> p.get("person").get("login").asString().equals("sp.one"))
                        .findFirst()
                        .orElseThrow()
                        .get("person")
                        .get("id")
                        .asString()
                + "/papers";
        quinn.put(
                        papers,
                        "{'certificate':'QC-1','certificateUntil':'"
                                + LocalDate.now().minusDays(1) + "','version':" + version(papers) + "}")
                .expect(200);
        assertThat(sid.sign(inspection, "accept").expect(403).detail()).contains("ran out");
        quinn.put(
                        papers,
                        "{'certificate':'QC-1','certificateUntil':'" + LocalDate.now() + "','eyeTestUntil':'"
                                + LocalDate.now().minusDays(1) + "','version':" + version(papers) + "}")
                .expect(200);
        assertThat(sid.sign(inspection, "accept").expect(403).detail()).contains("eye test");
        quinn.put(papers, "{'certificate':'QC-1','capacity':'verification','version':" + version(papers) + "}")
                .expect(200);
        assertThat(sid.sign(inspection, "accept").expect(403).detail()).contains("inspects for the owner");
        quinn.put(papers, "{'certificate':'QC-2','version':" + version(papers) + "}")
                .expect(200);
        sid.sign(inspection, "accept").expect(200);
        assertThat(sid.get(inspection)
                        .json()
                        .get("signature")
                        .get("certificate")
                        .asString())
                .as("the paper on file at the signature, not that of the session's beginning")
                .isEqualTo("QC-2");
    }

    private long version(String papers) {
        return quinn.get("/api/people/papers")
                .json()
                .valueStream()
                .filter(p -> papers.contains(p.get("person").get("id").asString()))
                .findFirst()
                .orElseThrow()
                .get("papers")
                .get("version")
                .asLong();
    }

    @Test
    void theOwnersInspectionIsARecordOfItsOwn() {
        String inspection = ines.inspection("SV-1");
        ines.sound(inspection);
        String joint = ines.jointOf(inspection);
        String second = "/api/inspections/"
                + ines.post("/api/joints/" + joint + "/verification", null)
                        .expect(200)
                        .json()
                        .get("inspectionId")
                        .asString();
        ines.post("/api/joints/" + joint + "/verification", null).expect(409);
        assertThat(ines.get(second).json().get("entries")).isEmpty();
        ines.sound(second);
        assertThat(ines.sign(second, "accept").expect(422).detail()).contains("verification (for the owner)");
        long version = ines.get(second).json().get("version").asLong();
        ines.post(second + "/sign", "{'version':" + version + ",'verdict':'accept','capacity':'verification'}")
                .expect(200);
        ines.sign(inspection, "accept").expect(200);
        assertThat(ines.post(inspection + "/sign", "{'version':9,'verdict':'accept','capacity':'QC'}")
                        .status())
                .as("nothing is signed twice")
                .isEqualTo(409);
    }

    @Test
    void aHandoverSaysWhoLookedWhere() {
        String inspection = ines.inspection("SH-1");
        ines.add(inspection, "READING", "'at':'3','legA':'5/16','legB':'5/16'").expect(200);
        String tomas = ines.get("/api/people")
                .json()
                .valueStream()
                .filter(p -> p.get("login").asString().equals("tomas"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asString();
        ines.post(inspection + "/handover", "{'to':'" + tomas + "','inspectedFrom':'0','inspectedTo':'30'}")
                .expect(422);
        ines.post(
                        inspection + "/handover",
                        "{'to':'" + tomas + "','note':'shift ends','inspectedFrom':'0','inspectedTo':'12'}")
                .expect(200);
        RunningMensor.as("tomas")
                .add(inspection, "INDICATION", "'kind':'porosity','at':'20','diameter':'1/32'")
                .expect(200);
        JsonNode bench = ines.get(inspection).json();
        assertThat(bench.get("handovers").get(0).get("inspected").asString()).isEqualTo("0–12");
        assertThat(bench.get("seenBy").valueStream().map(s -> s.get("stretch").asString()))
                .containsExactly("3", "20");
    }
}
