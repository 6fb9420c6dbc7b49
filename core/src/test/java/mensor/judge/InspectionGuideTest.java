package mensor.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.TreeSet;
import mensor.criteria.SizeEvidence;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.Undercut;
import mensor.judge.InspectionGuide.Step;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What to inspect next. That stations are wanted near both ends and none too far apart is common practice, no source. */
class InspectionGuideTest {
    private static List<String> guided(TestInspection tested) {
        return InspectionGuide.steps(tested.inspection(), tested.judge()).stream()
                .map(Step::words)
                .toList();
    }

    @Test
    void anUntouchedWeldIsReadFromTheDatumToItsEndThenLookedAlong() {
        List<String> steps = guided(TestInspection.inches("24").nothingInspected());
        assertThat(steps)
                .startsWith("Read the legs at 1", "Read the legs at 12", "Read the legs at 23")
                .contains("Undercut: inspect web toe to the end, then flange toe", "Crack: inspect the whole weld");
        assertThat(steps.get(3)).as("the toes before the face").startsWith("Undercut");
    }

    @Test
    void whatWasReadIsNotAskedAgain() {
        assertThat(guided(TestInspection.inches("24")
                        .nothingInspected()
                        .legs("1 1/2", "5/16", "5/16")
                        .legs("23", "5/16", "5/16")))
                .startsWith("Read the legs at 12 1/4")
                .filteredOn(s -> s.startsWith("Read the legs"))
                .hasSize(1);
        assertThat(guided(TestInspection.inches("24").nothingInspected().blade("0", "24", "5/16")))
                .noneMatch(s -> s.startsWith("Read the legs"));
        assertThat(guided(TestInspection.inches("24").nothingInspected().blade("0", "20", "5/16")))
                .as("only the rest that the blade left")
                .filteredOn(s -> s.startsWith("Read the legs"))
                .allMatch(s -> s.matches("Read the legs at 2[0-4].*"));
        assertThat(guided(TestInspection.inches("24").blade("0", "24", "5/16"))).isEmpty();
    }

    @Test
    void aReadingNearItsLimitIsRepeatedWhereTheWalkComesToIt() {
        TestInspection a = TestInspection.inches("24").nothingInspected();
        assertThat(guided(a.seen(nearly(a, Toe.A, "10", "11"))))
                .startsWith(
                        "Read the legs at 1",
                        "Read the undercut at 10–11 on web toe again with a finer gauge",
                        "Read the legs at 12");
        TestInspection b = TestInspection.inches("24").nothingInspected();
        assertThat(guided(b.seen(nearly(b, Toe.B, "10", "11"))).subList(2, 4))
                .as("the other toe is walked after the first")
                .containsExactly(
                        "Read the legs at 23", "Read the undercut at 10–11 on flange toe again with a finer gauge");
    }

    /** Half a division of 1/64 under the limit of 1/32. */
    private static Indication nearly(TestInspection inspection, Toe toe, String from, String to) {
        return new Undercut(
                toe,
                new Span(inspection.l(from), inspection.l(to)),
                inspection.l("0.028"),
                Optional.of(inspection.l("1/64")));
    }

    @Test
    void aGrooveIsReadAtItsCrown() {
        TestInspection groove = TestInspection.of(Unit.INCH, butt()).nothingInspected();
        assertThat(guided(groove)).startsWith("Read the crown at 1", "Read the crown at 12", "Read the crown at 23");
    }

    private static JointBuilder butt() {
        return new JointBuilder("B1", WeldType.GROOVE, Connection.BUTT, Length.inches(24))
                .penetration(Penetration.COMPLETE)
                .members(new Member("top", Length.inches(1, 2)), new Member("bottom", Length.inches(1, 2)));
    }

    /** Whatever was read: the places proposed, read too, are enough for the rule that asked for them. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void theProposedStationsAreEnough(long seed) {
        Random random = new Random(seed);
        Unit unit = random.nextBoolean() ? Unit.INCH : Unit.MILLIMETRE;
        SizeEvidence rule = unit.pick(SizeEvidence.inches(), SizeEvidence.millimetres());
        for (int n = 0; n < 300; n++) {
            Length mark = unit.pick(Length.inches(1, 16), Length.millimetres("1.5"));
            int marks = 8 + random.nextInt(1500);
            Ruler ruler = new Ruler(mark.times(marks), random.nextBoolean());
            TreeSet<Length> places = new TreeSet<>();
            for (int i = random.nextInt(6); i > 0; i--) {
                places.add(mark.times(random.nextInt(ruler.closed() ? marks : marks + 1)));
            }
            List<Length> read = List.copyOf(places);
            int from = random.nextInt(marks - 1);
            SpanSet covered = random.nextBoolean()
                    ? SpanSet.of(List.of())
                    : SpanSet.of(
                            List.of(new Span(mark.times(from), mark.times(from + 1 + random.nextInt(marks - from)))));
            List<Length> all = new ArrayList<>(read);
            all.addAll(new StationPlan(rule, ruler, covered, read).wanted(List.of()));
            assertThat(new SizeEvidenceCheck(rule, ruler, covered, all).missing(List.of()))
                    .as(
                            "%s closed %s, read %s, covered %s, with %s",
                            ruler.length(), ruler.closed(), read, covered.spans(), all)
                    .isEmpty();
            assertThat(all).doesNotHaveDuplicates().allMatch(p -> !p.isOver(ruler.length()));
        }
    }

    @Test
    void everyPieceOfAnIntermittentWeldIsRead() {
        TestInspection inspection = TestInspection.inches("24")
                .joint(j -> j.segments(List.of(
                        new Span(Length.inches(0), Length.inches(2)), new Span(Length.inches(12), Length.inches(14)))))
                .nothingInspected();
        assertThat(guided(inspection)).startsWith("Read the legs at 1", "Read the legs at 13");
        assertThat(InspectionGuide.steps(inspection.inspection(), inspection.judge())
                        .get(0)
                        .criterion())
                .isEqualTo(Criterion.SIZE);
    }
}
