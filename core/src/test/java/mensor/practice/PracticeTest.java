package mensor.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mensor.criteria.CriteriaBooks;
import mensor.inspection.Conditions;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.inspection.ReadingChoices;
import mensor.inspection.Undercut;
import mensor.inspection.Verdict;
import mensor.judge.Judge;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Toe;
import mensor.weld.WeldingRecord;
import org.junit.jupiter.api.Test;

/** Made-up welds of known truth: the truth is judged, a perfect eye finds all, and the surface shows what is there. */
class PracticeTest {
    private static SimulatedPracticeWeld weld(int level, boolean fillet, long seed) {
        Unit unit = seed % 2 == 0 ? Unit.INCH : Unit.MILLIMETRE;
        return new SimulatedPracticeWeld(
                PracticeSetting.ofLevel(level, fillet, unit, fillet ? "d1.1-static" : "d1.1-cyclic"), seed);
    }

    @Test
    void theTruthOfEveryWeldIsJudgedAndBothVerdictsComeUp() {
        int accepted = 0;
        int rejected = 0;
        for (long seed = 0; seed < 120; seed++) {
            for (boolean fillet : new boolean[] {true, false}) {
                SimulatedPracticeWeld w = weld(1 + (int) (seed % 5), fillet, seed);
                var e = Judge.evaluate(
                        w.truth(),
                        CriteriaBooks.find(fillet ? "d1.1-static" : "d1.1-cyclic")
                                .orElseThrow());
                assertThat(e.verdict()).as("seed " + seed + " " + e.todo()).isNotEqualTo(Verdict.INCOMPLETE);
                accepted += e.verdict() == Verdict.ACCEPT ? 1 : 0;
                rejected += e.verdict() == Verdict.REJECT ? 1 : 0;
                // no limit of this kind of weld accepts a crack
                if (w.flaws().stream().anyMatch(f -> f.kind() == FlawKind.CRACK)) {
                    assertThat(e.verdict()).isEqualTo(Verdict.REJECT);
                }
            }
        }
        assertThat(accepted).isGreaterThan(24);
        assertThat(rejected).isGreaterThan(24);
    }

    @Test
    void aPerfectEyeFindsAllAndCallsNothing() {
        for (long seed = 0; seed < 60; seed++) {
            SimulatedPracticeWeld w = weld(1 + (int) (seed % 5), true, seed);
            PracticeScore s = PracticeScore.of(w.flaws(), w.truth(), w.wantedLeg());
            assertThat(s.missed()).isEmpty();
            assertThat(s.called()).isEmpty();
            s.outcomes().forEach(o -> assertThat(o.off().orElse(0)).isCloseTo(0, within(0.01)));
            assertThat(PracticeScore.of(w.flaws(), seen(w, List.of()), w.wantedLeg())
                            .found())
                    .isZero();
        }
    }

    private static Inspection seen(SimulatedPracticeWeld w, List<Indication> indications) {
        return new Inspection(
                w.joint(),
                Unit.INCH,
                Conditions.READY,
                Set.of(),
                false,
                List.of(),
                List.<Reading>of(),
                indications,
                List.of(),
                ReadingChoices.CAREFUL,
                WeldingRecord.NONE);
    }

    @Test
    void whatIsOnTheOtherToeOrElsewhereIsNoFind() {
        List<PracticeFlaw> flaws = List.of(new PracticeFlaw(FlawKind.UNDERCUT, Optional.of(Toe.A), 50, 70, 0.8, 0));
        SimulatedPracticeWeld w = weld(1, true, 2);
        Length deep = Length.millimetres("0.6");
        Span there = new Span(Length.millimetres("66"), Length.millimetres("80"));
        Span away = new Span(Length.millimetres("90"), Length.millimetres("95"));
        List<Indication> all = new ArrayList<>(List.of(
                new Undercut(Toe.B, there, deep, Optional.empty()),
                new Undercut(Toe.A, away, deep, Optional.empty()),
                new Porosity(there, deep, 1, Optional.empty())));
        PracticeScore missed = PracticeScore.of(flaws, seen(w, all), 8);
        assertThat(missed.found()).isZero();
        assertThat(missed.called()).containsExactly(0, 1, 2);
        all.add(new Undercut(Toe.A, there, deep, Optional.empty()));
        PracticeScore found = PracticeScore.of(flaws, seen(w, all), 8);
        assertThat(found.found()).isOne();
        assertThat(found.outcomes().get(0).off().orElseThrow()).isCloseTo(-0.2, within(1e-9));
    }

    /** The surface is as deep as the truth says, and gauges read the truth in the mean. */
    @Test
    void surfaceAndGaugesShowTheTruth() {
        int undercuts = 0;
        for (long seed = 0; seed < (Boolean.getBoolean("sweeps") ? 40 : 12); seed++) {
            SimulatedPracticeWeld w = weld(1, true, seed);
            int across = 220;
            int rows = 400;
            float[] surface = w.surface(rows, across);
            assertThat(surface).hasSize(rows * (1 + 4 * across));
            assertThat(w.surface(rows, across)).as("the same seed").isEqualTo(surface);
            for (PracticeFlaw f : w.flaws()) {
                if (f.kind() != FlawKind.UNDERCUT || f.to() - f.from() < 8) {
                    continue;
                }
                undercuts++;
                int row = (int) Math.round(f.middle() / w.length() * (rows - 1)) * (1 + 4 * across);
                double deepest = 0;
                for (int i = 0; i < across; i++) {
                    boolean plate = (i < across / 2) == f.toe().equals(Optional.of(Toe.A));
                    deepest = Math.min(deepest, plate ? surface[row + 1 + 4 * i + 2] : 0);
                }
                assertThat(-deepest).isCloseTo(f.size(), within(0.1));
                Random hand = new Random(seed);
                double[] read = new double[201];
                for (int i = 0; i < read.length; i++) {
                    String shown = w.read(PracticeGauge.UNDERCUT, f.toe().orElseThrow(), f.middle(), hand)
                            .orElseThrow();
                    Unit unit = seed % 2 == 0 ? Unit.INCH : Unit.MILLIMETRE;
                    read[i] = Length.parse(shown, unit).approximateNanometres() / 1e6;
                }
                java.util.Arrays.sort(read);
                assertThat(read[100]).as("median").isCloseTo(f.size(), within(0.25));
            }
        }
        assertThat(undercuts).isGreaterThan(6);
    }

    @Test
    void whatCannotBeAskedForIsRefused() {
        assertThatThrownBy(() -> PracticeSetting.ofLevel(6, true, Unit.INCH, "x"))
                .hasMessageContaining("level");
        assertThatThrownBy(() -> new PracticeSetting(1, true, Unit.INCH, "x", Set.of(), 0, 0))
                .hasMessageContaining("kinds");
        assertThatThrownBy(() -> new PracticeSetting(1, true, Unit.INCH, "x", Set.of(FlawKind.PORE), 4, 0))
                .hasMessageContaining("crowd");
        assertThatThrownBy(() -> new PracticeSetting(1, false, Unit.INCH, "x", Set.of(FlawKind.SHORT_LEG), 0, 0))
                .hasMessageContaining("no legs");
    }
}
