package mensor.server.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import mensor.draw.SectionDrawing;
import mensor.draw.SectionDrawing.Point;
import mensor.draw.StripDrawing;

/** The strip and the section on paper: vectors from the same numbers that the screen draws. */
final class Drawings {
    private static final double GUTTER = 74;
    private static final double WIDTH = 700;
    private static final double LANE = 24;
    private static final double RULER = 24;
    private static final String INK = "#14212b";
    private static final String QUIET = "#51606b";
    private static final String REJECT = "#a31515";
    private static final String ACCEPT = "#12603a";
    private static final String CHALK = "#f2b705";

    private Drawings() {}

    /** A stretch to be shown across the lanes, mm from the datum. */
    record Worked(double from, double to) {}

    private static String n(double d) {
        return String.format(Locale.ROOT, "%.2f", d);
    }

    private static String text(double x, double y, String anchor, int size, String colour, String words) {
        return "<text x=\"" + n(x) + "\" y=\"" + n(y) + "\" text-anchor=\"" + anchor + "\" font-size=\"" + size
                + "\" font-family=\"Atkinson\" fill=\"" + colour + "\">" + Html.escaped(words) + "</text>";
    }

    private static String box(double x, double y, double w, double h, String fill, String stroke) {
        return "<rect x=\"" + n(x) + "\" y=\"" + n(y) + "\" width=\"" + n(w) + "\" height=\"" + n(h) + "\" fill=\""
                + fill + "\" stroke=\"" + stroke + "\" stroke-width=\"1\"/>";
    }

    private static String path(String d, String fill, String stroke, double width) {
        return "<path d=\"" + d + "\" fill=\"" + fill + "\" stroke=\"" + stroke + "\" stroke-width=\"" + n(width)
                + "\"/>";
    }

    /** The weld unrolled, with its marks, what is known of the size, and the places that decide. */
    static String strip(StripDrawing s, List<Worked> worked, double millimetres) {
        double inner = WIDTH - GUTTER - 10;
        double scale = inner / s.length();
        StringBuilder b = new StringBuilder();
        double lanesEnd = RULER + s.lanes().size() * (LANE + 3);
        List<StripDrawing.Bracket> brackets =
                s.brackets().stream().filter(x -> x.rejects()).toList();
        List<String> findings =
                brackets.stream().map(StripDrawing.Bracket::finding).distinct().toList();
        double sizeTop = lanesEnd + findings.size() * 24 + 4;
        double height = sizeTop + LANE + 4;
        for (Worked w : worked) {
            b.append(box(
                    GUTTER + w.from() * scale,
                    RULER - 4,
                    Math.max(2, (w.to() - w.from()) * scale),
                    lanesEnd - RULER,
                    "#fbeab0",
                    "#8a6500"));
        }
        b.append(text(GUTTER - 6, 11, "end", 9, QUIET, "datum"));
        b.append(path("M" + n(GUTTER) + " 19.5H" + n(GUTTER + inner), "none", INK, 1));
        for (StripDrawing.Tick t : s.ticks()) {
            double x = GUTTER + t.at() * scale;
            b.append(path("M" + n(x) + " 19.5v" + (t.label().isEmpty() ? "-3" : "-6"), "none", INK, 0.8));
            if (!t.label().isEmpty()) {
                b.append(text(x, 11, "middle", 9, INK, t.label()));
            }
        }
        double y = RULER;
        for (StripDrawing.Lane lane : s.lanes()) {
            b.append(text(GUTTER - 6, y + LANE / 2 + 3, "end", 10, INK, lane.name()));
            b.append(box(GUTTER, y, inner, LANE, worked.isEmpty() ? "#f5f7f8" : "none", "#cfd6da"));
            for (StripDrawing.Mark m : s.marks()) {
                if (m.lane().equals(lane.id())) {
                    mark(b, m, y, scale, inner);
                }
            }
            y += LANE + 3;
        }
        for (StripDrawing.Bracket k : brackets) {
            double top = lanesEnd + findings.indexOf(k.finding()) * 24 + 2;
            double from = GUTTER + k.from() * scale;
            double to = Math.max(from + 8, GUTTER + k.to() * scale);
            b.append(path("M" + n(from) + " " + n(top) + "v5H" + n(to) + "v-5", "none", REJECT, 1.6));
            b.append(text(within((from + to) / 2, k.label(), inner), top + 16, "middle", 9, REJECT, k.label()));
        }
        size(b, s, sizeTop, scale, inner);
        return svg(WIDTH, height, millimetres, b);
    }

    private static double within(double x, String label, double inner) {
        double half = label.length() * 2.4;
        return Math.min(Math.max(x, GUTTER + half), GUTTER + inner - half);
    }

    private static void mark(StringBuilder b, StripDrawing.Mark m, double y, double scale, double inner) {
        String colour = m.rejects() ? REJECT : INK;
        double from = GUTTER + m.from() * scale;
        double to = Math.max(from + 3, GUTTER + m.to() * scale);
        double h = m.depth() > 0 ? Math.min(LANE - 8, Math.max(5, m.depth() * 6)) : LANE - 14;
        b.append(
                m.to() - m.from() < 1e-6
                        ? "<circle cx=\"" + n(from) + "\" cy=\"" + n(y + LANE / 2) + "\" r=\"4\" fill=\"" + colour
                                + "\"/>"
                        : box(from, y + LANE - 3 - h, to - from, h, m.rejects() ? "#f7dcdc" : "#dfe5e9", colour));
        String words = (m.kind().replace('-', ' ') + " " + m.label()).strip();
        b.append(text(within((from + to) / 2, words, inner), y + 9, "middle", 8, colour, words));
    }

    private static void size(StringBuilder b, StripDrawing s, double top, double scale, double inner) {
        b.append(text(GUTTER - 6, top + LANE / 2 + 3, "end", 10, INK, s.bands().isEmpty() ? "read at" : "size"));
        for (StripDrawing.Band band : s.bands()) {
            double from = GUTTER + band.from() * scale;
            double wide = (band.to() - band.from()) * scale;
            String fill = switch (band.state()) {
                case "goes" -> "#dcebe1";
                case "marked" -> "#f7dcdc";
                default -> "none";
            };
            b.append(box(from, top, wide, LANE, fill, band.state().equals("untried") ? "#cfd6da" : ACCEPT));
            if (wide > band.label().length() * 4.6) {
                b.append(text(from + wide / 2, top + LANE / 2 + 3, "middle", 9, INK, band.label()));
            }
        }
        double last = -100;
        for (StripDrawing.Station st : s.stations()) {
            double x = GUTTER + st.at() * scale;
            String colour = st.rejects() ? REJECT : ACCEPT;
            b.append("<circle cx=\"" + n(x) + "\" cy=\"" + n(top + 5) + "\" r=\"3\" fill=\"" + colour + "\"/>");
            if (x - last > 26) {
                b.append(text(within(x, st.sizeLabel(), inner), top + 19, "middle", 8, colour, st.sizeLabel()));
                last = x;
            }
        }
    }

    /** The cross-section to scale. */
    static String section(SectionDrawing s, double millimetres) {
        double width = 330;
        double height = 180;
        List<Point> points = new ArrayList<>(s.weld().points());
        points.addAll(s.required());
        double minX = Math.min(0, points.stream().mapToDouble(Point::x).min().orElse(0));
        double maxX = points.stream().mapToDouble(Point::x).max().orElse(1);
        double maxY = points.stream().mapToDouble(Point::y).max().orElse(1);
        double left = 78;
        double scale =
                Math.max(0.2, Math.min((width - left - 80) / (maxX - minX), (height - 60) / Math.max(1e-9, maxY)));
        double ox = left - minX * scale + Math.max(0, (width - left - 80 - (maxX - minX) * scale) / 2);
        double oy = height - 36;
        StringBuilder b = new StringBuilder();
        b.append("<clipPath id=\"c\"><rect x=\"0\" y=\"0\" width=\"" + n(width) + "\" height=\"" + n(height)
                + "\"/></clipPath><g clip-path=\"url(#c)\">");
        for (int i = 0; i < s.members().size(); i++) {
            b.append(path(
                    outline(s.members().get(i).points(), ox, oy, scale), i == 0 ? "#b8c2ca" : "#d5dce1", "none", 1));
        }
        b.append(path(outline(s.weld().points(), ox, oy, scale), "#89939b", INK, 1.4));
        b.append("<path d=\"" + outline(s.required(), ox, oy, scale) + "\" fill=\"none\" stroke=\"" + CHALK
                + "\" stroke-width=\"1.8\" stroke-dasharray=\"6 4\"/></g>");
        for (SectionDrawing.Dimension d : s.dimensions()) {
            double x1 = ox + d.from().x() * scale;
            double y1 = oy - d.from().y() * scale;
            double x2 = ox + d.to().x() * scale;
            double y2 = oy - d.to().y() * scale;
            boolean upright = Math.abs(x1 - x2) < Math.abs(y1 - y2);
            double away = upright ? -9 : 9;
            String colour = d.low() ? REJECT : INK;
            b.append(path(
                    upright
                            ? "M" + n(x1 + away) + " " + n(y1) + "V" + n(y2)
                            : "M" + n(x1) + " " + n(Math.max(y1, y2) + away) + "H" + n(x2),
                    "none",
                    colour,
                    1.2));
            b.append(
                    upright
                            ? text(x1 + away - 4, (y1 + y2) / 2 + 3, "end", 9, colour, word(d))
                            : text((x1 + x2) / 2, Math.max(y1, y2) + 20, "middle", 9, colour, word(d)));
        }
        for (int i = 0; i < s.members().size() && i < 2; i++) {
            b.append(text(
                    i == 0 ? 4 : width - 4,
                    i == 0 ? 12 : height - 4,
                    i == 0 ? "start" : "end",
                    9,
                    QUIET,
                    s.members().get(i).label()));
        }
        return svg(width, height, millimetres, b);
    }

    private static String word(SectionDrawing.Dimension d) {
        String name = d.name().startsWith("leg") ? "leg" : d.name().equals("reinforcement") ? "crown" : d.name();
        return name + " " + d.label();
    }

    private static String outline(List<Point> points, double ox, double oy, double scale) {
        return points.stream()
                .map(p -> n(ox + p.x() * scale) + " " + n(oy - p.y() * scale))
                .collect(Collectors.joining("L", "M", "z"));
    }

    /** {@code millimetres} is how wide it stands on the page. */
    private static String svg(double width, double height, double millimetres, CharSequence body) {
        return "<div class=\"keep\"><svg xmlns=\"http://www.w3.org/2000/svg\" style=\"display:block;width:"
                + n(millimetres) + "mm;height:"
                + n(millimetres * height / width) + "mm\" viewBox=\"0 0 " + n(width) + " " + n(height) + "\">" + body
                + "</svg></div>";
    }
}
