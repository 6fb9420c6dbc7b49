package mensor.rejectrate;

import java.util.List;
import java.util.Optional;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * How what was true stands to what was estimated: the geometric mean of true over estimated, with Student's interval on the logarithms.
 *
 * @param interval absent of fewer than two
 */
public record EstimateRatio(int pairs, double estimated, double actual, double ratio, Optional<Interval> interval) {
    private static final double CONFIDENCE = 0.95;

    /** Both over zero. */
    public record Pair(double estimated, double actual) {}

    /** @throws IllegalArgumentException where there is none, or one is not over zero */
    public static EstimateRatio of(List<Pair> pairs) {
        if (pairs.isEmpty() || pairs.stream().anyMatch(p -> !(p.estimated() > 0) || !(p.actual() > 0))) {
            throw new IllegalArgumentException("at least one pair, both over zero, is required");
        }
        double[] logs = pairs.stream()
                .mapToDouble(p -> Math.log(p.actual() / p.estimated()))
                .toArray();
        int n = logs.length;
        double sum = 0;
        for (double x : logs) {
            sum += x;
        }
        double mean = sum / n;
        double squares = 0;
        for (double x : logs) {
            squares += (x - mean) * (x - mean);
        }
        Optional<Interval> interval = Optional.empty();
        if (n > 1) {
            double half = TDistribution.of(n - 1.0).inverseCumulativeProbability((1 + CONFIDENCE) / 2)
                    * Math.sqrt(squares / (n - 1) / n);
            interval = Optional.of(new Interval(Math.exp(mean - half), Math.exp(mean + half)));
        }
        return new EstimateRatio(
                n,
                pairs.stream().mapToDouble(Pair::estimated).sum(),
                pairs.stream().mapToDouble(Pair::actual).sum(),
                Math.exp(mean),
                interval);
    }
}
