package mensor.scan;

import java.util.Arrays;

/**
 * One profile across the weld: points of the surface, in mm, ordered across from member A's side to member B's.
 *
 * @param s where along the weld, from the datum
 * @param y across
 * @param z out of the metal, toward the scanner
 */
public record Profile(double s, double[] y, double[] z) {
    /** Fewer points than this say nothing. */
    public static final int LEAST = 20;

    public Profile {
        if (y.length != z.length) {
            throw new IllegalArgumentException("as many y as z");
        }
        y = y.clone();
        z = z.clone();
    }

    /** Of points in any order; those without a return are left out. */
    public static Profile of(double s, double[] y, double[] z) {
        Integer[] order = new Integer[y.length];
        int n = 0;
        for (int i = 0; i < y.length; i++) {
            if (Double.isFinite(y[i]) && Double.isFinite(z[i])) {
                order[n++] = i;
            }
        }
        Arrays.sort(order, 0, n, (a, b) -> Double.compare(y[a], y[b]));
        double[] across = new double[n];
        double[] out = new double[n];
        for (int i = 0; i < n; i++) {
            across[i] = y[order[i]];
            out[i] = z[order[i]];
        }
        return new Profile(s, across, out);
    }

    public int points() {
        return y.length;
    }
}
