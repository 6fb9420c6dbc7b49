package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Each text that may be sent has a limit: in the description of the interface, and at its field. */
@ExtendWith(RunningMensor.class)
class TextLimitsTest {
    private final TestBrowser ines = RunningMensor.as("ines");
    private final JsonNode api = ines.get("/api/openapi").expect(200).json();

    @Test
    void everyTextThatMayBeSentSaysHowLongItMayBe() {
        Set<String> seen = new HashSet<>();
        List<String> without = new ArrayList<>();
        api.get("paths")
                .valueStream()
                .flatMap(JsonNode::valueStream)
                .map(operation -> operation
                        .path("requestBody")
                        .path("content")
                        .path("application/json")
                        .path("schema"))
                .forEach(schema -> walk(schema, "", seen, without));
        assertThat(seen).hasSizeGreaterThan(40);
        assertThat(without).isEmpty();
    }

    private void walk(JsonNode schema, String at, Set<String> seen, List<String> without) {
        String ref = schema.path("$ref").asString("");
        if (!ref.isEmpty()) {
            String name = ref.substring(ref.lastIndexOf('/') + 1);
            if (seen.add(name)) {
                walk(api.get("components").get("schemas").get(name), name, seen, without);
            }
            return;
        }
        boolean text = schema.path("type").toString().contains("string");
        if (text && !schema.has("format") && !schema.has("enum") && !schema.has("maxLength")) {
            without.add(at);
        }
        if (schema.has("items")) {
            walk(schema.get("items"), at, seen, without);
        }
        for (Map.Entry<String, JsonNode> p : schema.path("properties").properties()) {
            walk(p.getValue(), at + "." + p.getKey(), seen, without);
        }
    }

    @Test
    void aTextThatIsTooLongIsRefusedAtItsField() {
        String body = "{'name':'" + "x".repeat(121) + "','criteria':'d1.1-static','units':'in','lots':['ok','"
                + "y".repeat(1_001) + "']}";
        JsonNode errors = ines.post("/api/jobs", body).expect(422).json().get("errors");
        assertThat(errors.valueStream().map(e -> e.get("field").asString())).containsExactly("name", "lots[1]");
        assertThat(errors.get(0).get("problem").asString()).isEqualTo("at most 120 letters");
    }
}
