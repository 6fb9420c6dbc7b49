package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** Records at the bench of an exercise as the browser does: the line is read first, then what it means is recorded. */
final class PracticeHand {
    static JsonNode read(TestBrowser who, String exercise, String line) {
        return who.post(exercise + "/bench/lines", "{'lines':['" + line + "'],'before':''}")
                .expect(200)
                .json()
                .get(0);
    }

    /** @return the ids of what was recorded */
    static List<String> record(TestBrowser who, String exercise, String line) {
        JsonNode read = read(who, exercise, line);
        assertThat(read.has("problem") && !read.get("problem").isNull())
                .as(line)
                .isFalse();
        List<String> ids = new ArrayList<>();
        List<String> entries = new ArrayList<>();
        for (JsonNode e : read.get("entries")) {
            ids.add(UUID.randomUUID().toString());
            entries.add("{\"id\":\"" + ids.get(ids.size() - 1) + "\",\"kind\":" + e.get("kind") + ",\"content\":"
                    + e.get("content") + "}");
        }
        who.postJson(exercise + "/bench/entries", "[" + String.join(",", entries) + "]")
                .expect(200);
        return ids;
    }

    private PracticeHand() {}
}
