package mensor.server.report;

import static mensor.server.report.Svg.n;

import java.util.List;
import mensor.drawing.StripDrawing;

/** The weld unrolled, as the bench shows it: the same numbers, shapes and colours, without what a pointer does. */
final class StripOnPaper {
    private static final double GUTTER = 74;
    private static final double WIDTH = 700;
    private static final double LANE = 26;
    private static final double GAP = 3;
    private static final double RULER = 24;
    private static final double BRACKET = 24;
    /** Depth is drawn larger than length, as on the screen; paper has three quarters of its height. */
    private static final double DEPTH_SCALE = 7.5;

    private static final double DEEPEST = LANE - 6;

    private final StripDrawing strip;
    private final double inner = WIDTH - GUTTER - 10;
    private final double scale;
    private final Svg svg = new Svg();

    /** A stretch to be shown across the lanes, mm from the datum. */
    record WorkedStretch(double from, double to) {}

    private StripOnPaper(StripDrawing strip) {
        this.strip = strip;
        this.scale = inner / strip.length();
    }

    static String of(StripDrawing strip, List<WorkedStretch> worked, double millimetres) {
        return new StripOnPaper(strip).drawn(worked, millimetres);
    }

    private double x(double mm) {
        return GUTTER + mm * scale;
    }

    private String drawn(List<WorkedStretch> worked, double millimetres) {
        hatches();
        double lanesEnd = RULER + strip.lanes().size() * (LANE + GAP);
        ruler();
        double y = RULER;
        for (StripDrawing.Lane lane : strip.lanes()) {
            svg.text(GUTTER - 6, y + LANE / 2 + 3, "end", 10, Palette.TEXT, lane.name());
            svg.box(GUTTER, y, inner, LANE, lane.id().equals("face") ? Palette.LANE_FACE : Palette.LANE, Palette.LINE);
            y += LANE + GAP;
        }
        for (WorkedStretch w : worked) {
            double wide = Math.max(2, (w.to() - w.from()) * scale);
            svg.box(
                    x(w.from()),
                    RULER - 4,
                    wide,
                    lanesEnd - RULER,
                    Palette.CHALK,
                    Palette.CHALK_DEEP,
                    "fill-opacity=\".3\"");
        }
        y = RULER;
        for (StripDrawing.Lane lane : strip.lanes()) {
            for (StripDrawing.Mark m : strip.marks()) {
                if (m.lane().equals(lane.id())) {
                    mark(m, lane, y);
                }
            }
            y += LANE + GAP;
        }
        double sizeTop = brackets(lanesEnd) + 4;
        size(sizeTop);
        return svg.page(WIDTH, sizeTop + LANE + 4, millimetres);
    }

    private void hatches() {
        svg.raw("<defs><pattern id=\"hatch\" width=\"7\" height=\"7\" patternUnits=\"userSpaceOnUse\""
                + " patternTransform=\"rotate(45)\"><path d=\"M0 0v7\" stroke=\"" + Palette.TEXT
                + "\" stroke-width=\"1.2\"/></pattern><pattern id=\"untried\" width=\"8\" height=\"8\""
                + " patternUnits=\"userSpaceOnUse\" patternTransform=\"rotate(45)\"><path d=\"M0 0v8\" stroke=\""
                + Palette.HATCH + "\" stroke-width=\"1.5\"/></pattern></defs>");
    }

    private void ruler() {
        svg.text(GUTTER - 6, 11, "end", 9, Palette.QUIET, "datum");
        svg.path("M" + n(GUTTER) + " 19.5H" + n(GUTTER + inner), "none", Palette.TEXT, 1);
        for (StripDrawing.Tick t : strip.ticks()) {
            svg.path("M" + n(x(t.at())) + " 19.5v" + (t.label().isEmpty() ? "-3" : "-6"), "none", Palette.TEXT, 0.8);
            if (!t.label().isEmpty()) {
                svg.text(x(t.at()), 11, "middle", 9, Palette.TEXT, t.label());
            }
        }
    }

    /** The places that decide a rejected finding; where the last ends. */
    private double brackets(double lanesEnd) {
        List<StripDrawing.Bracket> rejecting =
                strip.brackets().stream().filter(StripDrawing.Bracket::rejects).toList();
        List<String> findings =
                rejecting.stream().map(StripDrawing.Bracket::finding).distinct().toList();
        for (StripDrawing.Bracket k : rejecting) {
            double top = lanesEnd + findings.indexOf(k.finding()) * BRACKET + 2;
            double to = Math.max(x(k.from()) + 8, x(k.to()));
            svg.path("M" + n(x(k.from())) + " " + n(top) + "v5H" + n(to) + "v-5", "none", Palette.REJECT, 1.6);
            String words = "✕ " + k.label();
            svg.text(within((x(k.from()) + to) / 2, words), top + 16, "middle", 9, Palette.REJECT, words);
        }
        return lanesEnd + findings.size() * BRACKET;
    }

    private double within(double x, String label) {
        double half = label.length() * 2.4;
        return Math.min(Math.max(x, GUTTER + half), GUTTER + inner - half);
    }

    private void mark(StripDrawing.Mark m, StripDrawing.Lane lane, double top) {
        String colour = m.rejects() ? Palette.REJECT : Palette.TEXT;
        double from = x(m.from());
        double to = Math.max(from + 3, x(m.to()));
        boolean below = lane.id().equals("B");
        shape(m, below, from, to, top, colour);
        String words = (m.kind().replace('-', ' ') + " " + m.label()).strip();
        double half = words.length() * 2.2;
        double room = to - from > 2 * half ? (from + to) / 2 : to + 8 + half;
        double at = Math.min(room, GUTTER + inner - half);
        double line = switch (m.shape()) {
            case NOTCH -> below ? top + 9 : top + LANE - 4;
            case PORES -> top + LANE - 3;
            default -> top + LANE / 2 + 3;
        };
        svg.text(at, line, "middle", 8, colour, words);
    }

    private void shape(StripDrawing.Mark m, boolean below, double from, double to, double top, String colour) {
        double middle = top + LANE / 2;
        double edge = below ? top + LANE : top;
        double into = below ? -1 : 1;
        switch (m.shape()) {
            case NOTCH -> {
                double depth = into * Math.min(DEEPEST, Math.max(3, m.depth() * DEPTH_SCALE));
                double run = Math.min(5, (to - from) / 3);
                String deep = n(edge + depth);
                svg.path(
                        "M" + n(from) + " " + n(edge) + "Q" + n(from + run / 2) + " " + deep + " " + n(from + run) + " "
                                + deep + "H" + n(to - run) + "Q" + n(to - run / 2) + " " + deep + " " + n(to) + " "
                                + n(edge) + "z",
                        m.rejects() ? colour : Palette.NOTCH,
                        "none",
                        0);
            }
            case PORES -> {
                double r = Math.min(6, Math.max(2.5, m.depth() * 1.9));
                List<Double> centres =
                        to - from > 4 * r ? List.of(from + r, (from + to) / 2, to - r) : List.of((from + to) / 2);
                centres.forEach(c -> svg.circle(c, top + 8, r, Palette.PAPER, colour));
            }
            case CRACK ->
                svg.path(
                        "M" + n(from - 6) + " " + n(middle - 1) + "l3 -5 3.5 9 3.5 -8 3.5 8 "
                                + n(Math.max(1, to - from)) + " -4",
                        "none",
                        colour,
                        1.6);
            case ROLL ->
                svg.path(
                        "M" + n(from) + " " + n(edge) + "q0 " + n(9 * into) + " 6 " + n(9 * into) + "H" + n(to - 6)
                                + "q6 0 6 " + n(-9 * into),
                        Palette.PAPER,
                        colour,
                        1.4);
            case HATCH -> svg.box(from, top + 3, to - from, LANE - 6, "url(#hatch)", colour, "fill-opacity=\".75\"");
            case DOTS ->
                svg.path(
                        "M" + n(from) + " " + n(middle - 6) + "H" + n(to) + "M" + n(from) + " " + n(middle + 6) + "H"
                                + n(to),
                        "none",
                        colour,
                        2,
                        "stroke-dasharray=\"1 6\" stroke-linecap=\"round\"");
            case RING -> {
                svg.circle(from, middle, 7, Palette.PAPER, colour);
                svg.path("M" + n(from - 3.5) + " " + n(middle - 3.5) + "l7 7m0 -7l-7 7", "none", colour, 1.4);
            }
            case STAR ->
                svg.path(
                        "M" + n(from) + " " + n(top + 2)
                                + "l2.2 6.5h6.5l-5 4.3 2.2 6.5-5.9-4.3-5.9 4.3 2.2-6.5-5-4.3h6.5z",
                        Palette.PAPER,
                        colour,
                        1.2);
            case BOX -> svg.box(from, top + 4, to - from, LANE - 8, Palette.PAPER, colour, "stroke-dasharray=\"5 3\"");
        }
    }

    /** What is known of the size: stretches that a blade or a mark tells, and the stations against what is wanted. */
    private void size(double top) {
        svg.text(
                GUTTER - 6,
                top + LANE / 2 + 3,
                "end",
                10,
                Palette.TEXT,
                strip.bands().isEmpty() ? "read at" : "size");
        for (StripDrawing.Band band : strip.bands()) {
            boolean known = band.state() == StripDrawing.Size.GOES;
            double wide = (band.to() - band.from()) * scale;
            svg.box(
                    x(band.from()),
                    top,
                    wide,
                    LANE,
                    fill(band.state()),
                    known ? Palette.ACCEPT : Palette.NONE,
                    known ? "" : "stroke-dasharray=\"4 3\"");
            if (wide > band.label().length() * 4.6 && strip.stations().isEmpty()) {
                svg.text(x(band.from()) + wide / 2, top + LANE / 2 + 3, "middle", 9, Palette.TEXT, band.label());
            }
        }
        double wanted = top + LANE / 3;
        if (strip.wanted() > 0 && strip.stations().stream().anyMatch(s -> s.size() > 0)) {
            svg.path(
                    "M" + n(GUTTER) + " " + n(wanted) + "H" + n(GUTTER + inner),
                    "none",
                    Palette.CHALK_DEEP,
                    1.2,
                    "stroke-dasharray=\"8 5\"");
        }
        double last = -100;
        for (StripDrawing.Station st : strip.stations()) {
            String colour = st.rejects() ? Palette.REJECT : Palette.LAYOUT;
            double x = x(st.at());
            svg.path("M" + n(x) + " " + n(top - 2) + "v" + n(LANE + 4), "none", colour, st.rejects() ? 1.6 : 1);
            if (st.size() > 0 && strip.wanted() > 0) {
                double y = wanted + (1 - st.size() / strip.wanted()) * LANE * 1.6;
                svg.circle(x, Math.min(top + LANE - 3, Math.max(top + 3, y)), 3, colour, Palette.PAPER);
            }
            String label = (st.rejects() ? "✕ " : "") + st.sizeLabel();
            if (x - last > 12 + label.length() * 4.2) {
                svg.text(Math.min(x + 5, WIDTH - label.length() * 4.2), top + LANE - 4, "start", 8, colour, label);
                last = x;
            }
        }
    }

    private static String fill(StripDrawing.Size state) {
        return switch (state) {
            case GOES -> Palette.ACCEPT_SOFT;
            case SMALLER, MARKED -> Palette.OPEN_SOFT;
            case UNTRIED -> "url(#untried)";
            case UNWELDED -> Palette.PAPER;
        };
    }
}
