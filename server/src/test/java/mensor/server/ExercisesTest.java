package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import mensor.length.Unit;
import mensor.practice.FlawKind;
import mensor.practice.PracticeFlaw;
import mensor.practice.PracticeSetting;
import mensor.practice.SimulatedPracticeWeld;
import mensor.weld.Toe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A made-up weld from its beginning to the explained solution; its truth stays on the server until it is handed in. */
@ExtendWith(RunningMensor.class)
class ExercisesTest {
    private static final PracticeSetting SETTING = new PracticeSetting(
            1, true, Unit.MILLIMETRE, "d1.1-static", Set.of(FlawKind.UNDERCUT, FlawKind.PORE), 2, 1);
    private static final String FORM =
            "{'level':1,'joint':'tee','units':'mm','criteria':'d1.1-static','kinds':['undercut','pore'],'crowd':2,'dirt':1}";

    private final TestBrowser ines = RunningMensor.as("ines");

    private static String begun(TestBrowser who) {
        String path = "/api/exercises/" + UUID.randomUUID();
        who.put(path, FORM).expect(200);
        return path;
    }

    private static List<PracticeFlaw> truth(String path) {
        Long seed = RunningMensor.bean(JdbcTemplate.class)
                .queryForObject(
                        "select seed from exercise where id = ?",
                        Long.class,
                        UUID.fromString(path.substring(path.lastIndexOf('/') + 1)));
        return new SimulatedPracticeWeld(SETTING, seed).flaws();
    }

    /** One with flaws: some made-up welds are sound. */
    private static String flawed(TestBrowser who) {
        for (int i = 0; i < 40; i++) {
            String path = begun(who);
            if (truth(path).size() >= 2) {
                return path;
            }
        }
        throw new AssertionError("forty sound welds in a row");
    }

    private static String line(PracticeFlaw f) {
        return f.kind() == FlawKind.PORE
                ? String.format(java.util.Locale.ROOT, "pore %.0f %.1f", (f.from() + f.to()) / 2, f.size())
                : String.format(
                        java.util.Locale.ROOT,
                        "uc %s %.0f-%.0f %.1f",
                        f.toe().equals(java.util.Optional.of(Toe.A)) ? "a" : "b",
                        f.from(),
                        f.to(),
                        f.size());
    }

    @Test
    void whoFindsAllIsToldSoAndWhoMissesIsShownWhere() {
        String path = flawed(ines);
        List<PracticeFlaw> truth = truth(path);
        JsonNode open = ines.get(path).expect(200).json();
        assertThat(open.get("verdict").asString()).isEqualTo("incomplete");
        assertThat(open.get("weld").asString()).isEqualTo("8 fillet, tee, 200 mm");
        ines.post(path + "/looks", "{'from':0,'to':120,'seconds':12}").expect(200);
        ines.post(path + "/looks", "{'from':110,'to':150,'seconds':5}").expect(200);
        PracticeFlaw first = truth.get(0);
        JsonNode gauged = ines.post(path + "/gauged", "{'gauge':'leg','toe':'B','at':20}")
                .expect(200)
                .json()
                .get("gauged");
        assertThat(gauged.get(0).get("words").asString()).startsWith("leg gauge, flange toe at 20: ");
        assertThat(PracticeHand.read(ines, path, "uc z 3").get("problem").asString())
                .isNotEmpty();
        assertThat(PracticeHand.read(ines, path, "uc a 300-310 1")
                        .get("problem")
                        .asString())
                .contains("200");
        PracticeHand.record(ines, path, line(first));
        String taken = PracticeHand.record(ines, path, "crack 190").get(0);
        ines.delete(path + "/bench/entries/" + taken + "?version=1").expect(409);
        ines.delete(path + "/bench/entries/" + taken + "?version=0").expect(200);
        assertThat(ines.post(path + "/bench/entries/" + taken + "/restore", "{}")
                        .expect(200)
                        .json()
                        .get("evaluation")
                        .get("verdict")
                        .asString())
                .isEqualTo("reject");
        ines.delete(path + "/bench/entries/" + taken + "?version=2").expect(200);
        PracticeHand.record(ines, path, "overlap a 190-195 1");
        JsonNode solution =
                ines.post(path + "/hand-in", "{}").expect(200).json().get("solution");
        assertThat(solution.get("outcomes")).hasSize(truth.size());
        assertThat(solution.get("outcomes").get(0).get("found").asBoolean()).isTrue();
        assertThat(solution.get("outcomes").get(0).get("off").asString()).isEqualTo("right");
        assertThat(solution.get("outcomes").get(1).get("found").asBoolean()).isFalse();
        assertThat(solution.get("called").get(0).asString()).isEqualTo("overlap at 190–195");
        assertThat(solution.get("unseen").get(0).asString()).isEqualTo("150–200");
        assertThat(solution.get("next").asString()).contains("alone at level 1");
        assertThat(ines.get(path).json().get("seconds").asLong()).isEqualTo(17);
        assertThat(ines.post(path + "/hand-in", "{}").status()).isEqualTo(409);
        String late = "{'kind':'CLEAR','content':{'criterion':'crack'},'version':0}";
        assertThat(ines.put(path + "/bench/entries/" + UUID.randomUUID(), late).status())
                .isEqualTo(409);
        assertThat(ines.get(path + "/bench").expect(200).json().get("state").asString())
                .isEqualTo("SIGNED");
    }

    /** The bench of a made-up weld goes by the rules of any: a "none seen" gives way to what is seen, and is not said over it. */
    @Test
    void theBenchIsTheOrdinaryOne() {
        String path = begun(ines);
        JsonNode bench = ines.get(path + "/bench").expect(200).json();
        assertThat(bench.get("joint").get("job").asString()).isEqualTo("practice");
        assertThat(bench.get("guide")).isNotEmpty();
        PracticeHand.record(ines, path, "none crack");
        PracticeHand.record(ines, path, "crack 20");
        bench = ines.get(path + "/bench").json();
        assertThat(bench.get("entries").get(0).get("withdrawn").asBoolean()).isTrue();
        assertThat(bench.get("entries").get(0).get("withdrawnWhy").asString()).contains("taken back");
        String none = "{'kind':'CLEAR','content':{'criterion':'crack'}}";
        assertThat(ines.put(path + "/bench/entries/" + UUID.randomUUID(), none)
                        .expect(422)
                        .text())
                .contains("take it off");
        ines.put(path + "/bench/entries/" + UUID.randomUUID(), "{'kind':'CLEAR','content':{'criterion':'nonsense'}}")
                .expect(422);
        assertThat(ines.get(path + "/bench/version").json().get("version").asLong())
                .isEqualTo(bench.get("version").asLong());
    }

    /** Everything that is answered before the exercise is handed in; the surface is what an eye sees, and holds no list of flaws. */
    @Test
    void noAnswerTellsTheTruthBeforeItIsHandedIn() {
        String path = flawed(ines);
        PracticeHand.record(ines, path, "none crack");
        for (String answer : List.of(
                ines.get(path).expect(200).text(),
                ines.get("/api/exercises").expect(200).text(),
                ines.get(path + "/bench").expect(200).text(),
                ines.get(path + "/bench/version").expect(200).text(),
                ines.post(path + "/gauged", "{'gauge':'undercut','toe':'A','at':50}")
                        .expect(200)
                        .text(),
                ines.post(path + "/looks", "{'from':0,'to':50,'seconds':3}")
                        .expect(200)
                        .text())) {
            assertThat(answer).doesNotContain("\"seed\"").doesNotContain("\"truth\"");
            assertThat(answer).doesNotContainPattern("\"solution\":\\{");
        }
        for (JsonNode row : ines.get("/api/exercises").json()) {
            if (path.endsWith(row.get("id").asString())) {
                assertThat(row.get("flaws").asInt()).isZero();
                assertThat(row.has("right") && !row.get("right").isNull()).isFalse();
            }
        }
        // another weld with the very same record answers the same: nothing of the truth is in it
        ByteBuffer surface = ByteBuffer.wrap(ines.bytes(path + "/surface")).order(ByteOrder.LITTLE_ENDIAN);
        int rows = (int) surface.getFloat();
        int across = (int) surface.getFloat();
        assertThat(surface.remaining()).isEqualTo(rows * (1 + 4 * across) * Float.BYTES);
        for (String other : List.of("tomas", "quinn", "vera", "rufus")) {
            assertThat(RunningMensor.as(other).get(path).status()).as(other).isEqualTo(403);
            assertThat(RunningMensor.as(other).get(path + "/surface").status()).isEqualTo(403);
            assertThat(RunningMensor.as(other).get(path + "/bench").status()).isEqualTo(403);
        }
        String twin = begun(ines);
        PracticeHand.record(ines, twin, "none crack");
        assertThat(told(path)).isEqualTo(told(twin));
    }

    private String told(String path) {
        JsonNode open = ines.get(path + "/bench").json();
        return open.get("evaluation").toString().replaceAll("[0-9a-f-]{36}", "")
                + open.get("strip")
                + open.get("sections");
    }

    @Test
    void whatIsHandedInIsForThoseWhoTrainToSeeAndPracticeTouchesNoJob() {
        TestBrowser quinn = RunningMensor.as("quinn");
        String version = ines.get("/api/joints/version").expect(200).text();
        String path = begun(ines);
        PracticeHand.record(ines, path, "none crack overlap");
        ines.post(path + "/hand-in", "{}").expect(200);
        assertThat(quinn.get(path).expect(200).text()).contains("\"solution\":{");
        assertThat(quinn.get("/api/exercises?others=true").expect(200).text())
                .contains(path.substring(path.lastIndexOf('/') + 1));
        assertThat(RunningMensor.as("tomas").get(path).status()).isEqualTo(403);
        assertThat(ines.get("/api/joints/version").text()).as("no joint came").isEqualTo(version);
        assertThat(ines.put("/api/exercises/" + UUID.randomUUID(), "{'level':9}")
                        .expect(422)
                        .text())
                .contains("level");
        assertThat(ines.put("/api/exercises/" + UUID.randomUUID(), "{'criteria':'none'}")
                        .status())
                .isEqualTo(422);
        ines.put("/api/exercises/" + UUID.randomUUID(), "{'joint':'butt','level':4}")
                .expect(200);
        ines.put("/api/exercises/" + UUID.randomUUID(), "{'criteria':'iso5817-b','units':'mm'}")
                .expect(200);
    }
}
