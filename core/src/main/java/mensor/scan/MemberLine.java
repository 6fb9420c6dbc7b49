package mensor.scan;

import java.util.Arrays;
import java.util.Optional;
import org.apache.commons.numbers.arrays.Selection;

/**
 * The surface of a member away from the weld: a straight line grown inward from the outer end of the profile for as long as the surface
 * follows it. Spatter, dropouts and glints do not pull it: it begins with the pair of points that most others agree with.
 */
final class MemberLine {
    /** Less of a member in view is no line. */
    private static final double LEAST_LENGTH = 3;

    private static final double BEGINNING = 4;
    private static final double WINDOW = 0.6;
    private static final double STEP = 0.2;
    /** The surface has left the line where the middle of a window lies this far off it, whatever the noise. */
    private static final double LEAST_OFF = 0.045;

    private static final int TRIES = 8;
    private static final int MOST_REFITS = 8;
    private static final int MIDDLE_OF = 7;
    /** So many windows in a row may lie off the line where a grain of spatter stands on it. */
    private static final int MOST_BAD = 15;

    private MemberLine() {}

    /** @param y from the outer end inward; empty where less than 3 mm follow one line */
    static Optional<Line> grown(double[] y, double[] z, Line begun) {
        boolean[] used = new boolean[y.length];
        Line line = begun;
        double stop = Double.NaN;
        for (int round = 0; round < MOST_REFITS; round++) {
            double further = followed(y, z, line);
            line = refitted(y, z, further, used, line);
            if (Math.abs(further - stop) < STEP / 2) {
                break;
            }
            stop = further;
        }
        return line.length() < LEAST_LENGTH ? Optional.empty() : Optional.of(line);
    }

    /** The line of the outer end alone. */
    static Optional<Line> begun(double[] y, double[] z) {
        int to = behind(y, z);
        return to < Profile.LEAST / 2 ? Optional.empty() : Optional.of(LineFit.of(y, z, 0, to, agreed(y, z, to)));
    }

    /** The first point that lies further in than the beginning; from middles of seven, since a single point may be wild. */
    private static int behind(double[] y, double[] z) {
        if (y.length < 2 * MIDDLE_OF) {
            return 0;
        }
        double y0 = middle(y, 0);
        double z0 = middle(z, 0);
        for (int i = 1; i + MIDDLE_OF <= y.length; i++) {
            if (Math.hypot(middle(y, i) - y0, middle(z, i) - z0) > BEGINNING) {
                return i;
            }
        }
        return y.length;
    }

    private static double middle(double[] values, int from) {
        double[] some = Arrays.copyOfRange(values, from, from + MIDDLE_OF);
        Arrays.sort(some);
        return some[MIDDLE_OF / 2];
    }

    /** Of the beginning, the points that lie by the line through the pair that most agree with. */
    private static boolean[] agreed(double[] y, double[] z, int to) {
        double best = Double.MAX_VALUE;
        double bestY = 0;
        double bestZ = 0;
        double bestDy = 1;
        double bestDz = 0;
        double[] off = new double[to];
        for (int t = 0; t < TRIES * TRIES; t++) { // a point of the first half with one of the second
            int a = (t / TRIES) * (to / 2) / TRIES;
            int b = to - 1 - (t % TRIES) * (to / 2) / TRIES;
            double length = Math.hypot(y[b] - y[a], z[b] - z[a]);
            if (length < BEGINNING / 4) {
                continue;
            }
            double dy = (y[b] - y[a]) / length;
            double dz = (z[b] - z[a]) / length;
            for (int i = 0; i < to; i++) {
                off[i] = Math.abs((z[i] - z[a]) * dy - (y[i] - y[a]) * dz);
            }
            Selection.select(off, to / 2); // the middle; the rest need not be in order
            double median = off[to / 2];
            if (median < best) {
                best = median;
                bestY = y[a];
                bestZ = z[a];
                bestDy = dy;
                bestDz = dz;
            }
        }
        boolean[] used = new boolean[y.length];
        double near = Math.max(3 * 1.4826 * best, 1e-6);
        for (int i = 0; i < to; i++) {
            used[i] = Math.abs((z[i] - bestZ) * bestDy - (y[i] - bestY) * bestDz) <= near;
        }
        return used;
    }

    /** @param stop along the line, from its point: what lies further in does not belong to it */
    private static Line refitted(double[] y, double[] z, double stop, boolean[] used, Line from) {
        Line line = from;
        double lastY = from.y() + stop * from.dy();
        double lastZ = from.z() + stop * from.dz();
        for (int k = 0; k < 3; k++) {
            double near = Math.max(3 * line.noise(), 1e-6);
            double end = line.along(lastY, lastZ);
            int n = 0;
            for (int i = 0; i < y.length; i++) {
                used[i] = line.along(y[i], z[i]) <= end && Math.abs(line.off(y[i], z[i])) <= near;
                n += used[i] ? 1 : 0;
            }
            if (n < Profile.LEAST / 2) {
                return line;
            }
            line = LineFit.of(y, z, 0, y.length, used);
        }
        return line;
    }

    /** How far the surface follows the line, along it: up to the window whose middle lies off it, and a little less. */
    private static double followed(double[] y, double[] z, Line line) {
        int n = y.length;
        double[] unsorted = new double[n];
        for (int i = 0; i < n; i++) {
            unsorted[i] = line.along(y[i], z[i]);
        }
        int[] order = Order.of(unsorted, n);
        double[] along = new double[n];
        double[] off = new double[n];
        for (int k = 0; k < n; k++) {
            along[k] = unsorted[order[k]];
            off[k] = line.off(y[order[k]], z[order[k]]);
        }
        double first = -line.length();
        double good = first;
        double[] window = new double[n];
        double wide = Math.max(WINDOW, 5 * line.length() / Math.max(1, line.points()));
        int from = 0;
        int bad = 0;
        for (double t = first; t < along[n - 1]; t += STEP) {
            while (from < n && along[from] < t) {
                from++;
            }
            int count = 0;
            for (int i = from; i < n && along[i] < t + wide; i++) {
                window[count++] = off[i];
            }
            if (count < 3) {
                continue; // a dropout
            }
            Arrays.sort(window, 0, count);
            boolean follows = Math.abs(window[count / 2]) <= Math.max(LEAST_OFF, 5 * line.noise() / Math.sqrt(count));
            if (follows) {
                good = t + wide;
                bad = 0;
            } else if (++bad > MOST_BAD) { // more than a grain of spatter
                break;
            }
        }
        return good - wide / 2; // what belongs to the bend into the toe is not the member's
    }
}
