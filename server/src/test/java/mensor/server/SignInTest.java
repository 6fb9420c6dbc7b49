package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith(RunningMensor.class)
@Tag("postgresql")
class SignInTest {
    @Test
    void nothingIsSeenBeforeSigningIn() {
        TestBrowser visitor = RunningMensor.browser();
        TestBrowser.Answer answer = visitor.get("/api/joints").expect(401);
        assertThat(answer.response().headers().firstValue("content-type"))
                .hasValueSatisfying(t -> assertThat(t).contains("problem+json"));
        assertThat(visitor.get("/api/session").expect(200).json().get("signIns"))
                .as("no known passwords outside the demo")
                .isEmpty();
    }

    @Test
    void signsInAndOutByASessionCookie() {
        TestBrowser ines = RunningMensor.as("ines");
        assertThat(ines.get("/api/session")
                        .json()
                        .get("person")
                        .get("roles")
                        .get(0)
                        .asString())
                .isEqualTo("INSPECTOR");
        ines.get("/api/joints").expect(200);
        ines.delete("/api/session").expect(200);
        ines.get("/api/joints").expect(401);
    }

    /** No other site's page sends the token's cookie along. */
    @Test
    void theTokensCookieStaysOnItsOwnSite() {
        TestBrowser.Answer first = RunningMensor.browser().get("/api/session").expect(200);
        assertThat(first.response().headers().allValues("Set-Cookie"))
                .anySatisfy(c -> assertThat(c).startsWith("XSRF-TOKEN=").contains("SameSite=Strict"));
    }

    @Test
    void aChangeWithoutTheTokenIsRefused() {
        TestBrowser ines = RunningMensor.as("ines");
        ines.postWithoutToken("/api/joints", TestBrowser.newJoint("X1")).expect(403);
    }

    @Test
    void wrongPasswordsWaitLongerAndLonger() {
        TestBrowser quinn = RunningMensor.as("quinn");
        quinn.post("/api/people", "{'login':'slow','name':'Slow','roles':['VIEWER'],'password':'a-long-password'}")
                .expect(200);
        TestBrowser visitor = RunningMensor.browser();
        visitor.signIn("slow", "wrong").expect(401);
        visitor.signIn("slow", "wrong").expect(401);
        // from the third on a wait begins and doubles: however slow the machine, it is soon met
        TestBrowser.Answer locked = visitor.signIn("slow", "wrong");
        for (int i = 0; i < 6 && locked.status() == 401; i++) {
            locked = visitor.signIn("slow", "wrong");
        }
        locked.expect(429);
        assertThat(locked.detail()).contains("try again in");
        assertThat(locked.response().headers().firstValue("Retry-After")).isPresent();
        visitor.signIn("nobody", "wrong").expect(401);
    }

    @Test
    void onlyTheFirstVisitorMakesTheQualityManager() {
        RunningMensor.browser()
                .post("/api/people/first", "{'login':'eve','name':'Eve','password':'a-long-password'}")
                .expect(409);
    }

    @Test
    void badPeopleAreRefusedByField() {
        TestBrowser quinn = RunningMensor.as("quinn");
        assertThat(quinn.post(
                                "/api/people",
                                "{'login':'x y','name':'X','roles':['VIEWER'],'password':'a-long-password'}")
                        .expect(422)
                        .json()
                        .get("errors")
                        .get(0)
                        .get("field")
                        .asString())
                .isEqualTo("login");
        assertThat(quinn.post("/api/people", "{'login':'short','name':'X','roles':['VIEWER'],'password':'123'}")
                        .expect(422)
                        .detail())
                .contains("password");
        assertThat(quinn.post(
                                "/api/people",
                                "{'login':'ines','name':'X','roles':['VIEWER'],'password':'a-long-password'}")
                        .expect(422)
                        .detail())
                .contains("taken");
    }

    @Test
    void longPasswordsLongCertificatesAndEmptyRolesAreRefusedByField() {
        TestBrowser quinn = RunningMensor.as("quinn");
        String begin = "{'login':'longest','name':'X','roles':['VIEWER'],";
        assertThat(quinn.post("/api/people", begin + "'password':'" + "ü".repeat(40) + "'}")
                        .expect(422)
                        .detail())
                .startsWith("password");
        assertThat(quinn.post(
                                "/api/people",
                                begin + "'certificate':'" + "C".repeat(61) + "','password':'a-long-password'}")
                        .expect(422)
                        .detail())
                .startsWith("certificate");
        assertThat(quinn.post(
                                "/api/people",
                                "{'login':'longest','name':'X','roles':[null],'password':'a-long-password'}")
                        .expect(400)
                        .detail())
                .startsWith("roles");
    }

    @Test
    void noStackTraceEverLeaves() {
        TestBrowser ines = RunningMensor.as("ines");
        for (String path : new String[] {
            "/api/inspections/nonsense", "/api/inspections/00000000-0000-0000-0000-000000000000", "/api/none"
        }) {
            assertThat(ines.get(path).text()).doesNotContain("Exception").doesNotContain("at mensor");
        }
        assertThat(ines.post("/api/joints", "{broken").expect(400).text()).doesNotContain("Exception");
        assertThat(ines.post("/api/joints", "{'units':7,'joint':[]}").text()).doesNotContain("Exception");
    }

    @Test
    void deepLinksAnswerWithThePage() {
        assertThat(RunningMensor.browser().get("/inspections/abc").expect(200).text())
                .contains("<html");
    }

    @Test
    void anEasilyGuessedPasswordIsRefused() {
        TestBrowser quinn = RunningMensor.as("quinn");
        for (String easy : new String[] {"Password123", "qwertyuiop", "aaaaaaaaaaaa", "guessable1"}) {
            assertThat(quinn.post(
                                    "/api/people",
                                    "{'login':'guessable','name':'X','roles':['VIEWER'],'password':'" + easy + "'}")
                            .expect(422)
                            .detail())
                    .startsWith("password");
        }
    }

    @Test
    void aLeaverSignsInNoMoreAndMayComeBack() {
        TestBrowser quinn = RunningMensor.as("quinn");
        String id = added(quinn, "leaver");
        TestBrowser leaver = RunningMensor.as("leaver");
        leaver.get("/api/joints").expect(200);
        quinn.put("/api/people/" + id + "/active", "{'active':false,'version':" + version(quinn, id) + "}")
                .expect(200);
        leaver.get("/api/joints").expect(401);
        RunningMensor.browser().signIn("leaver", RunningMensor.PASSWORD).expect(401);
        assertThat(quinn.get("/api/people").text()).doesNotContain("leaver");
        quinn.put("/api/people/" + id + "/active", "{'active':true,'version':" + version(quinn, id) + "}")
                .expect(200);
        RunningMensor.browser().signIn("leaver", RunningMensor.PASSWORD).expect(200);
    }

    @Test
    void theLastQualityManagerStays() {
        TestBrowser quinn = RunningMensor.as("quinn");
        String id = quinn.get("/api/session").json().get("person").get("id").asString();
        assertThat(quinn.put("/api/people/" + id + "/active", "{'active':false,'version':" + version(quinn, id) + "}")
                        .expect(422)
                        .detail())
                .contains("nobody else is quality manager");
    }

    @Test
    void aNewPasswordEndsTheSessionsUnderTheOldOne() {
        TestBrowser quinn = RunningMensor.as("quinn");
        String id = added(quinn, "renewed");
        TestBrowser here = RunningMensor.as("renewed");
        TestBrowser elsewhere = RunningMensor.as("renewed");
        here.put("/api/session/password", "{'now':'wrong','next':'three words more'}")
                .expect(422);
        here.put("/api/session/password", "{'now':'" + RunningMensor.PASSWORD + "','next':'three words more'}")
                .expect(200);
        here.get("/api/joints").expect(200);
        elsewhere.get("/api/joints").expect(401);
        quinn.put("/api/people/" + id + "/password", "{'password':'yet another word'}")
                .expect(200);
        here.get("/api/joints").expect(401);
        TestBrowser again = RunningMensor.browser();
        again.signIn("renewed", "yet another word").expect(200);
        quinn.delete("/api/people/" + id + "/sessions").expect(200);
        again.get("/api/joints").expect(401);
    }

    @Test
    void onlyTheQualityManagerManagesPeople() {
        TestBrowser ines = RunningMensor.as("ines");
        String id = added(RunningMensor.as("quinn"), "managed");
        ines.put("/api/people/" + id + "/active", "{'active':false,'version':0}")
                .expect(403);
        ines.put("/api/people/" + id + "/password", "{'password':'yet another word'}")
                .expect(403);
        ines.post("/api/people/" + id + "/unlock", "{}").expect(403);
        ines.delete("/api/people/" + id + "/sessions").expect(403);
    }

    private static String added(TestBrowser quinn, String login) {
        return quinn.post(
                        "/api/people",
                        "{'login':'" + login + "','name':'N " + login + "','roles':['REPAIR_LEAD'],'password':'"
                                + RunningMensor.PASSWORD + "'}")
                .expect(200)
                .json()
                .get("id")
                .asString();
    }

    private static long version(TestBrowser quinn, String id) {
        for (tools.jackson.databind.JsonNode p : quinn.get("/api/people/papers").json()) {
            if (p.get("person").get("id").asString().equals(id)) {
                return p.get("papers").get("version").asLong();
            }
        }
        throw new AssertionError(id);
    }
}
