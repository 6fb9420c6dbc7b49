package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import mensor.exchange.ChainFile;
import mensor.exchange.Seal;
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

    @Test
    void aChainWrittenAnewNoLongerFitsWhatWasSealed() throws Exception {
        TestBrowser ines = RunningMensor.as("ines");
        String name = "Sealed bridge";
        for (int i = 0; i < 2; i++) {
            String inspection = "/api/inspections/"
                    + ines.post("/api/joints", TestBrowser.newJoint("SL-" + i).replace("Footbridge", name))
                            .expect(200)
                            .json()
                            .get("inspectionId")
                            .asString();
            ines.add(inspection, "INDICATION", "'kind':'crack','at':'5'").expect(200);
            ines.sign(inspection, "reject").expect(200);
        }
        String job = null;
        for (JsonNode j : ines.get("/api/jobs").json()) {
            job = j.get("form").get("name").asString().equals(name)
                    ? j.get("id").asString()
                    : job;
        }
        Seal receipt = Seal.read(
                ines.get("/api/jobs/" + job + "/chain/seal").expect(200).text());
        ChainFile whole = ChainFile.read(ines.get("/api/jobs/" + job + "/chain").text());
        assertThat(receipt.fault(whole)).isEmpty();
        assertThat(receipt.place()).isEqualTo(2);

        // somebody with the database writes the last record anew, sum and all
        JdbcTemplate db = RunningMensor.bean(JdbcTemplate.class);
        String record = whole.links().get(1).record();
        String forged = record.replace("\"crack\"", "\"slag\"");
        assertThat(forged).isNotEqualTo(record);
        db.update(
                "update signature set canonical = ?, sha256 = ? where sha256 = ?",
                forged,
                ChainFile.sha256(forged),
                receipt.sha256());
        ChainFile rewritten =
                ChainFile.read(ines.get("/api/jobs/" + job + "/chain").text());
        assertThat(rewritten.check()).as("by itself it fits").isEmpty();
        assertThat(receipt.fault(rewritten)).isPresent();
        assertThat(ines.get("/api/jobs/" + job + "/chain/check")
                        .json()
                        .get("fault")
                        .asString())
                .contains("record 2 is another than the one that was sealed");
        db.update(
                "update signature set canonical = ?, sha256 = ? where sha256 = ?",
                record,
                receipt.sha256(),
                ChainFile.sha256(forged));
        assertThat(ines.get("/api/jobs/" + job + "/chain/check").json().has("fault"))
                .isFalse();
    }
}
