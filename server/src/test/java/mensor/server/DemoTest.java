package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** The demo is whole: every state of the work and every kind of reject a fillet can have is there to be seen. */
class DemoTest {
    @TempDir
    static Path data;

    private static ConfigurableApplicationContext context;
    private static final Set<String> whileFilling = new TreeSet<>();
    private static TestBrowser ines;
    private static List<JsonNode> rows;

    @BeforeAll
    static void start() throws IOException {
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        CompletableFuture<ConfigurableApplicationContext> started =
                CompletableFuture.supplyAsync(() -> MensorApplication.start(
                        "--server.port=" + port,
                        "--mensor.data=" + data,
                        "--mensor.demo=true",
                        MensorProcess.READY_DEMO));
        HttpClient http = HttpClient.newHttpClient();
        while (!started.isDone()) {
            answered(http, port, "/api/session");
            answered(http, port, "/");
        }
        context = started.join();
        ines = browser();
        ines.signIn("ines", "lock-bridge-12").expect(200);
        rows = ines.get("/api/joints?size=500")
                .expect(200)
                .json()
                .get("rows")
                .valueStream()
                .toList();
    }

    /** What the port says while the demo is filled; nobody listens before. */
    private static void answered(HttpClient http, int port, String path) {
        try {
            HttpResponse<String> answer = http.send(
                    HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            whileFilling.add(path + " " + answer.statusCode() + " "
                    + answer.headers().firstValue("Retry-After").orElse("")
                    + (answer.body().contains("\"empty\":true") ? " empty" : ""));
            Thread.sleep(20);
        } catch (IOException e) {
            Thread.onSpinWait();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Nobody is offered to make the quality manager of a demo whose people are on their way. */
    @Test
    void whileItIsFilledWhoAsksIsToldToWait() {
        assertThat(whileFilling).contains("/api/session 503 2", "/ 503 2").noneMatch(a -> a.endsWith("empty"));
    }

    @AfterAll
    static void stop() {
        context.close();
    }

    private static TestBrowser browser() {
        int port = ((ServletWebServerApplicationContext) context).getWebServer().getPort();
        return new TestBrowser("http://localhost:" + port);
    }

    private static JsonNode bench(JsonNode row) {
        return ines.get("/api/inspections/" + row.get("inspectionId").asString())
                .expect(200)
                .json();
    }

    @Test
    void hasJointsInEveryState() {
        assertThat(rows).hasSizeGreaterThanOrEqualTo(16);
        assertThat(rows.stream().map(r -> r.get("group").asString()).collect(Collectors.toSet()))
                .containsExactlyInAnyOrder("inspect", "in-progress", "sign", "disposition", "hold", "repair", "done");
        assertThat(rows.stream().map(r -> r.get("verdict").asString()).collect(Collectors.toSet()))
                .containsExactlyInAnyOrder("accept", "reject", "incomplete");
    }

    @Test
    void hasEachKindOfReject() {
        Set<String> rejecting = new TreeSet<>();
        boolean near = false;
        for (JsonNode row : rows) {
            for (JsonNode f : bench(row).get("evaluation").get("findings").values()) {
                if (f.get("verdict").asString().equals("reject")) {
                    rejecting.add(f.get("id").asString());
                }
                near |= f.get("nearLimit").asBoolean();
            }
        }
        assertThat(rejecting)
                .containsExactlyInAnyOrder(
                        "arc-strike",
                        "as-drawn",
                        "crack",
                        "crater",
                        "fusion",
                        "length",
                        "overlap",
                        "porosity",
                        "profile",
                        "root",
                        "size",
                        "slag",
                        "undercut",
                        "undercut.depth");
        assertThat(near).as("a reading near its limit").isTrue();
    }

    @Test
    void everyRejectIsTracedToACause() {
        for (JsonNode row : rows) {
            // a joint that is stopped at fit-up has no defect yet
            if (row.get("verdict").asString().equals("reject")
                    && row.get("begun").asBoolean()) {
                JsonNode causes = ines.get(
                                "/api/inspections/" + row.get("inspectionId").asString() + "/causes")
                        .expect(200)
                        .json();
                assertThat(causes.get("defects").size())
                        .as(row.get("mark").asString())
                        .isPositive();
                for (JsonNode d : causes.get("defects").values()) {
                    assertThat(d.get("causes").size()).isPositive();
                    assertThat(d.get("doubt").size()).isPositive();
                }
            }
        }
    }

    @Test
    void aJointExportsAsAFileThatJudgesTheSame() {
        for (JsonNode row : rows) {
            JsonNode open = bench(row);
            if (open.get("contract").get("guarded").asBoolean()
                    || !open.get("deviations").isEmpty()) {
                continue; // a file says nothing of guard bands and the Engineer's documents
            }
            String text = ines.get("/api/inspections/" + row.get("inspectionId").asString() + "/document")
                    .expect(200)
                    .text();
            var document = mensor.exchange.InspectionDocument.read(text);
            assertThat(mensor.judge.Judge.evaluate(document.inspection(), document.book())
                            .verdict()
                            .id())
                    .as(row.get("mark").asString())
                    .isEqualTo(row.get("verdict").asString());
        }
    }

    @Test
    void handedOverAndDisposedAreThere() {
        JsonNode handed = rows.stream()
                .filter(r -> r.get("mark").asString().equals("ST2-20"))
                .findFirst()
                .map(DemoTest::bench)
                .orElseThrow();
        assertThat(handed.get("handovers").get(0).get("to").asString()).isEqualTo("Ines Marl");
        JsonNode accepted = rows.stream()
                .filter(r -> r.get("mark").asString().equals("FB-04")
                        && r.get("weldNo").asString().equals("2"))
                .findFirst()
                .map(DemoTest::bench)
                .orElseThrow();
        assertThat(accepted.get("next").asString()).isEqualTo("Accepted as it is by the Engineer");
    }

    @Test
    void theSignInPageShowsEverySignInAndTheyWork() {
        JsonNode signIns = browser().get("/api/session").json().get("signIns");
        assertThat(signIns).hasSize(12);
        for (JsonNode s : signIns.values()) {
            browser()
                    .signIn(s.get("login").asString(), s.get("password").asString())
                    .expect(200);
        }
    }

    @Test
    void eachRoleSeesWhatIsItsOwn() {
        TestBrowser vera = browser();
        vera.signIn("vera", "lock-bridge-12").expect(200);
        long signed = rows.stream().filter(r -> r.get("signed").asBoolean()).count();
        assertThat(vera.get("/api/joints?size=500").json().get("rows")).hasSize((int) signed);
    }

    @Test
    void theDrawingsLieOnTheWeld() {
        for (JsonNode row : rows) {
            JsonNode strip = bench(row).get("strip");
            double length = strip.get("length").asDouble();
            for (String part : List.of("marks", "bands", "brackets")) {
                for (JsonNode m : strip.get(part).values()) {
                    assertThat(m.get("from").asDouble())
                            .as(row.get("mark").asString() + " " + part)
                            .isBetween(0.0, length);
                    assertThat(m.get("to").asDouble()).isBetween(m.get("from").asDouble(), length);
                }
            }
        }
    }

    private static JsonNode named(String mark) {
        return rows.stream()
                .filter(r -> r.get("mark").asString().equals(mark))
                .findFirst()
                .map(DemoTest::bench)
                .orElseThrow();
    }

    /** What was seen before the last inspection: each kind of it stands somewhere in the demo. */
    @Test
    void hasWhatWasSeenBeforeTheLastInspection() {
        assertThat(named("FB-05")
                        .get("welding")
                        .get("fitUp")
                        .get("raised")
                        .get(0)
                        .asString())
                .as("a gap that raised its leg")
                .startsWith("5/16 + gap 1/8 = leg 7/16");
        assertThat(named("FB-04").get("welding").get("departures").toString())
                .as("a cold pass, and one still planned")
                .contains("at 95 A: the procedure says 115–140 A", "planned, not measured: amps");
        assertThat(named("FB-10").get("quiet").toString()).as("stacked starts").contains("\"stacked\"");
        assertThat(named("FB-12").get("welding").get("rods").get(0).get("shown").asString())
                .isEqualTo("3 h of 4 h");
        assertThat(named("FB-12")
                        .get("evaluation")
                        .get("findings")
                        .get(0)
                        .get("reason")
                        .asString())
                .as("one that is not ready")
                .contains("22 h since welding");
        assertThat(named("FB-11").get("welding").get("fitUp").get("stops").asBoolean())
                .isTrue();
        assertThat(rows.stream().filter(r -> r.get("mark").asString().startsWith("CA-")))
                .hasSize(40);
        assertThat(ines.get("/api/gauges").json().valueStream().filter(g -> g.has("fault")))
                .hasSize(2);
        String out = ines.get("/api/gauges")
                .json()
                .valueStream()
                .filter(g -> g.get("form").has("foundOut"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asString();
        assertThat(ines.get("/api/gauges/" + out + "/records")
                        .json()
                        .valueStream()
                        .map(r -> r.get("mark").asString()))
                .as("a gauge found out of calibration lists what it touched")
                .containsExactlyInAnyOrder("FB-03", "ST2-15");
        assertThat(named("FB-21").get("evaluation").get("verdict").asString())
                .as("a groove whose crown stands too high")
                .isEqualTo("reject");
        assertThat(named("HG-1").get("evaluation").toString())
                .as("a fact that is not known")
                .contains("rejects if the weld lies across the tension of a primary member, else accepts");
        assertThat(named("HG-2").get("evaluation").get("verdict").asString()).isEqualTo("reject");
        assertThat(named("CP-1").get("evaluation").get("verdict").asString())
                .as("a test piece has no underrun")
                .isEqualTo("reject");
        assertThat(named("PS-11").get("welding").get("apart").asString())
                .as("a rule of thumb in the job's own units")
                .isEqualTo("25.4");
        boolean rodsOver = rows.stream()
                .filter(r -> r.get("mark").asString().equals("FB-03"))
                .map(DemoTest::bench)
                .anyMatch(b -> b.get("welding")
                        .get("rods")
                        .valueStream()
                        .anyMatch(r -> r.get("over").asBoolean()));
        assertThat(rodsOver).as("rods out too long").isTrue();
    }
}
