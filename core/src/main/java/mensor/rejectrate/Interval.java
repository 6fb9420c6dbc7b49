package mensor.rejectrate;

import org.apache.commons.statistics.distribution.BetaDistribution;
import org.apache.commons.statistics.distribution.GammaDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * What a rate can be, given how much was inspected: 95 in 100 such intervals hold the true one. A few welds tell little, and
 * the width says so.
 */
public record Interval(double low, double high) {
    private static final double CONFIDENCE = 0.95;

    /** The share k of n, by Wilson's score interval (Wilson 1927; Newcombe 1998). */
    public static Interval wilson(long k, long n) {
        checkShare(k, n);
        double z = NormalDistribution.of(0, 1).inverseCumulativeProbability((1 + CONFIDENCE) / 2);
        double p = (double) k / n;
        double middle = p + z * z / (2 * n);
        double half = z * Math.sqrt(p * (1 - p) / n + z * z / (4.0 * n * n));
        double whole = 1 + z * z / n;
        return new Interval(k == 0 ? 0 : (middle - half) / whole, k == n ? 1 : (middle + half) / whole);
    }

    /** The share k of n, exact (Clopper and Pearson 1934): never narrower than it says. */
    public static Interval clopperPearson(long k, long n) {
        checkShare(k, n);
        double tail = (1 - CONFIDENCE) / 2;
        double low = k == 0 ? 0 : BetaDistribution.of(k, n - k + 1.0).inverseCumulativeProbability(tail);
        double high = k == n ? 1 : BetaDistribution.of(k + 1.0, n - k).inverseCumulativeProbability(1 - tail);
        return new Interval(low, high);
    }

    /**
     * Events per unit of what was inspected, exact for a Poisson count (Garwood 1936).
     *
     * @param exposure how much was inspected, over zero: hundreds of inches, or welds
     */
    public static Interval poisson(long events, double exposure) {
        if (events < 0 || !(exposure > 0)) {
            throw new IllegalArgumentException(events + " events in " + exposure);
        }
        double tail = (1 - CONFIDENCE) / 2;
        double low = events == 0 ? 0 : GammaDistribution.of(events, 1).inverseCumulativeProbability(tail);
        double high = GammaDistribution.of(events + 1.0, 1).inverseCumulativeProbability(1 - tail);
        return new Interval(low / exposure, high / exposure);
    }

    private static void checkShare(long k, long n) {
        if (n <= 0 || k < 0 || k > n) {
            throw new IllegalArgumentException(k + " of " + n);
        }
    }
}
