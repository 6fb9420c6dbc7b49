package mensor.scan;

/** A parabola through points by least squares, around a middle: {@code a + b (x − x0) + c (x − x0)²}. */
record Curve(double x0, double a, double b, double c, double noise, int points) {
    /** @return null where there are too few points, or all at one place */
    static Curve of(double[] x, double[] y, int n, double x0) {
        double s0 = 0;
        double s1 = 0;
        double s2 = 0;
        double s3 = 0;
        double s4 = 0;
        double t0 = 0;
        double t1 = 0;
        double t2 = 0;
        for (int i = 0; i < n; i++) {
            double d = x[i] - x0;
            double dd = d * d;
            s0++;
            s1 += d;
            s2 += dd;
            s3 += dd * d;
            s4 += dd * dd;
            t0 += y[i];
            t1 += y[i] * d;
            t2 += y[i] * dd;
        }
        if (n < 4) {
            return null;
        }
        double det = s0 * (s2 * s4 - s3 * s3) - s1 * (s1 * s4 - s2 * s3) + s2 * (s1 * s3 - s2 * s2);
        if (Math.abs(det) < 1e-12) {
            return null;
        }
        double a = (t0 * (s2 * s4 - s3 * s3) - s1 * (t1 * s4 - t2 * s3) + s2 * (t1 * s3 - t2 * s2)) / det;
        double b = (s0 * (t1 * s4 - t2 * s3) - t0 * (s1 * s4 - s2 * s3) + s2 * (s1 * t2 - s2 * t1)) / det;
        double c = (s0 * (s2 * t2 - s3 * t1) - s1 * (s1 * t2 - s2 * t1) + t0 * (s1 * s3 - s2 * s2)) / det;
        double sum = 0;
        for (int i = 0; i < n; i++) {
            double d = x[i] - x0;
            double left = y[i] - (a + b * d + c * d * d);
            sum += left * left;
        }
        return new Curve(x0, a, b, c, Math.sqrt(sum / Math.max(1, n - 3)), n);
    }

    double at(double x) {
        double d = x - x0;
        return a + b * d + c * d * d;
    }

    double slope(double x) {
        return b + 2 * c * (x - x0);
    }

    /** Where it comes to zero, nearest to a place; NaN where it does not. */
    double zero(double near) {
        if (Math.abs(c) < 1e-9) {
            return Math.abs(b) < 1e-9 ? Double.NaN : x0 - a / b;
        }
        double disc = b * b - 4 * a * c;
        if (disc < 0) {
            return Double.NaN;
        }
        double r = Math.sqrt(disc);
        double one = x0 + (-b + r) / (2 * c);
        double two = x0 + (-b - r) / (2 * c);
        return Math.abs(one - near) < Math.abs(two - near) ? one : two;
    }
}
