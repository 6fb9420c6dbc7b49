package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Tokens for scripts: within their scopes, for their person, until they are over or revoked. */
@ExtendWith(RunningMensor.class)
class AccessTokenTest {
    private final HttpClient http = HttpClient.newHttpClient();
    private final TestBrowser ines = RunningMensor.as("ines");

    private JsonNode made(TestBrowser by, String scopes) {
        return by.post("/api/tokens", "{'name':'night script','scopes':[" + scopes + "],'days':30}")
                .expect(200)
                .json();
    }

    private HttpResponse<String> ask(String token, String method, String path, String body) {
        try {
            return http.send(
                    HttpRequest.newBuilder(URI.create("http://localhost:" + RunningMensor.port() + path))
                            .header("Authorization", "Bearer " + token)
                            .header("Content-Type", path.endsWith("weld-list") ? "text/csv" : "application/json")
                            .method(method, HttpRequest.BodyPublishers.ofString(body))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private int status(String token, String method, String path, String body) {
        return ask(token, method, path, body).statusCode();
    }

    @Test
    void aScriptReadsJudgesAndBringsInWithinItsScopes() throws IOException {
        String job = ines.post("/api/jobs", "{'name':'Token job','criteria':'d1.1-static','units':'in'}")
                .expect(200)
                .json()
                .get("id")
                .asString();
        String file = Files.readString(Path.of("../docs/examples/ST2-17.json"));
        String list = "mark;weld no;lot;size;length;member a;thickness a;member b;thickness b;position\n"
                + "TK-1;1;Lot;5/16;24;web;3/8;flange;3/4;2F\n";
        String reads = made(ines, "'READ'").get("token").asString();
        String judges = made(ines, "'JUDGE'").get("token").asString();
        String brings = made(ines, "'IMPORT'").get("token").asString();

        assertThat(status(reads, "GET", "/api/joints", "")).isEqualTo(200);
        assertThat(status(reads, "POST", "/api/judge", file)).isEqualTo(403);
        assertThat(status(reads, "POST", "/api/jobs/" + job + "/weld-list", list))
                .isEqualTo(403);
        assertThat(status(reads, "GET", "/api/people", "")).isEqualTo(403);
        assertThat(status(reads, "GET", "/api/tokens", "")).isEqualTo(403);

        HttpResponse<String> verdict = ask(judges, "POST", "/api/judge?file=ST2-17.json", file);
        assertThat(verdict.statusCode()).isEqualTo(200);
        assertThat(verdict.body()).startsWith("{").contains("\"verdict\":\"reject\"", "ST2-17.json");
        HttpResponse<String> wrong = ask(judges, "POST", "/api/judge", file.replace("\"fillet\"", "\"filet\""));
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body()).contains("\"field\"", "fillet");
        assertThat(status(judges, "GET", "/api/joints", "")).isEqualTo(403);

        assertThat(status(brings, "POST", "/api/jobs/" + job + "/weld-list", list))
                .isEqualTo(200);
        assertThat(status(brings, "POST", "/api/joints", "{}")).isEqualTo(403);
    }

    /** What a token may not read it reads by no other spelling of the address either. */
    @Test
    void anAddressSpelledOtherwiseOpensNothing() {
        String reads = made(RunningMensor.as("quinn"), "'READ'").get("token").asString();
        for (String forbidden :
                new String[] {"people", "history", "tokens", "notices", "mailbox", "class", "eyes", "studies", "pieces"
                }) {
            String first = "%" + Integer.toHexString(forbidden.charAt(0));
            for (String spelled : new String[] {
                "/api/" + forbidden,
                "/api/" + first + forbidden.substring(1),
                "/%61pi/" + forbidden,
                "/api/%25" + first.substring(1) + forbidden.substring(1),
                "/api/" + forbidden + ";x",
                "/api;x/" + forbidden,
                "/api//" + forbidden,
                "/api/jobs/../" + forbidden,
                "/api/jobs/%2e%2e/" + forbidden,
                "/api/" + forbidden + "/",
                "/api/" + forbidden.toUpperCase(java.util.Locale.ROOT)
            }) {
                assertThat(status(reads, "GET", spelled, "")).as(spelled).isIn(400, 401, 403, 404);
            }
        }
        assertThat(status(reads, "GET", "/api/%6aoints", ""))
                .as("what it may read")
                .isEqualTo(200);
    }

    @Test
    void anAddressSpelledOtherwiseTakesNoLargerBody() {
        String large = "{'login':'" + "x".repeat(9000) + "'}";
        assertThat(ask("mensor_none", "POST", "/api/%70eople/first", large).statusCode())
                .isEqualTo(413);
    }

    @Test
    void aTokenIsShownOnceKeptAsAHashAndRevoked() {
        JsonNode made = made(ines, "'READ'");
        String token = made.get("token").asString();
        assertThat(ines.get("/api/tokens").expect(200).json().toString()).doesNotContain(token);
        assertThat(RunningMensor.bean(JdbcTemplate.class)
                        .queryForList("select * from access_token")
                        .toString())
                .doesNotContain(token)
                .doesNotContain(token.substring("mensor_".length()));
        assertThat(status(token, "GET", "/api/kinds", "")).isEqualTo(200);
        String id = made.get("its").get("id").asString();

        // another person's is not there for him; the quality manager sees and revokes it
        RunningMensor.as("tomas").delete("/api/tokens/" + id).expect(404);
        TestBrowser quinn = RunningMensor.as("quinn");
        assertThat(quinn.get("/api/tokens").expect(200).json().toString()).contains(id);
        quinn.delete("/api/tokens/" + id).expect(200);
        assertThat(status(token, "GET", "/api/kinds", "")).isEqualTo(401);
        assertThat(quinn.get("/api/history?what=Token%20for%20a%20script&find=night")
                        .expect(200)
                        .json()
                        .get("fitting")
                        .asInt())
                .isGreaterThanOrEqualTo(2);
    }

    @Test
    void aTokenIsOverWithItsDayItsPersonAndItsRoles() {
        TestBrowser quinn = RunningMensor.as("quinn");
        String person = quinn.post(
                        "/api/people",
                        "{'login':'tilda','name':'Tilda','roles':['INSPECTOR'],'password':'" + RunningMensor.PASSWORD
                                + "'}")
                .expect(200)
                .json()
                .get("id")
                .asString();
        String token =
                made(RunningMensor.as("tilda"), "'READ','IMPORT'").get("token").asString();
        assertThat(status(token, "GET", "/api/gauges", "")).isEqualTo(200);
        long version = papers(quinn, person).get("papers").get("version").asLong();
        version = quinn.put("/api/people/" + person + "/roles", "{'roles':['VIEWER'],'version':" + version + "}")
                .expect(200)
                .json()
                .get("papers")
                .get("version")
                .asLong();
        assertThat(status(token, "GET", "/api/gauges", "")).isEqualTo(403);
        assertThat(status(token, "GET", "/api/joints", "")).isEqualTo(200);
        quinn.put("/api/people/" + person + "/active", "{'active':false,'version':" + version + "}")
                .expect(200);
        assertThat(status(token, "GET", "/api/joints", "")).isEqualTo(401);

        String over = made(ines, "'READ'").get("token").asString();
        RunningMensor.bean(JdbcTemplate.class)
                .update("update access_token set ends_on = date '2020-01-01' where last_used is null");
        assertThat(status(over, "GET", "/api/joints", "")).isEqualTo(401);
        assertThat(status("mensor_nonsense", "GET", "/api/joints", "")).isEqualTo(401);
        ines.post("/api/tokens", "{'name':'','scopes':['READ'],'days':1}").expect(422);
        ines.post("/api/tokens", "{'name':'x','scopes':[],'days':1}").expect(422);
        ines.post("/api/tokens", "{'name':'x','scopes':['READ'],'days':9999}").expect(422);
    }

    private static JsonNode papers(TestBrowser quinn, String person) {
        return quinn.get("/api/people/papers")
                .expect(200)
                .json()
                .valueStream()
                .filter(p -> p.get("person").get("id").asString().equals(person))
                .findFirst()
                .orElseThrow();
    }
}
