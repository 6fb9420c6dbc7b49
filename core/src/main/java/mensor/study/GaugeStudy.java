package mensor.study;

import java.util.Arrays;
import java.util.Optional;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.FDistribution;

/**
 * A gauge study, parts by people by repeats, crossed: how much of the spread is the gauge's own. Standard deviations.
 *
 * @param ev repeatability: one person with the gauge on one part again
 * @param av reproducibility: from person to person, the interaction with the parts in it where it is kept
 * @param pv from part to part
 * @param interaction the probability of an interaction as large by chance; absent where there are no repeats
 * @param pooled the interaction was no more than chance and is part of the repeatability
 * @param bounds between which gauge and people together lie with 95 % confidence (Satterthwaite); absent by ranges
 */
public record GaugeStudy(
        double ev, double av, double pv, Optional<Double> interaction, boolean pooled, Optional<Bounds> bounds) {
    /** From least to most. */
    public record Bounds(double low, double high) {}

    /** An interaction that chance gives this often is none (AIAG MSA). */
    private static final double POOLED_FROM = 0.25;

    private static final double CATEGORIES = 1.41;
    private static final double GOOD = 10;
    private static final double CONDITIONAL = 30;

    /** By the number of repeats, from two: a mean range times this is a standard deviation (AIAG MSA, K1). */
    private static final double[] OF_REPEATS = {.8862, .5908, .4857, .4299, .3946};

    /** By the number of people or parts, from two (AIAG MSA, K2 and K3). */
    private static final double[] OF_MEANS = {.7071, .5231, .4467, .4030, .3742, .3534, .3375, .3249, .3146};

    /**
     * By analysis of variance.
     *
     * @param readings by person, then repeat, then part; all there
     */
    public static GaugeStudy anova(double[][][] readings) {
        return anova(readings, null);
    }

    /** By analysis of variance with the interaction kept, or pooled, whatever chance says of it. */
    public static GaugeStudy anova(double[][][] readings, boolean pooled) {
        return anova(readings, Boolean.valueOf(pooled));
    }

    /** @param pool absent where chance decides */
    private static GaugeStudy anova(double[][][] readings, Boolean pool) {
        check(readings);
        int people = readings.length;
        int repeats = readings[0].length;
        int parts = readings[0][0].length;
        double[] ofPerson = new double[people];
        double[] ofPart = new double[parts];
        double[][] ofCell = new double[people][parts];
        double all = 0;
        for (int a = 0; a < people; a++) {
            for (int r = 0; r < repeats; r++) {
                for (int p = 0; p < parts; p++) {
                    double x = readings[a][r][p];
                    ofPerson[a] += x / (repeats * parts);
                    ofPart[p] += x / (people * repeats);
                    ofCell[a][p] += x / repeats;
                    all += x / ((double) people * repeats * parts);
                }
            }
        }
        double ssPerson = 0;
        double ssPart = 0;
        double ssCell = 0;
        double ssError = 0;
        for (int a = 0; a < people; a++) {
            ssPerson += parts * repeats * square(ofPerson[a] - all);
            for (int p = 0; p < parts; p++) {
                ssCell += repeats * square(ofCell[a][p] - ofPerson[a] - ofPart[p] + all);
                for (int r = 0; r < repeats; r++) {
                    ssError += square(readings[a][r][p] - ofCell[a][p]);
                }
            }
        }
        for (double m : ofPart) {
            ssPart += people * repeats * square(m - all);
        }
        double dfCell = (people - 1.0) * (parts - 1);
        double dfError = people * parts * (repeats - 1.0);
        double msPerson = ssPerson / (people - 1);
        double msPart = ssPart / (parts - 1);
        double msCell = ssCell / dfCell;
        double msError = ssError / dfError;
        double chance = msError == 0
                ? (msCell == 0 ? 1 : 0)
                : FDistribution.of(dfCell, dfError).survivalProbability(msCell / msError);
        boolean pooled = pool == null ? chance > POOLED_FROM : pool;
        if (pooled) {
            msError = (ssCell + ssError) / (dfCell + dfError);
            dfError += dfCell;
            msCell = msError; // what people are held against
        }
        double ofPeople = Math.max(0, (msPerson - msCell) / (parts * repeats));
        double crossed = pooled ? 0 : Math.max(0, (msCell - msError) / repeats);
        double ofParts = Math.max(0, (msPart - msCell) / (people * repeats));
        double grr = msError + ofPeople + crossed;
        // each mean square's share of the variance, with its degrees of freedom
        double shareOfPerson = ofPeople > 0 ? 1.0 / (parts * repeats) : 0;
        double shareOfCell = (crossed > 0 ? 1.0 / repeats : 0) - (pooled ? 0 : shareOfPerson);
        double[][] terms = {
            {msError * (1 - (crossed > 0 ? 1.0 / repeats : 0) - (pooled ? shareOfPerson : 0)), dfError},
            {msCell * shareOfCell, dfCell},
            {msPerson * shareOfPerson, people - 1}
        };
        return new GaugeStudy(
                Math.sqrt(msError),
                Math.sqrt(ofPeople + crossed),
                Math.sqrt(ofParts),
                Optional.of(chance),
                pooled,
                grr == 0 ? Optional.empty() : Optional.of(bounds(grr, terms)));
    }

    private static Bounds bounds(double variance, double[][] terms) {
        double sum = Arrays.stream(terms).mapToDouble(t -> t[0] * t[0] / t[1]).sum();
        double df = variance * variance / sum;
        ChiSquaredDistribution chi = ChiSquaredDistribution.of(df);
        return new Bounds(
                Math.sqrt(df * variance / chi.inverseCumulativeProbability(0.975)),
                Math.sqrt(df * variance / chi.inverseCumulativeProbability(0.025)));
    }

    private static void check(double[][][] readings) {
        if (readings.length < 2 || readings[0].length < 2 || readings[0][0].length < 2) {
            throw new IllegalArgumentException("at least two people, two repeats and two parts are required");
        }
        for (double[][] person : readings) {
            if (person.length != readings[0].length) {
                throw new IllegalArgumentException("every person reads every part as often");
            }
            for (double[] repeat : person) {
                if (repeat.length != readings[0][0].length) {
                    throw new IllegalArgumentException("every person reads every part as often");
                }
            }
        }
    }

    /**
     * By averages and ranges, as it is done on paper: up to six repeats, ten people, ten parts.
     *
     * @param readings by person, then repeat, then part; all there
     * @return empty where there are more than the table of the method has
     */
    public static Optional<GaugeStudy> ranges(double[][][] readings) {
        check(readings);
        int people = readings.length;
        int repeats = readings[0].length;
        int parts = readings[0][0].length;
        if (repeats > OF_REPEATS.length + 1 || people > OF_MEANS.length + 1 || parts > OF_MEANS.length + 1) {
            return Optional.empty();
        }
        double range = 0;
        double[] ofPerson = new double[people];
        double[] ofPart = new double[parts];
        for (int a = 0; a < people; a++) {
            for (int p = 0; p < parts; p++) {
                double[] one = new double[repeats];
                for (int r = 0; r < repeats; r++) {
                    one[r] = readings[a][r][p];
                    ofPerson[a] += one[r] / (repeats * parts);
                    ofPart[p] += one[r] / (repeats * people);
                }
                range += rangeOf(one) / (people * parts);
            }
        }
        double ev = range * OF_REPEATS[repeats - 2];
        double between = rangeOf(ofPerson) * OF_MEANS[people - 2];
        double av = Math.sqrt(Math.max(0, between * between - ev * ev / (parts * repeats)));
        double pv = rangeOf(ofPart) * OF_MEANS[parts - 2];
        return Optional.of(new GaugeStudy(ev, av, pv, Optional.empty(), true, Optional.empty()));
    }

    private static double rangeOf(double[] values) {
        return Arrays.stream(values).max().orElseThrow()
                - Arrays.stream(values).min().orElseThrow();
    }

    private static double square(double x) {
        return x * x;
    }

    /** Of gauge and people together: the standard uncertainty that a reading has by this study. */
    public double grr() {
        return Math.hypot(ev, av);
    }

    public double total() {
        return Math.hypot(grr(), pv);
    }

    /** Of the total spread, percent. */
    public double percent() {
        return total() == 0 ? 0 : 100 * grr() / total();
    }

    /** Of a tolerance that wide, percent: six standard deviations against it. */
    public double percentOf(double tolerance) {
        return 600 * grr() / tolerance;
    }

    /** How many groups of parts the gauge can tell apart. */
    public int categories() {
        return grr() == 0 ? Integer.MAX_VALUE : (int) (CATEGORIES * pv / grr());
    }

    /** Bands of the AIAG. */
    public String words() {
        return percent() < GOOD ? "good" : percent() <= CONDITIONAL ? "conditional" : "not acceptable";
    }
}
