package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.BrokenBarrierException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CyclicBarrier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Three people see the same made-up welds, each twice, shuffled; nobody sees an answer before all have handed in. */
@ExtendWith(RunningMensor.class)
class AgreementStudyTest {
    private final TestBrowser quinn = RunningMensor.as("quinn");

    private String idOf(String login) {
        for (JsonNode p : quinn.get("/api/people").expect(200).json()) {
            JsonNode person = p.has("person") ? p.get("person") : p;
            if (person.get("login").asString().equals(login)) {
                return person.get("id").asString();
            }
        }
        throw new AssertionError(login);
    }

    private static List<JsonNode> open(TestBrowser who, String study) {
        List<JsonNode> open = new ArrayList<>();
        for (JsonNode row : who.get("/api/exercises").expect(200).json()) {
            boolean ofStudy =
                    row.has("study") && row.get("study").get("id").asString().equals(study);
            if (ofStudy && (!row.has("handedAt") || row.get("handedAt").isNull())) {
                open.add(row);
            }
        }
        return open;
    }

    /** Records the same of every weld and hands it in. */
    private static String handIn(TestBrowser who, String study, String line) {
        List<JsonNode> open = open(who, study);
        assertThat(open).as("one after another").hasSize(1);
        String path = "/api/exercises/" + open.get(0).get("id").asString();
        PracticeHand.record(who, path, line);
        return who.post(path + "/hand-in", "{}").expect(200).text();
    }

    /** Two people hand in their last welds at the same moment: the study ends all the same. */
    @Test
    void theLastTwoAtOnceEndTheStudy() throws Exception {
        for (int round = 0; round < 3; round++) {
            String study = UUID.randomUUID().toString();
            quinn.put(
                            "/api/studies/" + study + "/agreement",
                            "{'title':'At once','welds':2,'people':['" + idOf("ines") + "','" + idOf("tomas") + "']}")
                    .expect(200);
            TestBrowser[] two = {RunningMensor.as("ines"), RunningMensor.as("tomas")};
            List<String> last = new ArrayList<>();
            for (TestBrowser who : two) {
                for (int nth = 0; nth < 3; nth++) {
                    handIn(who, study, "none crack");
                }
                String path =
                        "/api/exercises/" + open(who, study).get(0).get("id").asString();
                PracticeHand.record(who, path, "none crack");
                last.add(path);
            }
            CyclicBarrier both = new CyclicBarrier(2);
            List<CompletableFuture<Integer>> answers = new ArrayList<>();
            for (int p = 0; p < 2; p++) {
                int who = p;
                answers.add(CompletableFuture.supplyAsync(() -> {
                    try {
                        both.await();
                    } catch (InterruptedException | BrokenBarrierException e) {
                        throw new IllegalStateException(e);
                    }
                    return two[who].post(last.get(who) + "/hand-in", "{}").status();
                }));
            }
            for (CompletableFuture<Integer> a : answers) {
                assertThat(a.get()).isEqualTo(200);
            }
            assertThat(quinn.get("/api/studies/" + study)
                            .json()
                            .get("agreement")
                            .get("over")
                            .asBoolean())
                    .as("round " + round)
                    .isTrue();
        }
    }

    /** Real welds are judged by their pictures and scans: nobody sees what was recorded of them, and there is no truth to score by. */
    @Test
    void realWeldsAreJudgedByTheirPictures() throws Exception {
        TestBrowser ines = RunningMensor.as("ines");
        String job = "AG-job " + UUID.randomUUID();
        quinn.post(
                        "/api/jobs",
                        "{'name':'" + job + "','criteria':'d1.1-static','units':'in','terms':{'limits':"
                                + "[{'id':'undercut.depth','max':'1/64','note':'CS-4, 4.2'}]}}")
                .expect(200);
        String[] inspections = new String[2];
        for (int w = 0; w < 2; w++) {
            String mark = "AG-" + UUID.randomUUID().toString().substring(0, 8);
            String inspection = ines.inspection(mark, job);
            inspections[w] = inspection.substring(inspection.lastIndexOf('/') + 1);
        }
        String study = UUID.randomUUID().toString();
        String form = "{'title':'Two of the shop','people':['" + idOf("ines") + "','" + idOf("tomas")
                + "'],'inspections':['" + String.join("','", inspections) + "']}";
        assertThat(quinn.put("/api/studies/" + study + "/agreement", form)
                        .expect(422)
                        .text())
                .contains("neither a scan nor a picture");
        for (String inspection : inspections) {
            ines.putBytes("/api/inspections/" + inspection + "/photos/" + UUID.randomUUID() + "?at=3", picture())
                    .expect(200);
        }
        quinn.put("/api/studies/" + study + "/agreement", form).expect(200);
        String path = "/api/exercises/" + open(ines, study).get(0).get("id").asString();
        JsonNode weld = ines.get(path).expect(200).json();
        assertThat(weld.get("pictures")).hasSize(1);
        assertThat(weld.get("lit").asBoolean()).isFalse();
        assertThat(weld.toString()).doesNotContain("AG-");
        assertThat(ines.get(path + "/bench").text()).doesNotContain("AG-");
        PracticeHand.record(ines, path, "uc a 3-4 1/32");
        JsonNode undercut = ines.get(path + "/bench")
                .json()
                .get("evaluation")
                .get("findings")
                .valueStream()
                .filter(f -> f.get("id").asString().equals("undercut.depth"))
                .findFirst()
                .orElseThrow();
        assertThat(undercut.get("verdict").asString())
                .as("the job's own limit of 1/64 holds for the weld, the code's 1/32 would accept it")
                .isEqualTo("reject");
        String picture = weld.get("pictures").get(0).get("id").asString();
        assertThat(ines.bytes(path + "/pictures/" + picture)).isNotEmpty();
        assertThat(RunningMensor.as("tomas").get(path + "/pictures/" + picture).status())
                .isEqualTo(403);
        ines.get(path + "/pictures/" + UUID.randomUUID()).expect(404);
        ines.get(path + "/surface").expect(404);
        ines.post(path + "/gauged", "{'gauge':'leg','toe':'A','at':20}").expect(409);
        for (int nth = 0; nth < 4; nth++) {
            handIn(ines, study, "crack 2");
            handIn(RunningMensor.as("tomas"), study, nth == 0 ? "none crack" : "crack 2");
        }
        JsonNode a = quinn.get("/api/studies/" + study).expect(200).json().get("agreement");
        assertThat(a.get("over").asBoolean()).isTrue();
        assertThat(a.get("questions").get(0).get("leans")).as("no truth").isEmpty();
        assertThat(ines.get(path).expect(200).json().has("solution")).isFalse();
        assertThat(ines.get("/api/exercises").expect(200).json()).isNotEmpty();
        ines.get("/api/eyes/" + idOf("ines")).expect(200);
    }

    private static byte[] picture() throws java.io.IOException {
        java.io.ByteArrayOutputStream out = new java.io.ByteArrayOutputStream();
        javax.imageio.ImageIO.write(
                new java.awt.image.BufferedImage(40, 30, java.awt.image.BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    @Test
    void answersAreJoinedWhenAllHaveHandedIn() {
        String study = UUID.randomUUID().toString();
        String path = "/api/studies/" + study;
        String form = "{'title':'Three eyes','welds':2,'people':['" + idOf("ines") + "','" + idOf("tomas") + "','"
                + idOf("quinn") + "'],'setting':{'level':3,'units':'in'}}";
        assertThat(RunningMensor.as("ines").put(path + "/agreement", form).status())
                .as("an inspector begins none")
                .isEqualTo(403);
        quinn.put(path + "/agreement", form.replace("'welds':2", "'welds':1")).expect(422);
        JsonNode begun = quinn.put(path + "/agreement", form).expect(200).json();
        assertThat(begun.get("agreement").get("over").asBoolean()).isFalse();
        assertThat(begun.toString()).doesNotContain("seed");
        TestBrowser[] people = {RunningMensor.as("ines"), RunningMensor.as("tomas"), quinn};
        String[] lines = {"crack 2", "none crack overlap", "crack 2"};
        String first = open(people[0], study).get(0).get("id").asString();
        for (int nth = 0; nth < 4; nth++) {
            for (int p = 0; p < people.length; p++) {
                boolean last = nth == 3 && p == 2;
                String answer = handIn(people[p], study, lines[p]);
                assertThat(answer.contains("\"solution\":{"))
                        .as("answers wait for the last")
                        .isEqualTo(last);
                if (!last) {
                    assertThat(quinn.get("/api/exercises/" + first).status())
                            .as("a manager who takes part sees no other record either")
                            .isEqualTo(403);
                    assertThat(quinn.get("/api/exercises?others=true").text()).doesNotContain(first);
                    assertThat(quinn.get(path).json().get("agreement").get("questions"))
                            .isEmpty();
                    assertThat(quinn.get(path + "/report?as=csv").status()).isEqualTo(409);
                }
            }
        }
        JsonNode a = quinn.get(path).expect(200).json().get("agreement");
        assertThat(a.get("over").asBoolean()).isTrue();
        JsonNode verdict = a.get("questions").get(0);
        assertThat(verdict.get("question").asString()).isEqualTo("Verdict");
        assertThat(verdict.get("divided")).hasSize(2);
        assertThat(verdict.get("leans")).hasSize(3);
        JsonNode crack = a.get("questions").get(1);
        assertThat(crack.get("question").asString()).containsIgnoringCase("ready");
        String csv = quinn.get(path + "/report?as=csv").expect(200).text();
        assertThat(csv.lines().filter(l -> l.startsWith("Verdict,"))).hasSize(3 * 2 * 2);
        assertThat(csv).contains("reject");
        String file = quinn.get(path + "/report?as=json").expect(200).text();
        JsonNode again = quinn.putJson("/api/studies/" + UUID.randomUUID(), file)
                .expect(200)
                .json();
        assertThat(again.get("agreement")).isEqualTo(a);
        assertThat(new String(quinn.bytes(path + "/report"), 0, 4, java.nio.charset.StandardCharsets.ISO_8859_1))
                .isEqualTo("%PDF");

        JsonNode eye = RunningMensor.as("ines")
                .get("/api/eyes/" + idOf("ines"))
                .expect(200)
                .json();
        assertThat(eye.get("welds").asInt()).isGreaterThanOrEqualTo(4);
        assertThat(RunningMensor.as("ines").get("/api/eyes/" + idOf("tomas")).status())
                .isEqualTo(403);
        assertThat(RunningMensor.as("ines").get("/api/eyes").status()).isEqualTo(403);
        assertThat(quinn.get("/api/eyes/report?as=csv").expect(200).text()).startsWith("flaw,size mm,found");
        assertThat(new String(
                        quinn.bytes("/api/eyes/" + idOf("ines") + "/report"),
                        0,
                        4,
                        java.nio.charset.StandardCharsets.ISO_8859_1))
                .isEqualTo("%PDF");
        assertThat(quinn.get("/api/eyes").expect(200).json().get("people").size())
                .isGreaterThanOrEqualTo(3);
    }
}
