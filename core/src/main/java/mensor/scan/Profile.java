package mensor.scan;

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
        double[] across = new double[y.length];
        double[] out = new double[y.length];
        int n = 0;
        for (int i = 0; i < y.length; i++) {
            if (Double.isFinite(y[i]) && Double.isFinite(z[i])) {
                across[n] = y[i];
                out[n++] = z[i];
            }
        }
        int[] order = Order.of(across, n);
        double[] sortedY = new double[n];
        double[] sortedZ = new double[n];
        for (int i = 0; i < n; i++) {
            sortedY[i] = across[order[i]];
            sortedZ[i] = out[order[i]];
        }
        return new Profile(s, sortedY, sortedZ);
    }

    /** How far apart its points lie across, in the mean. */
    public double step() {
        return y.length < 2 ? 0 : (y[y.length - 1] - y[0]) / (y.length - 1);
    }

    public int points() {
        return y.length;
    }
}
