package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * What was acknowledged is there after the process was killed the moment after: an entry, a report that was asked for, and a weld
 * list that was being stored.
 */
class KilledProcessTest {
    @Test
    void anAcknowledgedEntrySurvives(@TempDir Path data) throws Exception {
        UUID id = UUID.randomUUID();
        String inspection;
        String report;
        String list;
        try (MensorProcess mensor = MensorProcess.start(data)) {
            TestBrowser b = new TestBrowser(mensor.address());
            b.post("/api/people/first", "{'login':'quinn','name':'Q','password':'a-long-password'}")
                    .expect(200);
            b.post("/api/people", "{'login':'ines','name':'I','roles':['INSPECTOR'],'password':'a-long-password'}")
                    .expect(200);
            TestBrowser ines = new TestBrowser(mensor.address());
            ines.signIn("ines", "a-long-password").expect(200);
            inspection = ines.inspection("K1");
            ines.put(inspection + "/entries/" + id, TestBrowser.entry("INDICATION", "'kind':'crack','at':'3'"))
                    .expect(200);
            report = ReportOfAll.begin(ines, "K1");
            list = ListOfWelds.beginStoring(ines, "K1", 500);
            mensor.kill();
        }
        try (MensorProcess mensor = MensorProcess.start(data)) {
            TestBrowser again = new TestBrowser(mensor.address());
            again.signIn("ines", "a-long-password").expect(200);
            assertThat(again.get(inspection)
                            .expect(200)
                            .json()
                            .get("entries")
                            .get(0)
                            .get("id")
                            .asString())
                    .isEqualTo(id.toString());
            ReportOfAll.awaitDone(again, report);
            ListOfWelds.await(again, list, "STORED");
            assertThat(again.get("/api/joints?find=LW-").json().get("fitting").asInt())
                    .as("each row once, none left out")
                    .isEqualTo(500);
        }
    }
}
