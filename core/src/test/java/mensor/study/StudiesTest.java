package mensor.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import mensor.study.DetectionCurve.Trial;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Studies of eye and gauge against published worked examples, each named at its check. */
class StudiesTest {
    /** Enough to tell 95 of 100 from 85. */
    private static final int SEEDS = Boolean.getBoolean("sweeps") ? 200 : 100;

    /** Textbook tables; the first by Cohen (1960)'s way with the words of Landis and Koch (1977). */
    @Test
    void cohen() {
        assertThat(Kappa.cohen(new int[][] {{20, 5}, {10, 15}}).value()).isCloseTo(0.400, within(5e-4));
        assertThat(Kappa.cohen(new int[][] {{45, 15}, {25, 15}}).value()).isCloseTo(0.1304, within(5e-5));
        assertThat(Kappa.cohen(new int[][] {{25, 35}, {5, 35}}).value()).isCloseTo(0.2593, within(5e-5));
        assertThat(Kappa.cohen(new int[][] {{20, 5}, {10, 15}}).words()).isEqualTo("fair");
        assertThat(Kappa.cohen(new int[][] {{20, 0}, {0, 0}}).value()).isNaN();
        assertThatThrownBy(() -> Kappa.cohen(new int[][] {{0, 0}, {0, 0}})).hasMessageContaining("nothing");
    }

    /** Fleiss (1971): fourteen people, ten subjects, five answers. */
    @Test
    void fleiss() {
        int[][] counts = {
            {0, 0, 0, 0, 14}, {0, 2, 6, 4, 2}, {0, 0, 3, 5, 6}, {0, 3, 9, 2, 0}, {2, 2, 8, 1, 1},
            {7, 7, 0, 0, 0}, {3, 2, 6, 3, 0}, {2, 5, 3, 2, 2}, {6, 5, 2, 1, 0}, {0, 2, 2, 3, 7}
        };
        Kappa k = Kappa.fleiss(counts);
        assertThat(k.value()).isCloseTo(0.210, within(5e-4));
        assertThat(k.low()).isLessThan(k.value());
        assertThat(k.high()).isGreaterThan(k.value());
        assertThat(Kappa.fleiss(new int[][] {{3, 0}, {3, 0}, {3, 0}, {3, 0}, {3, 0}, {3, 0}, {3, 0}})
                        .value())
                .as("all the same cannot be told from chance")
                .isNaN();
        Kappa alike = Kappa.cohen(new int[][] {{4, 0}, {0, 6}});
        assertThat(alike.value()).isEqualTo(1);
        assertThat(alike.low()).as("ten welds prove no perfect eye").isBetween(0.3, 0.6);
    }

    private static final double[][][] AIAG = {
        {
            {.29, -.56, 1.34, .47, -.80, .02, .59, -.31, 2.26, -1.36},
            {.41, -.68, 1.17, .50, -.92, -.11, .75, -.20, 1.99, -1.25},
            {.64, -.58, 1.27, .64, -.84, -.21, .66, -.17, 2.01, -1.31}
        },
        {
            {.08, -.47, 1.19, .01, -.56, -.20, .47, -.63, 1.80, -1.68},
            {.25, -1.22, .94, 1.03, -1.20, .22, .55, .08, 2.12, -1.62},
            {.07, -.68, 1.34, .20, -1.28, .06, .83, -.34, 2.19, -1.50}
        },
        {
            {.04, -1.38, .88, .14, -1.46, -.29, .02, -.46, 1.77, -1.49},
            {-.11, -1.13, 1.09, .20, -1.07, -.67, .01, -.56, 1.45, -1.77},
            {-.15, -.96, .67, .11, -1.45, -.49, .21, -.49, 1.87, -2.16}
        }
    };

    /** The ten parts, three people and three repeats of the AIAG's measurement systems analysis; the interaction is pooled. */
    @Test
    void aiag() {
        GaugeStudy g = GaugeStudy.anova(AIAG);
        assertThat(g.pooled()).isTrue();
        assertThat(g.ev()).isCloseTo(.1999, within(5e-5));
        assertThat(g.av()).isCloseTo(.2268, within(5e-5));
        assertThat(g.grr()).isCloseTo(.3024, within(1e-4));
        assertThat(g.pv()).isCloseTo(1.0423, within(1e-4));
        assertThat(g.total()).isCloseTo(1.0853, within(1e-4));
        assertThat(g.percent()).isCloseTo(27.9, within(0.05));
        assertThat(g.words()).isEqualTo("conditional");
        assertThat(g.categories()).isEqualTo(4);
        assertThatThrownBy(() -> GaugeStudy.anova(new double[][][] {{{1, 2}}})).hasMessageContaining("at least two");
    }

    /** The same readings by averages and ranges; the results of the manual, from memory. */
    @Test
    void aiagByRanges() {
        GaugeStudy g = GaugeStudy.ranges(AIAG).orElseThrow();
        assertThat(g.ev()).isCloseTo(.20188, within(5e-5));
        assertThat(g.av()).isCloseTo(.22963, within(5e-5));
        assertThat(g.grr()).isCloseTo(.30575, within(5e-5));
        assertThat(g.pv()).isCloseTo(1.10456, within(5e-4));
        assertThat(g.total()).isCloseTo(1.14610, within(5e-4));
        assertThat(g.percent()).isCloseTo(26.68, within(0.02));
        assertThat(g.categories()).isEqualTo(5);
        assertThat(GaugeStudy.ranges(new double[2][7][3])).as("no table").isEmpty();
    }

    /** The true standard deviation of gauge and people lies between the bounds in at least 90 of 100 studies. */
    @Test
    void theBoundsOfAGaugeStudyCoverTheTruth() {
        double truth = Math.hypot(0.02, 0.01);
        int covered = 0;
        for (int seed = 0; seed < 100; seed++) {
            Random random = new Random(seed);
            double[][][] readings = new double[4][3][10];
            double[] part = random.doubles(10).toArray();
            for (double[][] person : readings) {
                double own = 0.01 * random.nextGaussian();
                for (double[] repeat : person) {
                    for (int p = 0; p < 10; p++) {
                        repeat[p] = part[p] + own + 0.02 * random.nextGaussian();
                    }
                }
            }
            GaugeStudy.Bounds b = GaugeStudy.anova(readings).bounds().orElseThrow();
            covered += b.low() <= truth && truth <= b.high() ? 1 : 0;
        }
        assertThat(covered).isGreaterThanOrEqualTo(90);
    }

    /** Linearity of the AIAG's measurement systems analysis, 5 references of 12 readings: bias = 0.73667 − 0.13167 × reference (from memory). */
    @Test
    void linearity() {
        double[][] readings = {
            {2.7, 2.5, 2.4, 2.5, 2.7, 2.3, 2.5, 2.5, 2.4, 2.4, 2.6, 2.4},
            {5.1, 3.9, 4.2, 5.0, 3.8, 3.9, 3.9, 3.9, 3.9, 4.0, 4.1, 3.8},
            {5.8, 5.7, 5.9, 5.9, 6.0, 6.1, 6.0, 6.1, 6.4, 6.3, 6.0, 6.1},
            {7.6, 7.7, 7.8, 7.7, 7.8, 7.8, 7.8, 7.7, 7.8, 7.5, 7.6, 7.7},
            {9.1, 9.3, 9.5, 9.3, 9.4, 9.5, 9.5, 9.5, 9.6, 9.2, 9.3, 9.4}
        };
        GaugeBias b = GaugeBias.of(new double[] {2, 4, 6, 8, 10}, readings);
        assertThat(b.intercept()).isCloseTo(0.73667, within(5e-5));
        assertThat(b.slope()).isCloseTo(-0.13167, within(5e-5));
        assertThat(b.residual()).isCloseTo(0.23954, within(5e-5));
        assertThat(b.r2()).isCloseTo(0.714, within(5e-4));
        assertThat(b.isSloped()).isTrue();
        assertThat(b.parts()[0]).isCloseTo(0.491667, within(5e-6));
        assertThatThrownBy(() -> GaugeBias.of(new double[] {2, 2}, new double[][] {{1, 2}, {1, 2}}))
                .hasMessageContaining("all the same");
    }

    /** The manual's readings with the interaction kept: it is less than chance, so people and parts come out a little larger. */
    @Test
    void aiagWithTheInteractionKept() {
        GaugeStudy kept = GaugeStudy.anova(AIAG, false);
        GaugeStudy pooled = GaugeStudy.anova(AIAG, true);
        assertThat(pooled).isEqualTo(GaugeStudy.anova(AIAG));
        assertThat(kept.pooled()).isFalse();
        assertThat(kept.interaction()).isEqualTo(pooled.interaction());
        assertThat(kept.interaction().orElseThrow()).as("from memory: p .974").isCloseTo(0.974, within(5e-3));
        assertThat(kept.ev()).isGreaterThan(pooled.ev());
        assertThat(kept.pv()).isCloseTo(pooled.pv(), within(0.01));
        double[][][] noRepeatSpread = {{{1, 2}, {1, 2}}, {{1, 3}, {1, 3}}};
        assertThat(GaugeStudy.anova(noRepeatSpread).pooled())
                .as("an interaction without any spread of repeats is no chance")
                .isFalse();
    }

    /** A person who reads one part otherwise than the others is an interaction: it is kept, and counts as the people's. */
    @Test
    void anInteractionThatIsNoChanceIsKept() {
        double[][][] readings = new double[2][3][5];
        Random random = new Random(3);
        for (int a = 0; a < 2; a++) {
            for (int r = 0; r < 3; r++) {
                for (int p = 0; p < 5; p++) {
                    readings[a][r][p] = p + (a == 1 && p == 2 ? 1 : 0) + 0.02 * random.nextGaussian();
                }
            }
        }
        GaugeStudy g = GaugeStudy.anova(readings);
        assertThat(g.pooled()).isFalse();
        assertThat(g.interaction().orElseThrow()).isLessThan(0.001);
        assertThat(g.ev()).isCloseTo(0.02, within(0.01));
        assertThat(g.av()).isGreaterThan(0.2);
    }

    private static final double[] FLIGHTS = {
        66, 70, 69, 68, 67, 72, 73, 70, 57, 63, 70, 78, 67, 53, 67, 75, 70, 81, 76, 79, 75, 76, 58
    };
    private static final int[] DISTRESS = {0, 1, 0, 0, 0, 0, 0, 0, 1, 1, 1, 0, 0, 1, 0, 0, 0, 0, 0, 0, 1, 0, 1};

    /** The O-rings of 23 flights (Dalal, Fowlkes, Hoadley 1989, and many textbooks), °F. */
    @Test
    void logistic() {
        List<Trial> trials = new ArrayList<>();
        for (int i = 0; i < FLIGHTS.length; i++) {
            trials.add(new Trial(FLIGHTS[i], DISTRESS[i] == 1));
        }
        DetectionCurve c = DetectionCurve.of(trials).curve().orElseThrow();
        assertThat(c.intercept()).isCloseTo(15.0429, within(5e-4));
        assertThat(c.slope()).isCloseTo(-.23216, within(5e-6));
        assertThat(c.seIntercept()).isCloseTo(7.3786, within(5e-3));
        assertThat(c.seSlope()).isCloseTo(.10824, within(5e-5));
        assertThat(c.size(0.9))
                .as("less is found of larger ones: there is no such size")
                .isEmpty();
    }

    /** Trials by a known curve: the size of nine in ten is near, and the bound lies over the truth in about 95 of 100. */
    @Test
    void whatIsSurelyFoundLiesOverTheTruth() {
        double a90 = (Math.log(9) + 4) / 10;
        int over = 0;
        int curves = 0;
        for (int seed = 0; seed < SEEDS; seed++) {
            Random random = new Random(seed);
            List<Trial> trials = new ArrayList<>();
            for (int i = 0; i < 80; i++) {
                double size = random.nextDouble() * 1.2;
                trials.add(new Trial(size, random.nextDouble() < 1 / (1 + Math.exp(4 - 10 * size))));
            }
            var fit = DetectionCurve.of(trials).curve();
            OptionalDouble surely =
                    fit.isEmpty() ? OptionalDouble.empty() : fit.get().surely(0.9);
            if (surely.isPresent()) {
                curves++;
                assertThat(surely.getAsDouble())
                        .isGreaterThanOrEqualTo(fit.get().size(0.9).getAsDouble());
                over += surely.getAsDouble() >= a90 ? 1 : 0;
            }
        }
        assertThat(curves).isGreaterThan(SEEDS * 19 / 20);
        assertThat((double) over / curves).isBetween(0.90, 0.99);
    }

    /** Two people who say the truth in nine of ten: the interval of kappa covers what endless welds would give in at least 90 of 100 studies. */
    @Test
    void theIntervalOfKappaCoversTheTruth() {
        // both right or both wrong in .82, by chance .50: (.82 − .50) / .50
        double truth = 0.64;
        int covered = 0;
        for (int seed = 0; seed < 100; seed++) {
            Random random = new Random(seed);
            int[][] table = new int[2][2];
            for (int w = 0; w < 60; w++) {
                int is = random.nextInt(2);
                int one = random.nextDouble() < 0.9 ? is : 1 - is;
                int other = random.nextDouble() < 0.9 ? is : 1 - is;
                table[one][other]++;
            }
            Kappa k = Kappa.cohen(table);
            covered += k.low() <= truth && truth <= k.high() ? 1 : 0;
        }
        assertThat(covered).isGreaterThanOrEqualTo(90);
    }

    /** The table [[20,5],[10,15]] answered by two people, and a third who is always with the first. */
    @Test
    void anAgreementStudyCountsItsAnswers() {
        int[] one = new int[50];
        int[] two = new int[50];
        int[] truth = new int[50];
        for (int w = 0; w < 50; w++) {
            one[w] = w < 25 ? 0 : 1;
            two[w] = w < 20 || w >= 25 && w < 35 ? 0 : 1;
            truth[w] = w < 23 ? 0 : 1;
        }
        AgreementAnswers a = new AgreementAnswers(
                "t",
                List.of("A", "B", "C"),
                List.of("verdict"),
                new int[][][][] {{{one, one}, {two, one}, {one, two}}},
                java.util.Optional.of(new int[][] {truth}));
        assertThat(a.between(0, 0, 1).value()).isCloseTo(0.400, within(5e-4));
        assertThat(a.between(0, 0, 2).value()).isCloseTo(1, within(1e-12));
        assertThat(a.withSelf(0, 0).orElseThrow().value()).isCloseTo(1, within(1e-12));
        assertThat(a.withSelf(0, 1).orElseThrow().value()).isCloseTo(0.400, within(5e-4));
        assertThat(a.among(0).value()).isBetween(0.4, 1.0);
        assertThat(a.divided(0)).hasSize(15).contains(20, 34);
        AgreementAnswers.Lean lean = a.lean(0, 0).orElseThrow();
        assertThat(lean).isEqualTo(new AgreementAnswers.Lean(4, 54, 0, 46));
        assertThatThrownBy(() -> new AgreementAnswers(
                        "t",
                        List.of("A", "B"),
                        List.of("verdict"),
                        new int[][][][] {{{one}, {{1, 2}}}},
                        java.util.Optional.empty()))
                .hasMessageContaining("answers[0][1]");
    }

    /** 29 good readings say with 95 % that less than a tenth is bad; 59 less than a twentieth (the sample sizes of statistics' textbooks). */
    @Test
    void soManyReadingsAreEnough() {
        assertThat(ReadingsEnough.of(0.10, 0.95)).isEqualTo(29);
        assertThat(ReadingsEnough.of(0.05, 0.95)).isEqualTo(59);
        assertThat(ReadingsEnough.of(0.10, 0.90)).isEqualTo(22);
    }

    /** JCGM 106: limit −5.40, read −5.47 and u .05 give .919; and an undercut of .80 under 1.0 with u .10 gives .977 (computed). */
    @Test
    void aReadingKeepsItsLimitByAProbability() {
        assertThat(DecisionRisk.keeps(-5.47, .05, -5.40)).isCloseTo(.919, within(5e-4));
        assertThat(DecisionRisk.keeps(.80, .10, 1.0)).isCloseTo(.977, within(5e-4));
    }

    /** Against counted made-up welds; a guard band takes the risk of the one who uses the bridge down, and that of the shop up. */
    @Test
    void whatIsSignedWronglyIsAsOftenAsCounted() {
        DecisionRisk plain = DecisionRisk.of(0.6, 0.25, 0.1, 1.0, 1.0);
        Random random = new Random(9);
        int n = 400_000;
        int consumers = 0;
        int producers = 0;
        for (int i = 0; i < n; i++) {
            double x = 0.6 + 0.25 * random.nextGaussian();
            boolean accepted = x + 0.1 * random.nextGaussian() <= 1.0;
            consumers += x > 1.0 && accepted ? 1 : 0;
            producers += x <= 1.0 && !accepted ? 1 : 0;
        }
        assertThat(plain.consumers()).isCloseTo((double) consumers / n, within(6e-4));
        assertThat(plain.producers()).isCloseTo((double) producers / n, within(6e-4));
        assertThat(plain.bad())
                .isCloseTo(0.0548, within(5e-4)); // 1.6 standard deviations, from the table of the normal
        DecisionRisk guarded = DecisionRisk.of(0.6, 0.25, 0.1, 1.0, 0.8);
        assertThat(guarded.consumers()).isLessThan(plain.consumers() / 5);
        assertThat(guarded.producers()).isGreaterThan(plain.producers());
    }

    /** An eye that misses lets more pass; one that finds all changes nothing. */
    @Test
    void aMissedFlawIsSignedAsGood() {
        DecisionRisk plain = DecisionRisk.of(0.6, 0.25, 0.1, 1.0, 1.0);
        assertThat(DecisionRisk.of(0.6, 0.25, 0.1, 1.0, 1.0, x -> 1).consumers())
                .isCloseTo(plain.consumers(), within(1e-12));
        DecisionRisk blind = DecisionRisk.of(0.6, 0.25, 0.1, 1.0, 1.0, x -> 0);
        assertThat(blind.consumers()).isCloseTo(plain.bad(), within(1e-5));
        assertThat(blind.producers()).isZero();
        DecisionRisk half = DecisionRisk.of(0.6, 0.25, 0.1, 1.0, 1.0, x -> 0.5);
        assertThat(half.consumers()).isCloseTo((plain.consumers() + plain.bad()) / 2, within(1e-5));
    }

    @Test
    void whatSetsNoCurveIsNamed() {
        List<Trial> parted = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            parted.add(new Trial(i, i >= 15));
        }
        assertThat(DetectionCurve.of(parted).problem()).contains("between");
        assertThat(DetectionCurve.of(parted.subList(0, 10)).problem()).contains("too few trials: 10 of at least 20");
        assertThat(DetectionCurve.of(parted.stream()
                                .map(t -> new Trial(t.size(), true))
                                .toList())
                        .problem())
                .contains("smaller flaws");
    }

    /** Integrals over the jump at the limit, by an engineer's own reckoning to six digits. */
    @Test
    void theRiskAcrossTheLimitIsTrueToSixDigits() {
        DecisionRisk risk = DecisionRisk.of(0.6, 0.3, 0.1, 1, 1);
        assertThat(risk.consumers()).isCloseTo(.016494, within(5e-7));
        assertThat(risk.producers()).isCloseTo(.028234, within(5e-7));
        DecisionRisk fine = DecisionRisk.of(.02, .01, .0009, .03125, .03125);
        assertThat(fine.consumers()).isCloseTo(.007132, within(5e-7));
    }

    /**
     * Fourteen subjects of known prevalence, six people who are right so often: what the interval of 95 % covers. Fleiss' own
     * standard error, that of no agreement, covers three quarters.
     */
    @ParameterizedTest
    @CsvSource({"0.9, 0.5", "0.8, 0.5", "0.9, 0.3"})
    void theIntervalOfSeveralPeopleCoversWhatItSays(double right, double prevalence) {
        java.util.Random random = new java.util.Random(14);
        double q = prevalence * right + (1 - prevalence) * (1 - right);
        double agree = right * right + (1 - right) * (1 - right);
        double chance = q * q + (1 - q) * (1 - q);
        double truth = (agree - chance) / (1 - chance);
        int covered = 0;
        int told = 0;
        for (int r = 0; r < 1000; r++) {
            int[][] counts = new int[14][2];
            for (int[] row : counts) {
                boolean is = random.nextDouble() < prevalence;
                for (int person = 0; person < 6; person++) {
                    boolean says = random.nextDouble() < right == is;
                    row[says ? 1 : 0]++;
                }
            }
            Kappa k = Kappa.fleiss(counts);
            if (!Double.isNaN(k.low())) {
                told++;
                covered += k.low() <= truth && truth <= k.high() ? 1 : 0;
            }
        }
        assertThat((double) covered / told).isBetween(0.90, 0.995);
    }
}
