package mensor.server.practice;

import org.jspecify.annotations.Nullable;

/**
 * What is signed wrongly with a measured gauge and, where it is asked for, a measured eye; shares of all places that are judged.
 *
 * @param said in one sentence
 * @param acceptedTo the most that is accepted: the limit less a guard band
 * @param bad share that truly is over the limit
 * @param consumers bad and signed as good, with the bounds that the study leaves
 * @param producers good and signed as bad, likewise
 * @param eye what of the eye went in
 * @param enough so many good readings say with 95 % that less than a tenth of the length is bad
 */
public record RiskView(
        String said,
        double mean,
        double sd,
        double u,
        double limit,
        double acceptedTo,
        double bad,
        double consumers,
        double consumersLow,
        double consumersHigh,
        double producers,
        double producersLow,
        double producersHigh,
        @Nullable String eye,
        int enough) {}
