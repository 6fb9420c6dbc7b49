package mensor.server.scan;

import java.util.Arrays;
import java.util.List;
import mensor.scan.ScanSection;
import mensor.scan.ScanSection.ScanPoint;

/** One profile as a row of the drawn surface: evenly along its run, without wild points, each point with its height over the members. */
final class SurfaceRow {
    private static final int MIDDLE_OF = 7;

    private SurfaceRow() {}

    /** @return the place, then x, y and the height of each point */
    static float[] of(ScanSection section, int points) {
        List<ScanPoint> all = section.points();
        int n = all.size();
        float[] row = new float[1 + 3 * points];
        row[0] = (float) section.s();
        for (int i = 0; i < points; i++) {
            int at = (int) ((long) i * (n - 1) / (points - 1));
            ScanPoint p = calmed(all, at);
            row[1 + 3 * i] = (float) p.x();
            row[2 + 3 * i] = (float) p.y();
            row[3 + 3 * i] = (float) height(section, p);
        }
        return row;
    }

    /** The middle of the neighbors: one wild point draws no spike. */
    private static ScanPoint calmed(List<ScanPoint> all, int at) {
        int from = Math.max(0, Math.min(all.size() - MIDDLE_OF, at - MIDDLE_OF / 2));
        int to = Math.min(all.size(), from + MIDDLE_OF);
        return new ScanPoint(
                middle(all.subList(from, to).stream().mapToDouble(ScanPoint::x).toArray()),
                middle(all.subList(from, to).stream().mapToDouble(ScanPoint::y).toArray()));
    }

    private static double middle(double[] values) {
        Arrays.sort(values);
        return values[values.length / 2];
    }

    /** Over the nearer member's line; under it less than zero. */
    private static double height(ScanSection section, ScanPoint p) {
        double a = off(section.lines().get(0), p, true);
        double b = off(section.lines().get(1), p, false);
        return Math.abs(a) < Math.abs(b) ? a : b;
    }

    private static double off(List<ScanPoint> line, ScanPoint p, boolean left) {
        double dx = line.get(1).x() - line.get(0).x();
        double dy = line.get(1).y() - line.get(0).y();
        double length = Math.hypot(dx, dy);
        double off = ((p.y() - line.get(0).y()) * dx - (p.x() - line.get(0).x()) * dy) / length;
        // of a fillet the line of A runs up from the root, and the air is to its right
        return left
                        && Math.abs(dy) > Math.abs(dx) * 0.5
                        && line.get(0).x() == 0
                        && line.get(0).y() == 0
                ? -off
                : off;
    }
}
