package mensor.inspection;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.RodClock;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** In-process looks: common practice, no source. */
class InProcessInspectionTest {
    private static final Instant NOW = Instant.parse("2026-05-12T12:30:00Z");

    private static Joint joint(WeldType weld) {
        JointBuilder b = new JointBuilder(
                        "FB-1", weld, weld == WeldType.FILLET ? Connection.TEE : Connection.BUTT, Length.inches(12))
                .members(new Member("web", Length.inches(1, 2)), new Member("flange", Length.inches(1, 2)));
        return (weld == WeldType.FILLET ? b.size(Length.inches(5, 16)) : b.penetration(Penetration.COMPLETE)).build();
    }

    private static List<InspectionItem> items(
            WeldType weld, List<InProcessInspection.Answer> answers, List<RodClock> clocks) {
        return InProcessInspection.items(
                joint(weld), answers, List.of(), Length.inches(1), clocks, NOW, InProcessInspection.Practice.USUAL);
    }

    @Test
    void whatWasNotInspectedIsIncompleteAndAGrooveAsksMore() {
        assertThat(items(WeldType.FILLET, List.of(), List.of()))
                .extracting(InspectionItem::id)
                .containsExactly("root", "slag-lines", "layers-clean", "high-spots", "old-weld");
        assertThat(items(WeldType.GROOVE, List.of(), List.of()))
                .hasSize(7)
                .allMatch(i -> i.verdict() == Verdict.INCOMPLETE);
    }

    @ParameterizedTest
    @CsvSource({"1, 64, REJECT", "1, 32, ACCEPT", "1, 16, ACCEPT", "3, 32, ACCEPT", "7, 64, REJECT", "0, 1, REJECT"})
    void fillLeftAboutASixteenthBelowFlush(long over, long under, Verdict verdict) {
        InProcessInspection.Answer answer = new InProcessInspection.Answer(
                ProcessQuestion.FILL_BELOW, true, Optional.of(Length.inches(over, under)), Optional.empty(), "");
        assertThat(items(WeldType.GROOVE, List.of(answer), List.of()))
                .filteredOn(i -> i.id().equals("fill-below"))
                .extracting(InspectionItem::verdict)
                .containsExactly(verdict);
    }

    /** A shop that fills flush, or burns the slag lines out, is asked for just that. */
    @Test
    void aPickedPracticeHoldsForItsQuestion() {
        InProcessInspection.Answer flush = new InProcessInspection.Answer(
                ProcessQuestion.FILL_BELOW, true, Optional.of(Length.inches(0)), Optional.empty(), "");
        InProcessInspection.Answer slag = new InProcessInspection.Answer(
                ProcessQuestion.SLAG_LINES, false, Optional.empty(), Optional.empty(), "");
        List<InspectionItem> items = InProcessInspection.items(
                joint(WeldType.GROOVE),
                List.of(flush, slag),
                List.of(),
                Length.inches(1),
                List.of(),
                NOW,
                new InProcessInspection.Practice(true, true));
        assertThat(items)
                .filteredOn(i -> i.id().equals("fill-below"))
                .singleElement()
                .satisfies(i -> {
                    assertThat(i.verdict()).isEqualTo(Verdict.ACCEPT);
                    assertThat(i.allowed()).isEqualTo("0 to 1/32 in below flush");
                    assertThat(i.title()).contains("flush with the plate");
                });
        assertThat(items)
                .filteredOn(i -> i.id().equals("slag-lines"))
                .singleElement()
                .satisfies(i -> assertThat(i.title() + i.reason()).contains("burnt out", "that the hot pass left"));
    }

    @Test
    void oneBadPlaceDecidesAndIsShownWhereItLies() {
        InProcessInspection.Answer good = new InProcessInspection.Answer(
                ProcessQuestion.SLAG_LINES, true, Optional.empty(), Optional.empty(), "");
        InProcessInspection.Answer bad = new InProcessInspection.Answer(
                ProcessQuestion.SLAG_LINES,
                false,
                Optional.empty(),
                Optional.of(new Span(Length.inches(3), Length.inches(5))),
                "web side");
        assertThat(items(WeldType.FILLET, List.of(bad, good), List.of()))
                .filteredOn(i -> i.id().equals("slag-lines"))
                .singleElement()
                .satisfies(i -> {
                    assertThat(i.verdict()).isEqualTo(Verdict.REJECT);
                    assertThat(i.where().orElseThrow().shown()).isEqualTo("3–5");
                    assertThat(i.reason()).endsWith("(web side)");
                });
    }

    @Test
    void rodsOutTooLongReject() {
        RodClock clock = new RodClock(
                "E7018", List.of(new RodClock.Outing(Instant.parse("2026-05-12T08:00:00Z"), Optional.empty())));
        assertThat(items(WeldType.FILLET, List.of(), List.of(clock))).last().satisfies(i -> {
            assertThat(i.verdict()).isEqualTo(Verdict.REJECT);
            assertThat(i.measured()).isEqualTo("4 h 30 min of 4 h");
            assertThat(i.allowed()).isEqualTo("at most 4 h");
        });
    }
}
