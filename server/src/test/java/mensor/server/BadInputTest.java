package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Every request of the interface's own description, with what should not be in it: refused as the sender's fault, never ours. */
@ExtendWith(RunningMensor.class)
class BadInputTest {
    private static final Set<String> METHODS = Set.of("post", "put");

    private final TestBrowser quinn = RunningMensor.as("quinn");
    private final TestBrowser ines = RunningMensor.as("ines");
    private final JsonNode described = quinn.get("/api/openapi").json();

    private JsonNode resolved(JsonNode schema) {
        JsonNode ref = schema.get("$ref");
        return ref == null
                ? schema
                : described.at("/components/schemas/"
                        + ref.asString().substring(ref.asString().lastIndexOf('/') + 1));
    }

    /** Bodies that are wrong in one thing each. */
    private List<String> bodies(JsonNode schema) {
        List<String> all = new ArrayList<>(List.of("{}", "[]", "null", "[null]", "3", "{", "\"text\""));
        JsonNode properties = resolved(schema).get("properties");
        if (properties != null) {
            for (Map.Entry<String, JsonNode> p : properties.properties()) {
                for (String value : List.of(
                        "null",
                        "{}",
                        "[null]",
                        "[{}]",
                        "'" + "x".repeat(5_000) + "'",
                        "-1",
                        "1e400",
                        "'\\u0000'",
                        "'../..'")) {
                    all.add("{'" + p.getKey() + "':" + value + "}");
                }
            }
            Map<String, String> full = new HashMap<>();
            properties.properties().forEach(p -> full.put(p.getKey(), "'" + "x".repeat(5_000) + "'"));
            all.add("{"
                    + String.join(
                            ",",
                            full.entrySet().stream()
                                    .map(e -> "'" + e.getKey() + "':" + e.getValue())
                                    .toList())
                    + "}");
        }
        return all;
    }

    @Test
    void nothingIsAnswered500() {
        String inspection = ines.inspection("BAD-1");
        String joint = ines.jointOf(inspection);
        String person = ines.get("/api/session").json().get("person").get("id").asString();
        List<String> broken = new ArrayList<>();
        int asked = 0;
        for (Map.Entry<String, JsonNode> path : described.get("paths").properties()) {
            for (Map.Entry<String, JsonNode> op : path.getValue().properties()) {
                JsonNode content = op.getValue().at("/requestBody/content/application~1json/schema");
                if (!METHODS.contains(op.getKey())
                        || content.isMissingNode()
                        || path.getKey().startsWith("/api/session")) { // wrong sign-ins make the next ones wait
                    continue;
                }
                String filled = path.getKey()
                        .replaceAll("/inspections/\\{id}", inspection.substring("/api".length()))
                        .replaceAll("/joints/\\{id}", "/joints/" + joint)
                        .replaceAll("/people/\\{id}", "/people/" + person)
                        .replaceAll("\\{[a-zA-Z0-9]*[iI]d}", UUID.randomUUID().toString())
                        .replaceAll("\\{[a-zA-Z0-9]+}", UUID.randomUUID().toString());
                for (String body : bodies(content)) {
                    TestBrowser who = asked % 2 == 0 || path.getKey().startsWith("/api/people") ? quinn : ines;
                    TestBrowser.Answer a = op.getKey().equals("put") ? who.put(filled, body) : who.post(filled, body);
                    asked++;
                    if (a.status() >= 500) {
                        broken.add(op.getKey() + " " + path.getKey() + " "
                                + (body.length() > 80 ? body.substring(0, 80) + "…" : body) + ": " + a.status());
                    }
                }
            }
        }
        assertThat(asked).isGreaterThan(500);
        assertThat(broken).isEmpty();
    }

    @Test
    void whatIsNoPageIsNotFoundAndBadEncodingsAreRefused() {
        assertThat(quinn.get("/error").expect(404).json().get("status").asInt()).isEqualTo(404);
        for (String q : List.of(
                "/api/joints?find=%ff", "/api/joints?page=-1", "/api/joints?page=x", "/api/joints?sort=nonsense")) {
            assertThat(quinn.get(q).status()).as(q).isLessThan(500);
        }
    }

    @Test
    void aBodyOverItsLimitIsRefusedBeforeItIsRead() {
        assertThat(RunningMensor.browser()
                        .signIn("ines", "x".repeat(9_000))
                        .expect(413)
                        .detail())
                .contains("at most 8 kB");
        String inspection = ines.inspection("BAD-2");
        assertThat(ines.post(inspection + "/entries", "[" + " ".repeat(1_100_000) + "]")
                        .expect(413)
                        .detail())
                .contains("at most 1 MB");
    }

    @Test
    void thePageItselfIsAskedForEachTime() {
        assertThat(quinn.get("/").expect(200).response().headers().firstValue("Cache-Control"))
                .hasValue("no-cache");
    }
}
