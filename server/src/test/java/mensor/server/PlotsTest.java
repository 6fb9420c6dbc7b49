package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** The plots over counted inspections that are known: one welder, four months, two positions. */
@ExtendWith(RunningMensor.class)
@Tag("postgresql")
class PlotsTest {
    private static final TestBrowser INES = RunningMensor.as("ines");
    private static final String WELDER = "PL7";
    /** Each weld 100 in. */
    private static final double LENGTH = 2540;

    private static final List<UUID> LOOKS = new ArrayList<>();

    /** Twenty welds a month with two places each in ten of them; in the third month each has ten, all overhead. */
    @BeforeAll
    static void welds() {
        UUID joint = UUID.fromString(INES.jointOf(INES.inspection("PL-1")));
        JdbcTemplate db = RunningMensor.bean(JdbcTemplate.class);
        for (int month = 1; month <= 4; month++) {
            for (int weld = 0; weld < 20; weld++) {
                boolean bad = month == 3;
                int places = bad ? 10 : weld < 10 ? 2 : 0;
                UUID id = UUID.randomUUID();
                LOOKS.add(id);
                db.update(
                        "insert into inspection (id, joint_id, stage, capacity, revision, state, started_at, conditions, verdict, rejects,"
                                + " todos, entry_count, changes, version) values (?, ?, 'final', 'QC', 2, 'SIGNED', current_timestamp, '{}',"
                                + " ?, 4, 0, 4, 0, 0)",
                        id,
                        joint,
                        places == 0 ? "accept" : "reject");
                db.update(
                        "insert into inspection_tally values (?, ?, ?, 'W-PL', ?, ?, ?, ?, ?)",
                        id,
                        joint,
                        WELDER,
                        bad ? "4F" : "2F",
                        bad ? "E6010" : "E7018",
                        LENGTH,
                        places,
                        OffsetDateTime.of(2026, month, 1 + weld, 23, 59, 0, 0, ZoneOffset.UTC));
                if (places > 0) {
                    db.update(
                            "insert into place_tally values (?, ?, ?, ?, ?)",
                            UUID.randomUUID(),
                            id,
                            bad ? "undercut" : "slag",
                            bad ? "arc-long" : null,
                            places);
                }
            }
        }
    }

    @AfterAll
    static void away() {
        JdbcTemplate db = RunningMensor.bean(JdbcTemplate.class);
        for (UUID id : LOOKS) {
            db.update("delete from inspection_tally where inspection_id = ?", id);
            db.update("delete from inspection where id = ?", id);
        }
    }

    private static JsonNode plot(String id, String scope) {
        for (JsonNode p : INES.get("/api/plots?welder=" + WELDER + scope)
                .expect(200)
                .json()
                .get("plots")) {
            if (p.get("id").asString().equals(id)) {
                return p;
            }
        }
        throw new AssertionError("no plot " + id);
    }

    private static int behind(String plot, String key) {
        return INES.get("/api/plots/" + plot + "/welds?welder=" + WELDER + "&key=" + key)
                .expect(200)
                .json()
                .get("count")
                .asInt();
    }

    @Test
    void theMonthThatLiesOverItsLimitsIsNamed() {
        JsonNode rate = plot("rate", "");
        assertThat(rate.get("middle").asDouble()).isCloseTo((3 * 20 + 200) / 80.0, within(1e-9));
        JsonNode march = rate.get("points").get(2);
        assertThat(march.get("name").asString()).isEqualTo("Mar 2026");
        assertThat(march.get("mark").asString()).isEqualTo("OUT");
        assertThat(march.get("value").asDouble()).isCloseTo(10, within(1e-9));
        // three standard deviations of a Poisson count over 20 hundreds of inches, Montgomery's u-chart
        assertThat(march.get("high").asDouble()).isCloseTo(3.25 + 3 * Math.sqrt(3.25 / 20), within(1e-9));
        assertThat(rate.get("answer").asString()).startsWith("Yes: Jan 2026 under its limits");
        assertThat(rate.get("answer").asString()).contains("Mar 2026 over its limits (10 per 100 in)");
        assertThat(behind("rate", "2026-03")).isEqualTo(20);
        assertThat(behind("rate", "2026-01"))
                .as("those without a place are not behind it")
                .isEqualTo(10);
        INES.get("/api/plots/rate/welds?key=March").expect(422);
        INES.get("/api/plots/nothing/welds").expect(404);
    }

    @Test
    void kindsAndCausesByTheirShare() {
        JsonNode kinds = plot("kinds", "");
        assertThat(kinds.get("points").get(0).get("name").asString()).isEqualTo("undercut");
        assertThat(kinds.get("points").get(0).get("value").asDouble()).isEqualTo(200);
        assertThat(kinds.get("points").get(1).get("cumulative").asDouble()).isEqualTo(1);
        assertThat(kinds.get("answer").asString())
                .contains("Undercut and slag: 100 % of 260 places", "by more than chance");
        JsonNode causes = plot("causes", "");
        assertThat(causes.get("points").get(0).get("name").asString()).isEqualTo("Arc too long (hand)");
        assertThat(causes.get("points").get(1).get("name").asString()).isEqualTo("not traced");
        assertThat(behind("kinds", "slag")).isEqualTo(30);
        assertThat(behind("causes", "")).isEqualTo(30);
        assertThat(behind("causes", "arc-long")).isEqualTo(20);
    }

    @Test
    void thePositionThatStandsOutAndTheShareAtTheFirstLook() {
        JsonNode positions = plot("positions", "");
        JsonNode first = positions.get("points").get(0);
        assertThat(first.get("name").asString()).isEqualTo("4F, E6010");
        assertThat(first.get("mark").asString()).isEqualTo("HIGH");
        assertThat(positions.get("answer").asString()).startsWith("4F, E6010: 10 per 100 in");
        assertThat(behind("positions", "4F%7CE6010")).isEqualTo(20);
        JsonNode share = plot("first-look", "");
        // 30 of 80 by Wilson (Newcombe's formula, reckoned by hand): .277 to .485
        assertThat(share.get("answer").asString()).isEqualTo("38 % of 80 welds (28 to 48 %).");
        assertThat(share.get("points").get(2).get("value").asDouble()).isZero();
        assertThat(behind("first-look", "2026-03")).isEqualTo(20);
    }

    @Test
    void tooFewAreNotAnswered() {
        JsonNode rate = plot("rate", "&from=2026-01-01&to=2026-01-09");
        assertThat(rate.get("enough").asBoolean()).isFalse();
        assertThat(rate.get("answer").asString()).isEqualTo("Too few to say: 9 welds; 20 are asked.");
        assertThat(rate.get("points"))
                .as("the last day is in it, to its last minute")
                .hasSize(9);
        JsonNode none = plot("kinds", "&procedure=W-NONE");
        assertThat(none.get("points")).isEmpty();
        assertThat(none.get("answer").asString()).startsWith("Too few to say: 0 rejected places");
        assertThat(INES.get("/api/plots?from=2026-02-01&to=2026-01-01")
                        .expect(422)
                        .text())
                .contains("before the first");
        INES.get("/api/plots?from=yesterday").expect(400);
        RunningMensor.as("vera").get("/api/plots").expect(403);
        INES.get("/api/plots?job=" + UUID.randomUUID()).expect(404);
    }

    @Test
    void onPaperAndAsAList() throws IOException {
        String query = "?welder=" + WELDER + "&from=" + LocalDate.of(2026, 1, 1);
        try (PDDocument pdf = Loader.loadPDF(INES.bytes("/api/plots/report" + query))) {
            String text = new PDFTextStripper().getText(pdf);
            assertThat(text)
                    .contains("Which kinds make most of the rejects?", "Mar 2026", "4F, E6010", "Arc too long (hand)");
        }
        String list =
                INES.get("/api/plots/report" + query + "&as=csv").expect(200).text();
        assertThat(list).contains("undercut,200,77 %,71 to 82 %,77 %");
        INES.get("/api/plots/report" + query + "&as=xlsx").expect(200);
    }

    /** Two days alone: ten welds at a time, in the order in which they were signed. */
    @Test
    void withoutThreeDaysTenWeldsAreASample() {
        JsonNode rate = plot("rate", "&procedure=W-PL&from=2026-01-01&to=2026-01-02");
        assertThat(rate.get("points")).hasSize(1);
        assertThat(rate.get("points").get(0).get("name").asString()).isEqualTo("welds 1 to 2");
        assertThat(INES.get("/api/plots/rate/welds?welder=" + WELDER + "&key=ten-4")
                        .expect(200)
                        .json()
                        .get("count")
                        .asInt())
                .as("the fifth ten lie in March, each with rejected places")
                .isEqualTo(10);
        assertThat(INES.get("/api/plots/rate/welds?welder=" + WELDER + "&key=ten-1")
                        .expect(200)
                        .json()
                        .get("count")
                        .asInt())
                .as("the second ten of January have none")
                .isZero();
    }
}
