package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.ConcurrentSkipListSet;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** A power cut and a full disk, made by a file system below the database. */
class FaultyDiskTest {
    private static final String PASSWORD = "a-long-password";

    @TempDir
    Path data;

    private ConfigurableApplicationContext mensor;

    private TestBrowser started() {
        FaultyDisk.register();
        mensor = MensorApplication.start(
                "--server.port=0",
                "--mensor.data=" + data,
                "--spring.datasource.url=jdbc:h2:faulty:" + data.resolve("mensor")
                        + ";WRITE_DELAY=0;LOCK_TIMEOUT=10000;TRACE_LEVEL_FILE=0;DB_CLOSE_ON_EXIT=FALSE");
        TestBrowser quinn = visitor();
        quinn.post("/api/people/first", "{'login':'quinn','name':'Quinn','password':'" + PASSWORD + "'}")
                .expect(200);
        return quinn;
    }

    private TestBrowser visitor() {
        return new TestBrowser("http://localhost:"
                + ((ServletWebServerApplicationContext) mensor).getWebServer().getPort());
    }

    @AfterEach
    void stop() {
        FaultyDisk.setFull(false);
        System.clearProperty("mensor.least-room");
        FaultyDisk.keepWhatIsForced(null);
        if (mensor != null) {
            mensor.close();
        }
    }

    private static String gauge(String name) {
        return "{'form':{'name':'" + name + "','kind':'fillet blades'},'version':null}";
    }

    @Test
    void whatWasAcknowledgedSurvivesAPowerCut() throws Exception {
        Path left = data.resolve("after-power-cut.mv.db");
        FaultyDisk.keepWhatIsForced(left);
        TestBrowser quinn = started();
        Set<String> acknowledged = new ConcurrentSkipListSet<>();
        AtomicBoolean go = new AtomicBoolean(true);
        List<Thread> hands = new ArrayList<>();
        for (int h = 0; h < 3; h++) {
            int hand = h;
            TestBrowser b = visitor();
            b.signIn("quinn", PASSWORD).expect(200);
            Thread t = new Thread(() -> {
                for (int i = 0; go.get(); i++) {
                    String name = "G-" + hand + "-" + i;
                    b.put("/api/gauges/" + UUID.randomUUID(), gauge(name)).expect(200);
                    acknowledged.add(name);
                }
            });
            hands.add(t);
            t.start();
        }
        for (int i = 0; i < 400 && acknowledged.size() < 60; i++) {
            Thread.sleep(50);
        }
        // in the midst of the work: first what was promised, then what the disk has
        Set<String> promised = new TreeSet<>(acknowledged);
        Path copy = Files.copy(left, data.resolve("copy.mv.db"));
        go.set(false);
        for (Thread t : hands) {
            t.join();
        }
        assertThat(promised).hasSizeGreaterThanOrEqualTo(60);
        Set<String> found = new TreeSet<>();
        try (Connection c = DriverManager.getConnection(
                        "jdbc:h2:file:" + copy.toString().replace(".mv.db", ""), "mensor", "");
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery("select name from gauge")) {
            while (r.next()) {
                found.add(r.getString(1));
            }
        }
        assertThat(found).containsAll(promised);
        quinn.get("/api/gauges").expect(200);
    }

    private static TestBrowser.Answer put(TestBrowser who, String gauge) {
        return who.put("/api/gauges/" + UUID.randomUUID(), gauge(gauge));
    }

    @Test
    void aDiskWithLittleRoomIsSaidReadsGoOnAndWritesResume() {
        TestBrowser quinn = started();
        put(quinn, "before").expect(200);
        System.setProperty("mensor.least-room", "1000000TB");
        assertThat(put(quinn, "lost").expect(507).detail()).contains("the disk is full: nothing was stored");
        assertThat(quinn.get("/api/gauges").expect(200).text())
                .contains("before")
                .doesNotContain("lost");
        visitor().signIn("quinn", PASSWORD).expect(200);
        System.clearProperty("mensor.least-room");
        put(quinn, "after").expect(200);
    }

    /** The embedded database then closes its file; what it was told is never called stored, and with room it is opened again. */
    @Test
    void aDiskFullAllAtOnceIsSaidAndWritesResume() throws Exception {
        TestBrowser quinn = started();
        put(quinn, "before").expect(200);
        FaultyDisk.setFull(true);
        for (int i = 0; i < 2; i++) {
            assertThat(put(quinn, "lost " + i).expect(507).detail()).contains("the disk is full");
        }
        FaultyDisk.setFull(false);
        for (int i = 0; i < 40 && put(quinn, "resumed").status() != 200; i++) {
            Thread.sleep(250);
        }
        assertThat(quinn.get("/api/gauges").expect(200).text())
                .contains("before", "resumed")
                .doesNotContain("lost");
        mensor.close();
        mensor = MensorApplication.start("--server.port=0", "--mensor.data=" + data);
        TestBrowser again = visitor();
        again.signIn("quinn", PASSWORD).expect(200);
        assertThat(again.get("/api/gauges").expect(200).text())
                .contains("before", "resumed")
                .doesNotContain("lost");
        put(again, "after").expect(200);
    }
}
