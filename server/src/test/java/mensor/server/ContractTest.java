package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What stands beside the code: limits and choices of the contract, the Engineer's documents, gauges, and the code's own check. */
@ExtendWith(RunningMensor.class)
class ContractTest {
    private final TestBrowser ines = RunningMensor.as("ines");
    private final TestBrowser quinn = RunningMensor.as("quinn");
    private final TestBrowser wanda = RunningMensor.as("wanda");

    private JsonNode job(String name, String book, String units, String terms) {
        return quinn.post(
                        "/api/jobs",
                        "{'name':'" + name + "','criteria':'" + book + "','units':'" + units + "','terms':" + terms
                                + "}")
                .expect(200)
                .json();
    }

    private void change(JsonNode job, String terms) {
        quinn.put(
                        "/api/jobs/" + job.get("id").asString(),
                        "{'version':" + job.get("version").asLong() + ",'form':{'name':'"
                                + job.get("form").get("name").asString()
                                + "','criteria':'d1.1-static','units':'in','terms':"
                                + terms + "}}")
                .expect(200);
    }

    private JsonNode finding(String inspection, String id) {
        for (JsonNode f :
                ines.get(inspection).expect(200).json().get("evaluation").get("findings")) {
            if (f.get("id").asString().equals(id)) {
                return f;
            }
        }
        throw new AssertionError("no finding " + id);
    }

    private static String undercut(String depth) {
        return "'kind':'undercut','toe':'A','from':'3','to':'4','depth':'" + depth + "'";
    }

    private static String firstField(TestBrowser.Answer refused) {
        return refused.json().get("errors").get(0).get("field").asString();
    }

    @Test
    void aContractLimitGovernsOpenInspectionsAndASignedOneKeepsIts() {
        JsonNode job = job("Contract job 1", "d1.1-static", "in", "{}");
        String signed = ines.inspection("C-1", "Contract job 1");
        ines.sound(signed);
        ines.sign(signed, "accept").expect(200);
        String open = ines.inspection("C-2", "Contract job 1");
        ines.add(open, "INDICATION", undercut("1/32")).expect(200);
        change(job, "{'limits':[{'id':'undercut.depth','max':'1/64','note':'CS-4, 4.2'}]}");
        JsonNode f = finding(open, "undercut.depth");
        assertThat(f.get("verdict").asString()).isEqualTo("reject");
        assertThat(f.get("citation").asString()).isEqualTo("contract, CS-4, 4.2");
        assertThat(ines.get(open).json().get("contract").get("lines").get(0).asString())
                .isEqualTo("undercut.depth at most 1/64 (CS-4, 4.2)");
        assertThat(ines.get(signed).json().get("evaluation").get("findings").size())
                .isEqualTo(17);
        JsonNode rows =
                ines.get("/api/joints?find=C-2&group=all").expect(200).json().get("rows");
        assertThat(rows.get(0).get("verdict").asString())
                .as("the worklist knows without anybody opening the inspection")
                .isEqualTo("reject");
    }

    /** Terms and entries that meet: neither is refused or lost, and what stands at the end is judged by what stands. */
    @Test
    void termsThatChangeWhileEntriesComeInLoseNeither() throws Exception {
        JsonNode job = job("Contract job race", "d1.1-static", "in", "{}");
        String inspection = ines.inspection("C-race", "Contract job race");
        int entries = 25;
        Thread hand = new Thread(() -> {
            for (int n = 0; n < entries; n++) {
                JsonNode answer = ines.add(inspection, "INDICATION", undercut("1/" + (n % 2 == 0 ? 32 : 48)))
                        .expect(200)
                        .json();
                assertThat(answer.get("entries").size())
                        .as("one answer is one state")
                        .isEqualTo(n + 1);
            }
        });
        List<Throwable> failed = new java.util.concurrent.CopyOnWriteArrayList<>();
        hand.setUncaughtExceptionHandler((t, e) -> failed.add(e));
        hand.start();
        String id = job.get("id").asString();
        for (int n = 0; n < 8; n++) {
            JsonNode now = quinn.get("/api/jobs")
                    .json()
                    .valueStream()
                    .filter(j -> j.get("id").asString().equals(id))
                    .findFirst()
                    .orElseThrow();
            change(now, n % 2 == 0 ? "{'limits':[{'id':'undercut.depth','max':'1/64','note':'CS-4'}]}" : "{}");
        }
        hand.join();
        assertThat(failed).isEmpty();
        JsonNode end = ines.get(inspection).expect(200).json();
        assertThat(end.get("entries").size()).isEqualTo(entries);
        assertThat(end.at("/evaluation/findings")
                        .valueStream()
                        .map(f -> f.get("id").asString()))
                .doesNotContain("undercut.depth");
        JsonNode line = ines.get("/api/joints?find=C-race").json();
        assertThat(line.toString())
                .contains("\"verdict\":\"" + end.at("/evaluation/verdict").asString() + "\"");
    }

    @Test
    void aLimitTightensOnlyAndSaysWhereItStands() {
        String form =
                "{'name':'Contract job 2','criteria':'d1.1-static','units':'in','terms':{'limits':[{'id':'undercut.depth','max':'%s'%s}]}}";
        TestBrowser.Answer loose =
                quinn.post("/api/jobs", form.formatted("1/8", ",'note':'CS-4'")).expect(422);
        assertThat(firstField(loose)).isEqualTo("terms.limits[0].max");
        assertThat(loose.detail()).contains("looser than the code, which accepts at most 1/16 in");
        assertThat(firstField(
                        quinn.post("/api/jobs", form.formatted("1/64", "")).expect(422)))
                .isEqualTo("terms.limits[0].note");
        assertThat(firstField(quinn.post("/api/jobs", form.formatted("1/64 or so", ",'note':'CS-4'"))
                        .expect(422)))
                .isEqualTo("terms.limits[0].max");
        assertThat(firstField(quinn.post(
                                "/api/jobs",
                                "{'name':'Contract job 2','criteria':'d1.1-static','units':'in','terms':{'undercut':'per-toe'}}")
                        .expect(422)))
                .isEqualTo("terms.undercutNote");
    }

    /** 3/16 in tightens the thickest plates only; on a thin butt the code's own 1/8 in stays. */
    @Test
    void aLimitThatDoesNotTightenAWeldLeavesTheBookToGovernIt() {
        job(
                "Contract job 3",
                "d1.1-static",
                "in",
                "{'limits':[{'id':'reinforcement.max','max':'3/16','note':'CS-4, 5'}]}");
        String body = TestBrowser.newJoint("C-4")
                .replace("'Footbridge'", "'Contract job 3'")
                .replace("'criteria':'d1.1-static','units':'in',", "")
                .replace(
                        "'weld':'fillet','connection':'tee','length':'24','size':'5/16'",
                        "'weld':'groove','connection':'butt','penetration':'cjp','length':'24'");
        String inspection = "/api/inspections/"
                + ines.post("/api/joints", body)
                        .expect(200)
                        .json()
                        .get("inspectionId")
                        .asString();
        JsonNode e = ines.get(inspection).json().get("evaluation");
        assertThat(e.get("findings").size()).isEqualTo(17);
        assertThat(e.get("notes").get(0).asString()).contains("does not tighten the code here");
    }

    @Test
    void eachToeByItselfWhereThePlanSaysSo() {
        String[] entries = {
            "'kind':'undercut','toe':'A','from':'3','to':'4 1/2','depth':'3/64'",
            "'kind':'undercut','toe':'B','from':'6','to':'7','depth':'3/64'"
        };
        job("Contract job 4", "d1.1-static", "in", "{'undercut':'per-toe','undercutNote':'plan IP-2'}");
        String inspection = ines.inspection("C-5", "Contract job 4");
        String usual = ines.inspection("C-6");
        for (String e : entries) {
            ines.add(inspection, "INDICATION", e).expect(200);
            ines.add(usual, "INDICATION", e).expect(200);
        }
        assertThat(finding(inspection, "undercut").get("verdict").asString()).isEqualTo("accept");
        assertThat(finding(usual, "undercut").get("verdict").asString()).isEqualTo("reject");
        assertThat(ines.get(inspection + "/document").text()).contains("per-toe");
    }

    /** Along 6 in it may not be over 1/32 in. */
    private static final String LONG = "'kind':'undercut','toe':'A','from':'3','to':'9','depth':'.025'";

    private String gauge(String name, String division, LocalDate due) {
        String id = UUID.randomUUID().toString();
        quinn.put(
                        "/api/gauges/" + id,
                        "{'form':{'name':'" + name + "','kind':'depth gauge','division':'" + division
                                + "','serial':'1','due':'" + due + "','uncertainty':'.0008'}}")
                .expect(200);
        return id;
    }

    @Test
    void guardedAcceptanceAsksForTheGaugeAndForAFinerOne() {
        gauge("Coarse C-1", "1/64", LocalDate.now().plusMonths(1));
        gauge("Fine C-2", ".001", LocalDate.now().plusMonths(1));
        job("Contract job 5", "d1.1-static", "in", "{'guarded':true,'guardNote':'CS-9'}");
        String inspection = ines.inspection("C-7", "Contract job 5");
        String entry = inspection + "/entries/" + UUID.randomUUID();
        ines.put(entry, TestBrowser.entry("INDICATION", LONG)).expect(200);
        assertThat(finding(inspection, "undercut").get("reason").asString())
                .contains("the gauge of a reading is not named");
        ines.put(entry, "{'version':0,'kind':'INDICATION','content':{" + LONG + ",'gauge':'Coarse C-1'}}")
                .expect(200);
        JsonNode coarse = finding(inspection, "undercut");
        assertThat(coarse.get("verdict").asString()).isEqualTo("incomplete");
        assertThat(coarse.get("finer").asString()).isNotBlank();
        ines.put(entry, "{'version':1,'kind':'INDICATION','content':{" + LONG + ",'gauge':'Fine C-2'}}")
                .expect(200);
        JsonNode fine = finding(inspection, "undercut");
        assertThat(fine.get("verdict").asString()).isEqualTo("accept");
        assertThat(fine.get("trace").toString()).contains("JCGM 106");
    }

    @Test
    void whereReadingsAreGuardedNoLeastRepairIsOffered() {
        gauge("Fine C-9", ".001", LocalDate.now().plusMonths(1));
        job("Contract job 9", "d1.1-static", "in", "{'guarded':true,'guardNote':'CS-9'}");
        String guarded = ines.inspection("C-19", "Contract job 9");
        String usual = ines.inspection("C-20");
        for (String inspection : new String[] {guarded, usual}) {
            for (String stretch : new String[] {"'from':'11','to':'12 1/4'", "'from':'13 1/4','to':'14 1/4'"}) {
                ines.add(
                                inspection,
                                "INDICATION",
                                "'kind':'undercut','toe':'A'," + stretch + ",'depth':'.047','gauge':'Fine C-9'")
                        .expect(200);
            }
            assertThat(finding(inspection, "undercut").get("verdict").asString())
                    .isEqualTo("reject");
        }
        assertThat(ines.get(usual + "/defects").json().get("least")).hasSize(1);
        assertThat(ines.get(guarded + "/defects").json().get("least")).isEmpty();
    }

    @Test
    void aGaugePastItsDateStopsTheSignatureUntilWaived() {
        gauge("Late C-3", "1/64", LocalDate.now().minusDays(2));
        String inspection = ines.inspection("C-8");
        ines.sound(inspection);
        ines.add(inspection, "READING", "'at':'12','legA':'5/16','legB':'5/16','gauge':'Late C-3'")
                .expect(200);
        JsonNode fault = ines.get(inspection).json().get("gaugeFaults").get(0);
        assertThat(fault.get("fault").asString()).startsWith("Late C-3 was due for calibration");
        assertThat(fault.get("entries").size()).isEqualTo(1);
        assertThat(ines.sign(inspection, "accept").expect(409).detail()).contains("have the quality manager waive it");
        String waiver = "{'gauge':'Late C-3','reason':'checked against a block on the day'}";
        ines.post(inspection + "/waivers", waiver).expect(403);
        assertThat(firstField(quinn.post(inspection + "/waivers", "{'gauge':'Late C-3','reason':' '}")
                        .expect(422)))
                .isEqualTo("reason");
        assertThat(firstField(quinn.post(inspection + "/waivers", "{'gauge':'Other','reason':'x'}")
                        .expect(422)))
                .isEqualTo("gauge");
        quinn.post(inspection + "/waivers", waiver).expect(200);
        ines.sign(inspection, "accept").expect(200);
        assertThat(ines.get(inspection + "/record").text()).contains("checked against a block on the day");
    }

    @Test
    void whatTheEngineerAllowsIsADeviationOfOneWeld() {
        String inspection = ines.inspection("C-9");
        ines.sound(inspection);
        ines.add(inspection, "INDICATION", undercut("3/32")).expect(200);
        assertThat(finding(inspection, "undercut").get("verdict").asString()).isEqualTo("reject");
        String form =
                "{'criterion':'undercut','from':'2','to':'6','max':'3/32','document':'E-14','engineer':'P. Quill','date':'2026-06-01'}";
        ines.post(inspection + "/deviations", form).expect(403);
        assertThat(firstField(wanda.post(inspection + "/deviations", form.replace("'E-14'", "''"))
                        .expect(422)))
                .isEqualTo("document");
        assertThat(firstField(wanda.post(inspection + "/deviations", form.replace("'6'", "'60'"))
                        .expect(422)))
                .isEqualTo("to");
        assertThat(firstField(wanda.post(inspection + "/deviations", form.replace("'undercut'", "'size'"))
                        .expect(422)))
                .isEqualTo("criterion");
        JsonNode bench =
                wanda.post(inspection + "/deviations", form).expect(200).json();
        assertThat(bench.get("evaluation").get("verdict").asString()).isEqualTo("accept");
        assertThat(finding(inspection, "undercut").get("reason").asString())
                .startsWith("within the Engineer's document E-14 (P. Quill, 2026-06-01)");
        ines.sign(inspection, "accept").expect(200);
        assertThat(ines.get(inspection + "/record").text()).contains("E-14 (P. Quill, 2026-06-01): undercut");
        // taken back afterwards, it no longer holds for a new inspection; the signed one stands as it was signed
        String id = bench.get("deviations").get(0).get("id").asString();
        wanda.post(inspection + "/deviations/" + id + "/withdraw", "{'why':'wrong weld'}")
                .expect(200);
        assertThat(finding(inspection, "undercut").get("verdict").asString()).isEqualTo("accept");
        String amended = "/api/inspections/"
                + ines.post(inspection + "/amend", "{'reason':'document taken back'}")
                        .expect(200)
                        .json()
                        .get("id")
                        .asString();
        assertThat(finding(amended, "undercut").get("verdict").asString()).isEqualTo("reject");
    }

    @Test
    void aBookThatNobodyCheckedSignsNothing() {
        job("Contract job 6", "b31.3-normal", "in", "{}");
        String inspection = ines.inspection("C-10", "Contract job 6");
        ines.sound(inspection);
        assertThat(ines.get(inspection).json().get("signStop").asString())
                .contains("not yet checked against your own copy");
        assertThat(ines.sign(inspection, "accept").expect(409).detail()).contains("not yet checked");
        String path = "/api/criteria/b31.3-normal/check";
        String check =
                "{'copyEdition':'2022','checkedOn':'2026-02-01','checkedBy':'Q. Sato','differed':[{'criterion':'porosity','here':'no limit','copy':'see owner'}]}";
        ines.post(path, check).expect(403);
        assertThat(firstField(quinn.post(path, check.replace("'2022'", "''")).expect(422)))
                .isEqualTo("copyEdition");
        assertThat(firstField(quinn.post(path, check.replace("2026-02-01", "2126-02-01"))
                        .expect(422)))
                .isEqualTo("checkedOn");
        quinn.post(path, check).expect(200);
        assertThat(ines.get(inspection).json().get("evaluation").get("notes").toString())
                .contains("Your copy (2022) has another number for porosity: see owner");
        ines.sign(inspection, "accept").expect(200);
    }

    @Test
    void severalBooksJudgeTheSameInspectionAndNothingOfItIsKept() {
        String inspection = ines.inspection("C-11");
        ines.sound(inspection);
        ines.add(inspection, "INDICATION", undercut("3/64")).expect(200);
        long version = ines.get(inspection).json().get("version").asLong();
        JsonNode columns = ines.get(inspection + "/comparison?codes=d1.1-static,d1.1-cyclic,iso5817-b,d1.1-tubular")
                .expect(200)
                .json();
        assertThat(columns.get(0).get("verdict").asString()).isEqualTo("accept");
        assertThat(columns.get(1).get("verdict").asString()).isEqualTo("reject");
        assertThat(columns.get(2).get("verdict").asString()).isEqualTo("reject");
        assertThat(columns.size()).isEqualTo(4);
        assertThat(ines.get(inspection).json().get("version").asLong()).isEqualTo(version);
        assertThat(ines.get(inspection + "/document").text()).doesNotContain("iso5817");
        ines.get(inspection + "/comparison?codes=none").expect(404);
        String all = CriteriaBooks.all().stream().map(CriteriaBook::id).collect(Collectors.joining(","));
        assertThat(ines.get(inspection + "/comparison?codes=" + all).expect(200).json())
                .as("every code at once, the joint's own among them")
                .hasSize(CriteriaBooks.all().size());
    }

    /** A root gap of the fit-up is judged by ISO 5817 and is no entry of the inspection: once the bench failed on it. */
    @Test
    void aRootGapIsShownWithoutAnEntryOfItsOwn() {
        String inspection = "/api/inspections/"
                + ines.post(
                                "/api/joints",
                                "{'job':'Railings','lot':'1','criteria':'iso5817-c','units':'mm','joint':{'mark':'C-GAP','weld':'fillet',"
                                        + "'connection':'tee','length':'300','throat':'5','gaps':[{'from':'0','to':'100','opening':'3'}],"
                                        + "'members':[{'name':'web','thickness':'8'},{'name':'flange','thickness':'12'}]}}")
                        .expect(200)
                        .json()
                        .get("inspectionId")
                        .asString();
        JsonNode size = ines.get(inspection)
                .expect(200)
                .json()
                .get("evaluation")
                .get("findings")
                .valueStream()
                .filter(f -> f.get("id").asString().equals("size"))
                .findFirst()
                .orElseThrow();
        assertThat(size.get("verdict").asString()).isEqualTo("reject");
        assertThat(size.get("reason").asString()).contains("root gap 3 mm at 0–100");
        assertThat(size.get("entries")).isEmpty();
        ines.add(inspection, "READING", "'from':'0','to':'300','atLeast':'5'").expect(200);
        ines.get(inspection + "/causes").expect(200);
    }

    @Test
    void aBookIsReadForAKindOfJoint() {
        JsonNode page = ines.get("/api/criteria/d1.1-static?joint=butt&thickness=1%201/2")
                .expect(200)
                .json();
        assertThat(page.get("criteria").size()).isEqualTo(17);
        assertThat(page.get("criteria").toString()).contains("0 to 3/16 in");
        assertThat(page.get("byThickness").toString()).contains("0 to 1/4 in");
        assertThat(page.get("choices").size()).isGreaterThan(10);
        assertThat(ines.get("/api/criteria/d1.1-static?joint=pipe-butt")
                        .json()
                        .get("refused")
                        .asString())
                .contains("d1.1-tubular");
        assertThat(ines.get("/api/criteria").expect(200).json().size()).isEqualTo(8);
        ines.get("/api/criteria/iso5817-b?units=in").expect(422);
        ines.get("/api/criteria/none").expect(404);
    }
}
