package mensor.scan;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A second simulator, made apart from the one that ships: surfaces as a shop has them, seen by rays from above. What lies in the shadow of a steep wall
 * gives no return; points are even across the scanner, so that they lie far apart on a steep member.
 */
final class ShopWeld {
    static final double LENGTH = 60;
    private static final double FINE = 0.02;
    private static final double RAMP = 0.4;
    private static final double DIAGONAL = Math.sqrt(0.5);

    double legA = 8;
    double legB = 8;
    double bulge = 0.3;
    double tilt;
    /** Of a member's surface across the weld; over zero it bends away from the weld, under it toward; zero is flat. */
    double radiusA;

    double radiusB;
    double roughness;
    /** Beyond {@code stepAt} from the toe the surface stands higher by this. */
    double step;

    double stepAt;
    double reach = 10;
    double spacing = 0.5;
    /** The notch gives almost no light back. */
    boolean isDark;

    boolean isNotchB;
    double notchFrom;
    double notchTo;
    double notchDepth;
    double notchWidth = 1.2;
    boolean isNotchSharp;

    private final Random random;
    private final double[][] waves = new double[24][];

    ShopWeld(long seed) {
        random = new Random(seed);
        for (int i = 0; i < waves.length; i++) {
            waves[i] = new double[] {
                random.nextGaussian() / Math.sqrt(12),
                (1 + random.nextDouble() * 12) * (random.nextBoolean() ? 1 : -1),
                (random.nextDouble() - 0.5) * 8,
                random.nextDouble() * 7
            };
        }
    }

    private double texture(boolean b, double along, double s) {
        double sum = 0;
        for (double[] w : roughness == 0 ? new double[0][] : waves) {
            sum += w[0] * Math.sin(w[1] * along + w[2] * s + w[3] + (b ? 7.1 : 0));
        }
        return sum * roughness;
    }

    private double notch(boolean b, double fromToe, double s) {
        if (b != isNotchB || notchDepth == 0 || fromToe < 0 || fromToe > notchWidth || s < notchFrom || s > notchTo) {
            return 0;
        }
        double depth = notchDepth * Math.min(1, Math.min(s - notchFrom, notchTo - s) / RAMP + 0.1);
        double part = fromToe / notchWidth;
        return isNotchSharp ? depth * (part < 0.5 ? 2 * part : 2 - 2 * part) : depth * Math.sin(Math.PI * part);
    }

    /** How far the surface of a member stands over its tangent in the root. */
    private double over(boolean b, double along, double s) {
        double radius = b ? radiusB : radiusA;
        double fromToe = along - (b ? legB : legA);
        double bent = radius == 0
                ? 0
                : -Math.signum(radius) * (Math.abs(radius) - Math.sqrt(radius * radius - along * along));
        double stepped = fromToe > stepAt ? step : 0;
        return bent + stepped + texture(b, along, s) - notch(b, fromToe, s);
    }

    /** Member A leans to the left, B to the right, by 45° each. */
    private double[] place(boolean b, double along, double s) {
        double off = over(b, along, s);
        return new double[] {
            (b ? 1 : -1) * DIAGONAL * (along - off), DIAGONAL * (along + off), notch(b, along - (b ? legB : legA), s)
        };
    }

    private List<double[]> surface(double s) {
        List<double[]> points = new ArrayList<>();
        for (double t = reach; t > 0; t -= FINE) {
            points.add(place(false, legA + t, s));
        }
        double[] a = place(false, legA - 1e-9, s);
        double[] b = place(true, legB - 1e-9, s);
        double chord = Math.hypot(b[0] - a[0], b[1] - a[1]);
        double radius = bulge == 0 ? 0 : (chord * chord / 4 + bulge * bulge) / (2 * Math.abs(bulge));
        double ripple = 0.05 * Math.sin(2 * Math.PI * s / 2.3);
        for (double t = 0; t < chord; t += FINE) {
            double x = t - chord / 2;
            double arc = bulge == 0
                    ? 0
                    : Math.signum(bulge) * (Math.sqrt(radius * radius - x * x) - radius + Math.abs(bulge));
            double up = arc + ripple * (1 - 4 * x * x / (chord * chord));
            points.add(new double[] {
                a[0] + (b[0] - a[0]) * t / chord - up * (b[1] - a[1]) / chord,
                a[1] + (b[1] - a[1]) * t / chord + up * (b[0] - a[0]) / chord,
                0
            });
        }
        for (double t = 0; t < reach; t += FINE) {
            points.add(place(true, legB + t, s));
        }
        return points;
    }

    Profile profile(double s) {
        double turn = Math.toRadians(tilt);
        double[] y = new double[2000];
        double[] z = new double[2000];
        int n = 0;
        double last = -1e9;
        for (double[] p : surface(s)) {
            double across = p[0] * Math.cos(turn) - p[1] * Math.sin(turn);
            boolean isHidden = across - last < 0.08;
            last = isHidden ? last : across;
            boolean isLost = isHidden || random.nextDouble() < 0.02;
            if (!isLost && !(isDark && p[2] > 0.1 && random.nextDouble() < 0.9)) {
                double wild = random.nextDouble() < 0.01 ? (random.nextDouble() - 0.3) * 4 : 0;
                y[n] = across;
                z[n++] = p[0] * Math.sin(turn) + p[1] * Math.cos(turn) + random.nextGaussian() * 0.02 + wild;
            }
        }
        return Profile.of(s, java.util.Arrays.copyOf(y, n), java.util.Arrays.copyOf(z, n));
    }
}
