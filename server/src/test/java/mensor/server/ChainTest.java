package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import mensor.exchange.ChainFile;
import mensor.exchange.Seal;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningMensor.class)
@Tag("postgresql")
class ChainTest {
    private static final String JOB = "Chain bridge";

    /** An inspection with a crack, in a job of its own name. */
    private static String rejected(TestBrowser b, String mark, String job) {
        String inspection = "/api/inspections/"
                + b.post("/api/joints", TestBrowser.newJoint(mark).replace("Footbridge", job))
                        .expect(200)
                        .json()
                        .get("inspectionId")
                        .asString();
        b.add(inspection, "INDICATION", "'kind':'crack','at':'5'").expect(200);
        return inspection;
    }

    private static String job(TestBrowser b, String name) {
        for (JsonNode j : b.get("/api/jobs").json()) {
            if (j.get("form").get("name").asString().equals(name)) {
                return j.get("id").asString();
            }
        }
        throw new AssertionError("no job " + name);
    }

    @Test
    void signaturesOfAJobAreChainedAlsoWhenManySignAtOnce() throws Exception {
        TestBrowser ines = RunningMensor.as("ines");
        List<Callable<Integer>> signs = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            String inspection = rejected(ines, "CH-" + i, JOB);
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
        String job = job(ines, JOB);
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
            String inspection = rejected(ines, "SL-" + i, name);
            ines.sign(inspection, "reject").expect(200);
        }
        String job = job(ines, name);
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

    @Test
    void aJobThatIsCalledOtherwiseKeepsItsSeals() {
        TestBrowser ines = RunningMensor.as("ines");
        String job = ines.post("/api/jobs", "{'name':'Called before','criteria':'d1.1-static','units':'in'}")
                .expect(200)
                .json()
                .get("id")
                .asString();
        String inspection = rejected(ines, "RN-1", "Called before");
        ines.sign(inspection, "reject").expect(200);
        long version = ines.get("/api/jobs/" + job).json().get("version").asLong();
        RunningMensor.as("quinn")
                .put(
                        "/api/jobs/" + job,
                        "{'form':{'name':'Called now','criteria':'d1.1-static','units':'in'},'version':" + version
                                + "}")
                .expect(200);
        assertThat(ines.get("/api/jobs/" + job + "/chain/check").json().has("fault"))
                .isFalse();
        // written anew, sum and all: by itself the chain fits, but not what was sealed under the name of before
        ChainFile.Link signed = ChainFile.read(
                        ines.get("/api/jobs/" + job + "/chain").text())
                .links()
                .get(0);
        String forged = signed.record().replace("\"crack\"", "\"slag\"");
        JdbcTemplate db = RunningMensor.bean(JdbcTemplate.class);
        String rewrite = "update signature set canonical = ?, sha256 = ? where sha256 = ?";
        db.update(rewrite, forged, ChainFile.sha256(forged), signed.sha256());
        assertThat(ines.get("/api/jobs/" + job + "/chain/check")
                        .json()
                        .get("fault")
                        .asString())
                .contains("record 1 is another than the one that was sealed");
        db.update(rewrite, signed.record(), signed.sha256(), ChainFile.sha256(forged));
        assertThat(ines.get("/api/jobs/" + job + "/chain/check").json().has("fault"))
                .isFalse();
    }

    /** A row that somebody altered beside Mensor, put back after the check. */
    private static String faultWith(TestBrowser b, String job, String alter, String putBack) {
        JdbcTemplate db = RunningMensor.bean(JdbcTemplate.class);
        assertThat(db.update(alter)).isPositive();
        try {
            return b.get("/api/jobs/" + job + "/chain/check")
                    .expect(200)
                    .json()
                    .get("fault")
                    .asString();
        } finally {
            assertThat(db.update(putBack)).isPositive();
        }
    }

    @Test
    void aRowThatWasAlteredBesideMensorIsFound() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = rejected(ines, "ROW-1", "Rows");
        ines.sign(inspection, "reject").expect(200);
        String joint = ines.get("/api/joints?find=ROW-1")
                .json()
                .get("rows")
                .get(0)
                .get("jobId")
                .asString();
        assertThat(ines.get("/api/jobs/" + joint + "/chain/check").json().has("fault"))
                .isFalse();
        String id = inspection.substring(inspection.lastIndexOf('/') + 1);
        String entries = " where inspection_id = '" + id + "'";
        assertThat(faultWith(
                        ines,
                        joint,
                        "update entry set content = replace(content, '\"5\"', '\"6\"')" + entries,
                        "update entry set content = replace(content, '\"6\"', '\"5\"')" + entries))
                .isEqualTo("record 1, ROW-1: an entry was altered, added or taken out since it was signed");
        assertThat(faultWith(
                        ines,
                        joint,
                        "update entry set withdrawn = true" + entries,
                        "update entry set withdrawn = false" + entries))
                .contains("an entry was altered");
        assertThat(faultWith(
                        ines,
                        joint,
                        "update inspection set verdict = 'accept' where id = '" + id + "'",
                        "update inspection set verdict = 'reject' where id = '" + id + "'"))
                .contains("the inspection's verdict beside the record was altered");
        assertThat(faultWith(
                        ines,
                        joint,
                        "update signature set signed_name = 'nobody'" + entries,
                        "update signature set signed_name = 'ines'" + entries))
                .contains("the signer beside the record");
        assertThat(faultWith(
                        ines,
                        joint,
                        "update joint set lot = 'Deck ' where mark = 'ROW-1'",
                        "update joint set lot = 'Deck' where mark = 'ROW-1'"))
                .contains("the weld's set-up was altered");
        assertThat(faultWith(
                        ines,
                        joint,
                        "update signature set signed_at = signed_at - interval '3' day" + entries,
                        "update signature set signed_at = signed_at + interval '3' day" + entries))
                .contains("the time of the signature beside the record was altered");
        assertThat(faultWith(
                        ines,
                        joint,
                        "update inspection set conditions = concat(conditions, ' ') where id = '" + id + "'",
                        "update inspection set conditions = trim(conditions) where id = '" + id + "'"))
                .contains("what was said of the conditions");
        assertThat(faultWith(
                        ines,
                        joint,
                        "update signature set origin = 'unsealed'" + entries,
                        "update signature set origin = null" + entries))
                .contains("where it was signed beside the record was altered");
        assertThat(ines.get("/api/jobs/" + joint + "/chain/check").json().has("fault"))
                .isFalse();
    }
}
