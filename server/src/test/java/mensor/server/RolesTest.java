package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Who may do what: every endpoint of the interface with every role, against the table in {@code docs/roles.md}. */
@ExtendWith(RunningMensor.class)
class RolesTest {
    private static final Path TABLE = Path.of("..", "docs", "roles.md");
    /** Open to anybody: signing in, and the first visitor. */
    private static final List<String> OPEN = List.of("/api/session", "/api/people/first");

    private static final Map<String, String> PEOPLE = new LinkedHashMap<>();

    static {
        PEOPLE.put("inspector", "ines");
        PEOPLE.put("welding engineer", "wanda");
        PEOPLE.put("repair lead", "rufus");
        PEOPLE.put("quality manager", "quinn");
        PEOPLE.put("viewer", "vera");
        PEOPLE.put("instructor", "igor");
        PEOPLE.put("learner", "lea");
    }

    /** Every operation with a real open inspection, its joint and its job in the path, and a body that says nothing. */
    private static Map<String, String> operations(TestBrowser ines) {
        String inspection = ines.inspection("ROLE-" + UUID.randomUUID());
        JsonNode bench = ines.get(inspection).json();
        String joint = bench.get("joint").get("id").asString();
        String job = ines.get("/api/joints?find=ROLE-&group=")
                .json()
                .get("rows")
                .get(0)
                .get("jobId")
                .asString();
        Map<String, String> operations = new TreeMap<>();
        JsonNode paths = ines.get("/api/openapi").json().get("paths");
        for (String path : paths.propertyNames()) {
            if (OPEN.contains(path)) {
                continue;
            }
            String real = path.replace("/inspections/{id}", inspection.substring("/api".length()))
                    .replace("/joints/{id}", "/joints/" + joint)
                    .replace("/jobs/{id}", "/jobs/" + job)
                    .replace("/jobs/{job}", "/jobs/" + job)
                    .replace("/criteria/{id}", "/criteria/d1.1-tubular")
                    .replace("/steps/{state}", "/steps/extent-known")
                    .replaceAll("\\{[^}]*}", UUID.randomUUID().toString());
            for (String method : paths.get(path).propertyNames()) {
                operations.put(path + " " + method.toUpperCase(java.util.Locale.ROOT), real);
            }
        }
        return operations;
    }

    /** Bodies that get past the reading of the request; all else is sent an empty one. */
    private static final Map<String, String> BODIES = Map.ofEntries(
            Map.entry("POST /api/inspections/{id}/entries", "[]"),
            Map.entry(
                    "POST /api/inspections/{id}/scans/{scanId}/take",
                    "{'proposals':['00000000-0000-0000-0000-000000000001']}"),
            Map.entry("PUT /api/kit", "[]"),
            Map.entry("POST /api/inspections/{id}/sign", "{'version':0,'verdict':'accept','capacity':'QC'}"),
            Map.entry("PUT /api/inspections/{id}/welding", "{'version':99,'welding':{}}"),
            Map.entry("PUT /api/jobs/{id}", "{'version':99,'form':{}}"),
            Map.entry("PUT /api/joints/{id}", "{'version':99,'form':{}}"),
            Map.entry("PUT /api/joints/{id}/welding-record/whole", "{'version':99,'whole':{}}"),
            Map.entry("PUT /api/procedures/{id}", "{'version':99,'form':{}}"));

    private static int status(TestBrowser b, String operation, String path) {
        String method = operation.substring(operation.lastIndexOf(' ') + 1);
        String shown = operation.substring(0, operation.lastIndexOf(' '));
        String query = path + "?version=99&measure=legA&at=1&number=1&books=d1.1-cyclic"
                + "&name=part.csv&units=in&joint=fillet-tee&thickness=3/8&by=welder&find=&group=";
        if (shown.endsWith("/import") || method.equals("POST") && shown.endsWith("/weld-list")) {
            return b.postText(query, "no list").status();
        }
        String body = BODIES.getOrDefault(method + " " + shown, "{}");
        return switch (method) {
            case "GET" -> b.get(query).status();
            case "DELETE" -> b.delete(query).status();
            case "PUT" -> b.put(query, body).status();
            default -> b.post(query, body).status();
        };
    }

    @Test
    void everyEndpointLetsThoseInWhomTheTableNames() throws IOException {
        Map<String, String> operations = operations(RunningMensor.as("ines"));
        Map<String, TestBrowser> signedIn = new LinkedHashMap<>();
        PEOPLE.forEach((role, login) -> signedIn.put(role, RunningMensor.as(login)));
        StringBuilder found = new StringBuilder();
        operations.forEach((operation, path) -> {
            String method = operation.substring(operation.lastIndexOf(' ') + 1);
            String shown = operation.substring(0, operation.lastIndexOf(' '));
            assertThat(status(RunningMensor.browser(), operation, path))
                    .as("not signed in: " + operation)
                    .isEqualTo(401);
            StringBuilder row = new StringBuilder("| " + method + " | `" + shown + "` |");
            signedIn.forEach((role, browser) -> {
                int status = status(browser, operation, path);
                assertThat(status).as(role + ": " + operation).isBetween(200, 499);
                row.append(status == 403 ? "  |" : " x |");
            });
            found.append(row).append('\n');
        });
        if (Boolean.getBoolean("roles.write")) {
            Files.writeString(TABLE, head() + found);
        }
        assertThat(found.toString().lines().toList())
                .isEqualTo(Files.readString(TABLE)
                        .lines()
                        .filter(l -> l.contains("`/api"))
                        .toList());
    }

    private static String head() {
        return """
                # Who may do what

                Every endpoint with every role, at a inspection that is not signed yet: `x` may, an empty field is refused (403). A test holds the running
                application against this table. Of an open inspection a viewer sees nothing; a signed one may be read by all. Some endpoints ask more than the
                role: a inspection in hand is signed by an inspector with papers, and an inspector records of a repair its accepted cavity only.

                | method | path | inspector | welding engineer | repair lead | quality manager | viewer | instructor | learner |
                | --- | --- | --- | --- | --- | --- | --- | --- | --- |
                """;
    }
}
