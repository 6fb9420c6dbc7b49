package mensor.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import mensor.plan.PassPlan.Point;

/**
 * The surface that the next bead is laid on, seen across the weld: the members first, then the beads. A bead is the cap of a circle
 * between its two toes; how far it stands out follows from its metal.
 */
final class BeadSurface {
    private static final int PIECES = 28;
    private static final int HALVINGS = 60;

    private final TreeMap<Double, Double> heights = new TreeMap<>();

    /** @param outline from left to right, each place once */
    BeadSurface(List<Point> outline) {
        outline.forEach(p -> heights.put(p.x(), p.y()));
    }

    /** A bead as laid: its outline, the distance of its toes, and its greatest thickness. */
    record Laid(List<Point> outline, double width, double height) {}

    double heightAt(double x) {
        Map.Entry<Double, Double> a = heights.floorEntry(x);
        Map.Entry<Double, Double> b = heights.ceilingEntry(x);
        if (a == null || b == null) {
            return (a == null ? b : a).getValue();
        }
        double apart = b.getKey() - a.getKey();
        return apart == 0 ? a.getValue() : a.getValue() + (b.getValue() - a.getValue()) * (x - a.getKey()) / apart;
    }

    /** Lays a bead of this much metal between two places of the surface. */
    Laid lay(double left, double right, double area) {
        for (int i = 0; i <= PIECES; i++) {
            double x = i == PIECES ? right : left + (right - left) * i / PIECES;
            heights.putIfAbsent(x, heightAt(x));
        }
        List<Point> under = new ArrayList<>();
        heights.subMap(left, true, right, true).forEach((x, y) -> under.add(new Point(x, y)));
        double width = right - left;
        double low = -2 * width;
        double high = 8 * width;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (between(under, middle) < area) {
                low = middle;
            } else {
                high = middle;
            }
        }
        List<Point> over = top(under, high);
        double height = 0;
        for (int i = 0; i < under.size(); i++) {
            height = Math.max(height, over.get(i).y() - under.get(i).y());
        }
        over.forEach(p -> heights.put(p.x(), p.y()));
        Point from = over.get(0);
        Point to = over.get(over.size() - 1);
        return new Laid(outline(under, over), Math.hypot(to.x() - from.x(), to.y() - from.y()), height);
    }

    /** The bead's upper side where it stands out of the line between its toes by so much. */
    private static List<Point> top(List<Point> under, double out) {
        Point from = under.get(0);
        Point to = under.get(under.size() - 1);
        double width = to.x() - from.x();
        List<Point> top = new ArrayList<>();
        for (Point p : under) {
            double along = (p.x() - from.x()) / width;
            double line = from.y() + along * (to.y() - from.y());
            top.add(new Point(p.x(), Math.max(p.y(), line + bulge(along, width, out))));
        }
        return top;
    }

    /** The cap of a circle; one that would stand out further than half its width is stretched. */
    private static double bulge(double along, double width, double out) {
        double most = Math.abs(out);
        if (most < 1e-12) {
            return 0;
        }
        double half = width / 2;
        double off = (along - 0.5) * width;
        double bulge;
        if (most >= half) {
            bulge = most * Math.sqrt(Math.max(0, 1 - off * off / (half * half)));
        } else {
            double radius = (half * half + most * most) / (2 * most);
            bulge = Math.sqrt(Math.max(0, radius * radius - off * off)) - (radius - most);
        }
        return out < 0 ? -bulge : bulge;
    }

    /** The metal between the surface and a bead that stands out by so much. */
    private static double between(List<Point> under, double out) {
        Point from = under.get(0);
        Point to = under.get(under.size() - 1);
        double width = to.x() - from.x();
        double area = 0;
        double before = 0;
        for (int i = 0; i < under.size(); i++) {
            Point p = under.get(i);
            double along = (p.x() - from.x()) / width;
            double line = from.y() + along * (to.y() - from.y());
            double thick = Math.max(0, line + bulge(along, width, out) - p.y());
            if (i > 0) {
                area += (p.x() - under.get(i - 1).x()) * (thick + before) / 2;
            }
            before = thick;
        }
        return area;
    }

    /** Round the bead, without the points that lie on a straight line between their neighbors. */
    private static List<Point> outline(List<Point> under, List<Point> over) {
        List<Point> round = new ArrayList<>(over);
        for (int i = under.size() - 2; i > 0; i--) {
            round.add(under.get(i));
        }
        List<Point> needed = new ArrayList<>();
        for (int i = 0; i < round.size(); i++) {
            Point p = round.get(i);
            Point a = needed.isEmpty() ? round.get(round.size() - 1) : needed.get(needed.size() - 1);
            Point b = round.get((i + 1) % round.size());
            double bent = (p.x() - a.x()) * (b.y() - a.y()) - (p.y() - a.y()) * (b.x() - a.x());
            if (Math.abs(bent) > 1e-12) {
                needed.add(p);
            }
        }
        return List.copyOf(needed);
    }
}
