package mensor.exchange;

import java.util.Arrays;
import mensor.scan.Profile;

/** The points of a profile while it is read. */
final class ProfilePoints {
    private static final int USUAL = 1024;

    private double[] y;
    private double[] z;
    private int n;
    private double sumS;
    private int all;

    ProfilePoints(int room) {
        y = new double[room];
        z = new double[room];
    }

    ProfilePoints() {
        this(USUAL);
    }

    /** One without a return counts for the place alone. */
    void add(double s, double across, double out) {
        sumS += s;
        all++;
        if (Double.isNaN(across) || Double.isNaN(out)) {
            return;
        }
        if (n == y.length) {
            y = Arrays.copyOf(y, 2 * n);
            z = Arrays.copyOf(z, 2 * n);
        }
        y[n] = across;
        z[n++] = out;
    }

    boolean isEmpty() {
        return all == 0;
    }

    double meanS() {
        return sumS / all;
    }

    Profile profile(double s) {
        return Profile.of(s, Arrays.copyOf(y, n), Arrays.copyOf(z, n));
    }

    void clear() {
        n = 0;
        all = 0;
        sumS = 0;
    }
}
