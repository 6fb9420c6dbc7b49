package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Two nodes on one PostgreSQL, behind a proxy that knows nothing of them. */
@EnabledIfSystemProperty(named = "mensor.test.db", matches = "postgresql")
@Tag("postgresql")
class SeveralNodesTest {
    private static final String PASSWORD = "a-long-password";

    @Test
    void oneSignsInAtOneNodeAndGoesOnAtAnotherAlsoOnceOneIsKilled(@TempDir Path one, @TempDir Path other)
            throws Exception {
        String db = "--mensor.db=" + TestDatabase.fresh();
        String user = "--mensor.db-user=postgres";
        try (MensorProcess a = MensorProcess.start(one, db, user);
                MensorProcess b = MensorProcess.start(other, db, user);
                RoundRobin proxy = new RoundRobin(a.address(), b.address())) {
            TestBrowser quinn = new TestBrowser(proxy.address());
            quinn.post("/api/people/first", "{'login':'quinn','name':'Q','password':'" + PASSWORD + "'}")
                    .expect(200);
            for (String login : List.of("ines", "tomas")) {
                quinn.post(
                                "/api/people",
                                "{'login':'" + login + "','name':'" + login + "','roles':['INSPECTOR'],'password':'"
                                        + PASSWORD + "'}")
                        .expect(200);
            }
            TestBrowser ines = signedIn(proxy, "ines");
            TestBrowser atA = new TestBrowser(a.address());
            TestBrowser atB = new TestBrowser(b.address());
            atA.signIn("tomas", PASSWORD).expect(200);
            atB.signIn("tomas", PASSWORD).expect(200);

            // what is stored at one node is new at the other
            String before = atB.get("/api/joints/version").json().get("version").asString();
            String inspection = ines.inspection("N-1");
            String after = atB.get("/api/joints/version").json().get("version").asString();
            assertThat(after).isNotEqualTo(before);
            assertThat(marks(atA)).containsExactly("N-1");
            assertThat(marks(atB)).containsExactly("N-1");

            // entries by turns, and a good many at once
            List<String> acknowledged = new ArrayList<>();
            for (int i = 0; i < 6; i++) {
                acknowledged.add(crack(ines, inspection, i));
            }
            List<CompletableFuture<String>> atOnce = IntStream.range(6, 18)
                    .mapToObj(i -> CompletableFuture.supplyAsync(() -> crack(ines, inspection, i)))
                    .toList();
            atOnce.forEach(f -> acknowledged.add(f.join()));
            assertThat(entries(atA, inspection)).containsExactlyInAnyOrderElementsOf(acknowledged);
            assertThat(entries(atB, inspection)).containsExactlyInAnyOrderElementsOf(acknowledged);

            // a report is asked for at one node and made by any; each tells how far it is
            String report = ReportOfAll.begin(ines, "N-1");
            ReportOfAll.awaitDone(ines, report);
            ListOfWelds.await(ines, ListOfWelds.beginStoring(ines, "N-1", 600), "STORED");

            // one is killed: nobody signs in again, nothing is lost
            a.kill();
            for (int i = 18; i < 24; i++) {
                acknowledged.add(crack(ines, inspection, i));
            }
            assertThat(entries(ines, inspection)).containsExactlyInAnyOrderElementsOf(acknowledged);

            // signed out is signed out everywhere
            quinn.get("/api/people").expect(200);
            ines.delete("/api/session").expect(200);
            ines.get("/api/joints").expect(401);
        }
    }

    private static TestBrowser signedIn(RoundRobin proxy, String login) {
        TestBrowser b = new TestBrowser(proxy.address());
        b.signIn(login, PASSWORD).expect(200);
        return b;
    }

    private static String crack(TestBrowser by, String inspection, int at) {
        String id = UUID.randomUUID().toString();
        by.put(inspection + "/entries/" + id, TestBrowser.entry("INDICATION", "'kind':'crack','at':'" + at + "'"))
                .expect(200);
        return id;
    }

    private static List<String> entries(TestBrowser by, String inspection) {
        List<String> ids = new ArrayList<>();
        for (JsonNode e : by.get(inspection).expect(200).json().get("entries")) {
            ids.add(e.get("id").asString());
        }
        return ids;
    }

    private static List<String> marks(TestBrowser by) {
        List<String> marks = new ArrayList<>();
        for (JsonNode r : by.get("/api/joints?find=N-").expect(200).json().get("rows")) {
            marks.add(r.get("mark").asString());
        }
        return marks;
    }
}
