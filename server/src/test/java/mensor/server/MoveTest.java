package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** Everything goes out of an embedded database into open files, and into a PostgreSQL, and stands there as it stood. */
@Tag("postgresql")
class MoveTest {
    @TempDir
    Path folder;

    private static TestBrowser browser(ConfigurableApplicationContext running) {
        return new TestBrowser("http://localhost:"
                + ((ServletWebServerApplicationContext) running).getWebServer().getPort());
    }

    /** Signed records, repairs, pictures: the demo has some of everything. */
    private Path demo() {
        Path data = folder.resolve("demo");
        MensorApplication.start(
                        "--server.port=0", "--mensor.data=" + data, "--mensor.demo=true", MensorProcess.READY_DEMO)
                .close();
        return data;
    }

    private static Map<String, String> contentOf(Path export) throws IOException {
        Map<String, String> content = new TreeMap<>();
        try (Stream<Path> all = Files.walk(export)) {
            for (Path p : all.filter(Files::isRegularFile).toList()) {
                String name = export.relativize(p).toString();
                if (!name.equals("mensor-export.json")) { // tells when
                    content.put(name, new String(Files.readAllBytes(p), java.nio.charset.StandardCharsets.ISO_8859_1));
                }
            }
        }
        return content;
    }

    @Test
    @EnabledIfSystemProperty(named = "mensor.test.db", matches = "postgresql")
    void whatWentOutComesInAndStandsAsItStood() throws IOException {
        Path data = demo();
        Path out = folder.resolve("out");
        MoveCommand here = new MoveCommand(Map.of());
        assertThat(here.run("export", out.toString(), "--data", data.toString()))
                .contains("rows");
        Map<String, String> written = contentOf(out);
        assertThat(written).containsKeys("tables/signature.jsonl", "tables/entry_aud.jsonl", "seals.jsonl", "seal-key");
        assertThat(written.keySet())
                .as("the files of scans come along")
                .anyMatch(n -> n.startsWith("scans/") && n.endsWith(".scan"));

        Path other = folder.resolve("other");
        Map<String, String> environment = Map.of("MENSOR_DB", TestDatabase.fresh(), "MENSOR_DB_USER", "postgres");
        MoveCommand there = new MoveCommand(environment);
        Path scan = out.resolve(written.keySet().stream()
                .filter(n -> n.startsWith("scans/"))
                .findFirst()
                .orElseThrow());
        byte[] whole = Files.readAllBytes(scan);
        Files.write(scan, new byte[] {1});
        assertThatThrownBy(() -> there.run("import", out.toString(), "--data", other.toString()))
                .hasMessageContaining("not as it was written");
        Files.write(scan, whole);
        there.run("import", out.toString(), "--data", other.toString());
        Path again = folder.resolve("again");
        there.run("export", again.toString(), "--data", other.toString());
        assertThat(contentOf(again)).isEqualTo(written);
        assertThatThrownBy(() -> there.run("import", out.toString(), "--data", other.toString()))
                .hasMessageContaining("in use already");

        // the application runs on it: the chains hold, and a change is stored after all that came
        try (ConfigurableApplicationContext running = MensorApplication.start(
                "--server.port=0",
                "--mensor.data=" + other,
                "--mensor.demo=false",
                "--mensor.db=" + environment.get("MENSOR_DB"),
                "--mensor.db-user=" + environment.get("MENSOR_DB_USER"))) {
            TestBrowser quinn = browser(running);
            quinn.signIn("quinn", "lock-bridge-12").expect(200);
            assertThat(quinn.get("/api/joints").expect(200).json().get("rows").size())
                    .isGreaterThan(40);
            for (var job : quinn.get("/api/jobs").expect(200).json()) {
                assertThat(quinn.get("/api/jobs/" + job.get("id").asString() + "/chain/check")
                                .expect(200)
                                .json()
                                .toString())
                        .doesNotContain("\"fault\":\"");
            }
            quinn.put(
                            "/api/gauges/" + java.util.UUID.randomUUID(),
                            "{'form':{'name':'Gauge after','kind':'fillet blades'},'version':null}")
                    .expect(200);
            assertThat(quinn.get("/api/history").expect(200).text()).contains("Gauge after");
        }
    }

    @Test
    void whatCannotBeMovedIsSaid() throws IOException {
        MoveCommand command = new MoveCommand(Map.of());
        assertThatThrownBy(() -> command.run("export", "x")).hasMessageContaining("--data FOLDER");
        assertThatThrownBy(() -> command.run("export", folder.resolve("x").toString(), "--data", folder.toString()))
                .hasMessageContaining("there is no database in");
        Path empty = Files.createDirectory(folder.resolve("empty"));
        assertThatThrownBy(() -> command.run(
                        "import",
                        empty.toString(),
                        "--data",
                        folder.resolve("new").toString()))
                .hasMessageContaining("holds no export of Mensor's");
    }
}
