package mensor.scan;

import java.util.Arrays;
import java.util.Optional;

/**
 * What a profile shows of a member: the line of its outer end as far as the surface follows it; and, beside a fillet where that line does not reach the weld,
 * an arc, where neighboring profiles say so, as on a pipe; or the level next to the weld, where a step of mill scale parts it from the rest.
 */
final class MemberView {
    private static final double WINDOW = 0.6;
    private static final double STEP = 0.2;
    /** Steeper than this over more than a millimeter the surface climbs into the weld: a step of scale, a pipe or a grain of spatter does not. */
    private static final double CLIMB = Math.tan(Math.toRadians(15));

    private static final double CLIMB_OVER = 1.2;
    /** An undercut lies between the surface that is looked for and the weld, mm. */
    private static final double NOTCH = 2.7;

    private static final double LEAST_LENGTH = 3;
    private static final double FARTHEST = 12;
    /** What is left of a line must be this many times what is left with a step, and the step so high, mm. */
    private static final double STEP_BETTER = 3;

    private static final double LEAST_STEP = 0.04;
    /** The least undercut that a code counts, 0.01 in: a deeper step is not taken for mill scale. */
    private static final double HIGHEST_STEP = 0.25;

    /** Spatter stands this far over the surface, mm. */
    private static final double GRAIN = 0.12;
    /** Levels at each side of a step, in windows; next to the weld one is enough where it stands over the rest. */
    private static final int LEAST_LEVEL = 2;

    private final double[] along;
    private final double[] off;
    private final Line coarse;
    private final Line outer;
    private final boolean left;

    private MemberView(double[] along, double[] off, Line coarse, Line outer, boolean left) {
        this.along = along;
        this.off = off;
        this.coarse = coarse;
        this.outer = outer;
        this.left = left;
    }

    /** @param left the profile's left side, which is member A's; else its right */
    static MemberView of(Profile p, boolean left) {
        int n = p.points();
        double[] y = new double[n];
        double[] z = new double[n];
        for (int i = 0; i < n; i++) { // the outer end first, walked toward larger y
            int k = left ? i : n - 1 - i;
            y[i] = left ? p.y()[k] : -p.y()[k];
            z[i] = p.z()[k];
        }
        Line coarse = MemberLine.begun(y, z).orElse(null);
        if (coarse == null) {
            return new MemberView(new double[0], new double[0], null, null, left);
        }
        double[] unsorted = new double[n];
        for (int i = 0; i < n; i++) {
            unsorted[i] = coarse.along(y[i], z[i]);
        }
        int[] order = Order.of(unsorted, n);
        double[] along = new double[n];
        double[] off = new double[n];
        for (int k = 0; k < n; k++) {
            along[k] = unsorted[order[k]];
            off[k] = coarse.off(y[order[k]], z[order[k]]);
        }
        Line outer = MemberLine.grown(y, z, coarse).orElse(null);
        return new MemberView(along, off, coarse, outer, left);
    }

    /** The line of its outer end, as far as the surface follows it. */
    Optional<Line> outer() {
        return Optional.ofNullable(outer).map(this::back);
    }

    /**
     * The surface beside a fillet.
     *
     * @param bow how the member bends, as its neighbors say
     */
    Optional<Line> beside(MemberBow bow) {
        double climb = coarse == null ? Double.NaN : climb();
        Optional<Line> line = Double.isNaN(climb) ? Optional.ofNullable(outer) : near(climb, bow);
        return line.map(this::back);
    }

    /** How it bends, as this profile says. */
    MemberBow bow() {
        double climb = coarse == null ? Double.NaN : climb();
        return Double.isNaN(climb) ? MemberBow.NONE : windows(climb).bow();
    }

    /** Back in the profile's own axes: as in a mirror, and turned about, so that an arc bends to the same hand. */
    private Line back(Line l) {
        return left
                ? l
                : new Line(
                        -l.y(),
                        l.z(),
                        l.dy(),
                        -l.dz(),
                        l.noise(),
                        l.points(),
                        l.length(),
                        l.bow(),
                        l.bowU(),
                        l.waviness());
    }

    /** Where the surface begins to climb into the weld; NaN where it does not. */
    private double climb() {
        double wide = Math.max(WINDOW, 5 * coarse.length() / Math.max(1, coarse.points()));
        int windows = (int) ((along[along.length - 1] - along[0] - wide) / STEP);
        double[] middle = new double[Math.max(0, windows)];
        for (int i = 0; i < middle.length; i++) {
            middle[i] = middle(along[0] + i * STEP, wide);
        }
        int over = (int) Math.round(CLIMB_OVER / STEP);
        for (int i = 0; i + 2 * over < middle.length; i++) {
            boolean climbs = middle[i + over] - middle[i] > CLIMB * CLIMB_OVER
                    && middle[i + 2 * over] - middle[i + over] > CLIMB * CLIMB_OVER
                    && middle[i + 3 * over / 2] > middle[i + over];
            if (climbs) {
                return along[0] + i * STEP + wide / 2;
            }
        }
        return Double.NaN;
    }

    private double middle(double from, double wide) {
        int a = first(from);
        int b = first(from + wide);
        if (b - a < 3) {
            return Double.NaN;
        }
        double[] some = Arrays.copyOfRange(off, a, b);
        Arrays.sort(some);
        return some[some.length / 2];
    }

    private int first(double place) {
        int i = Arrays.binarySearch(along, place);
        return i < 0 ? -i - 1 : i;
    }

    private Windows windows(double climb) {
        boolean roomy = climb - NOTCH - along[0] >= LEAST_LENGTH + 1;
        double to = climb - (roomy ? NOTCH : 1);
        return new Windows(Math.max(along[0], to - FARTHEST), to);
    }

    private Optional<Line> near(double climb, MemberBow bow) {
        Windows w = windows(climb);
        boolean reaches = outer != null && end() >= climb - NOTCH - STEP;
        if (w.to - w.from < LEAST_LENGTH || w.n <= LEAST_LEVEL) {
            return reaches ? Optional.of(outer) : Optional.empty();
        }
        if (bow.isCurved()) {
            return Optional.of(w.arc(bow));
        }
        if (reaches) {
            return Optional.of(outer.withWaviness(w.waviness(outer)));
        }
        double line = w.line();
        w.stepped();
        boolean steps = w.stepped * STEP_BETTER < line && Math.abs(w.height) > LEAST_STEP;
        if (steps && Math.abs(w.height) > HIGHEST_STEP) {
            return Optional.empty(); // mill scale, or a wide undercut: it cannot be told
        }
        return Optional.of(steps ? w.level() : w.straight());
    }

    private double end() {
        Point p = outer.at(outer.length() / 2);
        return coarse.along(p.y(), p.z());
    }

    /** The middles of what lies in windows side by side, and what is fitted to them. */
    private final class Windows {
        private final double[] x;
        private final double[] h;
        private final double[] noise;
        private final double from;
        private final double to;
        private int n;
        private double a;
        private double b;
        private double stepped = Double.MAX_VALUE;
        private double stepAt;
        private double height;
        private double levelA;
        private double levelB;

        Windows(double from, double to) {
            this.from = from;
            this.to = to;
            double wide = Math.max(WINDOW, 5 * coarse.length() / Math.max(1, coarse.points()));
            int most = (int) ((to - from) / wide) + 1;
            x = new double[most];
            h = new double[most];
            noise = new double[most];
            for (double t = from; t + wide <= to + 1e-9 && n < most; t += wide) {
                double m = middle(t, wide);
                if (!Double.isNaN(m) && !isGrain(t, wide, m)) {
                    x[n] = t + wide / 2;
                    h[n] = m;
                    noise[n++] = spread(t, wide, m);
                }
            }
        }

        /** Spatter stands over what lies to both sides of it; a step goes on. */
        private boolean isGrain(double t, double wide, double m) {
            double before = middle(t - 2 * wide, wide);
            double behind = middle(t + 2 * wide, wide);
            double around = Math.max(Double.isNaN(before) ? behind : before, Double.isNaN(behind) ? before : behind);
            return m - around > GRAIN;
        }

        private double spread(double t, double wide, double m) {
            int i = first(t);
            int j = first(t + wide);
            double[] some = new double[j - i];
            for (int k = i; k < j; k++) {
                some[k - i] = Math.abs(off[k] - m);
            }
            Arrays.sort(some);
            return 1.4826 * some[some.length / 2];
        }

        /** @return what is left, as a variance */
        double line() {
            double[] f = fit(1, -1);
            a = f[0];
            b = f[1];
            return f[3];
        }

        void stepped() {
            for (int k = LEAST_LEVEL; k < n; k++) {
                double[] f = fit(3, k);
                boolean isNotch = f != null && k > n - LEAST_LEVEL && f[2] < 0; // one window alone that is sunk
                if (f != null && f[3] < stepped && !isNotch) {
                    stepped = f[3];
                    stepAt = x[k] - (x[k] - x[k - 1]) / 2;
                    levelA = f[0];
                    levelB = f[1];
                    height = f[2];
                }
            }
        }

        MemberBow bow() {
            if (to - from < LEAST_LENGTH || n <= 2 * LEAST_LEVEL) {
                return MemberBow.NONE;
            }
            double left = line();
            stepped();
            double[] f = fit(2, -1);
            return f == null ? MemberBow.NONE : new MemberBow(2 * f[2], 2 * f[4], to - from, left, stepped, f[3]);
        }

        /**
         * Least squares: a + b t, with c t² where the order is 2, with c behind window {@code k} where it is 3; t from the middle.
         *
         * @return a, b, c, the variance of what is left, the standard uncertainty of c
         */
        private double[] fit(int order, int k) {
            int terms = order == 1 ? 2 : 3;
            if (n <= terms) {
                return order == 1 ? new double[] {h[0], 0, 0, 0, 0} : null;
            }
            double mid = (from + to) / 2;
            double[][] m = new double[terms][terms + 1];
            for (int i = 0; i < n; i++) {
                double t = x[i] - mid;
                double[] g = {1, t, order == 2 ? t * t : i >= k ? 1 : 0};
                for (int r = 0; r < terms; r++) {
                    for (int c = 0; c < terms; c++) {
                        m[r][c] += g[r] * g[c];
                    }
                    m[r][terms] += g[r] * h[i];
                }
            }
            double[] f = Solve.of(m);
            if (f == null) {
                return null;
            }
            double sum = 0;
            for (int i = 0; i < n; i++) {
                double t = x[i] - mid;
                double c = terms == 2 ? 0 : f[2] * (order == 2 ? t * t : i >= k ? 1 : 0);
                double left = h[i] - f[0] - f[1] * t - c;
                sum += left * left;
            }
            double left = Math.max(sum / (n - terms), 1e-8);
            double u = 0;
            if (order == 2) { // even places over a length
                double length = x[n - 1] - x[0] + (x[n - 1] - x[0]) / (n - 1);
                u = Math.sqrt(left * 180 / n) / (length * length);
            }
            return new double[] {f[0], f[1], terms == 2 ? 0 : f[2], left, u};
        }

        private double medianNoise() {
            double[] some = Arrays.copyOf(noise, n);
            Arrays.sort(some);
            return Math.max(some[n / 2], 1e-6);
        }

        /** What the middles go up and down by beyond what a median of so many noisy points does. */
        private double waviness(double left) {
            double each = (double) (first(to) - first(from)) / n;
            double own = medianNoise() * 1.25 / Math.sqrt(Math.max(1, each));
            return Math.sqrt(Math.max(0, left - own * own));
        }

        /** Of the middle window: one on which spatter lies is no wave. */
        double waviness(Line l) {
            double[] left = new double[n];
            for (int i = 0; i < n; i++) {
                Point p = place(x[i], h[i]);
                left[i] = Math.abs(l.off(p.y(), p.z()));
            }
            Arrays.sort(left);
            double middle = 1.4826 * left[n / 2];
            return waviness(middle * middle);
        }

        private Point place(double t, double over) {
            Point p = coarse.at(t);
            return new Point(p.y() - over * coarse.dz(), p.z() + over * coarse.dy());
        }

        Line straight() {
            return laid(a, b, MemberBow.STRAIGHT, from, to);
        }

        /** Next to the weld. */
        Line level() {
            return laid(levelA + height, levelB, MemberBow.STRAIGHT, Math.max(from, stepAt), to);
        }

        /** Bent as its neighbors say, and laid where this profile says. */
        Line arc(MemberBow bow) {
            double mid = (from + to) / 2;
            double[] bent = h.clone();
            for (int i = 0; i < n; i++) {
                h[i] -= bow.bow() / 2 * (x[i] - mid) * (x[i] - mid);
            }
            double[] f = fit(1, -1);
            System.arraycopy(bent, 0, h, 0, n);
            return laid(f[0], f[1], bow, from, to);
        }

        private Line laid(double a0, double b0, MemberBow curve, double begin, double end) {
            double mid = (from + to) / 2;
            double own = (begin + end) / 2 - mid;
            double value = a0 + b0 * own + curve.bow() / 2 * own * own;
            double slope = Math.atan(b0 + curve.bow() * own);
            Point p = place(mid + own, value);
            double dy = coarse.dy() * Math.cos(slope) - coarse.dz() * Math.sin(slope);
            double dz = coarse.dz() * Math.cos(slope) + coarse.dy() * Math.sin(slope);
            double cos = Math.cos(slope);
            Line line = new Line(
                    p.y(),
                    p.z(),
                    dy,
                    dz,
                    medianNoise(),
                    first(end) - first(begin),
                    end - begin,
                    curve.bow() * cos * cos * cos,
                    curve.u(),
                    0);
            return line.withWaviness(waviness(line));
        }
    }
}
