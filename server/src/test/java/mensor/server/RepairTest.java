package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import mensor.exchange.InspectionDocument;
import mensor.inspection.Verdict;
import mensor.judge.Judge;
import mensor.length.Length;
import mensor.weld.RodTable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** From a signed reject to its closing: numbers, decisions, holds, steps, the inspection after, cycles. */
@ExtendWith(RunningMensor.class)
class RepairTest {
    private static final byte[] PDF = "%PDF-1.4 a document".getBytes(StandardCharsets.US_ASCII);
    private static final String ROD = "'number':1,'electrode':'E7018','diameter':'1/8','amps':125";
    private final TestBrowser ines = RunningMensor.as("ines");
    private final TestBrowser rufus = RunningMensor.as("rufus");
    private final TestBrowser wanda = RunningMensor.as("wanda");

    private JsonNode defects(String inspection) {
        return ines.get(inspection + "/defects").expect(200).json().get("defects");
    }

    private String rejected(String mark, String... indications) {
        String inspection = ines.inspection(mark);
        ines.made(ines.jointOf(inspection), "PASS", ROD).expect(200);
        ines.sound(inspection);
        for (String i : indications) {
            ines.add(inspection, "INDICATION", i).expect(200);
        }
        ines.sign(inspection, "reject").expect(200);
        return inspection;
    }

    private static String path(JsonNode defect) {
        return "/api/defects/" + defect.get("id").asString();
    }

    private static String state(TestBrowser b, String defect) {
        return b.get(defect).expect(200).json().get("defect").get("state").asString();
    }

    private void knownSteel(String defect) {
        wanda.putBytes(
                        defect + "/holds/steel/document?number=MC-1&engineer=P.%20Quill&date=2026-01-05&name=mill.pdf",
                        PDF)
                .expect(200);
    }

    private static final String SLAG = "'kind':'slag','from':'10','to':'11','trapped':true";

    private void repaired(String defect, String from, String to) {
        rufus.put(defect + "/steps/extent-known", "{'from':'" + from + "','to':'" + to + "'}")
                .expect(200);
        rufus.put(
                        defect + "/steps/excavated",
                        "{'from':'" + from + "','to':'" + to + "','method':'wheel','depth':'1/4'}")
                .expect(200);
        ines.put(defect + "/steps/cavity-accepted", "{'clean':true,'seenBy':'ines'}")
                .expect(200);
        rufus.put(
                        defect + "/steps/welded",
                        "{'welder':'K7','rod':'E7018','diameter':'1/8','rods':3,'minutes':90,'preheat':80,'weldedAt':'"
                                + Instant.now() + "'}")
                .expect(200);
        rufus.put(defect + "/steps/ready-to-inspect", "{'cleaned':true,'cooled':true}")
                .expect(200);
    }

    private String again(String inspection) {
        return "/api/inspections/"
                + ines.post(inspection + "/re-inspection", "{}")
                        .expect(200)
                        .json()
                        .get("inspectionId")
                        .asString();
    }

    private void reinspected(String inspection, String from, String to) {
        ines.put(
                        inspection + "/conditions",
                        "{'cleaned':true,'ambient':true,'coated':false,'light':true,'near':true,"
                                + "'inCalibration':true,'reverseFace':true,'groundPlaces':true}")
                .expect(200);
        ines.add(inspection, "READING", "'from':'" + from + "','to':'" + to + "','atLeast':'5/16'")
                .expect(200);
        for (String c : TestBrowser.CLEARABLE) {
            ines.add(inspection, "CLEAR", "'criterion':'" + c + "'");
        }
    }

    /** Of both cycles: three 1/8 in E7018 each leave what the table of rods says, beside the cavity that was estimated. */
    private void metalAndWorkAreKept(String repair) {
        for (JsonNode plot : wanda.get("/api/plots").expect(200).json().get("plots")) {
            String id = plot.get("id").asString();
            if (!id.equals("metal") && !id.equals("hours")) {
                continue;
            }
            List<JsonNode> of = new ArrayList<>();
            plot.get("points").forEach(p -> {
                if (p.get("name").asString().equals(repair)) {
                    of.add(p);
                }
            });
            assertThat(of).as(id).hasSize(2);
            double each = id.equals("hours")
                    ? 1.5
                    : 3
                            * RodTable.deposit("E7018", Length.inches(1, 8))
                                    .orElseThrow()
                                    .grams();
            assertThat(of).allSatisfy(p -> {
                assertThat(p.get("value").asDouble()).isEqualTo(each);
                assertThat(p.get("expected").asDouble()).isPositive();
            });
            JsonNode welds = wanda.get("/api/plots/" + id + "/welds?key="
                            + of.get(0).get("key").asString())
                    .expect(200)
                    .json();
            assertThat(welds.get("count").asInt()).isEqualTo(1);
            assertThat(welds.get("welds").get(0).get("mark").asString()).isEqualTo("RP-1");
        }
    }

    @Test
    void aRejectIsRepairedInspectedFailsAndIsRepairedAgainUntilItIsAccepted() {
        String inspection = rejected("RP-1", SLAG, "'kind':'undercut','toe':'A','from':'2','to':'3','depth':'1/8'");
        JsonNode both = defects(inspection);
        assertThat(both).hasSize(2);
        String undercut = path(both.get(0));
        String slag = path(both.get(1));
        assertThat(both.get(1).get("words").asString()).isEqualTo("Slag at 10–11");
        assertThat(both.get(1).get("proposed").asString()).isEqualTo("remove-and-reweld");
        int number = Integer.parseInt(both.get(0).get("number").asString().substring(3));
        assertThat(both.get(1).get("number").asString()).isEqualTo("NC-" + (number + 1));
        ines.put(slag + "/notification", "{'notified':'shop foreman, by phone'}")
                .expect(200);
        assertThat(defects(inspection).get(1).get("notified").asString()).contains("foreman");

        assertThat(rufus.put(slag + "/steps/extent-known", "{'from':'9 1/2','to':'11 1/2'}")
                        .expect(409)
                        .detail())
                .contains("nobody decided");
        rufus.put(slag + "/disposition", "{'decision':'remove-and-reweld'}").expect(200);
        rufus.put(undercut + "/disposition", "{'decision':'add-metal'}").expect(200);
        assertThat(ines.get(inspection).json().get("next").asString()).isEqualTo("On hold: waits for the Engineer");
        knownSteel(slag);
        knownSteel(undercut);
        assertThat(rufus.put(slag + "/steps/excavated", "{}").expect(409).detail())
                .contains("first: extent known");
        assertThat(rufus.put(slag + "/steps/extent-known", "{'from':'20','to':'21'}")
                        .expect(422)
                        .detail())
                .contains("the defect stands at 10–11");
        ines.put(slag + "/steps/extent-known", "{'from':'9 1/2','to':'11 1/2'}").expect(403);
        assertThat(ines.post(inspection + "/re-inspection", "{}").expect(409).detail())
                .contains("is open");
        repaired(slag, "9 1/2", "11 1/2");
        repaired(undercut, "1 1/2", "3 1/2");
        assertThat(ines.get(inspection).json().get("next").asString()).isEqualTo("Re-inspect");
        rufus.post(inspection + "/re-inspection", "{}").expect(403);

        String second = again(inspection);
        JsonNode begun = ines.get(second).expect(200).json();
        assertThat(begun.get("stage").asString()).isEqualTo("repair 1");
        assertThat(begun.get("again").get("inspectAlong").asString()).isEqualTo("0–5 1/2 and 7 1/2–13 1/2");
        assertThat(rufus.post(slag + "/back", "{'why':'wrong rod'}").expect(409).detail())
                .contains("re-inspected");
        reinspected(second, "0", "13 1/2");
        assertThat(ines.get(second).json().get("evaluation").get("verdict").asString())
                .isEqualTo("accept");
        ines.add(second, "INDICATION", "'kind':'porosity','at':'10','diameter':'1/2'")
                .expect(200);
        ines.sign(second, "reject").expect(200);
        assertThat(state(ines, slag)).isEqualTo("open");
        assertThat(state(ines, undercut)).isEqualTo("ready-to-inspect");
        JsonNode reopened = ines.get(slag).json().get("defect");
        assertThat(reopened.get("cycle").asInt()).isEqualTo(2);
        assertThat(reopened.get("words").asString()).startsWith("Porosity at 10");
        assertThat(reopened.get("number").asString()).isEqualTo("NC-" + (number + 1));

        rufus.put(slag + "/disposition", "{'decision':'remove-and-reweld'}").expect(200);
        knownSteel(slag);
        repaired(slag, "9", "12");
        metalAndWorkAreKept("NC-" + (number + 1) + ", RP-1");
        String third = again(second);
        reinspected(third, "7", "14");
        JsonNode signed = ines.sign(third, "accept").expect(200).json();
        assertThat(signed.get("stage").asString()).isEqualTo("repair 2");
        assertThat(state(ines, slag)).isEqualTo("closed");
        assertThat(state(ines, undercut)).isEqualTo("closed");
        InspectionDocument file = InspectionDocument.read(
                ines.get(third + "/document").expect(200).text());
        assertThat(Judge.evaluate(file.inspection(), file.book()).verdict())
                .as("the file of the joined look comes to what was signed")
                .isEqualTo(Verdict.ACCEPT);
        String record = ines.get(third + "/record").expect(200).text();
        assertThat(record)
                .contains("\"repaired\":\"9–12\"")
                .contains("\"followsSha256\":\""
                        + ines.get(second).json().get("signature").get("sha256").asString());
        assertThat(rufus.put(slag + "/disposition", "{'decision':'replace'}")
                        .expect(409)
                        .detail())
                .contains("closed");
    }

    /** Two places are repaired; the re-inspection rejects one at first sight, when nothing else was inspected yet. */
    private String rejectedAtFirstSight(String mark) {
        String inspection = rejected(mark, SLAG, "'kind':'undercut','toe':'A','from':'2','to':'3','depth':'1/8'");
        JsonNode both = defects(inspection);
        String undercut = path(both.get(0));
        String slag = path(both.get(1));
        for (String d : List.of(slag, undercut)) {
            rufus.put(d + "/disposition", "{'decision':'remove-and-reweld'}").expect(200);
            knownSteel(d);
        }
        repaired(slag, "9 1/2", "11 1/2");
        repaired(undercut, "1 1/2", "3 1/2");
        String second = again(inspection);
        ines.add(second, "INDICATION", "'kind':'porosity','at':'10','diameter':'1/2'")
                .expect(200);
        ines.sign(second, "reject").expect(200); // at first sight, nothing else was inspected yet
        return second;
    }

    private JsonNode row(String mark) {
        return ines.get("/api/joints?find=" + mark + "&group=all")
                .json()
                .get("rows")
                .get(0);
    }

    /** One of them is accepted as it is then: the other waits for a re-inspection all the same. */
    @Test
    void whatWasRepairedIsNotDoneBecauseTheEngineerAcceptsAnother() {
        String second = rejectedAtFirstSight("RP-as-it-is");
        String undercut = path(defects(second).get(0));
        String slag = path(defects(second).get(1));
        rufus.put(slag + "/disposition", "{'decision':'accept-as-is','note':'low stress'}")
                .expect(200);
        wanda.putBytes(slag + "/holds/accept-as-is/document?number=ENG-9&engineer=P.%20Quill&date=2026-01-05", PDF)
                .expect(200);
        assertThat(state(ines, slag)).isEqualTo("closed");
        assertThat(state(ines, undercut)).isEqualTo("ready-to-inspect");
        JsonNode row = row("RP-as-it-is");
        assertThat(row.get("group").asString()).isEqualTo("inspect");
        assertThat(row.get("next").asString()).isEqualTo("Re-inspect");
        assertThat(ines.get(second + "/defects").json().get("canReinspect").asBoolean())
                .isTrue();
        String third = again(second);
        assertThat(ines.get(third).json().get("again").get("inspectAlong").asString())
                .isEqualTo("0–5 1/2");
        reinspected(third, "0", "14");
        ines.sign(third, "accept").expect(200);
        assertThat(state(ines, undercut)).isEqualTo("closed");
        assertThat(row("RP-as-it-is").get("group").asString()).isEqualTo("done");
    }

    /** It is repaired again: what the look before did not come to is inspected with it. */
    @Test
    void whatAReinspectionDidNotComeToIsInspectedNextTime() {
        String second = rejectedAtFirstSight("RP-first-sight");
        String slag = path(defects(second).get(1));
        rufus.put(slag + "/disposition", "{'decision':'remove-and-reweld'}").expect(200);
        knownSteel(slag);
        repaired(slag, "9", "12");
        String third = again(second);
        assertThat(ines.get(third).json().get("again").get("inspectAlong").asString())
                .isEqualTo("0–5 1/2 and 7–14");
    }

    @Test
    void oldEntriesOutsideTheRepairStillReject() {
        String inspection = rejected(
                "RP-2",
                "'kind':'undercut','toe':'A','from':'4','to':'5 1/2','depth':'1/16'",
                "'kind':'undercut','toe':'A','from':'8','to':'9 1/2','depth':'1/16'");
        assertThat(ines.get(inspection + "/defects").json().get("least").get(0).asString())
                .isEqualTo("correcting 1 in at 4–5 suffices for undercut");
        List<String> both = new ArrayList<>();
        defects(inspection).forEach(d -> both.add(path(d)));
        for (String d : both) {
            rufus.put(d + "/disposition", "{'decision':'blend'}").expect(200);
        }
        ground(both.get(0), "4", "4 1/2");
        ground(both.get(1), "8", "8 1/4");
        String second = again(inspection);
        reinspected(second, "0", "12");
        JsonNode bench = ines.get(second).json();
        assertThat(bench.get("evaluation").get("verdict").asString())
                .as("2 1/4 in of undercut are left in 12 in")
                .isEqualTo("reject");
        assertThat(bench.get("again").get("before").size()).isGreaterThanOrEqualTo(2);
    }

    private void ground(String defect, String from, String to) {
        String span = "'from':'" + from + "','to':'" + to + "'";
        rufus.put(defect + "/steps/extent-known", "{" + span + "}").expect(200);
        rufus.put(defect + "/steps/excavated", "{" + span + ",'method':'wheel'}")
                .expect(200);
        rufus.put(defect + "/steps/cavity-accepted", "{'clean':true,'seenBy':'rufus','left':'3/8'}")
                .expect(200);
        rufus.put(defect + "/steps/ready-to-inspect", "{'cleaned':true,'cooled':true}")
                .expect(200);
    }

    @Test
    void aCrackWaitsForTheEngineerAndAsksForProof() {
        String inspection = rejected("RP-3", "'kind':'crack','from':'10','to':'11','where':'base'");
        String crack = path(defects(inspection).get(0));
        rufus.put(crack + "/disposition", "{'decision':'remove-and-reweld'}").expect(200);
        assertThat(rufus.put(crack + "/steps/extent-known", "{'from':'10','to':'11'}")
                        .expect(422)
                        .detail())
                .contains("PT, MT or etching");
        rufus.put(crack + "/steps/extent-known", "{'from':'9','to':'12','foundBy':'MT'}")
                .expect(200);
        String out = "{'from':'7','to':'14','method':'carbon-arc','depth':'1/4'}";
        assertThat(rufus.put(crack + "/steps/excavated", out).expect(409).detail())
                .contains("base metal is repaired")
                .contains("major one");
        JsonNode waiting = wanda.get("/api/repairs").json().get("waiting");
        assertThat(waiting.valueStream()
                        .filter(w -> crack.endsWith(w.get("defect").asString()))
                        .map(w -> w.get("kind").asString()))
                .containsExactlyInAnyOrder("base-metal", "major-crack", "steel");
        rufus.post(crack + "/holds/major-crack/denied", "{'why':'short'}").expect(403);
        wanda.post(crack + "/holds/base-metal/denied", "{'why':'short'}").expect(409);
        wanda.post(crack + "/holds/major-crack/denied", "{'why':'1 in, crater of a tack, no load yet'}")
                .expect(200);
        String document = crack + "/holds/base-metal/document?engineer=P.%20Quill&date=2026-01-05&number=";
        rufus.putBytes(document + "ENG-1", PDF).expect(403);
        assertThat(wanda.putBytes(document, "no document".getBytes(StandardCharsets.US_ASCII))
                        .expect(422)
                        .json()
                        .get("errors"))
                .hasSize(2);
        wanda.putBytes(document + "ENG-1&name=ENG-1.pdf", PDF).expect(200);
        assertThat(wanda.bytes(crack + "/holds/base-metal/document")).isEqualTo(PDF);
        assertThat(rufus.put(crack + "/steps/excavated", "{'from':'8','to':'13','method':'carbon-arc','depth':'1/4'}")
                        .expect(422)
                        .detail())
                .contains("7–14 at least");
        rufus.put(crack + "/steps/excavated", out).expect(200);
        assertThat(rufus.put(crack + "/steps/cavity-accepted", "{'clean':true,'seenBy':'rufus'}")
                        .expect(422)
                        .json()
                        .get("errors"))
                .hasSize(2);
        rufus.put(crack + "/steps/cavity-accepted", "{'clean':true,'seenBy':'rufus','proof':'MT','proofReport':'MT 7'}")
                .expect(200);
        assertThat(rufus.put(
                                crack + "/steps/welded",
                                "{'welder':'K7','rod':'E7018','diameter':'1/8','preheat':80,'weldedAt':'"
                                        + Instant.now().plus(2, ChronoUnit.HOURS) + "'}")
                        .expect(409)
                        .detail())
                .contains("preheat table");
        knownSteel(crack);
        assertThat(rufus.put(
                                crack + "/steps/welded",
                                "{'welder':'K7','rod':'E7018','diameter':'3/16','preheat':80,'weldedAt':'"
                                        + Instant.now().plus(2, ChronoUnit.HOURS) + "'}")
                        .expect(422)
                        .detail())
                .contains("still to come");
        rufus.post(crack + "/back", "{'why':'read the wrong report'}").expect(200);
        assertThat(state(ines, crack)).isEqualTo("excavated");
        JsonNode steps = ines.get(crack).json().get("defect").get("steps");
        assertThat(steps.get(2).get("withdrawnWhy").asString()).isEqualTo("rufus: read the wrong report");
    }

    @Test
    void theEngineersDocumentAcceptsAsItIsAndTheRestIsInspectedAgain() {
        String inspection = rejected("RP-4", SLAG, "'kind':'undercut','toe':'A','from':'2','to':'3','depth':'1/8'");
        JsonNode both = defects(inspection);
        String undercut = path(both.get(0));
        String slag = path(both.get(1));
        rufus.put(undercut + "/disposition", "{'decision':'accept-as-is','note':'low stress'}")
                .expect(200);
        assertThat(state(ines, undercut)).isEqualTo("open");
        wanda.putBytes(undercut + "/holds/accept-as-is/document?number=ENG-2&engineer=P.%20Quill&date=2026-01-05", PDF)
                .expect(200);
        assertThat(state(ines, undercut)).isEqualTo("closed");
        rufus.put(slag + "/disposition", "{'decision':'remove-and-reweld'}").expect(200);
        knownSteel(slag);
        repaired(slag, "9 1/2", "11 1/2");
        String second = again(inspection);
        reinspected(second, "7", "14");
        JsonNode bench = ines.get(second).json();
        assertThat(bench.get("evaluation").get("verdict").asString()).isEqualTo("accept");
        assertThat(bench.get("evaluation").get("notes").toString()).contains("accepted as it is by the Engineer");
    }

    /** HPS 100W is one of the steels that the code names: 48 h after the last welding, repairs included. */
    @Test
    void aDelayedSteelWaitsFromTheRepairAnew() {
        String inspection = ines.inspection("RP-5");
        String joint = "/api/joints/" + ines.jointOf(inspection);
        ines.made(ines.jointOf(inspection), "PASS", ROD).expect(200);
        JsonNode stored = ines.get(joint).json();
        ines.put(
                        joint,
                        ("{\"version\":" + stored.get("version") + ",\"form\":"
                                        + stored.get("form")
                                                .toString()
                                                .replace("\"length\"", "\"grade\":\"A514\",\"delayed\":true,\"length\"")
                                        + "}")
                                .replace("'", ""))
                .expect(200);
        ines.put(joint + "/welding-record/welded", "{'at':'" + Instant.now().minus(72, ChronoUnit.HOURS) + "'}")
                .expect(200);
        ines.sound(inspection);
        ines.add(inspection, "INDICATION", SLAG).expect(200);
        ines.sign(inspection, "reject").expect(200);
        String slag = path(defects(inspection).get(0));
        rufus.put(slag + "/disposition", "{'decision':'remove-and-reweld'}").expect(200);
        if (ines.get(slag).json().get("defect").get("holds").size() > 0) {
            knownSteel(slag);
        }
        repaired(slag, "9 1/2", "11 1/2");
        String second = again(inspection);
        reinspected(second, "7", "14");
        JsonNode bench = ines.get(second).json();
        assertThat(bench.get("evaluation").get("verdict").asString()).isEqualTo("incomplete");
        assertThat(bench.get("evaluation").get("todo").toString()).contains("48 h after the last welding");
        assertThat(bench.get("next").asString()).startsWith("Wait 48 h");
    }

    @Test
    void theThirdRepairOfAPlaceWaitsForTheEngineer() {
        String inspection = rejected("RP-6", SLAG);
        String slag = path(defects(inspection).get(0));
        for (int cycle = 1; cycle <= 2; cycle++) {
            rufus.put(slag + "/disposition", "{'decision':'remove-and-reweld'}").expect(200);
            knownSteel(slag);
            repaired(slag, "9 1/2", "11 1/2");
            inspection = again(inspection);
            ines.add(inspection, "INDICATION", SLAG).expect(200);
            ines.sign(inspection, "reject").expect(200);
        }
        JsonNode third = ines.get(slag).json().get("defect");
        assertThat(third.get("cycle").asInt()).isEqualTo(3);
        assertThat(third.get("holds").valueStream().map(h -> h.get("kind").asString()))
                .contains("repair-limit");
    }

    @Test
    void aRevisionKeepsTheNumbersOfWhatItStillRejects() {
        String inspection = rejected("RP-7", SLAG, "'kind':'crack','from':'3','to':'4'");
        JsonNode before = defects(inspection);
        JsonNode next = ines.post(inspection + "/amend", "{'reason':'the crack was a scratch'}")
                .expect(200)
                .json();
        String revised = "/api/inspections/" + next.get("id").asString();
        for (JsonNode e : next.get("entries")) {
            if ("crack".equals(e.get("content").path("kind").asString(""))) {
                ines.delete(revised + "/entries/" + e.get("id").asString() + "?version="
                                + e.get("version").asLong())
                        .expect(200);
            }
        }
        ines.sign(revised, "reject").expect(200);
        assertThat(state(ines, path(before.get(0)))).isEqualTo("closed");
        JsonNode slag = ines.get(path(before.get(1))).json().get("defect");
        assertThat(slag.get("state").asString()).isEqualTo("open");
        assertThat(slag.get("cycle").asInt()).isEqualTo(1);
        assertThat(slag.get("inspection").asString()).isEqualTo(next.get("id").asString());
    }

    private String inJob(String terms, String mark) {
        ines.post(
                        "/api/jobs",
                        "{'name':'Repair job " + mark + "','criteria':'d1.1-static','units':'in','terms':{" + terms
                                + "}}")
                .expect(200);
        String inspection = "/api/inspections/"
                + ines.post(
                                "/api/joints",
                                TestBrowser.newJoint(mark)
                                        .replace("'Footbridge'", "'Repair job " + mark + "'")
                                        .replace("'criteria':'d1.1-static','units':'in',", ""))
                        .expect(200)
                        .json()
                        .get("inspectionId")
                        .asString();
        ines.made(ines.jointOf(inspection), "PASS", ROD).expect(200);
        return inspection;
    }

    @Test
    void aContractSetsTheLimitMoreHoldsAndWhatRepairsAreReckonedWith() {
        assertThat(ines.post(
                                "/api/jobs",
                                "{'name':'Bad','criteria':'d1.1-static','units':'in','terms':{'repairCycles':12,'repairHolds':['paint'],'repairConstants':{'beyondCrack':10}}}")
                        .expect(422)
                        .json()
                        .get("errors"))
                .hasSize(4);
        String inspection = inJob(
                "'repairCycles':1,'repairHolds':['replace'],'repairNote':'CS-4, 9.2','repairConstants':{'runIn':25.4}",
                "RP-8");
        ines.sound(inspection);
        ines.add(inspection, "INDICATION", SLAG).expect(200);
        ines.sign(inspection, "reject").expect(200);
        String slag = path(defects(inspection).get(0));
        assertThat(defects(inspection).get(0).get("plan").get("extent").asString())
                .as("a run-in of 1 in instead of 1/2 in")
                .isEqualTo("9–12");
        rufus.put(slag + "/disposition", "{'decision':'replace'}").expect(200);
        assertThat(kinds(slag)).containsExactlyInAnyOrder("replace", "steel");
        rufus.put(slag + "/disposition", "{'decision':'remove-and-reweld','cutsApart':true}")
                .expect(200);
        assertThat(kinds(slag)).as("this contract adds no hold for that").containsExactly("steel");
        knownSteel(slag);
        repaired(slag, "9", "12");
        String second = again(inspection);
        ines.add(second, "INDICATION", SLAG).expect(200);
        ines.sign(second, "reject").expect(200);
        assertThat(kinds(slag)).contains("repair-limit");
    }

    private List<String> kinds(String defect) {
        return ines.get(defect)
                .json()
                .get("defect")
                .get("holds")
                .valueStream()
                .map(h -> h.get("kind").asString())
                .toList();
    }

    @Test
    void aViewerReadsWhatBecameOfASignedRejectAndNothingElse() {
        String inspection = rejected("RP-9", SLAG);
        TestBrowser vera = RunningMensor.as("vera");
        JsonNode slag = vera.get(inspection + "/defects")
                .expect(200)
                .json()
                .get("defects")
                .get(0);
        vera.get(path(slag)).expect(403);
        vera.get("/api/repairs").expect(403);
        vera.put(path(slag) + "/disposition", "{'decision':'replace'}").expect(403);
    }

    @Test
    void aRevisionOfTheInspectionAfterTakesBackWhatItRejected() {
        String inspection = rejected("RP-10", SLAG);
        String slag = path(defects(inspection).get(0));
        rufus.put(slag + "/disposition", "{'decision':'remove-and-reweld'}").expect(200);
        knownSteel(slag);
        repaired(slag, "9 1/2", "11 1/2");
        String second = again(inspection);
        reinspected(second, "7", "14");
        JsonNode with = ines.add(second, "INDICATION", SLAG).expect(200).json();
        ines.sign(second, "reject").expect(200);
        rufus.put(slag + "/disposition", "{'decision':'remove-and-reweld'}").expect(200);
        assertThat(kinds(slag)).containsExactly("steel");
        JsonNode next = ines.post(second + "/amend", "{'reason':'it was the shadow of the lamp'}")
                .expect(200)
                .json();
        assertThat(next.get("stage").asString()).isEqualTo(with.get("stage").asString());
        String revised = "/api/inspections/" + next.get("id").asString();
        for (JsonNode e : next.get("entries")) {
            if ("slag".equals(e.get("content").path("kind").asString(""))) {
                ines.delete(revised + "/entries/" + e.get("id").asString() + "?version="
                                + e.get("version").asLong())
                        .expect(200);
            }
        }
        ines.add(revised, "CLEAR", "'criterion':'slag'").expect(200);
        ines.sign(revised, "accept").expect(200);
        assertThat(state(ines, slag)).isEqualTo("closed");
        assertThat(ines.get("/api/repairs")
                        .json()
                        .get("waiting")
                        .valueStream()
                        .map(w -> w.get("defect").asString()))
                .doesNotContain(slag.substring("/api/defects/".length()));
    }

    @Test
    void picturesOfTheRepairStayWithIt() {
        String inspection = rejected("RP-11", SLAG);
        String slag = path(defects(inspection).get(0));
        String picture = slag + "/photos/" + UUID.randomUUID();
        byte[] sent = PhotosTest.picture("png", 40, 30);
        RunningMensor.as("quinn").putBytes(picture, sent).expect(403);
        assertThat(rufus.putBytes(picture, "no picture".getBytes(StandardCharsets.US_ASCII))
                        .expect(422)
                        .detail())
                .isNotBlank();
        JsonNode with = rufus.putBytes(picture, sent).expect(200).json().get("defect");
        rufus.putBytes(picture, sent).expect(200);
        assertThat(with.get("photos"))
                .singleElement()
                .satisfies(p -> assertThat(p.get("by").asString()).isEqualTo("rufus"));
        assertThat(ines.bytes(picture)).startsWith(0x89, 'P', 'N', 'G');
        assertThat(ines.get("/api/joints/" + ines.jointOf(inspection) + "/history")
                        .text())
                .contains("Picture of the repair");
    }

    @Test
    void aReferredPlaceIsDecidedAnewOnceTheEngineerAnswered() {
        String inspection = rejected("RP-12", SLAG);
        String slag = path(defects(inspection).get(0));
        rufus.put(slag + "/disposition", "{'decision':'refer'}").expect(200);
        assertThat(ines.get(inspection).json().get("next").asString()).isEqualTo("On hold: waits for the Engineer");
        wanda.putBytes(slag + "/holds/referred/document?number=ENG-9&engineer=P.%20Quill&date=2026-01-05", PDF)
                .expect(200);
        assertThat(ines.get(inspection).json().get("next").asString()).isEqualTo("Disposition needed: 1 defect");
        rufus.put(slag + "/disposition", "{'decision':'remove-and-reweld'}").expect(200);
        assertThat(state(ines, slag)).isEqualTo("open");
    }
}
