package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import mensor.exchange.ChainFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningMensor.class)
class ChainTest {
    private static final String JOB = "Chain bridge";

    private static String rejected(TestBrowser b, String mark) {
        String inspection = "/api/inspections/"
                + b.post("/api/joints", TestBrowser.newJoint(mark).replace("Footbridge", JOB))
                        .expect(200)
                        .json()
                        .get("inspectionId")
                        .asString();
        b.add(inspection, "INDICATION", "'kind':'crack','at':'5'").expect(200);
        return inspection;
    }

    private static String job(TestBrowser b) {
        for (JsonNode j : b.get("/api/jobs").json()) {
            if (j.get("form").get("name").asString().equals(JOB)) {
                return j.get("id").asString();
            }
        }
        throw new AssertionError("no job " + JOB);
    }

    @Test
    void signaturesOfAJobAreChainedAlsoWhenManySignAtOnce() throws Exception {
        TestBrowser ines = RunningMensor.as("ines");
        List<Callable<Integer>> signs = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            String inspection = rejected(ines, "CH-" + i);
            TestBrowser own = RunningMensor.as("ines");
            signs.add(() -> {
                own.sign(inspection, "reject").expect(200);
                return 1;
            });
        }
        ExecutorService threads = Executors.newFixedThreadPool(4);
        for (var signed : threads.invokeAll(signs)) {
            signed.get();
        }
        threads.shutdown();
        String job = job(ines);
        JsonNode check =
                ines.get("/api/jobs/" + job + "/chain/check").expect(200).json();
        assertThat(check.get("records").asInt()).isEqualTo(8);
        assertThat(check.has("fault")).isFalse();
        ChainFile file = ChainFile.read(
                ines.get("/api/jobs/" + job + "/chain").expect(200).text());
        assertThat(file.check()).isEmpty();
        assertThat(file.links()).extracting(ChainFile.Link::place).containsExactly(1, 2, 3, 4, 5, 6, 7, 8);

        JdbcTemplate db = RunningMensor.bean(JdbcTemplate.class);
        String third = file.links().get(2).sha256();
        db.update(
                "update signature set canonical = replace(canonical, '\"crack\"', '\"slag\"') where sha256 = ?", third);
        JsonNode tampered = ines.get("/api/jobs/" + job + "/chain/check").json();
        assertThat(tampered.get("fault").asString())
                .startsWith("record 3, CH-")
                .contains("was changed after it was signed");
        db.update(
                "update signature set canonical = ? where sha256 = ?",
                file.links().get(2).record(),
                third);
        assertThat(ines.get("/api/jobs/" + job + "/chain/check").json().has("fault"))
                .isFalse();
        assertThat(ines.get("/api/jobs/00000000-0000-0000-0000-000000000000/chain/check")
                        .expect(404)
                        .detail())
                .contains("no such job");
    }
}
