package mensor.study;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;

/**
 * How surely a flaw of a size is found: a logistic curve through hits and misses by greatest likelihood.
 *
 * @param intercept of the log odds
 * @param slope of the log odds by the size
 * @param seIntercept standard error
 * @param seSlope standard error
 */
public record DetectionCurve(double intercept, double slope, double seIntercept, double seSlope, List<Trial> trials) {
    private static final int MOST_STEPS = 100;
    private static final double DONE = 1e-10;
    /** Beyond this the likelihood grows without end. */
    private static final double ENDLESS = 500;

    /** A true flaw and whether it was found. */
    public record Trial(double size, boolean found) {}

    /** Why no curve can be laid, in words, or the curve. */
    public record Fit(Optional<DetectionCurve> curve, String problem) {}

    /** At least so many trials say something of a curve (common practice, no source). */
    public static final int LEAST_TRIALS = 20;

    public static Fit of(List<Trial> trials) {
        long hits = trials.stream().filter(Trial::found).count();
        if (trials.size() < LEAST_TRIALS) {
            return none("too few trials: " + trials.size() + " of at least " + LEAST_TRIALS);
        }
        if (hits == 0 || hits == trials.size()) {
            return none(
                    hits == 0
                            ? "nothing was found: larger flaws are wanted"
                            : "all were found: smaller flaws are wanted");
        }
        double greatestMiss = greatest(trials, false);
        double greatestHit = greatest(trials, true);
        double leastHit = -greatest(mirrored(trials), true);
        double leastMiss = -greatest(mirrored(trials), false);
        if (leastHit > greatestMiss || leastMiss > greatestHit) {
            return none("every size is either always found or never: flaws between are wanted");
        }
        return fitted(trials);
    }

    private static Fit none(String why) {
        return new Fit(Optional.empty(), why);
    }

    private static List<Trial> mirrored(List<Trial> trials) {
        return trials.stream().map(t -> new Trial(-t.size(), t.found())).toList();
    }

    private static double greatest(List<Trial> trials, boolean found) {
        return trials.stream()
                .filter(t -> t.found() == found)
                .mapToDouble(Trial::size)
                .max()
                .orElse(Double.NEGATIVE_INFINITY);
    }

    /** Newton's steps on the likelihood, which has one top. Sizes are scaled so that the steps are of one order. */
    private static Fit fitted(List<Trial> trials) {
        double mean = trials.stream().mapToDouble(Trial::size).average().orElseThrow();
        double spread = Math.sqrt(trials.stream()
                .mapToDouble(t -> (t.size() - mean) * (t.size() - mean))
                .average()
                .orElseThrow());
        if (spread == 0) {
            return none("all flaws were of one size");
        }
        double a = 0;
        double b = 0;
        double[] information = new double[3];
        for (int step = 0; step < MOST_STEPS; step++) {
            double gradA = 0;
            double gradB = 0;
            double aa = 0;
            double ab = 0;
            double bb = 0;
            for (Trial t : trials) {
                double x = (t.size() - mean) / spread;
                double p = 1 / (1 + Math.exp(-a - b * x));
                double left = (t.found() ? 1 : 0) - p;
                double w = p * (1 - p);
                gradA += left;
                gradB += left * x;
                aa += w;
                ab += w * x;
                bb += w * x * x;
            }
            double det = aa * bb - ab * ab;
            if (det <= 0 || Math.abs(b) > ENDLESS) {
                return none("every size is either always found or never: flaws between are wanted");
            }
            double dA = (bb * gradA - ab * gradB) / det;
            double dB = (aa * gradB - ab * gradA) / det;
            double shorter = Math.min(1, 4 / Math.max(1e-300, Math.max(Math.abs(dA), Math.abs(dB))));
            a += shorter * dA;
            b += shorter * dB;
            information = new double[] {aa, ab, bb};
            if (Math.abs(dA) < DONE && Math.abs(dB) < DONE) {
                break;
            }
        }
        double det = information[0] * information[2] - information[1] * information[1];
        double varA = information[2] / det;
        double varB = information[0] / det;
        double cov = -information[1] / det;
        double shift = mean / spread;
        return new Fit(
                Optional.of(new DetectionCurve(
                        a - b * shift,
                        b / spread,
                        Math.sqrt(varA + shift * shift * varB - 2 * shift * cov),
                        Math.sqrt(varB) / spread,
                        List.copyOf(trials))),
                "");
    }

    /** The share of flaws of a size that is found. */
    public double found(double size) {
        return 1 / (1 + Math.exp(-intercept - slope * size));
    }

    /** The size of which a share is found; absent where larger flaws are not found more often. */
    public OptionalDouble size(double share) {
        return slope <= 0
                ? OptionalDouble.empty()
                : OptionalDouble.of((Math.log(share / (1 - share)) - intercept) / slope);
    }

    /**
     * The size of which, with 95 % confidence, at least a share is found: the greatest that the likelihood still allows (profile likelihood, one-sided).
     * Absent where the trials set no upper bound.
     */
    public OptionalDouble surely(double share) {
        OptionalDouble best = size(share);
        if (best.isEmpty()) {
            return OptionalDouble.empty();
        }
        // one-sided 95 %: the 90 % point of chi squared with one degree
        double allowed =
                logLikelihood(intercept, slope) - ChiSquaredDistribution.of(1).inverseCumulativeProbability(0.90) / 2;
        double spread = trials.stream().mapToDouble(Trial::size).max().orElseThrow()
                - trials.stream().mapToDouble(Trial::size).min().orElseThrow();
        double low = best.getAsDouble();
        double high = low + spread;
        for (int i = 0; profile(high, share) > allowed; i++) {
            if (i > 20) {
                return OptionalDouble.empty();
            }
            high = best.getAsDouble() + spread * Math.pow(2, i + 1);
        }
        for (int i = 0; i < 200 && high - low > 1e-9 * Math.max(1, high); i++) {
            double middle = (low + high) / 2;
            if (profile(middle, share) > allowed) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return OptionalDouble.of((low + high) / 2);
    }

    /** The greatest likelihood of a curve that gives a size its share: over the slope alone, by thirds, since it has one top. */
    private double profile(double size, double share) {
        double logit = Math.log(share / (1 - share));
        double low = 0;
        double high = 20 * Math.max(slope, 1e-9);
        for (int i = 0; i < 200; i++) {
            double one = low + (high - low) / 3;
            double two = high - (high - low) / 3;
            if (logLikelihood(logit - one * size, one) < logLikelihood(logit - two * size, two)) {
                low = one;
            } else {
                high = two;
            }
        }
        double s = (low + high) / 2;
        return logLikelihood(logit - s * size, s);
    }

    private double logLikelihood(double a, double b) {
        double sum = 0;
        for (Trial t : trials) {
            double eta = a + b * t.size();
            sum -= Math.log1p(Math.exp(-(t.found() ? eta : -eta)));
        }
        return sum;
    }
}
