package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import mensor.server.notice.NoticeLook;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Who is told of what: each once, on the page and by mail, and nothing secret in the mail. */
@ExtendWith(RunningMensor.class)
@Tag("postgresql")
class NoticesTest {
    private static final TestBrowser QUINN = RunningMensor.as("quinn");
    private final TestBrowser ines = RunningMensor.as("ines");
    private final TestBrowser rufus = RunningMensor.as("rufus");

    /** People of their own: what others do does not count here. */
    @BeforeAll
    static void people() {
        for (String[] p : new String[][] {{"nora", "REPAIR_LEAD"}, {"nils", "INSPECTOR"}}) {
            QUINN.post(
                            "/api/people",
                            "{'login':'" + p[0] + "','name':'" + p[0] + " Told','roles':['" + p[1] + "'],'password':'"
                                    + RunningMensor.PASSWORD + "'}")
                    .expect(200);
        }
    }

    private static void look() {
        NoticeLook.now(RunningMensor.context());
    }

    private static List<String> told(TestBrowser b, String kind) {
        List<String> words = new ArrayList<>();
        b.get("/api/notices").expect(200).json().get("notices").forEach(n -> {
            if (n.get("kind").asString().equals(kind)) {
                words.add(n.get("words").asString());
            }
        });
        return words;
    }

    private static void papers(String login, String content) {
        for (JsonNode p : QUINN.get("/api/people/papers").expect(200).json()) {
            if (p.get("person").get("login").asString().equals(login)) {
                QUINN.put(
                                "/api/people/" + p.get("person").get("id").asString() + "/papers",
                                "{" + content + ",'version':"
                                        + p.get("papers").get("version").asLong() + "}")
                        .expect(content.contains("'mail':'not") ? 422 : 200);
            }
        }
    }

    private static List<JsonNode> mails(String to) {
        List<JsonNode> mails = new ArrayList<>();
        JsonNode box = QUINN.get("/api/mailbox").expect(200).json();
        assertThat(box.get("mode").asString()).isEqualTo("simulated");
        box.get("mails").forEach(m -> {
            if (m.get("to").asString().equals(to)) {
                mails.add(m);
            }
        });
        return mails;
    }

    @Test
    void aRejectIsToldOnceToWhoeverRepairsAndNotToWhoSigned() {
        papers("nora", "'mail':'not an address'");
        papers("nora", "'mail':'nora@shop.example'");
        String inspection = ines.inspection("NO-1");
        ines.sound(inspection);
        ines.add(inspection, "INDICATION", "'kind':'slag','from':'10','to':'11','trapped':true")
                .expect(200);
        ines.sign(inspection, "reject").expect(200);
        JsonNode defect = ines.get(inspection + "/defects")
                .expect(200)
                .json()
                .get("defects")
                .get(0);
        rufus.put("/api/defects/" + defect.get("id").asString() + "/disposition", "{'decision':'remove-and-reweld'}")
                .expect(200);
        look();
        look();
        TestBrowser nora = RunningMensor.as("nora");
        List<String> rejects = told(nora, "REJECT").stream()
                .filter(w -> w.startsWith("NO-1, "))
                .toList();
        assertThat(rejects).hasSize(1);
        assertThat(rejects.get(0)).contains("rejected, from NC-");
        assertThat(told(RunningMensor.as("wanda"), "HOLD"))
                .as("the steel is not known: who records the Engineer's word is told")
                .anyMatch(w -> w.contains("NO-1"));
        assertThat(told(nora, "HOLD")).isEmpty();
        assertThat(told(ines, "REJECT")).noneMatch(w -> w.contains("NO-1"));
        assertThat(told(RunningMensor.as("vera"), "REJECT")).isEmpty();

        List<JsonNode> mails = mails("nora@shop.example");
        assertThat(mails.stream().map(m -> m.get("subject").asString())).contains("Mensor: a reject waits for you");
        assertThat(mails)
                .allSatisfy(m -> assertThat(m.get("text").asString())
                        .contains("https://mensor.shop.example/defects/")
                        .doesNotContain("NO-1", "NC-", "Footbridge", "slag", "Ines", "ines"));

        JsonNode notice = nora.get("/api/notices").json().get("notices").get(0);
        String id = notice.get("id").asString();
        nora.get("/api" + notice.get("link").asString()).expect(200);
        rufus.post("/api/notices/" + id + "/seen", "{}").expect(404);
        nora.post("/api/notices/" + id + "/seen", "{}").expect(200);
        look();
        assertThat(nora.get("/api/notices").text()).doesNotContain(id);
        nora.post("/api/notices/seen", "{}").expect(422);
        String newest = notice.get("at").asString();
        nora.post("/api/notices/seen", "{'upTo':'" + newest + "'}").expect(200);
        assertThat(nora.get("/api/notices").json().get("count").asInt()).isZero();
    }

    @Test
    void aPaperAndAGaugeThatRunOutAreToldAMonthBefore() {
        LocalDate today = LocalDate.now(ZoneOffset.UTC);
        papers("nils", "'certificateUntil':'" + today.plusDays(20) + "','eyeTestUntil':'" + today.plusDays(200) + "'");
        QUINN.put(
                        "/api/gauges/" + UUID.randomUUID(),
                        "{'form':{'name':'NO-G7','kind':'bridge cam gauge','division':'1/32','due':'"
                                + today.plusDays(9) + "'}}")
                .expect(200);
        look();
        TestBrowser nils = RunningMensor.as("nils");
        assertThat(told(nils, "PAPER")).singleElement().asString().startsWith("Your certificate holds until ");
        assertThat(told(QUINN, "PAPER")).anyMatch(w -> w.startsWith("nils Told: certificate holds until "));
        assertThat(told(nils, "GAUGE")).anyMatch(w -> w.contains("NO-G7"));
        assertThat(told(RunningMensor.as("lea"), "GAUGE")).isEmpty();
        papers("nils", "'certificateUntil':'" + today.plusDays(25) + "'");
        look();
        assertThat(told(nils, "PAPER")).as("another date is another notice").hasSize(2);
        ines.get("/api/mailbox").expect(403);
    }
}
