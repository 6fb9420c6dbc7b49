package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** The database file is written anew on a stop, and everything is still in it. */
class CompactionTest {
    private static final int GAUGES = 60;

    @TempDir
    Path data;

    private ConfigurableApplicationContext start(String above) {
        return MensorApplication.start(
                "--server.port=0", "--mensor.data=" + data, "--mensor.demo=false", "--mensor.compact-above=" + above);
    }

    private static TestBrowser browser(ConfigurableApplicationContext running) {
        return new TestBrowser("http://localhost:"
                + ((ServletWebServerApplicationContext) running).getWebServer().getPort());
    }

    @Test
    void aStopLeavesASmallFileWithEverythingInIt() throws IOException {
        Path file = data.resolve("mensor.mv.db");
        long grown;
        try (ConfigurableApplicationContext running = start("1GB")) {
            TestBrowser quinn = browser(running);
            quinn.post(
                            "/api/people/first",
                            "{'login':'quinn','name':'Quinn','password':'" + RunningMensor.PASSWORD + "'}")
                    .expect(200);
            for (int i = 0; i < GAUGES; i++) {
                quinn.put(
                                "/api/gauges/" + UUID.randomUUID(),
                                "{'form':{'name':'Gauge " + i + "','kind':'fillet blades'},'version':null}")
                        .expect(200);
            }
            grown = Files.size(file);
        }
        start("0MB").close();
        assertThat(Files.size(file)).isLessThan(grown / 2);
        try (ConfigurableApplicationContext running = start("0MB")) {
            TestBrowser quinn = browser(running);
            quinn.signIn("quinn", RunningMensor.PASSWORD).expect(200);
            assertThat(quinn.get("/api/gauges").expect(200).json()).hasSize(GAUGES);
        }
    }
}
