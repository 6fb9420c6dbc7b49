package mensor.study;

import java.util.Arrays;
import mensor.rejectrate.Interval;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * Agreement beyond chance: 1 is always, 0 no more than chance.
 *
 * @param observed share of agreement
 * @param expected share that chance alone would give
 * @param se standard error; NaN where it cannot be told
 * @param low of 95 %: of two by the interval of the share that agrees, of several by leaving out each subject in turn
 */
public record Kappa(double value, double observed, double expected, double se, double low, double high) {
    public Kappa {
        low = Math.max(-1, low);
        high = Math.min(1, high);
    }

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
            return untold(observed, expected); // everybody always says the same one thing
        }
        double se = Math.sqrt(observed * (1 - observed) / (n * (1 - expected) * (1 - expected)));
        // of few, and of all or none alike, the share's own interval (Wilson) says more than its standard error
        Interval share = Interval.wilson(Math.round(same), Math.round(n));
        return new Kappa(
                (observed - expected) / (1 - expected),
                observed,
                expected,
                se,
                (share.low() - expected) / (1 - expected),
                (share.high() - expected) / (1 - expected));
    }

    /**
     * Several people: of each subject how many chose each answer, as many people for each (Fleiss 1971). His standard error
     * is that of no agreement at all and far too small elsewhere; here each subject is left out in turn (Quenouille 1956,
     * Tukey 1958: the jackknife), which holds at any agreement.
     */
    public static Kappa fleiss(int[][] counts) {
        Kappa all = plainFleiss(counts);
        int n = counts.length;
        if (Double.isNaN(all.value()) || n < 3) {
            return all;
        }
        double[] pseudo = new double[n];
        for (int i = 0; i < n; i++) {
            Kappa less = plainFleiss(without(counts, i));
            double value = Double.isNaN(less.value()) ? all.value() : less.value();
            pseudo[i] = n * all.value() - (n - 1) * value;
        }
        double mean = Arrays.stream(pseudo).average().orElseThrow();
        double squares = Arrays.stream(pseudo).map(x -> (x - mean) * (x - mean)).sum();
        double se = Math.sqrt(squares / (n - 1) / n);
        if (!(se > 0)) { // all subjects agreed on alike: what so few can tell of a share
            Interval share = Interval.wilson(Math.round(all.observed() * n), n);
            double room = 1 - all.expected();
            return new Kappa(
                    all.value(),
                    all.observed(),
                    all.expected(),
                    0,
                    (share.low() - all.expected()) / room,
                    Math.max(all.value(), (share.high() - all.expected()) / room));
        }
        double t = TDistribution.of(n - 1.0).inverseCumulativeProbability(0.975);
        return new Kappa(all.value(), all.observed(), all.expected(), se, all.value() - t * se, all.value() + t * se);
    }

    private static int[][] without(int[][] counts, int left) {
        int[][] rest = new int[counts.length - 1][];
        for (int i = 0; i < rest.length; i++) {
            rest[i] = counts[i < left ? i : i + 1];
        }
        return rest;
    }

    private static Kappa plainFleiss(int[][] counts) {
        int subjects = counts.length;
        int raters = Arrays.stream(counts[0]).sum();
        int answers = counts[0].length;
        if (raters < 2) {
            throw new IllegalArgumentException("at least two people are required");
        }
        double[] share = new double[answers];
        int[] given = new int[answers];
        double agreement = 0;
        for (int[] row : counts) {
            if (Arrays.stream(row).sum() != raters) {
                throw new IllegalArgumentException("as many people for each subject are required");
            }
            double pairs = 0;
            for (int j = 0; j < answers; j++) {
                given[j] += row[j];
                pairs += row[j] * (row[j] - 1.0);
            }
            agreement += pairs / (raters * (raters - 1.0)) / subjects;
        }
        for (int j = 0; j < answers; j++) {
            share[j] = given[j] / ((double) subjects * raters);
        }
        double expected = 0;
        for (double p : share) {
            expected += p * p;
        }
        if (expected >= 1) {
            return untold(agreement, expected);
        }
        double value = (agreement - expected) / (1 - expected);
        return new Kappa(value, agreement, expected, Double.NaN, Double.NaN, Double.NaN);
    }

    private static Kappa untold(double observed, double expected) {
        return new Kappa(Double.NaN, observed, expected, Double.NaN, Double.NaN, Double.NaN);
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
