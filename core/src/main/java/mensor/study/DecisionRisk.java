package mensor.study;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * What a measured eye or gauge lets pass, by JCGM 106: true values spread as a shop's, each read with an uncertainty, accepted at or under a limit
 * that may be guarded.
 *
 * @param consumers share of all that is bad and accepted
 * @param producers share of all that is good and rejected
 * @param bad share of all that is bad
 */
public record DecisionRisk(double consumers, double producers, double bad) {
    /** Of each smooth piece, for Simpson's rule. */
    private static final int STEPS = 400;

    private static final double REACH = 8;

    /**
     * @param mean of the true values
     * @param sd of the true values
     * @param u standard uncertainty of a reading
     * @param limit the most that is good
     * @param acceptedTo the most that is accepted: the limit less a guard band
     */
    public static DecisionRisk of(double mean, double sd, double u, double limit, double acceptedTo) {
        return of(mean, sd, u, limit, acceptedTo, x -> 1);
    }

    /** @param found the share of what is that large that is seen at all: what is missed is signed as good */
    public static DecisionRisk of(
            double mean, double sd, double u, double limit, double acceptedTo, DoubleUnaryOperator found) {
        if (!(sd > 0) || !(u > 0)) {
            throw new IllegalArgumentException("the true values and the readings spread, got " + sd + " and " + u);
        }
        NormalDistribution unit = NormalDistribution.of(0, 1);
        // what is accepted jumps from good to bad at the limit, and bends where readings are decided: no piece reaches
        // across
        double[] ends = {
            mean - REACH * sd,
            acceptedTo - REACH * u,
            acceptedTo,
            acceptedTo + REACH * u,
            limit - REACH * u,
            limit,
            limit + REACH * u,
            mean + REACH * sd
        };
        Arrays.sort(ends);
        double consumers = 0;
        double producers = 0;
        for (int k = 1; k < ends.length; k++) {
            double from = Math.max(ends[k - 1], mean - REACH * sd);
            double to = Math.min(ends[k], mean + REACH * sd);
            if (to <= from) {
                continue;
            }
            boolean bad = (from + to) / 2 > limit;
            double part = simpson(from, to, x -> {
                double seen = found.applyAsDouble(x);
                double accepted = 1 - seen + seen * unit.cumulativeProbability((acceptedTo - x) / u);
                return unit.density((x - mean) / sd) / sd * (bad ? accepted : 1 - accepted);
            });
            if (bad) {
                consumers += part;
            } else {
                producers += part;
            }
        }
        return new DecisionRisk(consumers, producers, unit.survivalProbability((limit - mean) / sd));
    }

    private static double simpson(double from, double to, DoubleUnaryOperator f) {
        double h = (to - from) / STEPS;
        double sum = f.applyAsDouble(from) + f.applyAsDouble(to);
        for (int i = 1; i < STEPS; i++) {
            sum += (i % 2 == 0 ? 2 : 4) * f.applyAsDouble(from + i * h);
        }
        return sum * h / 3;
    }

    /** Of one reading: the probability that what was read keeps the limit. */
    public static double keeps(double read, double u, double limit) {
        return NormalDistribution.of(0, 1).cumulativeProbability((limit - read) / u);
    }
}
