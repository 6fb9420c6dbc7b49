package mensor.study;

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
    private static final int STEPS = 4000;
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
        double from = mean - REACH * sd;
        double to = mean + REACH * sd;
        double consumers = 0;
        double producers = 0;
        double h = (to - from) / STEPS;
        for (int i = 0; i < STEPS; i++) { // the middles of narrow strips
            double x = from + (i + 0.5) * h;
            double density = unit.density((x - mean) / sd) / sd * h;
            double seen = found.applyAsDouble(x);
            double accepted = 1 - seen + seen * unit.cumulativeProbability((acceptedTo - x) / u);
            if (x > limit) {
                consumers += density * accepted;
            } else {
                producers += density * (1 - accepted);
            }
        }
        return new DecisionRisk(consumers, producers, unit.survivalProbability((limit - mean) / sd));
    }

    /** Of one reading: the probability that what was read keeps the limit. */
    public static double keeps(double read, double u, double limit) {
        return NormalDistribution.of(0, 1).cumulativeProbability((limit - read) / u);
    }
}
