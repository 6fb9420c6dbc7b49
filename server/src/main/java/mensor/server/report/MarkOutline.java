package mensor.server.report;

import static mensor.server.report.Svg.n;

import java.util.List;
import java.util.stream.DoubleStream;
import mensor.inspection.IndicationKind.Shape;
import org.jspecify.annotations.Nullable;

/**
 * The lines of an indication's shape on its lane, as the screen draws them; a test holds the two against each other.
 *
 * @param path in SVG's letters
 */
record MarkOutline(
        @Nullable String path,
        List<Circle> circles,
        @Nullable Box box) {
    /** Depth is drawn larger than length, or nothing could be seen. */
    private static final double DEPTH_SCALE = 10;

    static final double DEEPEST = 26;

    record Circle(double x, double y, double r) {}

    record Box(double x, double y, double width, double height) {}

    /** A lane as it stands on the drawing. */
    record LaneBox(String id, double top, double height) {
        boolean isBelow() {
            return id.equals("B"); // of the lower toe the edge lies below
        }

        double middle() {
            return top + height / 2;
        }

        double edge() {
            return isBelow() ? top + height : top;
        }
    }

    private static MarkOutline path(String path) {
        return new MarkOutline(path, List.of(), null);
    }

    private static MarkOutline box(LaneBox lane, double from, double to, double inset) {
        return new MarkOutline(
                null, List.of(), new Box(from, lane.top() + inset, to - from, lane.height() - 2 * inset));
    }

    static double deep(double millimetres) {
        return Math.min(DEEPEST, Math.max(4, millimetres * DEPTH_SCALE));
    }

    /** @param depth in millimetres, 0 where none was read */
    static MarkOutline of(Shape shape, double depth, LaneBox lane, double from, double to) {
        double middle = lane.middle();
        double edge = lane.edge();
        double into = lane.isBelow() ? -1 : 1;
        return switch (shape) {
            case NOTCH -> {
                String bottom = n(edge + into * deep(depth));
                double run = Math.min(6, (to - from) / 3);
                yield path("M" + n(from) + " " + n(edge) + "Q" + n(from + run / 2) + " " + bottom + " " + n(from + run)
                        + " " + bottom + "H" + n(to - run) + "Q" + n(to - run / 2) + " " + bottom + " " + n(to) + " "
                        + n(edge) + "z");
            }
            case PORES -> {
                double r = Math.min(9, Math.max(3.5, depth * 2.6));
                DoubleStream at = to - from > 4 * r
                        ? DoubleStream.of(from + r, (from + to) / 2, to - r)
                        : DoubleStream.of((from + to) / 2);
                yield new MarkOutline(
                        null,
                        at.mapToObj(x -> new Circle(x, lane.top() + 11, r)).toList(),
                        null);
            }
            case CRACK ->
                path("M" + n(from - 9) + " " + n(middle - 2) + "l4 -7 5 13 5 -12 5 11 " + n(Math.max(2, to - from))
                        + " -5");
            case CRACK_ACROSS -> {
                double step = (lane.height() - 6) / 4;
                yield path("M" + n((from + to) / 2) + " " + n(lane.top() + 3) + "l4 " + n(step) + " -8 " + n(step)
                        + " 8 " + n(step) + " -4 " + n(step));
            }
            case CRACK_STAR -> {
                double x = (from + to) / 2;
                yield path("M" + n(x - 10) + " " + n(middle) + "l6 -2 4 4 4 -4 6 2M" + n(x - 6) + " " + n(middle - 9)
                        + "l2 5 4 4 2 4 4 5M" + n(x + 6) + " " + n(middle - 9) + "l-2 5 -4 4 -2 4 -4 5");
            }
            case ROLL ->
                path("M" + n(from) + " " + n(edge) + "q0 " + n(13 * into) + " 8 " + n(13 * into) + "H" + n(to - 8)
                        + "q8 0 8 " + n(-13 * into));
            case HATCH -> box(lane, from, to, 4);
            case DOTS ->
                path("M" + n(from) + " " + n(middle - 8) + "H" + n(to) + "M" + n(from) + " " + n(middle + 8) + "H"
                        + n(to));
            case RING ->
                new MarkOutline(
                        "M" + n(from - 5) + " " + n(middle - 5) + "l10 10m0 -10l-10 10",
                        List.of(new Circle(from, middle, 10)),
                        null);
            case STAR -> path("M" + n(from - 1) + " " + n(lane.top() + 1) + "l3 9h9l-7 6 3 9-8-6-8 6 3-9-7-6h9z");
            case BOX -> box(lane, from, to, 5);
        };
    }
}
