package mensor.scan;

import java.util.Arrays;

/**
 * The surface in a frame of its own, x across and h out of the metal, with wild points taken out and a parabola laid over each place: what is
 * read of it is read from the parabola, not from a point.
 */
final class Face {
    private static final int FEW = 24;
    private static final int LEAST_POINTS = 5;
    private static final int MANY = 7;
    /** So many neighbors lie within this, in mm, where the points lie close. */
    private static final double NEAR = 0.9;

    private static final int WIDEST = 4;
    /** A notch is told from wild points by so many neighbors, no further apart than this in all, mm. */
    private static final int NARROW = 4;

    private static final double NARROWEST = 0.55;
    private static final double BETTER = 2.5;

    private final double[] x;
    private final double[] h;
    private final int n;
    private final double noise;
    /** All points, those called wild among them: what is narrow is no wider than they are. */
    private final double[] allX;

    private final double[] allH;

    private Face(double[] x, double[] h, int n, double noise, double[] allX, double[] allH) {
        this.noise = noise;
        this.allX = allX;
        this.allH = allH;
        this.x = x;
        this.h = h;
        this.n = n;
    }

    /** Points in any order; those that stand off the middle of their neighbors are taken out. */
    static Face of(double[] x, double[] h, int count, double noise) {
        int[] order = Order.of(x, count);
        double[] sx = new double[count];
        double[] sh = new double[count];
        for (int i = 0; i < count; i++) {
            sx[i] = x[order[i]];
            sh[i] = h[order[i]];
        }
        double[] ox = new double[count];
        double[] oh = new double[count];
        int n = 0;
        // the middle of so many neighbors: wider than a notch they would call its bottom wild
        double[] near = new double[MANY];
        for (int i = 0; i < count; i++) {
            int many = spread(sx, count, i) <= NEAR ? MANY : 3;
            int from = Math.max(0, Math.min(count - many, i - many / 2));
            int k = 0;
            for (int j = from; j < Math.min(count, from + many); j++) {
                int place = k++; // put in order as they come: of seven, twice as fast as a sort
                while (place > 0 && near[place - 1] > sh[j]) {
                    near[place] = near[--place];
                }
                near[place] = sh[j];
            }
            double middle = near[k / 2];
            double steep = k > 1 ? (near[k - 1] - near[0]) / 4 : 0; // a slope is no outlier
            if (Math.abs(sh[i] - middle) <= Math.max(6 * noise, Math.min(steep, 0.5)) + 0.02) {
                ox[n] = sx[i];
                oh[n++] = sh[i];
            }
        }
        return new Face(ox, oh, n, noise, sx, sh);
    }

    /** From the first to the last of a point's neighbors. */
    private static double spread(double[] x, int n, int i) {
        int from = Math.max(0, Math.min(n - MANY, i - MANY / 2));
        return x[Math.min(n, from + MANY) - 1] - x[from];
    }

    /** A width to smooth by at a place: where the points lie far apart it is wider, so that enough lie in it. */
    double width(double place, double mm) {
        if (n < LEAST_POINTS) {
            return mm;
        }
        int i = Arrays.binarySearch(x, 0, n, place);
        i = i < 0 ? -i - 1 : i;
        int from = Math.max(0, Math.min(n - LEAST_POINTS, i - LEAST_POINTS / 2));
        double reach = Math.max(place - x[from], x[from + LEAST_POINTS - 1] - place);
        return Math.max(mm, Math.min(2 * reach + 1e-9, WIDEST * mm));
    }

    /** The parabola over the points within half a width of a place; null where too few lie there. */
    Curve around(double place, double width) {
        return between(place - width / 2, place + width / 2, place);
    }

    Curve between(double from, double to, double x0) {
        int a = Arrays.binarySearch(x, 0, n, from);
        a = a < 0 ? -a - 1 : a;
        int b = Arrays.binarySearch(x, 0, n, to);
        b = b < 0 ? -b - 1 : b;
        int count = b - a;
        if (count < LEAST_POINTS) {
            return null;
        }
        double[] px = Arrays.copyOfRange(x, a, b);
        double[] ph = Arrays.copyOfRange(h, a, b);
        Curve c = Curve.of(px, ph, count, x0);
        if (c == null) {
            return null;
        }
        return count > LEAST_POINTS + 1 && count <= FEW && c.noise() > 2.5 * noise
                ? withoutOne(c, px, ph, count, x0)
                : withoutWild(c, px, ph, count, x0);
    }

    /** A point far off the parabola of its neighbors pulled it: it is laid anew without that one. */
    private Curve withoutWild(Curve c, double[] px, double[] ph, int count, double x0) {
        double near = Math.max(3.5 * noise, 2 * c.noise());
        int kept = 0;
        for (int i = 0; i < count; i++) {
            if (Math.abs(ph[i] - c.at(px[i])) <= near) {
                px[kept] = px[i];
                ph[kept++] = ph[i];
            }
        }
        if (kept == count || kept < LEAST_POINTS) {
            return c;
        }
        Curve anew = Curve.of(px, ph, kept, x0);
        return anew == null ? c : anew;
    }

    /**
     * Of few points one that is wild bends the parabola toward itself and hides: each is left out in turn. Where that makes the rest lie far better,
     * it was wild; at a real corner it does not.
     */
    private Curve withoutOne(Curve c, double[] px, double[] ph, int count, double x0) {
        Curve best = c;
        double[] otherX = new double[count - 1];
        double[] otherH = new double[count - 1];
        for (int out = 0; out < count; out++) {
            int k = 0;
            for (int i = 0; i < count; i++) {
                if (i != out) {
                    otherX[k] = px[i];
                    otherH[k++] = ph[i];
                }
            }
            Curve rest = Curve.of(otherX, otherH, count - 1, x0);
            if (rest != null && rest.noise() < best.noise()) {
                best = rest;
            }
        }
        return best.noise() < c.noise() / BETTER ? best : c;
    }

    /** Upside down: what lies under is over. */
    Face mirrored() {
        double[] other = new double[n];
        for (int i = 0; i < n; i++) {
            other[i] = -h[i];
        }
        double[] otherAll = new double[allH.length];
        for (int i = 0; i < otherAll.length; i++) {
            otherAll[i] = -allH[i];
        }
        return new Face(x, other, n, noise, allX, otherAll);
    }

    private int firstFrom(double place) {
        int i = Arrays.binarySearch(allX, place);
        return i < 0 ? -i - 1 : i;
    }

    /** The widest stretch between two places without any return, its ends included. */
    double widestGap(double from, double to) {
        double widest = 0;
        double at = from;
        for (int i = firstFrom(from); i < allX.length && allX[i] <= to; i++) {
            widest = Math.max(widest, allX[i] - at);
            at = allX[i];
        }
        return Math.max(widest, to - at);
    }

    /**
     * Whether the surface goes down into a stretch without returns: the wall of a notch that hides its bottom.
     *
     * @param gap from so wide a stretch on
     * @param deep from so far below on
     */
    boolean dipsIntoGap(double from, double to, double gap, double deep) {
        for (int i = Math.max(2, firstFrom(from)); i + 1 < allX.length && allX[i] <= to; i++) {
            boolean before = allH[i - 1] < -deep && allH[i - 2] < -deep / 2;
            boolean behind = allH[i] < -deep && allH[i + 1] < -deep / 2;
            if (allX[i] - allX[i - 1] > gap && (before || behind)) {
                return true;
            }
        }
        return false;
    }

    /** How far apart the points lie between two places, in the middle. */
    double spacing(double from, double to) {
        int a = firstFrom(from);
        int b = firstFrom(to);
        if (b - a < 2) {
            return to - from;
        }
        double[] steps = new double[b - a - 1];
        for (int i = a + 1; i < b; i++) {
            steps[i - a - 1] = allX[i] - allX[i - 1];
        }
        Arrays.sort(steps);
        return steps[steps.length / 2];
    }

    /**
     * How deep a notch goes that is too narrow for a parabola: where three of four neighbors lie low together, which wild
     * points do not. Read from the points themselves, it is a little less than the notch.
     */
    double narrowNotch(double from, double to) {
        double deepest = 0;
        double[] four = new double[NARROW];
        for (int i = firstFrom(from); i + NARROW <= allX.length && allX[i + NARROW - 1] <= to; i++) {
            if (allX[i + NARROW - 1] - allX[i] > NARROWEST) {
                continue;
            }
            System.arraycopy(allH, i, four, 0, NARROW);
            Arrays.sort(four);
            if (four[2] < 0 && -four[2] > deepest / 2) {
                deepest = Math.max(deepest, Math.min(-four[1], -2 * four[2]));
            }
        }
        return deepest;
    }

    double first() {
        return n == 0 ? Double.NaN : x[0];
    }

    double last() {
        return n == 0 ? Double.NaN : x[n - 1];
    }
}
