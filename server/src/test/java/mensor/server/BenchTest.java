package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningMensor.class)
class BenchTest {
    private static final String UNDERCUT = "'kind':'undercut','toe':'A','from':'3','to':'4','depth':'1/8'";

    private static JsonNode finding(JsonNode bench, String id) {
        return bench.get("evaluation")
                .get("findings")
                .valueStream()
                .filter(f -> f.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aSetUpThatCannotBeIsRefusedByField() {
        TestBrowser ines = RunningMensor.as("ines");
        TestBrowser.Answer answer = ines.post(
                        "/api/joints", TestBrowser.newJoint("S1").replace("'length':'24'", "'length':'0'"))
                .expect(422);
        assertThat(answer.json().get("errors").get(0).get("field").asString()).isEqualTo("length");
        assertThat(ines.post("/api/joints", TestBrowser.newJoint("S1").replace("'job':'Footbridge'", "'job':' '"))
                        .expect(422)
                        .detail())
                .contains("job");
        JsonNode preview = ines.post(
                        "/api/joints/preview", TestBrowser.newJoint("S1").replace("'size':'5/16'", "'size':'1/2'"))
                .expect(200)
                .json();
        assertThat(preview.get("remarks").toString()).contains("over the thinner member");
        assertThat(preview.get("section").get("required")).hasSize(3);
        JsonNode unmarked = ines.post("/api/joints/preview", TestBrowser.newJoint(" "))
                .expect(200)
                .json();
        assertThat(unmarked.get("problems").get(0).get("field").asString()).isEqualTo("mark");
        assertThat(unmarked.get("section")).as("drawn before it has a mark").isNotNull();
        ines.post("/api/joints", TestBrowser.newJoint(" ")).expect(422);
    }

    @Test
    void aRepeatedSendAddsNothingTwice() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("B1");
        String path = inspection + "/entries/" + UUID.randomUUID();
        ines.put(path, TestBrowser.entry("INDICATION", UNDERCUT)).expect(200);
        JsonNode again = ines.put(path, TestBrowser.entry("INDICATION", UNDERCUT))
                .expect(200)
                .json();
        assertThat(again.get("entries")).hasSize(1);
        assertThat(finding(again, "undercut").get("verdict").asString()).isEqualTo("reject");
        assertThat(again.get("evaluation").get("verdict").asString()).isEqualTo("reject");
    }

    @Test
    void anEntryAsLongAsABookIsRefusedAndTheNextIsTaken() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("B1L");
        String novel = "w".repeat(100_001);
        assertThat(ines.add(inspection, "COVER", "'criterion':'size','by':'" + novel + "'")
                        .expect(422)
                        .detail())
                .contains("up to 100,000 letters");
        ines.add(inspection, "COVER", "'criterion':'size','by':'UT, report 7'").expect(200);
    }

    @Test
    void twentySendsOfOneEntryAtOnceAddOne() throws Exception {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("B2");
        String path = inspection + "/entries/" + UUID.randomUUID();
        ExecutorService threads = Executors.newFixedThreadPool(8);
        List<Callable<Integer>> sends = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            sends.add(() ->
                    ines.put(path, TestBrowser.entry("INDICATION", UNDERCUT)).status());
        }
        for (Future<Integer> f : threads.invokeAll(sends)) {
            assertThat(f.get()).isEqualTo(200);
        }
        threads.shutdown();
        assertThat(ines.get(inspection).json().get("entries")).hasSize(1);
    }

    @Test
    void twoPeopleAtOnceLoseNoEntry() throws Exception {
        TestBrowser ines = RunningMensor.as("ines");
        TestBrowser tomas = RunningMensor.as("tomas");
        String inspection = ines.inspection("B3");
        ExecutorService threads = Executors.newFixedThreadPool(4);
        List<Callable<Integer>> sends = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            TestBrowser who = i % 2 == 0 ? ines : tomas;
            int at = i;
            sends.add(() -> who.add(inspection, "READING", "'at':'" + at + "','legA':'5/16','legB':'5/16'")
                    .status());
        }
        for (Future<Integer> f : threads.invokeAll(sends)) {
            assertThat(f.get()).isEqualTo(200);
        }
        threads.shutdown();
        assertThat(tomas.get(inspection).json().get("entries")).hasSize(20);
    }

    @Test
    void editingAStaleEntryShowsWhatTheOtherPersonChanged() {
        TestBrowser ines = RunningMensor.as("ines");
        TestBrowser tomas = RunningMensor.as("tomas");
        String inspection = ines.inspection("B4");
        String path = inspection + "/entries/" + UUID.randomUUID();
        JsonNode entry = ines.put(path, TestBrowser.entry("INDICATION", UNDERCUT))
                .expect(200)
                .json()
                .get("entries")
                .get(0);
        String version = ",'version':" + entry.get("version") + "}";
        String changed = TestBrowser.entry("INDICATION", UNDERCUT.replace("1/8", "1/16"));
        tomas.put(path, changed.substring(0, changed.length() - 1) + version).expect(200);
        String mine = TestBrowser.entry("INDICATION", UNDERCUT.replace("1/8", "1/32"));
        TestBrowser.Answer clash =
                ines.put(path, mine.substring(0, mine.length() - 1) + version).expect(409);
        assertThat(clash.detail()).contains("tomas");
        assertThat(clash.json().get("current").get("content").get("depth").asString())
                .isEqualTo("1/16");
        assertThat(ines.get(inspection)
                        .json()
                        .get("entries")
                        .get(0)
                        .get("content")
                        .get("depth")
                        .asString())
                .isEqualTo("1/16");
    }

    @Test
    void anErrorNamesTheFieldInTheTradesWords() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("B5");
        TestBrowser.Answer bad = ines.add(inspection, "INDICATION", UNDERCUT.replace("'to':'4'", "'to':'40'"))
                .expect(422);
        assertThat(bad.json().get("errors").get(0).get("field").asString()).isEqualTo("to");
        assertThat(bad.detail()).contains("past the weld's end");
        assertThat(ines.get(inspection).json().get("entries"))
                .as("nothing is stored")
                .isEmpty();
        ines.add(inspection, "INDICATION", "'kind':'crack'").expect(422);
        ines.add(inspection, "CLEAR", "'criterion':'size'").expect(422);
    }

    @Test
    void aNewIndicationTakesBackItsOwnNone() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("B6");
        ines.add(inspection, "CLEAR", "'criterion':'undercut'").expect(200);
        JsonNode after =
                ines.add(inspection, "INDICATION", UNDERCUT).expect(200).json();
        JsonNode clear = after.get("entries").get(0);
        assertThat(clear.get("withdrawn").asBoolean()).isTrue();
        assertThat(clear.get("withdrawnWhy").asString()).contains("undercut was seen");
        assertThat(ines.add(inspection, "CLEAR", "'criterion':'undercut'")
                        .expect(422)
                        .detail())
                .contains("take it off");
    }

    @Test
    void deletingIsAMarkThatUndoTakesOff() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("B7");
        UUID id = UUID.randomUUID();
        ines.put(inspection + "/entries/" + id, TestBrowser.entry("INDICATION", UNDERCUT))
                .expect(200);
        JsonNode gone = ines.delete(inspection + "/entries/" + id + "?version=0")
                .expect(200)
                .json();
        assertThat(gone.get("evaluation").get("verdict").asString()).isEqualTo("incomplete");
        JsonNode back = ines.post(inspection + "/entries/" + id + "/restore", null)
                .expect(200)
                .json();
        assertThat(back.get("evaluation").get("verdict").asString()).isEqualTo("reject");
    }

    @Test
    void causesOfAnUndercutSpeakOfItsToe() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("B8");
        ines.add(inspection, "READING", "'at':'3','legA':'1/4','legB':'3/8'").expect(200);
        ines.add(inspection, "INDICATION", UNDERCUT).expect(200);
        JsonNode causes = ines.get(inspection + "/causes").expect(200).json();
        JsonNode first = causes.get("defects")
                .valueStream()
                .filter(d -> d.get("kind").asString().equals("undercut"))
                .findFirst()
                .orElseThrow()
                .get("causes")
                .get(0);
        assertThat(first.get("id").asString()).isEqualTo("work-angle");
        assertThat(first.get("speaksFor")).isNotEmpty();
    }

    @Test
    void answersGivenQuicklyAfterEachOtherAllStand() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("B9");
        ines.put(inspection + "/conditions", "{'cleaned':true}").expect(200);
        ines.put(inspection + "/conditions", "{'ambient':true}").expect(200);
        JsonNode after = ines.put(inspection + "/conditions", "{'coated':false}")
                .expect(200)
                .json();
        assertThat(after.get("conditions").toString())
                .isEqualTo("{\"cleaned\":true,\"ambient\":true,\"coated\":false}");
        JsonNode ready = ines.put(inspection + "/conditions", "{'light':true,'near':true,'inCalibration':true}")
                .expect(200)
                .json();
        assertThat(finding(ready, "readiness").get("verdict").asString()).isEqualTo("accept");
        JsonNode changed = ines.put(inspection + "/conditions", "{'cleaned':false}")
                .expect(200)
                .json();
        assertThat(finding(changed, "readiness").get("verdict").asString()).isEqualTo("incomplete");
    }
}
