package mensor.scan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import mensor.scan.WeldScan.Quantity;
import mensor.scan.WeldScan.Reach;
import mensor.scan.WeldScan.Track;

/**
 * Two scans of one weld held against each other: before and after a repair what was taken off and put on; two scanners, or two passes of one, how
 * far they repeat. Only places that both measured count.
 *
 * @param both where both measured, mm along the weld
 * @param putOn volume of the metal that came, mm³
 * @param takenOff volume of the metal that went, mm³
 * @param u standard uncertainty of either volume, mm³
 * @param lines the difference of each quantity, second less first
 * @param changed where the section differs by more than both uncertainties allow, k = 2
 */
public record ScanComparison(
        double both, double putOn, double takenOff, double u, List<Line> lines, List<Reach> changed) {
    private static final List<Quantity> COMPARED = List.of(
            Quantity.LEG_A,
            Quantity.LEG_B,
            Quantity.SIZE,
            Quantity.THROAT,
            Quantity.CONVEXITY,
            Quantity.REINFORCEMENT,
            Quantity.OFFSET,
            Quantity.UNDERCUT_A,
            Quantity.UNDERCUT_B);
    private static final double SAME_PLACE = 1;
    private static final double COVERAGE = 2;
    private static final double LEAST_STRETCH = 1;

    /**
     * @param mean of the differences
     * @param sd standard deviation of the differences; of two passes of one scanner √2 times its repeatability
     * @param greatest difference, with its sign, and where
     * @param beyond the share of the places where the two differ by more than both uncertainties, k = 2
     */
    public record Line(
            Quantity quantity, int places, double mean, double sd, double greatest, double at, double beyond) {}

    public static ScanComparison of(Track first, Track second) {
        int[] pair = pairs(first.s(), second.s());
        List<Line> lines = new ArrayList<>();
        for (Quantity q : COMPARED) {
            if (first.values().containsKey(q) && second.values().containsKey(q)) {
                line(q, first, second, pair).ifPresent(lines::add);
            }
        }
        return volumes(first, second, pair, lines);
    }

    /** For each place of the second the nearest of the first, or −1 where none is near. */
    private static int[] pairs(double[] first, double[] second) {
        int[] pair = new int[second.length];
        for (int i = 0; i < second.length; i++) {
            int at = Arrays.binarySearch(first, second[i]);
            int after = at >= 0 ? at : -at - 1;
            int best = after >= first.length || after > 0 && second[i] - first[after - 1] < first[after] - second[i]
                    ? after - 1
                    : after;
            pair[i] = best >= 0 && best < first.length && Math.abs(first[best] - second[i]) <= SAME_PLACE ? best : -1;
        }
        return pair;
    }

    private static java.util.Optional<Line> line(Quantity q, Track first, Track second, int[] pair) {
        double[] a = first.values().get(q);
        double[] b = second.values().get(q);
        int n = 0;
        int beyond = 0;
        double sum = 0;
        double squares = 0;
        double greatest = 0;
        double at = 0;
        for (int i = 0; i < pair.length; i++) {
            if (pair[i] < 0 || Double.isNaN(a[pair[i]]) || Double.isNaN(b[i])) {
                continue;
            }
            double d = b[i] - a[pair[i]];
            n++;
            sum += d;
            squares += d * d;
            beyond += Math.abs(d)
                            > COVERAGE
                                    * Math.hypot(
                                            first.u().get(q)[pair[i]],
                                            second.u().get(q)[i])
                    ? 1
                    : 0;
            if (Math.abs(d) > Math.abs(greatest)) {
                greatest = d;
                at = second.s()[i];
            }
        }
        if (n < 2) {
            return java.util.Optional.empty();
        }
        double mean = sum / n;
        double sd = Math.sqrt(Math.max(0, (squares - n * mean * mean) / (n - 1)));
        return java.util.Optional.of(new Line(q, n, mean, sd, greatest, at, (double) beyond / n));
    }

    private static ScanComparison volumes(Track first, Track second, int[] pair, List<Line> lines) {
        double[] a = first.values().get(Quantity.AREA);
        double[] b = second.values().get(Quantity.AREA);
        double on = 0;
        double off = 0;
        double variance = 0;
        double both = 0;
        List<Reach> changed = new ArrayList<>();
        double from = Double.NaN;
        double until = Double.NaN;
        for (int i = 1; a != null && b != null && i < pair.length; i++) {
            double step = second.s()[i] - second.s()[i - 1];
            boolean known = pair[i] >= 0
                    && pair[i - 1] >= 0
                    && step <= 3 * SAME_PLACE
                    && !Double.isNaN(a[pair[i]])
                    && !Double.isNaN(b[i]);
            double d = known ? b[i] - a[pair[i]] : 0;
            double u = known
                    ? Math.hypot(
                            first.u().get(Quantity.AREA)[pair[i]], second.u().get(Quantity.AREA)[i])
                    : 0;
            if (known) {
                both += step;
                on += Math.max(0, d) * step;
                off += Math.max(0, -d) * step;
                variance += u * u * step * step;
            }
            if (known && Math.abs(d) > COVERAGE * u) {
                from = Double.isNaN(from) ? second.s()[i] : from;
                until = second.s()[i];
            } else if (!Double.isNaN(from) && second.s()[i] - until > LEAST_STRETCH) {
                keep(changed, from, until);
                from = Double.NaN;
            }
        }
        keep(changed, from, until);
        return new ScanComparison(both, on, off, Math.sqrt(variance), List.copyOf(lines), List.copyOf(changed));
    }

    private static void keep(List<Reach> changed, double from, double until) {
        if (!Double.isNaN(from) && until - from >= LEAST_STRETCH) {
            changed.add(new Reach(from, until));
        }
    }
}
