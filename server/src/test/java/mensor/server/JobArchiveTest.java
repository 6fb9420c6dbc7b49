package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import mensor.exchange.ChainFile;
import mensor.exchange.InspectionDocument;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** A whole job as one archive: another Mensor reads it back to the same sums, and writes the same archive. */
@ExtendWith(RunningMensor.class)
@Tag("postgresql")
class JobArchiveTest {
    private static final String JOB = "Lock gate";

    @TempDir
    Path folder;

    private final TestBrowser ines = RunningMensor.as("ines");
    private final TestBrowser rufus = RunningMensor.as("rufus");
    private final TestBrowser quinn = RunningMensor.as("quinn");

    private static Map<String, byte[]> unzipped(byte[] zip) throws IOException {
        Map<String, byte[]> files = new TreeMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                files.put(e.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    private static byte[] zipped(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> f : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(f.getKey()));
                zip.write(f.getValue());
            }
        }
        return out.toByteArray();
    }

    /** A signed reject with a decision and a document, and an accepted weld beside it. */
    private String job() {
        quinn.post("/api/jobs", "{'name':'" + JOB + "','criteria':'d1.1-static','units':'in'}")
                .expect(200);
        String bad = ines.inspection("JA-1", JOB);
        ines.sound(bad);
        ines.add(bad, "INDICATION", "'kind':'slag','from':'10','to':'11','trapped':true")
                .expect(200);
        ines.sign(bad, "reject").expect(200);
        JsonNode defect =
                ines.get(bad + "/defects").expect(200).json().get("defects").get(0);
        String path = "/api/defects/" + defect.get("id").asString();
        rufus.put(path + "/disposition", "{'decision':'remove-and-reweld'}").expect(200);
        RunningMensor.as("wanda")
                .putBytes(
                        path + "/holds/steel/document?number=MC-1&engineer=P.%20Quill&date=2026-01-05&name=mill.pdf",
                        "%PDF-1.4 of the gate".getBytes(StandardCharsets.US_ASCII))
                .expect(200);
        String good = ines.inspection("JA-2", JOB);
        ines.sound(good);
        ines.sign(good, "accept").expect(200);
        return find(quinn);
    }

    private static String find(TestBrowser b) {
        for (JsonNode j : b.get("/api/jobs").expect(200).json()) {
            if (j.get("form").get("name").asString().equals(JOB)) {
                return "/api/jobs/" + j.get("id").asString();
            }
        }
        throw new AssertionError("no job");
    }

    @Test
    void anotherMensorReadsItBackToTheSameSums() throws IOException {
        String job = job();
        ines.get(job + "/archive").expect(403);
        byte[] zip = quinn.bytes(job + "/archive");
        Map<String, byte[]> files = unzipped(zip);
        assertThat(files).containsKeys("mensor-job.json", "signed-records.json", "tables/signature.jsonl");
        String people = new String(files.get("tables/person.jsonl"), StandardCharsets.UTF_8);
        assertThat(people).contains("\"login\":\"ines\"").doesNotContain("$2a$").doesNotContain("INSPECTOR");
        files.entrySet().stream()
                .filter(f -> f.getKey().startsWith("inspections/JA-1"))
                .forEach(f -> assertThat(InspectionDocument.read(new String(f.getValue(), StandardCharsets.UTF_8)))
                        .as("any program that knows the open format reads it")
                        .isNotNull());
        JsonNode sums = quinn.get(job + "/chain/check").expect(200).json();
        assertThat(sums.get("records").asInt()).isEqualTo(2);

        try (ConfigurableApplicationContext there = MensorApplication.start(
                "--server.port=0",
                "--mensor.data=" + folder,
                "--mensor.demo=false",
                "--mensor.db=" + (TestDatabase.address().equals("embedded") ? "embedded" : TestDatabase.fresh()))) {
            String base = "http://localhost:"
                    + ((ServletWebServerApplicationContext) there)
                            .getWebServer()
                            .getPort();
            TestBrowser first = new TestBrowser(base);
            // the same login is somebody else's here
            first.post(
                            "/api/people/first",
                            "{'login':'ines','name':'Another','password':'" + RunningMensor.PASSWORD + "'}")
                    .expect(200);
            refused(first, files);
            forged(first, files);
            // somebody made of the people in it a manager who may sign in; they come as nobody all the same
            Map<String, byte[]> promoted = new TreeMap<>(files);
            promoted.put(
                    "tables/person.jsonl",
                    people.replace("VIEWER", "QUALITY_MANAGER")
                            .replace("\"active\":false", "\"active\":true")
                            .getBytes(StandardCharsets.UTF_8));
            JsonNode brought = first.postBytes("/api/jobs/archive", zipped(listed(promoted, files)))
                    .expect(200)
                    .json();
            assertThat(brought.get("records").asInt()).isEqualTo(2);
            cameFromElsewhere(first, brought);
            assertThat(first.get(job + "/chain/check").expect(200).json()).isEqualTo(sums);
            assertThat(first.get(job + "/chain").expect(200).text())
                    .isEqualTo(quinn.get(job + "/chain").expect(200).text());
            List<String> marks = new ArrayList<>();
            first.get("/api/joints")
                    .expect(200)
                    .json()
                    .get("rows")
                    .forEach(r -> marks.add(r.get("mark").asString()));
            assertThat(marks).contains("JA-1", "JA-2");
            Map<String, byte[]> again = unzipped(first.bytes(job + "/archive"));
            assertThat(again.keySet()).isEqualTo(files.keySet());
            for (String name : files.keySet()) {
                // when; another ines here; what was signed elsewhere is counted in no rate
                if (!name.equals("mensor-job.json")
                        && !name.equals("tables/person.jsonl")
                        && !name.endsWith("_tally.jsonl")) {
                    assertThat(again.get(name)).as(name).isEqualTo(files.get(name));
                }
            }
            assertThat(first.postBytes("/api/jobs/archive", zip).expect(409).detail())
                    .contains("here already");
            assertThat(first.get("/api/people").expect(200).json())
                    .as("nobody signs in who came with a job")
                    .hasSize(1);
        }
    }

    /** What came signed is shown as signed elsewhere, is in the history, and is verified where the manager trusts the key. */
    private void cameFromElsewhere(TestBrowser there, JsonNode brought) throws IOException {
        String ours =
                quinn.get("/api/installations").expect(200).json().get("own").asString();
        assertThat(brought.get("signedElsewhere").asString()).isEqualTo("2 of " + ours);
        JsonNode rows =
                there.get("/api/joints?find=JA-2&group=").expect(200).json().get("rows");
        assertThat(rows.get(0).get("group").asString()).isEqualTo("elsewhere");
        assertThat(rows.get(0).get("next").asString()).startsWith("Signed elsewhere");
        String bench = "/api/inspections/" + rows.get(0).get("inspectionId").asString();
        assertThat(signature(there, bench)).isEqualTo("signed at installation " + ours + ", not verified");
        assertThat(there.get("/api/history?what=Job%20brought%20in&find=")
                        .expect(200)
                        .text())
                .contains(JOB, ours, "SHA-256 of the archive");
        assertThat(java.nio.file.Files.readString(folder.resolve("seals.jsonl")))
                .as("the journal names the import and seals nothing of it")
                .contains("mensor-brought/1")
                .doesNotContain("mensor-seal/1");
        there.post("/api/installations", "{'fingerprint':'7F3A','name':'The yard'}")
                .expect(422);
        there.post("/api/installations", "{'fingerprint':'" + ours + "','name':'The yard'}")
                .expect(200);
        assertThat(signature(there, bench)).isEqualTo("signed at installation " + ours + " (The yard), verified");
        there.post("/api/installations", "{'fingerprint':'" + ours + "','name':'Again'}")
                .expect(409);
        assertThat(there.get("/api/reject-rates?by=welder").expect(200).text())
                .as("no accept of this shop")
                .doesNotContain("\"inspected\":1");
    }

    private static String signature(TestBrowser b, String bench) {
        return b.get(bench).expect(200).json().get("signature").get("elsewhere").asString();
    }

    /** A record without its sums over the rows, all other sums made anew: nothing says what it was signed from. */
    private static void forged(TestBrowser b, Map<String, byte[]> files) throws IOException {
        String rows = text(files, "tables/signature.jsonl");
        String forged = rows.replaceAll("\\\\\"entriesSha256\\\\\":\\\\\"[0-9a-f]{64}\\\\\",?", "");
        assertThat(forged).isNotEqualTo(rows);
        Map<String, byte[]> altered = new TreeMap<>(files);
        altered.put("tables/signature.jsonl", summed(forged).getBytes(StandardCharsets.UTF_8));
        String list = text(listed(altered, files), "mensor-job.json");
        altered.put("mensor-job.json", list.getBytes(StandardCharsets.UTF_8));
        assertThat(b.postBytes("/api/jobs/archive", zipped(altered)).expect(422).detail())
                .contains("nothing was stored");
        bad(b, files, "tables/joint.jsonl", "\"id\":\"", "\"id\":\"no-id-", "a row of joint");
        bad(b, files, "tables/entry.jsonl", "\"entered_at\":\"2", "\"entered_at\":\"noon 2", "a row of entry");
        bad(b, files, "tables/entry.jsonl", "{", "{{", "a row of entry");
        bad(b, files, "tables/person.jsonl", "\"id\":", "\"was\":", "a row of person");
        bad(b, files, "tables/joint.jsonl", "{", "[".repeat(20_000), "a row of joint");
        bad(b, files, "seals.jsonl", "mensor-seal/1", "mensor-seal/9", "seals");
    }

    /** Each record's own sum made anew, as who forges would. */
    private static String summed(String rows) {
        tools.jackson.databind.json.JsonMapper json =
                tools.jackson.databind.json.JsonMapper.builder().build();
        return rows.lines()
                        .map(line -> {
                            tools.jackson.databind.node.ObjectNode row =
                                    (tools.jackson.databind.node.ObjectNode) json.readTree(line);
                            row.put(
                                    "sha256",
                                    ChainFile.sha256(row.get("canonical").asString()));
                            return json.writeValueAsString(row);
                        })
                        .collect(java.util.stream.Collectors.joining("\n"))
                + "\n";
    }

    /** Refused in words that name what does not fit, never as a fault of the server. */
    private static void bad(TestBrowser b, Map<String, byte[]> files, String name, String from, String to, String words)
            throws IOException {
        Map<String, byte[]> altered = new TreeMap<>(files);
        altered.put(name, text(files, name).replace(from, to).getBytes(StandardCharsets.UTF_8));
        assertThat(b.postBytes("/api/jobs/archive", zipped(listed(altered, files)))
                        .expect(422)
                        .detail())
                .contains(words, "nothing was stored")
                .doesNotContain("Exception", "java.", "/tmp");
    }

    private static String text(Map<String, byte[]> files, String name) {
        return new String(files.get(name), StandardCharsets.UTF_8);
    }

    /** The archive with its list's sums as those of what was altered. */
    private static Map<String, byte[]> listed(Map<String, byte[]> altered, Map<String, byte[]> files) {
        String list = text(altered, "mensor-job.json");
        for (String name : files.keySet()) {
            list = list.replace(ChainFile.sha256(files.get(name)), ChainFile.sha256(altered.get(name)));
        }
        Map<String, byte[]> again = new TreeMap<>(altered);
        again.put("mensor-job.json", list.getBytes(StandardCharsets.UTF_8));
        return again;
    }

    private static void refused(TestBrowser b, Map<String, byte[]> files) throws IOException {
        assertThat(b.postBytes("/api/jobs/archive", "no zip".getBytes(StandardCharsets.US_ASCII))
                        .expect(422)
                        .detail())
                .contains("no archive of a job");
        assertThat(b.postBytes("/api/jobs/archive", zipped(Map.of("../outside", new byte[1])))
                        .expect(422)
                        .detail())
                .contains("leads out of it");
        // an entry that was altered, and the list's sum with it: the record does not fit
        Map<String, byte[]> altered = new TreeMap<>(files);
        String entries = text(files, "tables/entry.jsonl");
        altered.put("tables/entry.jsonl", entries.replace("slag", "scar").getBytes(StandardCharsets.UTF_8));
        assertThat(b.postBytes("/api/jobs/archive", zipped(altered)).expect(422).detail())
                .contains("not as it was written: tables/entry.jsonl");
        assertThat(b.postBytes("/api/jobs/archive", zipped(listed(altered, files)))
                        .expect(422)
                        .detail())
                .contains("an entry was altered");
        // a table that no job has: a token to act as somebody
        Map<String, byte[]> foreign = new TreeMap<>(files);
        foreign.put("tables/access_token.jsonl", "{}".getBytes(StandardCharsets.UTF_8));
        foreign.put(
                "mensor-job.json",
                text(files, "mensor-job.json")
                        .replaceFirst(
                                "\"tables\" : \\[",
                                "\"tables\" : [ {\"name\":\"access_token\",\"rows\":1,\"sha256\":\""
                                        + ChainFile.sha256(foreign.get("tables/access_token.jsonl"))
                                        + "\"},")
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(b.postBytes("/api/jobs/archive", zipped(foreign)).expect(422).detail())
                .contains("holds no access_token");
        assertThat(b.get("/api/jobs").expect(200).json())
                .as("nothing was stored")
                .isEmpty();
    }
}
