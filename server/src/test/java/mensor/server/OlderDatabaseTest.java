package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import mensor.server.inspection.WorklistCheck;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** A database as an older version left it (schema 15, the demo's welds) is taken over whole. */
class OlderDatabaseTest {
    private static final String URL = "jdbc:h2:file:%s/mensor";
    private static final Map<String, String> SUMS_BEFORE = new TreeMap<>();
    private static ConfigurableApplicationContext context;
    private static TestBrowser ines;

    @BeforeAll
    static void start(@TempDir Path data) throws Exception {
        Path script = Files.createTempFile("schema-15", ".sql.gz");
        try (var in = OlderDatabaseTest.class.getResourceAsStream("/database/schema-15.sql.gz")) {
            Files.write(script, in.readAllBytes());
        }
        try (Connection c = DriverManager.getConnection(URL.formatted(data), "mensor", "")) {
            c.createStatement().execute("runscript from '" + script + "' compression gzip");
            ResultSet r = c.createStatement().executeQuery("select inspection_id, sha256 from signature");
            while (r.next()) {
                SUMS_BEFORE.put(r.getString(1), r.getString(2));
            }
        }
        Files.delete(script);
        context = MensorApplication.start("--server.port=0", "--mensor.data=" + data, "--mensor.demo=false");
        int port = ((ServletWebServerApplicationContext) context).getWebServer().getPort();
        ines = new TestBrowser("http://localhost:" + port);
        ines.signIn("ines", "lock-bridge-12").expect(200);
    }

    @AfterAll
    static void stop() {
        context.close();
    }

    private static List<JsonNode> rows() {
        List<JsonNode> rows = new ArrayList<>();
        ines.get("/api/joints").expect(200).json().get("rows").forEach(rows::add);
        return rows;
    }

    @Test
    void everySignedRecordHasItsSumAndOpensAsItWasSigned() {
        List<JsonNode> signed =
                rows().stream().filter(r -> r.get("signed").asBoolean()).toList();
        assertThat(signed).hasSizeGreaterThan(20);
        for (JsonNode r : signed) {
            String id = r.get("inspectionId").asString();
            JsonNode bench = ines.get("/api/inspections/" + id).expect(200).json();
            assertThat(bench.get("signature").get("sha256").asString()).isEqualTo(SUMS_BEFORE.get(id));
            assertThat(bench.get("evaluation").get("verdict")).isEqualTo(r.get("verdict"));
            assertThat(bench.get("evaluation").get("findings").size()).isGreaterThan(10);
        }
    }

    @Test
    void theChainOfEachJobHolds() {
        for (JsonNode job : ines.get("/api/jobs").expect(200).json()) {
            JsonNode chain = ines.get("/api/jobs/" + job.get("id").asString() + "/chain/check")
                    .expect(200)
                    .json();
            assertThat(chain.path("fault").isMissingNode() || chain.get("fault").isNull())
                    .as(chain.toString())
                    .isTrue();
        }
    }

    @Test
    void openInspectionsWeldingRecordsAndHistoryAreReadable() {
        for (JsonNode r : rows()) {
            String joint = r.get("jointId").asString();
            ines.get("/api/inspections/" + r.get("inspectionId").asString()).expect(200);
            ines.get("/api/joints/" + joint + "/welding-record").expect(200);
        }
        String begun = rows().stream()
                .filter(r -> r.get("begun").asBoolean())
                .map(r -> r.get("jointId").asString())
                .min(Comparator.naturalOrder())
                .orElseThrow();
        assertThat(ines.get("/api/joints/" + begun + "/history")
                        .expect(200)
                        .json()
                        .size())
                .isPositive();
    }

    @Test
    void defectsKeepTheirStateAndWhoWasNotified() {
        JsonNode repairs = ines.get("/api/repairs").expect(200).json();
        List<String> states = new ArrayList<>();
        repairs.get("defects").forEach(d -> states.add(d.get("state").asString()));
        assertThat(states).isNotEmpty().noneMatch(s -> s.contains("look"));
        Stream.of("welder", "procedure")
                .forEach(by -> ines.get("/api/reject-rates?by=" + by).expect(200));
    }

    @Test
    void theWorklistAndTheChecksOfItsJobsStand() {
        assertThat(WorklistCheck.changeWhenMadeAnew(context)).isEqualTo("NONE");
        for (JsonNode job : ines.get("/api/jobs").expect(200).json()) {
            JsonNode check = ines.get("/api/jobs/" + job.get("id").asString() + "/chain/check")
                    .expect(200)
                    .json();
            assertThat(check.has("fault")).as(check.toString()).isFalse();
        }
    }
}
