package mensor.scan;

import java.util.Arrays;

/**
 * The face of the weld from toe to toe, smoothed: heights over a straight axis at even steps. What is computed of a face is computed from this.
 *
 * @param fromX toe A, in the frame of the axis
 * @param fromH its height
 * @param toX toe B
 * @param toH its height
 */
record FaceRun(double[] x, double[] h, double fromX, double fromH, double toX, double toH) {
    static final double STEP = 0.1;
    private static final double SMOOTH = 1.2;

    static FaceRun of(Face face, double fromX, double fromH, double toX, double toH) {
        int most = (int) ((toX - fromX) / STEP) + 2;
        double[] x = new double[Math.max(0, most)];
        double[] h = new double[x.length];
        int n = 0;
        for (double at = fromX; at <= toX; at += STEP) {
            double width = face.width(at, SMOOTH);
            Curve c = face.between(Math.max(fromX, at - width / 2), Math.min(toX, at + width / 2), at);
            if (c != null) {
                x[n] = at;
                h[n++] = c.a();
            }
        }
        return new FaceRun(Arrays.copyOf(x, n), Arrays.copyOf(h, n), fromX, fromH, toX, toH);
    }

    int size() {
        return x.length;
    }

    /** Toe to toe, straight. */
    double chord() {
        return Math.hypot(toX - fromX, toH - fromH);
    }

    /** Of a place the distance over the straight line toe–toe, square to it; under zero where it lies below. */
    double overChord(int i) {
        return ((toX - fromX) * (h[i] - fromH) - (toH - fromH) * (x[i] - fromX)) / chord();
    }

    /** Between the face and the straight line toe–toe, mm²; under zero where the face lies below. */
    double areaOverChord() {
        double area = 0;
        for (int i = 0; i < x.length; i++) {
            area += overChord(i) * chord() / (toX - fromX) * STEP;
        }
        return area;
    }
}
