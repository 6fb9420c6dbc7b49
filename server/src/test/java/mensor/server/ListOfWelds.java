package mensor.server;

import tools.jackson.databind.JsonNode;

/** A weld list brought into the job of a weld, and waited for. */
final class ListOfWelds {
    private ListOfWelds() {}

    /** @return where it is told how far the storing is */
    static String beginStoring(TestBrowser by, String mark, int rows) throws InterruptedException {
        String job = by.get("/api/joints?find=" + mark)
                .expect(200)
                .json()
                .get("rows")
                .get(0)
                .get("jobId")
                .asString();
        StringBuilder list = new StringBuilder("Mark;Weld No;Size;Length;Thickness A;Thickness B\n");
        for (int i = 0; i < rows; i++) {
            list.append("LW-").append(i).append(";1;5/16;24;3/8;3/4\n");
        }
        String path = "/api/weld-lists/"
                + by.postText("/api/jobs/" + job + "/weld-list", list.toString())
                        .expect(200)
                        .json()
                        .get("id")
                        .asString();
        await(by, path, "CHECKED");
        by.post(path + "/store", null).expect(200);
        while (by.get(path).json().get("done").asInt() == 0) {
            Thread.sleep(20);
        }
        return path;
    }

    static void await(TestBrowser by, String path, String state) throws InterruptedException {
        JsonNode view = by.get(path).expect(200).json();
        for (int i = 0; i < 600 && !view.get("state").asString().equals(state); i++) {
            Thread.sleep(100);
            view = by.get(path).expect(200).json();
        }
        if (!view.get("state").asString().equals(state)) {
            throw new AssertionError("wanted " + state + ": " + view);
        }
    }
}
