package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import tools.jackson.databind.JsonNode;

/** A report of a whole job, asked for and waited for. */
final class ReportOfAll {
    private ReportOfAll() {}

    /** @return where it is told how far it is */
    static String begin(TestBrowser by, String mark) {
        String job = by.get("/api/joints?find=" + mark)
                .expect(200)
                .json()
                .get("rows")
                .get(0)
                .get("jobId")
                .asString();
        return "/api/reports/"
                + by.post("/api/reports", "{'job':'" + job + "','as':'pdf'}")
                        .expect(200)
                        .json()
                        .get("id")
                        .asString();
    }

    static void awaitDone(TestBrowser by, String report) throws InterruptedException {
        for (int i = 0; i < 600; i++) {
            JsonNode view = by.get(report).expect(200).json();
            String state = view.get("state").asString();
            if (state.equals("done")) {
                assertThat(view.get("bytes").asInt()).isGreaterThan(1000);
                assertThat(by.bytes(report + "/file")).hasSize(view.get("bytes").asInt());
                return;
            }
            assertThat(state).isIn("waiting", "running");
            Thread.sleep(100);
        }
        throw new AssertionError("the report was not made");
    }
}
