package mensor.rejectrate;

import java.util.ArrayList;
import java.util.List;

/**
 * Counts over time against what chance alone gives: a u-chart, three standard deviations to each side of the mean rate of a Poisson count.
 *
 * @param mean counts a unit of length, over all samples
 */
public record CountChart(double mean, List<Point> points) {
    private static final int SIGMAS = 3;
    /** So many points in a row on one side of the mean are no chance (Western Electric, from memory). */
    private static final int RUN = 8;

    /** @param length how much was inspected, over zero */
    public record Sample(int count, double length) {}

    /**
     * @param rate counts a unit of length
     * @param out beyond its limits
     * @param run one of at least eight in a row on one side
     */
    public record Point(double rate, double low, double high, boolean out, boolean run) {}

    /** @throws IllegalArgumentException where there is no sample, or one of no length */
    public static CountChart of(List<Sample> samples) {
        double counts = 0;
        double length = 0;
        for (Sample s : samples) {
            if (!(s.length() > 0) || s.count() < 0) {
                throw new IllegalArgumentException("a sample of a length over zero is required, got " + s);
            }
            counts += s.count();
            length += s.length();
        }
        if (samples.isEmpty()) {
            throw new IllegalArgumentException("at least one sample is required");
        }
        double mean = counts / length;
        int[] runs = runs(samples, mean);
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < samples.size(); i++) {
            Sample s = samples.get(i);
            double rate = s.count() / s.length();
            double reach = SIGMAS * Math.sqrt(mean / s.length());
            double low = Math.max(0, mean - reach);
            points.add(new Point(rate, low, mean + reach, rate < low || rate > mean + reach, runs[i] >= RUN));
        }
        return new CountChart(mean, List.copyOf(points));
    }

    /** Of each sample, how long the run on one side of the mean is that it is part of. */
    private static int[] runs(List<Sample> samples, double mean) {
        int[] runs = new int[samples.size()];
        int from = 0;
        for (int i = 0; i <= samples.size(); i++) {
            if (i == samples.size() || side(samples.get(i), mean) != side(samples.get(from), mean)) {
                for (int k = from; k < i; k++) {
                    runs[k] = side(samples.get(from), mean) == 0 ? 1 : i - from;
                }
                from = i;
            }
        }
        return runs;
    }

    private static int side(Sample s, double mean) {
        return (int) Math.signum(s.count() - mean * s.length());
    }
}
