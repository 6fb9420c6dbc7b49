package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What was acknowledged is there after the process was killed the moment after. */
class KilledProcessTest {
    @TempDir
    Path data;

    private Process process;
    private String address;

    private void start() throws IOException {
        process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        "mensor.server.MensorApplication",
                        "--server.port=0",
                        "--mensor.data=" + data)
                .redirectErrorStream(true)
                .start();
        BufferedReader out = process.inputReader(StandardCharsets.UTF_8);
        List<String> said = new ArrayList<>();
        for (String line = out.readLine(); line != null; line = out.readLine()) {
            said.add(line);
            if (line.startsWith("Mensor is at ")) {
                address = line.substring("Mensor is at ".length());
                return;
            }
        }
        throw new IllegalStateException("did not start: " + said);
    }

    @Test
    void anAcknowledgedEntrySurvives() throws Exception {
        start();
        try {
            TestBrowser b = new TestBrowser(address);
            b.post("/api/people/first", "{'login':'quinn','name':'Q','password':'a-long-password'}")
                    .expect(200);
            b.post("/api/people", "{'login':'ines','name':'I','roles':['INSPECTOR'],'password':'a-long-password'}")
                    .expect(200);
            TestBrowser ines = new TestBrowser(address);
            ines.signIn("ines", "a-long-password").expect(200);
            String inspection = ines.inspection("K1");
            UUID id = UUID.randomUUID();
            ines.put(inspection + "/entries/" + id, TestBrowser.entry("INDICATION", "'kind':'crack','at':'3'"))
                    .expect(200);
            process.destroyForcibly().waitFor();
            start();
            TestBrowser again = new TestBrowser(address);
            again.signIn("ines", "a-long-password").expect(200);
            assertThat(again.get(inspection)
                            .expect(200)
                            .json()
                            .get("entries")
                            .get(0)
                            .get("id")
                            .asString())
                    .isEqualTo(id.toString());
        } finally {
            process.destroyForcibly().waitFor();
        }
    }
}
