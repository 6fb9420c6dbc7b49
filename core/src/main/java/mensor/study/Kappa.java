package mensor.study;

import java.util.Arrays;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * Agreement beyond chance: 1 is always, 0 no more than chance.
 *
 * @param observed share of agreement
 * @param expected share that chance alone would give
 * @param se standard error; NaN where it cannot be told
 */
public record Kappa(double value, double observed, double expected, double se) {
    private static final double Z = NormalDistribution.of(0, 1).inverseCumulativeProbability(0.975);

    /** Two people, or one person twice: rows are the first's answers, columns the second's (Cohen 1960; its large-sample error). */
    public static Kappa cohen(int[][] table) {
        int k = table.length;
        double n = 0;
        double same = 0;
        double[] rows = new double[k];
        double[] columns = new double[k];
        for (int i = 0; i < k; i++) {
            if (table[i].length != k) {
                throw new IllegalArgumentException("a square table is required");
            }
            for (int j = 0; j < k; j++) {
                n += table[i][j];
                rows[i] += table[i][j];
                columns[j] += table[i][j];
            }
            same += table[i][i];
        }
        if (n == 0) {
            throw new IllegalArgumentException("nothing was answered");
        }
        double expected = 0;
        for (int i = 0; i < k; i++) {
            expected += rows[i] * columns[i] / (n * n);
        }
        double observed = same / n;
        if (expected >= 1) {
            return new Kappa(Double.NaN, observed, expected, Double.NaN); // everybody always says the same one thing
        }
        double se = Math.sqrt(observed * (1 - observed) / (n * (1 - expected) * (1 - expected)));
        return new Kappa((observed - expected) / (1 - expected), observed, expected, se);
    }

    /** Several people: of each subject how many chose each answer, as many people for each (Fleiss 1971). */
    public static Kappa fleiss(int[][] counts) {
        int subjects = counts.length;
        int raters = Arrays.stream(counts[0]).sum();
        int answers = counts[0].length;
        if (raters < 2) {
            throw new IllegalArgumentException("at least two people are required");
        }
        double[] share = new double[answers];
        double agreement = 0;
        for (int[] row : counts) {
            if (Arrays.stream(row).sum() != raters) {
                throw new IllegalArgumentException("as many people for each subject are required");
            }
            double pairs = 0;
            for (int j = 0; j < answers; j++) {
                share[j] += row[j] / ((double) subjects * raters);
                pairs += row[j] * (row[j] - 1.0);
            }
            agreement += pairs / (raters * (raters - 1.0)) / subjects;
        }
        double expected = 0;
        double cubes = 0;
        for (double p : share) {
            expected += p * p;
            cubes += p * p * p;
        }
        if (expected >= 1) {
            return new Kappa(Double.NaN, agreement, expected, Double.NaN);
        }
        double m = raters;
        double variance = 2
                / (subjects * m * (m - 1))
                * (expected - (2 * m - 3) * expected * expected + 2 * (m - 2) * cubes)
                / ((1 - expected) * (1 - expected));
        return new Kappa(
                (agreement - expected) / (1 - expected), agreement, expected, Math.sqrt(Math.max(0, variance)));
    }

    /** 95 %, by the large-sample error. */
    public double low() {
        return Math.max(-1, value - Z * se);
    }

    public double high() {
        return Math.min(1, value + Z * se);
    }

    /** In the words of Landis and Koch (1977). */
    public String words() {
        if (Double.isNaN(value)) {
            return "cannot be told: all answers are the same";
        }
        return value < 0
                ? "poor"
                : value <= 0.2
                        ? "slight"
                        : value <= 0.4
                                ? "fair"
                                : value <= 0.6 ? "moderate" : value <= 0.8 ? "substantial" : "almost perfect";
    }
}
