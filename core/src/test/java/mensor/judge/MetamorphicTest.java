package mensor.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mensor.inspection.Crack;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.inspection.Spatter;
import mensor.inspection.Undercut;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Toe;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

/** What must not change a verdict, on seeded random looks: order, the datum's place, a stretch cut in two, a harmless mark. */
class MetamorphicTest {
    private static final List<String> DEPTHS = List.of("1/64", "1/32", "3/64", "1/16", "5/64");
    private static final List<String> LEGS = List.of("1/4", "9/32", "5/16", "3/8");

    /** A random look in quarter inches on a 24 in weld. */
    private record Case(List<int[]> undercuts, List<int[]> pores, List<int[]> legs) {
        static Case random(Random r) {
            List<int[]> undercuts = new ArrayList<>();
            for (int i = r.nextInt(5); i > 0; i--) {
                int from = r.nextInt(90);
                undercuts.add(new int[] {from, from + 1 + r.nextInt(6), r.nextInt(DEPTHS.size()), r.nextInt(2)});
            }
            List<int[]> pores = new ArrayList<>();
            for (int i = r.nextInt(5); i > 0; i--) {
                pores.add(new int[] {r.nextInt(97), 1 + r.nextInt(4)});
            }
            List<int[]> legs = new ArrayList<>();
            for (int i = r.nextInt(6); i > 0; i--) {
                legs.add(new int[] {r.nextInt(97), r.nextInt(LEGS.size())});
            }
            return new Case(undercuts, pores, legs);
        }
    }

    private static Length quarter(int n) {
        return Length.inches(n, 4);
    }

    private static Indication undercut(int[] u, int from, int to) {
        return new Undercut(
                u[3] == 0 ? Toe.A : Toe.B,
                new Span(quarter(from), quarter(to)),
                Length.parse(DEPTHS.get(u[2]), Unit.INCH),
                Optional.empty());
    }

    private static TestInspection inspection(Case c, Random shuffle) {
        TestInspection inspection = TestInspection.inches("24");
        List<Runnable> entries = new ArrayList<>();
        c.undercuts().forEach(u -> entries.add(() -> inspection.seen(undercut(u, u[0], u[1]))));
        c.pores()
                .forEach(p -> entries.add(() -> inspection.seen(
                        new Porosity(Span.at(quarter(p[0])), Length.inches(p[1], 32), 1, Optional.empty()))));
        c.legs()
                .forEach(l ->
                        entries.add(() -> inspection.legs(quarter(l[0]).shown(), LEGS.get(l[1]), LEGS.get(l[1]))));
        if (shuffle != null) {
            Collections.shuffle(entries, shuffle);
        }
        entries.forEach(Runnable::run);
        return inspection;
    }

    private static List<Verdict> verdicts(TestInspection inspection) {
        return inspection.judge().findings().stream().map(Finding::verdict).toList();
    }

    @RepeatedTest(60)
    void theOrderOfEntriesDecidesNothing(RepetitionInfo round) {
        Random random = new Random(round.getCurrentRepetition());
        Case c = Case.random(random);
        assertThat(verdicts(inspection(c, random))).isEqualTo(verdicts(inspection(c, null)));
    }

    @RepeatedTest(60)
    void aStretchCutInTwoTouchingOnesDecidesNothing(RepetitionInfo round) {
        Case c = Case.random(new Random(1000 + round.getCurrentRepetition()));
        TestInspection cut = inspection(new Case(List.of(), c.pores(), c.legs()), null);
        for (int[] u : c.undercuts()) {
            int middle = (u[0] + u[1]) / 2;
            cut.seen(undercut(u, u[0], middle));
            cut.seen(undercut(u, middle, u[1]));
        }
        assertThat(cut.verdict(Criterion.UNDERCUT))
                .isEqualTo(inspection(c, null).verdict(Criterion.UNDERCUT));
    }

    @RepeatedTest(60)
    void deepeningAnUndercutNeverTurnsRejectIntoAccept(RepetitionInfo round) {
        Case c = Case.random(new Random(2000 + round.getCurrentRepetition()));
        if (c.undercuts().isEmpty() || inspection(c, null).verdict(Criterion.UNDERCUT) != Verdict.REJECT) {
            return;
        }
        c.undercuts().get(0)[2] = Math.min(DEPTHS.size() - 1, c.undercuts().get(0)[2] + 1);
        assertThat(inspection(c, null).verdict(Criterion.UNDERCUT)).isEqualTo(Verdict.REJECT);
    }

    @RepeatedTest(60)
    void aHarmlessIndicationChangesNoOtherCriterion(RepetitionInfo round) {
        Case c = Case.random(new Random(3000 + round.getCurrentRepetition()));
        List<Verdict> before = verdicts(inspection(c, null));
        TestInspection more = inspection(c, null)
                .seen(new Undercut(Toe.A, new Span(quarter(2), quarter(9)), Length.inches(1, 128), Optional.empty()))
                .seen(new Porosity(Span.at(quarter(5)), Length.inches(1, 64), 4, Optional.empty()))
                .seen(new Spatter(new Span(quarter(0), quarter(96)), false));
        assertThat(verdicts(more)).isEqualTo(before);
    }

    @RepeatedTest(60)
    void shiftingTheDatumOfAClosedWeldChangesNothing(RepetitionInfo round) {
        Random random = new Random(4000 + round.getCurrentRepetition());
        Case c = Case.random(random);
        int shift = random.nextInt(96);
        assertThat(verdicts(ring(c, shift))).isEqualTo(verdicts(ring(c, 0)));
    }

    private static TestInspection ring(Case c, int shift) {
        TestInspection inspection = TestInspection.inches("24").joint(j -> j.closed(true));
        c.undercuts().forEach(u -> inspection.seen(undercut(u, (u[0] + shift) % 96, (u[1] + shift) % 96)));
        c.pores()
                .forEach(p -> inspection.seen(new Porosity(
                        Span.at(quarter((p[0] + shift) % 96)), Length.inches(p[1], 32), 1, Optional.empty())));
        c.legs().forEach(l -> inspection.legs(quarter((l[0] + shift) % 96).shown(), LEGS.get(l[1]), LEGS.get(l[1])));
        return inspection;
    }

    /** A better reading at a low place never makes it worse, and a lower one never better. */
    @RepeatedTest(60)
    void aBiggerLegNeverTurnsAcceptIntoReject(RepetitionInfo round) {
        Random random = new Random(5000 + round.getCurrentRepetition());
        Case c = Case.random(random);
        if (c.legs().isEmpty()) {
            return;
        }
        Verdict before = inspection(c, null).verdict(Criterion.SIZE);
        int[] leg = c.legs().get(random.nextInt(c.legs().size()));
        leg[1] = LEGS.size() - 1;
        Verdict after = inspection(c, null).verdict(Criterion.SIZE);
        if (before == Verdict.ACCEPT) {
            assertThat(after).isEqualTo(Verdict.ACCEPT);
        }
        assertThat(after == Verdict.REJECT && before != Verdict.REJECT).isFalse();
    }

    @Test
    void theTwoColumnsAreJudgedEachByItsOwn() {
        // 1/32 in is .79 mm: over nothing in inches, well inside 1 mm; 0.9 mm is over 1/32 in
        TestInspection inches = TestInspection.inches("24").undercut(Toe.A, "1", "9", "0.9mm");
        TestInspection metric = TestInspection.millimetres("600").undercut(Toe.A, "25", "225", "0.9");
        assertThat(inches.verdict(Criterion.UNDERCUT)).isEqualTo(Verdict.REJECT);
        assertThat(metric.verdict(Criterion.UNDERCUT)).isEqualTo(Verdict.ACCEPT);
    }

    @Test
    void everyFindingSaysWhyAndWhere() {
        TestInspection inspection = TestInspection.inches("24")
                .undercut(Toe.A, "1", "9", "1/16")
                .pore("3", "1/2")
                .legs("5", "1/8", "1/8")
                .seen(new Crack(Span.at(Length.inches(2)), Optional.empty()));
        for (Finding f : inspection.judge().findings()) {
            assertThat(f.reason().words()).as(f.id()).isNotBlank();
            assertThat(f.citation().shown()).contains("AWS D1.1");
            if (f.verdict() == Verdict.REJECT) {
                assertThat(f.span()).as(f.id()).isPresent();
                assertThat(f.measured()).isNotBlank();
                assertThat(f.allowed()).isNotBlank();
                assertThat(f.indications().size() + f.readings().size()).isPositive();
            }
        }
    }

    @Test
    void numbersAddUp() {
        TestInspection inspection = TestInspection.inches("24")
                .undercut(Toe.A, "1", "9", "5/64")
                .read(Reading.Station.legs(Length.inches(3), Length.inches(1, 8), Length.inches(1, 8)));
        for (Finding f : inspection.judge().findings()) {
            f.numbers().ifPresent(n -> {
                Length measured = Length.parse(n.measured(), Unit.INCH);
                Length allowed = Length.parse(n.allowed(), Unit.INCH);
                Length margin = Length.parse(n.margin(), Unit.INCH);
                Length left = f.criterion() == Criterion.SIZE ? measured.minus(allowed) : allowed.minus(measured);
                assertThat(margin).as(f.id()).isEqualByComparingTo(left);
                assertThat(margin.isNegative()).as(f.id()).isEqualTo(f.verdict() == Verdict.REJECT);
            });
        }
    }
}
