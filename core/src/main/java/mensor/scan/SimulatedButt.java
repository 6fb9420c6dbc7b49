package mensor.scan;

import java.util.Arrays;
import java.util.Random;

/**
 * The simulated scanner over a made-up butt of known truth: a crown by an arc, or an underfill, an offset and a bend between the
 * members; noise as of a fillet.
 */
public final class SimulatedButt {
    public double width = 12;
    /** Over zero a crown over the line toe–toe, under zero a face that lies under it. */
    public double crown = 2;

    public double offset;
    public double bend;
    public double undercutA;
    public double noise = 0.02;
    public double spacing = 0.08;
    public double wild = 0.02;
    public double dropouts = 0.03;
    public double tilt;
    public double reach = 14;

    /** The same seed gives the same points. */
    public Profile profile(double s, long seed) {
        Random random = new Random(seed);
        int most = (int) ((width + 2 * reach) / spacing) + 100;
        double[] y = new double[most];
        double[] z = new double[most];
        int n = 0;
        double turn = Math.toRadians(tilt);
        double slope = Math.tan(Math.toRadians(bend));
        for (double x = -width / 2 - reach + random.nextDouble() * spacing; x < width / 2 + reach; x += spacing) {
            double h;
            if (x < -width / 2) {
                double t = -width / 2 - x;
                h = t < 1.6 && undercutA > 0 ? -undercutA * Math.sin(Math.PI * t / 1.6) : 0;
            } else if (x > width / 2) {
                h = offset + slope * x;
            } else {
                double end = offset + slope * width / 2;
                double part = (x + width / 2) / width;
                double over = 0;
                if (Math.abs(crown) > 1e-9) {
                    double r = (width * width / 4 + crown * crown) / (2 * Math.abs(crown));
                    over = Math.signum(crown) * (Math.sqrt(r * r - x * x) - (r - Math.abs(crown)));
                }
                h = end * part + over;
            }
            if (random.nextDouble() < dropouts) {
                continue;
            }
            double out = h
                    + random.nextGaussian() * noise
                    + (random.nextDouble() < wild ? (random.nextDouble() - 0.3) * 6 : 0);
            y[n] = x * Math.cos(turn) - out * Math.sin(turn);
            z[n++] = x * Math.sin(turn) + out * Math.cos(turn);
        }
        return Profile.of(s, Arrays.copyOf(y, n), Arrays.copyOf(z, n));
    }
}
