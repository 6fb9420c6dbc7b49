package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Test pieces of their own: a learner's series, drills, scores, the class, and the way to the bench. */
@ExtendWith(RunningMensor.class)
class PiecesTest {
    private final TestBrowser lea = RunningMensor.as("lea");
    private final TestBrowser noah = RunningMensor.as("noah");
    private final TestBrowser igor = RunningMensor.as("igor");
    private final TestBrowser ines = RunningMensor.as("ines");
    private String welder;

    @BeforeEach
    void aWelderOfItsOwn() {
        welder = "W" + UUID.randomUUID().toString().substring(0, 8);
    }

    private static final String BEAD = "'kind':'bead','purpose':'practice','units':'in'";

    private static String fresh() {
        return "/api/pieces/" + UUID.randomUUID();
    }

    private static TestBrowser.Answer put(TestBrowser who, String path, String form) {
        return who.put(path, "{'form':{" + form + "}}");
    }

    /** A rated piece of the test's own welder. */
    private String rated(String settings, int toes, String more) {
        String path = fresh();
        put(igor, path, BEAD + ",'welder':'" + welder + "','settings':{" + settings + "}" + more)
                .expect(200);
        igor.put(path + "/rating", points(toes)).expect(200);
        return path;
    }

    private static String points(int n) {
        return "{'points':{'profile':" + n + ",'toes':" + n + ",'uniformity':" + n + ",'tie-ins':" + n
                + ",'cleaning':1,'defects':1}}";
    }

    private JsonNode series() {
        return igor.get("/api/series/" + welder).expect(200).json();
    }

    @Test
    void aPhotoAndAScoreAloneAreAPiece() {
        String path = fresh();
        JsonNode piece = put(lea, path, BEAD).expect(200).json();
        assertThat(piece.get("form").get("welder").asString()).isEqualTo("lea");
        assertThat(piece.get("stage").asString()).isEqualTo("prepared");
        assertThat(piece.has("verdict")).as("nothing is there to judge it by").isFalse();
        lea.putBytes(path + "/photos/" + UUID.randomUUID(), PhotosTest.picture("png", 40, 20))
                .expect(200);
        JsonNode scored = igor.put(path + "/rating", points(1)).expect(200).json();
        assertThat(scored.get("score").asDouble()).isEqualTo(6);
        assertThat(scored.get("pictures")).hasSize(1);
        assertThat(scored.get("stage").asString()).isEqualTo("inspected");
        JsonNode twice = lea.put(path + "/rating", points(2)).expect(200).json();
        assertThat(twice.get("ratings")).as("each rater's own stands").hasSize(2);
        assertThat(twice.get("score").asDouble()).as("(6 + 10) ÷ 2").isEqualTo(8);
    }

    @Test
    void aLearnerSeesOwnPiecesAlone() {
        String hers = fresh();
        put(lea, hers, BEAD + ",'number':'L-own'").expect(200);
        assertThat(noah.get(hers).status()).isEqualTo(404);
        assertThat(noah.put(hers + "/rating", points(1)).status()).isEqualTo(404);
        assertThat(put(noah, hers, BEAD).status()).as("nor writes over it").isEqualTo(404);
        assertThat(noah.get("/api/series/lea").status()).isEqualTo(404);
        assertThat(noah.get("/api/pieces?find=L-own").json().get("rows")).isEmpty();
        assertThat(igor.get("/api/pieces?find=l-OWN").json().get("rows")).hasSize(1);
        assertThat(lea.get("/api/class").status()).isEqualTo(403);
        assertThat(lea.get("/api/joints?find=&group=").status()).isEqualTo(403);
        JsonNode asNoahs =
                put(noah, fresh(), BEAD + ",'welder':'lea'").expect(200).json();
        assertThat(asNoahs.get("form").get("welder").asString())
                .as("never in another's name")
                .isEqualTo("noah");
    }

    @Test
    void threePiecesWithOneChangeEachMakeASeriesThatLeadsSomewhere() {
        rated("'rod':'E7018','amps':'130'", 0, ",'made':'2026-03-01','faults':{'undercut':3}");
        rated("'rod':'E7018','amps':'120'", 1, ",'made':'2026-03-08','faults':{'undercut':1}");
        rated("'rod':'E7018','amps':'100'", 0, ",'made':'2026-03-15'");
        JsonNode s = series();
        assertThat(s.get("cards").valueStream().map(c -> c.get("step").asString()))
                .containsExactly("the first of the series", "amps 130 A to 120 A", "amps 120 A to 100 A");
        assertThat(s.get("best").asInt()).isEqualTo(1);
        assertThat(s.get("sinceBest").get(0).asString()).isEqualTo("amps 120 A to 100 A");
        assertThat(s.get("next").get("setting").asString()).isEqualTo("amps");
        assertThat(s.get("next").get("to").asString()).isEqualTo("120");
        assertThat(s.get("tried").get(0).get("gain").asDouble()).isEqualTo(4);
    }

    @Test
    void twoThingsChangedAtOnceAreSaidNotForbidden() {
        String a = rated("'rod':'E7018','amps':'130'", 1, ",'made':'2026-03-01'");
        String b = rated("'rod':'E6010','amps':'90'", 2, ",'made':'2026-03-02','faults':{'slag':2}");
        assertThat(series().get("cards").get(1).get("step").asString()).startsWith("2 things at once");
        JsonNode beside = igor.get(a + "/beside/" + b.substring("/api/pieces/".length()))
                .expect(200)
                .json();
        List<String> differing = beside.get("rows")
                .valueStream()
                .filter(r -> r.get("differs").asBoolean())
                .map(r -> r.get("title").asString())
                .toList();
        assertThat(differing).containsExactly("rod", "amps", "score", "slag");
    }

    @Test
    void aPracticeBeadIsJudgedByItsDrillAndWhatIsNotMeasuredIsNotMet() {
        String path = fresh();
        String pad = "'kind':'pad','purpose':'practice','units':'in','drill':'pad-of-beads','welder':'" + welder + "'";
        assertThat(put(igor, path, pad).expect(200).json().get("verdict").asString())
                .isEqualTo("incomplete");
        String some = ",'measured':{'width-off':'1/16','off-line':'1/32','cover':'50','valley':'0'";
        JsonNode p = igor.put(path, "{'version':0,'form':{" + pad + some + "}}}")
                .expect(200)
                .json();
        assertThat(p.get("verdict").asString()).as("slag is not counted yet").isEqualTo("incomplete");
        p = igor.put(path, "{'version':1,'form':{" + pad + some + ",'slag':'0'}}}")
                .expect(200)
                .json();
        assertThat(p.get("verdict").asString()).isEqualTo("accept");
        p = igor.put(path, "{'version':2,'form':{" + pad + some + ",'slag':'1'}}}")
                .expect(200)
                .json();
        assertThat(p.get("verdict").asString()).isEqualTo("reject");
        assertThat(p.get("why").get(0).asString()).contains("slag").contains("the aim is none");
        assertThat(igor.put(path, "{'version':3,'form':{" + pad + ",'measured':{'width-off':'wide'}}}")
                        .expect(422)
                        .text())
                .contains("measured.width-off");
        assertThat(igor.put(path, "{'version':1,'form':{" + pad + "}}").status())
                .as("somebody changed it meanwhile")
                .isEqualTo(409);
    }

    @Test
    void aPieceThatLooksGoodAndBreaksBadlyStandsOut() {
        String path = fresh();
        put(
                        igor,
                        path,
                        "'kind':'fillet-tee','purpose':'practice','units':'in','inspected':true,'welder':'" + welder
                                + "'")
                .expect(200);
        JsonNode open = igor.put(
                        path + "/specimens/" + UUID.randomUUID(), "{'kind':'fillet-break','specimen':'break 1'}")
                .expect(200)
                .json();
        assertThat(open.get("verdict").asString()).as("a blank result").isEqualTo("incomplete");
        JsonNode broke = igor.put(
                        path + "/specimens/" + UUID.randomUUID(),
                        "{'kind':'fillet-break','specimen':'break 2','fullFusion':false,'largest':'0','sum':'0'}")
                .expect(200)
                .json();
        assertThat(broke.get("verdict").asString()).isEqualTo("reject");
        assertThat(broke.get("lesson").asBoolean()).isTrue();
        assertThat(broke.get("stage").asString()).isEqualTo("cut and tested");
        assertThat(broke.get("likely").get(0).asString())
                .isEqualTo("break 2 showed lack of fusion: 5 A more, the arc at the root");
        assertThat(series().get("next").get("why").asString()).contains("lack of fusion");
        assertThat(series().get("lessons").asInt()).isEqualTo(1);
        JsonNode eye = ines.get("/api/test-pieces/eye").expect(200).json();
        assertThat(eye.get("broke").asInt()).isPositive();
        assertThat(eye.get("looked").asInt())
                .isGreaterThanOrEqualTo(eye.get("broke").asInt());
        assertThat(igor.get("/api/test-pieces/eye").status()).isEqualTo(403);
    }

    @Test
    void aFailedSpecimenOfAPracticePieceIsTracedByItsSettings() {
        String path = fresh();
        put(
                        igor,
                        path,
                        "'kind':'fillet-tee','purpose':'practice','units':'in','welder':'" + welder
                                + "','settings':{'position':'2F','length':'8','thickness':'3/8','size':'1/4','rod':'E7018','diameter':'1/8','amps':'70'}")
                .expect(200);
        JsonNode broke = igor.put(
                        path + "/specimens/" + UUID.randomUUID(),
                        "{'kind':'fillet-break','specimen':'break 1','fullFusion':false,'largest':'0','sum':'0'}")
                .expect(200)
                .json();
        assertThat(broke.get("likely").get(0).asString())
                .startsWith("break 1 showed ")
                .contains("70 A")
                .contains("To be sure: ")
                .contains("One thing to change: ");
    }

    @Test
    void aQualificationPieceGoesToTheBenchOnceItSaysEnough() {
        String path = fresh();
        String plate = "'kind':'groove-plate','purpose':'qualification','units':'in','number':'Q-" + welder
                + "','welder':'" + welder + "'";
        put(ines, path, plate + ",'settings':{'position':'3G','length':'7'}").expect(200);
        assertThat(ines.post(path + "/weld", "{}").expect(422).text()).contains("settings.thickness");
        ines.put(
                        path,
                        "{'version':0,'form':{" + plate
                                + ",'settings':{'position':'3G','length':'7','thickness':'3/8','bevel':'45','gap':'1/4','land':'0','backing':'yes'}}}")
                .expect(200);
        JsonNode there = ines.post(path + "/weld", "{}").expect(200).json();
        assertThat(there.get("verdict").asString()).isEqualTo("incomplete");
        String joint = there.get("jointId").asString();
        assertThat(ines.get("/api/joints/" + joint + "/test-piece")
                        .expect(200)
                        .json()
                        .get("cuts"))
                .hasSize(2);
        assertThat(ines.post(path + "/weld", "{}").status()).as("once").isEqualTo(409);
        assertThat(ines.post("/api/joints/" + joint + "/test-piece/piece", "{}")
                        .expect(200)
                        .json()
                        .get("id")
                        .asString())
                .as("the weld has its piece")
                .isEqualTo(path.substring("/api/pieces/".length()));
        assertThat(ines.put(path + "/specimens/" + UUID.randomUUID(), "{'kind':'root-bend','specimen':'root bend 1'}")
                        .status())
                .as("recorded with its cutting plan")
                .isEqualTo(409);
        String pad = fresh();
        put(ines, pad, BEAD + ",'welder':'" + welder + "'").expect(200);
        assertThat(ines.post(pad + "/weld", "{}").expect(409).text()).contains("joins nothing");
    }

    /** One that only broke well, without the bench, is no accepted qualification and no re-test. */
    @Test
    void aQualificationWithoutTheBenchIsNeverAccepted() {
        String failed = broken("qualification", false);
        String well = broken("qualification", true);
        assertThat(igor.get(well).json().get("verdict").asString()).isEqualTo("incomplete");
        assertThat(igor.get(well).json().get("why").toString()).contains("not set up at the bench");
        assertThat(igor.get(failed).json().get("retest").asString()).startsWith("0 of 2");
        assertThat(igor.get(broken("practice", true)).json().get("verdict").asString())
                .as("nobody said how it looks")
                .isEqualTo("incomplete");
    }

    private String broken(String purpose, boolean fused) {
        String path = fresh();
        put(igor, path, "'kind':'fillet-tee','purpose':'" + purpose + "','units':'in','welder':'" + welder + "'")
                .expect(200);
        igor.put(
                        path + "/specimens/" + UUID.randomUUID(),
                        "{'kind':'fillet-break','specimen':'break 1','fullFusion':" + fused
                                + ",'largest':'0','sum':'0'}")
                .expect(200);
        return path;
    }

    @Test
    void aSchoolWritesItsDrillsAndItsRubric() {
        String file =
                "{'format':'mensor-drill/1','id':'%s','title':'Own','kind':'bead','purpose':'try','lookAt':['the pool'],'aims':[{'id':'pores','title':'Pores','measure':'count','most':0}]}";
        assertThat(lea.put("/api/drills/own/document", file.formatted("own")).status())
                .isEqualTo(403);
        assertThat(igor.put("/api/drills/own/document", file.formatted("other"))
                        .expect(422)
                        .text())
                .contains("other");
        assertThat(igor.put("/api/drills/own/document", file.formatted("own"))
                        .expect(200)
                        .text())
                .contains("none");
        String path = fresh();
        put(igor, path, BEAD + ",'drill':'own','welder':'" + welder + "'").expect(200);
        assertThat(igor.delete("/api/drills/own").expect(200).text()).doesNotContain("\"id\":\"own\"");
        assertThat(igor.get(path).json().get("aims"))
                .as("the piece keeps its aims")
                .hasSize(1);
        assertThat(put(igor, fresh(), BEAD + ",'drill':'own','welder':'x'").status())
                .isEqualTo(422);

        String own =
                "{'parts':[{'id':'look','title':'Look','most':6,'full':'even'},{'id':'size','title':'Size','most':%d,'full':'as asked'}]%s}";
        assertThat(lea.put("/api/rubric", own.formatted(4, "")).status()).isEqualTo(403);
        assertThat(igor.put("/api/rubric", own.formatted(5, "")).expect(422).text())
                .contains("got 11");
        long version = igor.put("/api/rubric", own.formatted(4, ""))
                .expect(200)
                .json()
                .get("version")
                .asLong();
        JsonNode r = igor.put(path + "/rating", "{'points':{'look':5,'size':4}}")
                .expect(200)
                .json();
        igor.put("/api/rubric", "{'parts':[],'version':" + version + "}").expect(200);
        assertThat(r.get("score").asDouble()).isEqualTo(9);
        assertThat(igor.get(path)
                        .json()
                        .get("ratings")
                        .get(0)
                        .get("points")
                        .get(0)
                        .get("title")
                        .asString())
                .as("shown by the rubric it was rated with")
                .isEqualTo("Look");
    }

    @Test
    void aDrillIsHandedOutWithADayAndDoneByAPiece() {
        assertThat(igor.post("/api/handouts", "{'drill':'t-stack','welders':['ines'],'due':'2026-12-24'}")
                        .expect(422)
                        .text())
                .contains("welders[0]");
        igor.post("/api/handouts", "{'drill':'t-stack','welders':['lea','noah'],'due':'2020-01-01'}")
                .expect(200);
        JsonNode own = lea.get("/api/series/lea").json().get("handouts").get(0);
        assertThat(own.get("late").asBoolean()).isTrue();
        put(lea, fresh(), "'kind':'t-stack','purpose':'practice','units':'in','drill':'t-stack'")
                .expect(200);
        assertThat(lea.get("/api/series/lea")
                        .json()
                        .get("handouts")
                        .get(0)
                        .get("done")
                        .asBoolean())
                .isTrue();
        JsonNode all = igor.get("/api/class").expect(200).json();
        assertThat(all.get("learners").valueStream().map(l -> l.get("login").asString()))
                .contains("lea", "noah")
                .doesNotContain("ines");
        all.get("handouts")
                .forEach(h ->
                        igor.delete("/api/handouts/" + h.get("id").asString()).expect(200));
        assertThat(lea.get("/api/series/lea").json().get("handouts")).isEmpty();
    }

    @Test
    void whatCannotBeIsRefusedAtItsField() {
        for (String[] wrong : new String[][] {
            {"'kind':'hat','purpose':'practice','units':'in'", "kind"},
            {"'kind':'bead','purpose':'fun','units':'in'", "purpose"},
            {"'kind':'bead','purpose':'practice','units':'yd'", "units"},
            {BEAD + ",'settings':{'hat':'red'}", "settings.hat"},
            {BEAD + ",'settings':{'amps':'hot'}", "settings.amps"},
            {BEAD + ",'settings':{'thickness':'-1/4'}", "settings.thickness"},
            {BEAD + ",'faults':{'sadness':1}", "faults.sadness"},
            {BEAD + ",'faults':{'slag':-1}", "faults.slag"},
            {BEAD + ",'previous':'" + UUID.randomUUID() + "'", ""},
            {BEAD + ",'drill':'no-such'", "drill"}
        }) {
            TestBrowser.Answer answer = put(lea, fresh(), wrong[0]);
            assertThat(answer.status()).as(wrong[0]).isIn(404, 422);
            assertThat(answer.text()).contains(wrong[1]);
        }
        assertThat(put(igor, fresh(), BEAD).expect(422).text()).contains("whose piece");
    }

    @Test
    void aPieceGoesOutAndComesInAsAFileAndOntoPaper() {
        String path = rated("'rod':'E7018','amps':'120'", 1, ",'faults':{'slag':2},'note':'=1+1'");
        igor.put(
                        path + "/specimens/" + UUID.randomUUID(),
                        "{'kind':'fillet-break','specimen':'break 1','bentFlat':true}")
                .expect(200);
        String file = igor.get(path + "/report?as=json").expect(200).text();
        JsonNode again = igor.postJson("/api/pieces", file).expect(200).json();
        assertThat(again.get("form").get("settings").get("amps").asString()).isEqualTo("120");
        assertThat(again.get("tests").get(0).get("verdict").asString()).isEqualTo("accept");
        assertThat(again.get("ratings")).as("a score is its rater's own").isEmpty();
        assertThat(igor.postJson("/api/pieces", "{\"format\":\"hat/1\"}")
                        .expect(422)
                        .text())
                .contains("mensor-test-piece/1");
        assertThat(igor.postJson("/api/pieces", "[1").expect(422).text()).contains("file");
        String csv =
                igor.get("/api/series/" + welder + "/report?as=csv").expect(200).text();
        assertThat(csv.lines()).hasSize(3);
        assertThat(csv).contains("2 slag").contains("amps 120 A");
        for (String pdf : List.of(path + "/report", "/api/series/" + welder + "/report", "/api/welders/K7/report")) {
            assertThat(ines.get(pdf).text())
                    .as(pdf)
                    .satisfiesAnyOf(
                            t -> assertThat(t).startsWith("%PDF"),
                            t -> assertThat(t).contains("no welder"));
        }
        assertThat(noah.get(path + "/report").status()).isEqualTo(404);
        assertThat(igor.get(path + "/report?as=hat").status()).isEqualTo(422);
    }

    @Test
    void aPieceTakenOffIsNoLongerInTheSeriesAndComesBack() {
        String path = rated("'amps':'120'", 1, "");
        igor.delete(path).expect(200);
        assertThat(series().get("cards")).isEmpty();
        igor.post(path + "/restore", "{}").expect(200);
        assertThat(series().get("cards")).hasSize(1);
    }
}
