package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipFile;
import org.h2.tools.Restore;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** A copy made while Mensor is in use, and what starts from it; a copy before each upgrade. */
class BackupTest {
    private static final String PASSWORD = "a-long-password";

    @TempDir
    Path folder;

    private static TestBrowser visitor(ConfigurableApplicationContext mensor) {
        return new TestBrowser("http://localhost:"
                + ((ServletWebServerApplicationContext) mensor).getWebServer().getPort());
    }

    private static ConfigurableApplicationContext started(Path data) {
        return MensorApplication.start("--server.port=0", "--mensor.data=" + data);
    }

    private static String gauge(String name) {
        return "{'form':{'name':'" + name + "','kind':'fillet blades'},'version':null}";
    }

    @Test
    void aCopyMadeInUseStartsWithEverythingOfThatMoment() throws Exception {
        Path data = Files.createDirectory(folder.resolve("data"));
        Path copy = folder.resolve("copies").resolve("it's mine.zip");
        try (ConfigurableApplicationContext mensor = started(data)) {
            TestBrowser quinn = visitor(mensor);
            quinn.post("/api/people/first", "{'login':'quinn','name':'Quinn','password':'" + PASSWORD + "'}")
                    .expect(200);
            quinn.put("/api/gauges/" + java.util.UUID.randomUUID(), gauge("before"))
                    .expect(200);
            Files.writeString(data.resolve("seals.jsonl"), "a seal\n");
            Files.writeString(Files.createDirectories(data.resolve("scans")).resolve("abc.scan"), "a scan");
            Files.writeString(data.resolve("scans/coming.part"), "half of one");
            Files.writeString(data.resolve("backup-wanted"), copy + "\n");
            for (int i = 0; i < 300 && Files.exists(data.resolve("backup-wanted")); i++) {
                Thread.sleep(100);
            }
            assertThat(data.resolve("backup-answer")).hasContent("written");
            quinn.put("/api/gauges/" + java.util.UUID.randomUUID(), gauge("after"))
                    .expect(200);
        }
        String sum =
                HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(copy)));
        assertThat(Files.readString(copy.resolveSibling("it's mine.zip.sha256")))
                .isEqualTo(sum + "  it's mine.zip\n");
        try (ZipFile zip = new ZipFile(copy.toFile())) {
            assertThat(zip.getEntry("seals.jsonl"))
                    .as("what stands beside the database")
                    .isNotNull();
            assertThat(zip.getEntry("scans/abc.scan")).isNotNull();
            assertThat(zip.getEntry("scans/coming.part")).isNull();
        }
        Path restored = Files.createDirectory(folder.resolve("restored"));
        Restore.execute(copy.toString(), restored.toString(), "mensor");
        try (ConfigurableApplicationContext mensor = started(restored)) {
            TestBrowser quinn = visitor(mensor);
            quinn.signIn("quinn", PASSWORD).expect(200);
            assertThat(quinn.get("/api/gauges").expect(200).text())
                    .contains("before")
                    .doesNotContain("after");
        }
    }

    @Test
    void anOlderDatabaseIsCopiedBeforeItIsUpgraded() throws Exception {
        Path data = Files.createDirectory(folder.resolve("old"));
        org.flywaydb.core.Flyway.configure()
                .dataSource("jdbc:h2:file:" + data.resolve("mensor"), "mensor", "")
                .locations("classpath:db/h2")
                .target("3")
                .load()
                .migrate();
        started(data).close();
        try (Stream<Path> all = Files.list(data.resolve("backups"))) {
            List<String> names =
                    all.map(p -> p.getFileName().toString()).sorted().toList();
            assertThat(names).hasSize(2).allMatch(n -> n.contains("before-upgrade-from-3.zip"));
        }
        started(data).close();
        try (Stream<Path> all = Files.list(data.resolve("backups"))) {
            assertThat(all).as("nothing to upgrade").hasSize(2);
        }
    }
}
