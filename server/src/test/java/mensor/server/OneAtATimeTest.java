package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Function;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Several people at one thing: one of them does it, the others are told why not. */
@ExtendWith(RunningMensor.class)
@Tag("postgresql")
class OneAtATimeTest {
    private static List<Integer> atOnce(int hands, Function<TestBrowser, TestBrowser.Answer> what) throws Exception {
        List<Callable<Integer>> all = new ArrayList<>();
        for (int i = 0; i < hands; i++) {
            TestBrowser own = RunningMensor.as(i % 2 == 0 ? "ines" : "tomas");
            all.add(() -> what.apply(own).status());
        }
        ExecutorService threads = Executors.newFixedThreadPool(hands);
        List<Integer> answers = new ArrayList<>();
        for (Future<Integer> f : threads.invokeAll(all)) {
            answers.add(f.get());
        }
        threads.shutdown();
        return answers;
    }

    private static String rejected(TestBrowser who, String mark) {
        String inspection = who.inspection(mark);
        who.add(inspection, "INDICATION", "'kind':'crack','at':'5'").expect(200);
        return inspection;
    }

    @Test
    void aVerificationIsBegunOnce() throws Exception {
        TestBrowser ines = RunningMensor.as("ines");
        String joint = ines.jointOf(ines.inspection("ONCE-1"));
        List<Integer> answers = atOnce(6, b -> b.post("/api/joints/" + joint + "/verification", "{}"));
        assertThat(answers).containsOnly(200, 409).containsOnlyOnce(200);
    }

    @Test
    void theSameEntryFromSeveralHandsIsStoredOnce() throws Exception {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("ONCE-2");
        String id = UUID.randomUUID().toString();
        List<Integer> answers = atOnce(
                6,
                b -> b.post(
                        inspection + "/entries",
                        "[{'id':'" + id + "','kind':'INDICATION','content':{'kind':'crack','at':'5'}}]"));
        assertThat(answers).allMatch(a -> a == 200 || a == 409);
        assertThat(ines.get(inspection).json().get("entries")).hasSize(1);
    }

    @Test
    void aLoginAndAJobAreMadeOnce() throws Exception {
        TestBrowser quinn = RunningMensor.as("quinn");
        List<Callable<Integer>> all = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            TestBrowser own = RunningMensor.as("quinn");
            all.add(() -> own.post(
                            "/api/people",
                            "{'login':'once','name':'Once','roles':['VIEWER'],'password':'" + RunningMensor.PASSWORD
                                    + "'}")
                    .status());
            all.add(() -> own.post("/api/jobs", "{'name':'Job of once'}").status());
        }
        ExecutorService threads = Executors.newFixedThreadPool(8);
        List<Integer> answers = new ArrayList<>();
        for (Future<Integer> f : threads.invokeAll(all)) {
            answers.add(f.get());
        }
        threads.shutdown();
        assertThat(answers).allMatch(a -> a == 200 || a == 409 || a == 422);
        long people = 0;
        for (JsonNode p : quinn.get("/api/people").json()) {
            people += p.get("login").asString().equals("once") ? 1 : 0;
        }
        assertThat(people).isEqualTo(1);
    }

    @Test
    void whoHasItInHandSignsItOthersAfterAHandover() {
        TestBrowser ines = RunningMensor.as("ines");
        TestBrowser tomas = RunningMensor.as("tomas");
        String inspection = rejected(ines, "HELD-1");
        assertThat(tomas.sign(inspection, "reject").expect(409).detail()).contains("ines has this inspection in hand");
        String to = tomas.get("/api/session").json().get("person").get("id").asString();
        ines.post(inspection + "/handover", "{'to':'" + to + "'}").expect(200);
        ines.sign(inspection, "reject").expect(409);
        tomas.sign(inspection, "reject").expect(200);
    }

    @Test
    void aViewerLearnsNothingOfAnOpenRevision() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = rejected(ines, "HELD-2");
        ines.sign(inspection, "reject").expect(200);
        String open = ines.post(inspection + "/amend", "{'reason':'the crack is at 6'}")
                .expect(200)
                .json()
                .get("id")
                .asString();
        assertThat(ines.get(inspection).json().get("revisions")).hasSize(2);
        TestBrowser vera = RunningMensor.as("vera");
        assertThat(vera.get(inspection).expect(200).text()).doesNotContain(open);
        vera.get("/api/inspections/" + open).expect(403);
    }

    @Test
    void aLeaversNameStaysOnWhatWasRecorded() {
        TestBrowser quinn = RunningMensor.as("quinn");
        String id = quinn.post(
                        "/api/people",
                        "{'login':'gone','name':'G. Gone','roles':['INSPECTOR'],'password':'" + RunningMensor.PASSWORD
                                + "'}")
                .expect(200)
                .json()
                .get("id")
                .asString();
        String inspection = rejected(RunningMensor.as("gone"), "GONE-1");
        for (JsonNode p : quinn.get("/api/people/papers").json()) {
            if (p.get("person").get("id").asString().equals(id)) {
                quinn.put(
                                "/api/people/" + id + "/active",
                                "{'active':false,'version':" + p.get("papers").get("version") + "}")
                        .expect(200);
            }
        }
        JsonNode bench = RunningMensor.as("ines").get(inspection).expect(200).json();
        assertThat(bench.get("holder").asString()).isEqualTo("G. Gone");
        assertThat(bench.get("entries").get(0).get("by").asString()).isEqualTo("G. Gone");
    }
}
