package mensor.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mensor.criteria.d11.StaticBook;
import mensor.inspection.Criterion;
import mensor.inspection.IncompleteFusion;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Porosity;
import mensor.inspection.Undercut;
import mensor.inspection.Verdict;
import mensor.judge.Reinspection.Beside;
import mensor.judge.Reinspection.Combination;
import mensor.judge.Reinspection.Repair;
import mensor.judge.Reinspection.Source;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Toe;
import org.junit.jupiter.api.Test;

/**
 * A weld after a repair. That the repaired place answers to the same criteria is D1.1 7.25 (5.25), from memory; the sums are
 * worked by hand from the limits of Table 8.1 (undercut up to 1/16 in for 2 in of any 12 in).
 */
class ReinspectionTest {
    private static final StaticBook BOOK = new StaticBook();

    private static Length in(String s) {
        return Length.parse(s, Unit.INCH);
    }

    private static Span span(String from, String to) {
        return new Span(in(from), in(to));
    }

    private static Indication undercut(String from, String to, String depth) {
        return new Undercut(Toe.A, span(from, to), in(depth), Optional.empty());
    }

    private static Repair repaired(Span... stretches) {
        return new Repair(List.of(stretches), Set.of(), Set.of(), Set.of());
    }

    private static Evaluation again(TestInspection before, Repair repair, TestInspection fresh) {
        return again(before, repair, fresh, Beside.ANSWERED);
    }

    private static Evaluation again(TestInspection before, Repair repair, TestInspection fresh, Beside beside) {
        Combination joined = Reinspection.join(before.inspection(), repair, fresh.inspection());
        return Reinspection.evaluate(joined, before.inspection(), fresh.inspection(), beside, BOOK, Terms.NONE);
    }

    private static Finding finding(Evaluation e, String id) {
        return e.finding(id).orElseThrow();
    }

    /** 2 1/4 in in 12 in reject; 1/4 in of it put right leaves 2 in, which the code allows, and the window still sums both. */
    @Test
    void oldOutsideAndNewInsideAddUpInOneWindow() {
        TestInspection before = TestInspection.inches("24")
                .blade("0", "24", "5/16")
                .seen(undercut("3", "4-1/4", "1/16"), undercut("8", "9", "1/16"));
        assertThat(Judge.evaluate(before.inspection(), BOOK).verdict()).isEqualTo(Verdict.REJECT);
        TestInspection clean = TestInspection.inches("24").blade("4", "4-1/4", "5/16");
        Evaluation accepted = again(before, repaired(span("4", "4-1/4")), clean);
        assertThat(accepted.verdict()).isEqualTo(Verdict.ACCEPT);
        assertThat(finding(accepted, "undercut").measured()).contains("2 in");

        TestInspection stillThere =
                TestInspection.inches("24").blade("4", "4-1/4", "5/16").seen(undercut("4", "4-1/16", "1/16"));
        assertThat(finding(again(before, repaired(span("4", "4-1/4")), stillThere), "undercut")
                        .verdict())
                .isEqualTo(Verdict.REJECT);
    }

    @Test
    void whatWasNotInspectedForAgainStaysOpenAndIsAskedForWhereItLies() {
        TestInspection before =
                TestInspection.inches("24").blade("0", "24", "5/16").seen(new IncompleteFusion(span("3", "4")));
        TestInspection begun = TestInspection.inches("24").notCleared().blade("2-1/2", "4-1/2", "5/16");
        Evaluation open = again(before, repaired(span("2-1/2", "4-1/2")), begun);
        assertThat(open.verdict()).isEqualTo(Verdict.INCOMPLETE);
        assertThat(finding(open, "crack").reason().words()).isEqualTo("not re-inspected yet");
        assertThat(open.todo())
                .filteredOn(t -> t.id().equals("fusion"))
                .singleElement()
                .matches(Todo::clearable)
                .matches(t -> t.ask().contains("1/2–6 1/2"));
    }

    /** The sizes outside are known; those of the new metal are not, though no 12 in of the weld went without a reading. */
    @Test
    void theSizeOfTheRepairedStretchIsReadByItself() {
        TestInspection before = TestInspection.inches("24")
                .legs("1", "5/16", "5/16")
                .legs("12", "5/16", "5/16")
                .legs("23", "5/16", "5/16")
                .seen(new IncompleteFusion(span("3", "4")));
        Repair repair = repaired(span("2-1/2", "4-1/2"));
        Evaluation unread = again(before, repair, TestInspection.inches("24"));
        assertThat(finding(unread, "size").verdict()).isEqualTo(Verdict.INCOMPLETE);
        assertThat(finding(unread, "size").asks().get(0).words()).contains("2 1/2–4 1/2");
        assertThat(again(before, repair, TestInspection.inches("24").legs("3", "5/16", "5/16"))
                        .verdict())
                .isEqualTo(Verdict.ACCEPT);
        assertThat(finding(again(before, repair, TestInspection.inches("24").legs("3", "1/8", "1/8")), "size")
                        .verdict())
                .isEqualTo(Verdict.REJECT);
    }

    @Test
    void theReverseFaceAndTheGroundPlacesBelongToTheInspection() {
        TestInspection before =
                TestInspection.inches("24").blade("0", "24", "5/16").seen(new IncompleteFusion(span("3", "4")));
        TestInspection fresh = TestInspection.inches("24").blade("2-1/2", "4-1/2", "5/16");
        Repair repair = repaired(span("2-1/2", "4-1/2"));
        Evaluation notYet = again(before, repair, fresh, new Beside(Optional.of(true), Optional.empty()));
        assertThat(notYet.verdict()).isEqualTo(Verdict.INCOMPLETE);
        assertThat(finding(notYet, "readiness").asks()).hasSize(1);
        assertThat(again(before, repair, fresh, Beside.ANSWERED).verdict()).isEqualTo(Verdict.ACCEPT);
    }

    @Test
    void whatTheEngineerAcceptsAsItIsNoLongerCountsAndIsSaid() {
        TestInspection before = TestInspection.inches("24")
                .blade("0", "24", "5/16")
                .seen(undercut("3", "6", "1/16"), new IncompleteFusion(span("20", "21")));
        Repair repair = new Repair(List.of(span("19-1/2", "21-1/2")), Set.of(), Set.of(0), Set.of());
        Evaluation e = again(before, repair, TestInspection.inches("24").blade("19-1/2", "21-1/2", "5/16"));
        assertThat(e.verdict()).isEqualTo(Verdict.ACCEPT);
        assertThat(e.notes()).anyMatch(n -> n.startsWith("Undercut at 3–6 is accepted as it is"));
    }

    @Test
    void poresThatLayPartlyOutsideAreAllCountedThere() {
        TestInspection before = TestInspection.inches("24")
                .blade("0", "24", "5/16")
                .seen(new Porosity(span("3", "4"), in("1/8"), 4, Optional.empty()));
        Combination joined = Reinspection.join(
                before.inspection(),
                repaired(span("3-1/2", "5")),
                TestInspection.inches("24").inspection());
        assertThat(joined.inspection().indications())
                .containsExactly(new Porosity(span("3", "3-1/2"), in("1/8"), 4, Optional.empty()));
        assertThat(joined.notes()).singleElement().asString().contains("4 pores");
    }

    @Test
    void theSamePlaceReadAnewBesideTheRepairStandsAsItIsNow() {
        TestInspection before =
                TestInspection.inches("24").seen(undercut("3", "4", "1/16"), undercut("10", "11", "1/16"));
        TestInspection fresh =
                TestInspection.inches("24").seen(undercut("3", "4", "1/32"), undercut("10", "11", "1/32"));
        Combination joined = Reinspection.join(before.inspection(), repaired(span("5", "6")), fresh.inspection());
        assertThat(joined.indications())
                .as("10–11 was not in the stretch re-inspected: both stand")
                .containsExactly(new Source(true, 1), new Source(false, 0), new Source(false, 1));
    }

    @Test
    void aClosedWeldIsInspectedAcrossTheDatum() {
        Inspection before = TestInspection.inches("24")
                .joint(j -> j.closed(true))
                .seen(new IncompleteFusion(new Span(in("23"), in("1"))))
                .inspection();
        assertThat(Reinspection.stretches(before.joint(), List.of(new Span(in("23"), in("1")))))
                .containsExactly(span("0", "3"), span("21", "24"));
        Inspection fresh =
                TestInspection.inches("24").joint(j -> j.closed(true)).inspection();
        Combination joined = Reinspection.join(before, repaired(new Span(in("23-1/2"), in("2"))), fresh);
        assertThat(joined.inspection().indications())
                .extracting(Indication::span)
                .containsExactly(span("23", "23-1/2"));
    }

    /** Worst case against the definition: a weld repaired from end to end is what the new inspection says, and nothing else. */
    @Test
    void aWholeWeldRepairedIsTheNewInspectionAlone() {
        Random random = new Random(7);
        for (int n = 0; n < 200; n++) {
            TestInspection before =
                    TestInspection.inches("24").blade("0", "24", "5/16").seen(some(random));
            TestInspection fresh =
                    TestInspection.inches("24").blade("0", "24", "5/16").seen(some(random));
            Evaluation joined = again(before, repaired(span("0", "24")), fresh);
            Evaluation alone = Judge.evaluate(fresh.inspection(), BOOK);
            assertThat(joined.verdict()).isEqualTo(alone.verdict());
            assertThat(joined.findings())
                    .extracting(Finding::verdict)
                    .isEqualTo(alone.findings().stream().map(Finding::verdict).toList());
        }
    }

    /** Undercut by brute force: each 1/64 in of the toe is old outside and new inside, the worst 12 in window is counted. */
    @Test
    void undercutOfBothInspectionsIsCountedTickByTick() {
        Random random = new Random(11);
        for (int n = 0; n < 300; n++) {
            Indication[] old = some(random);
            Indication[] now = some(random);
            Span repaired = new Span(in(random.nextInt(10) + ""), in(random.nextInt(10) + 11 + ""));
            Evaluation e = again(
                    TestInspection.inches("24").blade("0", "24", "5/16").seen(old),
                    repaired(repaired),
                    TestInspection.inches("24").blade("0", "24", "5/16").seen(now));
            assertThat(finding(e, "undercut").verdict())
                    .isEqualTo(worst(old, now, repaired) > 128 ? Verdict.REJECT : Verdict.ACCEPT);
        }
    }

    private static int worst(Indication[] old, Indication[] now, Span repaired) {
        boolean[] under = new boolean[24 * 64];
        for (int t = 0; t < under.length; t++) {
            Length middle = Length.inches(2 * t + 1, 128);
            boolean out = repaired.contains(middle);
            // one recorded in the same stretch again stands as it is now; elsewhere both stand
            under[t] = covers(now, middle) || !out && covers(old, middle);
        }
        int worst = 0;
        int sum = 0;
        for (int t = 0; t < under.length; t++) {
            sum += under[t] ? 1 : 0;
            sum -= t >= 12 * 64 && under[t - 12 * 64] ? 1 : 0;
            worst = Math.max(worst, sum);
        }
        return worst;
    }

    private static boolean covers(Indication[] some, Length at) {
        return List.of(some).stream().anyMatch(i -> i.span().contains(at));
    }

    private static Indication[] some(Random random) {
        List<Indication> some = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(3); i++) {
            int from = random.nextInt(22 * 16);
            some.add(new Undercut(
                    Toe.A,
                    new Span(Length.inches(from, 16), Length.inches(from + 1 + random.nextInt(24), 16)),
                    in("1/16"),
                    Optional.empty()));
        }
        return some.toArray(new Indication[0]);
    }

    @Test
    void eachUncertaintyStaysWithItsReading() {
        TestInspection before =
                TestInspection.inches("24").legs("1", "5/16", "5/16").legs("3", "5/16", "5/16");
        TestInspection fresh = TestInspection.inches("24").legs("3", "5/16", "5/16");
        Combination joined = Reinspection.join(before.inspection(), repaired(span("2", "4")), fresh.inspection());
        Guard old = new Guard(Guard.TWO, List.of(Optional.of(in("1/64")), Optional.empty()), List.of());
        Guard now = new Guard(Guard.TWO, List.of(Optional.of(in("1/1000"))), List.of());
        Terms terms = joined.terms(new Terms(Optional.of(old), List.of()), new Terms(Optional.of(now), List.of()));
        assertThat(terms.guard().orElseThrow().readings())
                .containsExactly(Optional.of(in("1/64")), Optional.of(in("1/1000")));
        assertThat(finding(Judge.evaluate(joined.inspection(), BOOK), Criterion.SIZE.id())
                        .readings())
                .isNotNull();
    }
}
