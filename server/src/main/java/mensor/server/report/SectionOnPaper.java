package mensor.server.report;

import static mensor.server.report.Svg.n;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import mensor.drawing.SectionDrawing;
import mensor.drawing.SectionDrawing.Point;

/** The cross-section to scale, as the bench shows it: face, wanted triangle, most outside, notches and measures. */
final class SectionOnPaper {
    private static final double WIDTH = 330;
    private static final double HEIGHT = 180;
    private static final double LEFT = 78;
    private static final double RIGHT = 80;

    private final SectionDrawing section;
    private final double scale;
    private final double ox;
    private final double oy = HEIGHT - 36;
    private final Svg svg = new Svg();

    private SectionOnPaper(SectionDrawing section) {
        this.section = section;
        List<Point> points = new ArrayList<>(section.weld().points());
        points.addAll(section.required());
        if (section.weld().curve() != null) {
            points.add(section.weld().curve());
        }
        if (section.limit() != null) {
            points.add(section.limit().through());
        }
        double minX = Math.min(0, points.stream().mapToDouble(Point::x).min().orElse(0));
        double maxX = points.stream().mapToDouble(Point::x).max().orElse(1);
        double maxY = points.stream().mapToDouble(Point::y).max().orElse(1);
        double room = WIDTH - LEFT - RIGHT;
        this.scale = Math.max(0.2, Math.min(room / (maxX - minX), (HEIGHT - 60) / Math.max(1e-9, maxY)));
        this.ox = LEFT - minX * scale + Math.max(0, (room - (maxX - minX) * scale) / 2);
    }

    static String of(SectionDrawing section, double millimetres) {
        return new SectionOnPaper(section).drawn(millimetres);
    }

    private Point at(Point p) {
        return new Point(ox + p.x() * scale, oy - p.y() * scale);
    }

    private String text(Point p) {
        Point at = at(p);
        return n(at.x()) + " " + n(at.y());
    }

    private String outline(List<Point> points) {
        return points.stream().map(this::text).collect(Collectors.joining("L", "M", "z"));
    }

    private String drawn(double millimetres) {
        svg.raw("<clipPath id=\"c\"><rect x=\"0\" y=\"0\" width=\"" + n(WIDTH) + "\" height=\"" + n(HEIGHT)
                + "\"/></clipPath><g clip-path=\"url(#c)\">");
        for (int i = 0; i < section.members().size(); i++) {
            String fill = i == 0 ? Palette.STEEL : Palette.STEEL_LIGHT;
            svg.path(outline(section.members().get(i).points()), fill, Palette.NONE, 1);
        }
        svg.path(face(), Palette.WELD, Palette.TEXT, 1.4);
        svg.path(outline(section.required()), "none", Palette.CHALK, 1.8, "stroke-dasharray=\"6 4\"");
        if (section.limit() != null) {
            SectionDrawing.FaceLine l = section.limit();
            svg.path(
                    "M" + text(l.a()) + "Q" + text(control(l.a(), l.through(), l.b())) + " " + text(l.b()),
                    "none",
                    Palette.OPEN,
                    1.6,
                    "stroke-dasharray=\"2 4\" stroke-linecap=\"round\"");
        }
        section.notches().forEach(this::notch);
        svg.raw("</g>");
        section.dimensions().forEach(this::dimension);
        for (int i = 0; i < section.members().size() && i < 2; i++) {
            boolean first = i == 0;
            String label = section.members().get(i).label();
            svg.text(first ? 4 : WIDTH - 4, first ? 12 : HEIGHT - 4, first ? "start" : "end", 9, Palette.QUIET, label);
        }
        return svg.page(WIDTH, HEIGHT, millimetres);
    }

    /** The control of a quadratic that passes the point at its middle. */
    private static Point control(Point a, Point through, Point b) {
        return new Point(2 * through.x() - (a.x() + b.x()) / 2, 2 * through.y() - (a.y() + b.y()) / 2);
    }

    private String face() {
        List<Point> p = section.weld().points();
        Point curve = section.weld().curve();
        if (curve == null) {
            return outline(p);
        }
        String rest = p.stream().skip(3).map(x -> "L" + text(x)).collect(Collectors.joining());
        return "M" + text(p.get(0)) + "L" + text(p.get(1)) + "Q" + text(control(p.get(1), curve, p.get(2))) + " "
                + text(p.get(2)) + rest + "z";
    }

    private void notch(SectionDrawing.Notch notch) {
        Point p = at(notch.at());
        double depth = Math.max(4, notch.depth() * scale);
        double angle = Math.toRadians(notch.direction());
        double dx = Math.cos(angle) * depth;
        double dy = -Math.sin(angle) * depth;
        double half = depth * 0.8;
        double px = -dy / depth * half;
        double py = dx / depth * half;
        String colour = notch.rejects() ? Palette.REJECT : Palette.NOTCH;
        svg.path(
                "M" + n(p.x() + px) + " " + n(p.y() + py) + "Q" + n(p.x() + dx * 1.7) + " " + n(p.y() + dy * 1.7) + " "
                        + n(p.x() - px) + " " + n(p.y() - py) + "z",
                colour,
                Palette.PAPER,
                0.6);
        svg.text(p.x() + 9, p.y() - 8, "start", 9, colour, notch.label());
    }

    private void dimension(SectionDrawing.Dimension d) {
        Point from = at(d.from());
        Point to = at(d.to());
        String colour = d.low() ? Palette.REJECT : Palette.TEXT;
        String words = (d.low() ? "✕ " : "") + word(d.measure()) + " " + d.label();
        switch (d.measure()) {
            case LEG_A -> {
                svg.path(
                        "M" + n(from.x() - 9) + " " + n(from.y()) + "L" + n(to.x() - 9) + " " + n(to.y()),
                        "none",
                        colour,
                        1.2);
                svg.text((from.x() + to.x()) / 2 - 13, (from.y() + to.y()) / 2 + 3, "end", 9, colour, words);
            }
            case LEG_B -> {
                svg.path(
                        "M" + n(from.x()) + " " + n(from.y() + 9) + "L" + n(to.x()) + " " + n(to.y() + 9),
                        "none",
                        colour,
                        1.2);
                svg.text((from.x() + to.x()) / 2, Math.max(from.y(), to.y()) + 20, "middle", 9, colour, words);
            }
            case THROAT, CONVEXITY, REINFORCEMENT -> {
                svg.circle(to.x(), to.y(), 2.4, colour, Palette.PAPER, 1.4);
                svg.text(to.x() + 7, to.y() - 6, "start", 9, colour, words);
            }
            case OFFSET -> {
                svg.circle(to.x(), to.y(), 2.4, colour, Palette.PAPER, 1.4);
                // under the surface, clear of the crown above it
                svg.text(to.x() + 7, to.y() + 13, "start", 9, colour, words);
            }
        }
    }

    private static String word(SectionDrawing.SectionMeasure measure) {
        return switch (measure) {
            case LEG_A, LEG_B -> "leg";
            case THROAT -> "throat";
            case CONVEXITY -> "convexity";
            case REINFORCEMENT -> "crown";
            case OFFSET -> "offset";
        };
    }
}
