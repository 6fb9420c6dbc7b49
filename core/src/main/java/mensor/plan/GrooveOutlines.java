package mensor.plan;

import java.util.ArrayList;
import java.util.List;
import mensor.plan.PassPlan.Point;

/** The outlines of a groove and of the parts that its beads fill, mm from the middle of the root. */
final class GrooveOutlines {
    private final WeldMetal.Groove g;
    private final boolean bevel;
    private final double capHeight;

    GrooveOutlines(WeldMetal.Groove groove, boolean bevel, double capHeight) {
        this.g = groove;
        this.bevel = bevel;
        this.capHeight = capHeight;
    }

    /** The groove's walls at a height, left and right of the root's middle; a bevel widens on one side. */
    private double[] walls(double height) {
        double widened = g.widthAt(height) - g.opening();
        return bevel
                ? new double[] {-g.opening() / 2 - widened, g.opening() / 2}
                : new double[] {-g.widthAt(height) / 2, g.widthAt(height) / 2};
    }

    List<Point> slice(double low, double high, double from, double to) {
        double[] bottom = walls(low);
        double[] top = walls(high);
        List<Point> outline = new ArrayList<>();
        outline.add(between(bottom, from, low));
        outline.add(between(bottom, to, low));
        if (low < g.rootFace() && high > g.rootFace() && to == 1) {
            outline.add(between(walls(g.rootFace()), 1, g.rootFace()));
        }
        outline.add(between(top, to, high));
        outline.add(between(top, from, high));
        if (low < g.rootFace() && high > g.rootFace() && from == 0) {
            outline.add(between(walls(g.rootFace()), 0, g.rootFace()));
        }
        return List.copyOf(outline);
    }

    private static Point between(double[] walls, double along, double height) {
        return new Point(walls[0] + along * (walls[1] - walls[0]), height);
    }

    /** A part of the cap: from the fill's top over the edges up to the crown. */
    List<Point> capSlice(double low, double width, double from, double to) {
        double[] bottom = walls(low);
        double[] edges = walls(g.depth());
        double over = (width - (edges[1] - edges[0])) / 2;
        double[] crown = {edges[0] - over, edges[1] + over};
        List<Point> outline = new ArrayList<>();
        outline.add(between(bottom, from, low));
        outline.add(between(bottom, to, low));
        if (to == 1) {
            outline.add(new Point(edges[1], g.depth()));
        }
        int steps = 8;
        for (int i = 0; i <= steps; i++) {
            double along = to + (from - to) * i / steps;
            double height = g.depth() + capHeight * 4 * along * (1 - along);
            outline.add(between(crown, along, height));
        }
        if (from == 0) {
            outline.add(new Point(edges[0], g.depth()));
        }
        return List.copyOf(outline);
    }

    List<Point> whole() {
        double[] root = walls(0);
        double[] face = walls(g.rootFace());
        double[] top = walls(g.depth());
        return List.of(
                new Point(root[0], 0),
                new Point(root[1], 0),
                new Point(face[1], g.rootFace()),
                new Point(top[1], g.depth()),
                new Point(top[0], g.depth()),
                new Point(face[0], g.rootFace()));
    }
}
