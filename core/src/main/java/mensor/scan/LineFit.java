package mensor.scan;

/** The straight line that lies nearest to points: least squares of the perpendicular distance, in closed form. */
final class LineFit {
    private LineFit() {}

    /** @param from the first point, {@code to} behind the last; {@code used} says which belong; walked toward larger y */
    static Line of(double[] y, double[] z, int from, int to, boolean[] used) {
        int n = 0;
        double my = 0;
        double mz = 0;
        for (int i = from; i < to; i++) {
            if (used[i]) {
                n++;
                my += y[i];
                mz += z[i];
            }
        }
        my /= n;
        mz /= n;
        double yy = 0;
        double zz = 0;
        double yz = 0;
        double first = Double.NaN;
        double last = Double.NaN;
        for (int i = from; i < to; i++) {
            if (used[i]) {
                double a = y[i] - my;
                double b = z[i] - mz;
                yy += a * a;
                zz += b * b;
                yz += a * b;
            }
        }
        double angle = 0.5 * Math.atan2(2 * yz, yy - zz);
        double dy = Math.cos(angle);
        double dz = Math.sin(angle);
        if (dy < 0) {
            dy = -dy;
            dz = -dz;
        }
        double sum = 0;
        for (int i = from; i < to; i++) {
            if (used[i]) {
                double t = (y[i] - my) * dy + (z[i] - mz) * dz;
                first = Double.isNaN(first) ? t : Math.min(first, t);
                last = Double.isNaN(last) ? t : Math.max(last, t);
                double off = (z[i] - mz) * dy - (y[i] - my) * dz;
                sum += off * off;
            }
        }
        return new Line(my, mz, dy, dz, Math.sqrt(sum / Math.max(1, n - 2)), n, last - first);
    }
}
