package mensor.study;

import org.apache.commons.statistics.distribution.TDistribution;

/**
 * How far a gauge reads beside the truth, and whether that grows along its range: a straight line through reading less reference over the reference
 * (AIAG MSA).
 *
 * @param mean reading less reference, in the mean
 * @param meanChance the probability of a mean as large where there is no bias
 * @param intercept of the line at a reference of zero
 * @param slope what the bias grows by for each unit of the reference
 * @param slopeChance the probability of a slope as steep where there is none
 * @param residual standard deviation about the line
 * @param r2 share of the spread that the line explains
 * @param parts the mean bias at each reference, in the order of the references given
 */
public record GaugeBias(
        double mean,
        double meanChance,
        double intercept,
        double slope,
        double slopeChance,
        double residual,
        double r2,
        double[] parts) {
    /** What is rarer by chance is taken for real. */
    private static final double RARE = 0.05;

    public GaugeBias {
        parts = parts.clone();
    }

    @Override
    public double[] parts() {
        return parts.clone();
    }

    /**
     * @param references of each part
     * @param readings by part, all readings of it
     */
    public static GaugeBias of(double[] references, double[][] readings) {
        if (references.length < 2 || references.length != readings.length) {
            throw new IllegalArgumentException("a reference for each of at least two parts is required");
        }
        int n = 0;
        double sx = 0;
        double sb = 0;
        double[] parts = new double[references.length];
        for (int p = 0; p < references.length; p++) {
            for (double reading : readings[p]) {
                double bias = reading - references[p];
                n++;
                sx += references[p];
                sb += bias;
                parts[p] += bias / readings[p].length;
            }
        }
        double mx = sx / n;
        double mb = sb / n;
        double xx = 0;
        double xb = 0;
        double bb = 0;
        for (int p = 0; p < references.length; p++) {
            for (double reading : readings[p]) {
                double x = references[p] - mx;
                double b = reading - references[p] - mb;
                xx += x * x;
                xb += x * b;
                bb += b * b;
            }
        }
        if (xx == 0) {
            throw new IllegalArgumentException("the references are all the same: no line can be laid");
        }
        double slope = xb / xx;
        double left = Math.max(0, bb - slope * xb);
        double residual = Math.sqrt(left / (n - 2));
        return new GaugeBias(
                mb,
                chance(mb, Math.sqrt(bb / (n - 1) / n), n - 1.0),
                mb - slope * mx,
                slope,
                chance(slope, residual / Math.sqrt(xx), n - 2.0),
                residual,
                bb == 0 ? 1 : 1 - left / bb,
                parts);
    }

    private static double chance(double value, double error, double df) {
        if (error == 0) {
            return value == 0 ? 1 : 0;
        }
        return 2 * TDistribution.of(df).survivalProbability(Math.abs(value) / error);
    }

    /** The bias is more than chance. */
    public boolean isBiased() {
        return meanChance < RARE;
    }

    /** The bias grows or shrinks along the range by more than chance. */
    public boolean isSloped() {
        return slopeChance < RARE;
    }
}
