package mensor.server.report;

import static mensor.server.report.Svg.n;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mensor.drawing.StripDrawing;
import mensor.inspection.IndicationKind.Shape;
import mensor.server.report.MarkOutline.LaneBox;

/** The weld unrolled, as the bench shows it: the same numbers, measures, shapes and colours, without what a pointer does. */
final class StripOnPaper {
    static final double WIDTH = 960;
    static final double GUTTER = 104;
    static final double END = WIDTH - 18;
    private static final double RULER = 34;
    private static final double GAP = 4;
    private static final double FIT_UP = 20;
    private static final double BRACKET = 34;
    private static final double SIZE = 38;
    private static final double CLOCK = 24;
    private static final Map<String, Double> LANE =
            Map.of("A", 36.0, "face", 32.0, "B", 36.0, "root", 32.0, "base", 24.0);
    /** What a letter of 14 takes, on the safe side. */
    private static final double LETTER = 7.5;
    /** Small shapes are lettered beside themselves, or nothing of them would be seen. */
    private static final Set<Shape> BESIDE =
            Set.of(Shape.CRACK, Shape.CRACK_ACROSS, Shape.CRACK_STAR, Shape.RING, Shape.STAR);

    private final StripDrawing strip;
    private final double scale;
    private final Svg svg = new Svg();
    private final List<String> unlettered = new ArrayList<>();

    /** A stretch to be shown across the lanes, mm from the datum. */
    record WorkedStretch(double from, double to) {}

    /**
     * The drawing, and in words what had no room to be lettered on it.
     *
     * @param unlettered in the order along the weld
     */
    record Drawn(String svg, List<String> unlettered) {}

    private StripOnPaper(StripDrawing strip) {
        this.strip = strip;
        this.scale = (END - GUTTER) / strip.length();
    }

    static Drawn of(StripDrawing strip, List<WorkedStretch> worked, double millimetres) {
        StripOnPaper paper = new StripOnPaper(strip);
        return new Drawn(paper.drawn(worked, millimetres), paper.unlettered);
    }

    private double x(double mm) {
        return GUTTER + mm * scale;
    }

    private String drawn(List<WorkedStretch> worked, double millimetres) {
        svg.hatches();
        ruler();
        double lanesTop = RULER + (strip.gaps().isEmpty() && strip.covers().isEmpty() ? 0 : FIT_UP);
        List<LaneBox> lanes = new ArrayList<>();
        double y = lanesTop;
        for (StripDrawing.Lane lane : strip.lanes()) {
            LaneBox box = new LaneBox(lane.id(), y, LANE.getOrDefault(lane.id(), 34.0));
            lanes.add(box);
            lane(lane.name(), box);
            y += box.height() + GAP;
        }
        double lanesEnd = y;
        for (WorkedStretch w : worked) {
            double wide = Math.max(3, (w.to() - w.from()) * scale);
            svg.box(x(w.from()), RULER - 6, wide, lanesEnd - RULER + 6, Palette.CHALK, Palette.CHALK_DEEP, ".22");
        }
        gaps(lanesEnd);
        covers(lanesEnd);
        lanes.forEach(this::marks);
        double sizeTop = brackets(lanesEnd) + 10;
        size(sizeTop);
        double end = sizeTop + SIZE + 6;
        if (!strip.clock().isEmpty()) {
            clock(end);
            end += CLOCK;
        }
        return svg.page(WIDTH, end, millimetres);
    }

    private void lane(String name, LaneBox box) {
        svg.text(GUTTER - 10, box.middle() + 5, "end", 15, Palette.TEXT, name);
        String fill = box.id().equals("base") ? "none" : box.id().equals("face") ? Palette.LANE_FACE : Palette.LANE;
        svg.box(GUTTER, box.top(), END - GUTTER, box.height(), fill, Palette.LINE, "1");
    }

    private void ruler() {
        svg.text(GUTTER - 10, 16, "end", 13, Palette.QUIET, "datum");
        svg.path("M" + n(GUTTER) + " 27.5H" + n(END), "none", Palette.TEXT, 1.5);
        double free = -100;
        for (StripDrawing.Tick t : strip.ticks()) {
            boolean named = !t.label().isEmpty();
            svg.path("M" + n(x(t.at())) + " 27.5v" + (named ? "-8" : "-4"), "none", Palette.TEXT, named ? 1.5 : 1);
            double half = t.label().length() * LETTER / 2;
            if (named && x(t.at()) - half > free) {
                svg.text(x(t.at()), 15, "middle", 14, Palette.TEXT, t.label());
                free = x(t.at()) + half + 4;
            }
        }
        svg.circle(GUTTER, 27.5, 4, Palette.TEXT, "none", 0);
    }

    /** The hours of a weld around a round member, under the lanes. */
    private void clock(double top) {
        svg.text(GUTTER - 10, top + 18, "end", 13, Palette.QUIET, "clock");
        for (StripDrawing.Tick t : strip.clock()) {
            boolean named = !t.label().isEmpty();
            svg.path(
                    "M" + n(x(t.at())) + " " + n(top) + "v" + (named ? "6" : "4"),
                    "none",
                    Palette.TEXT,
                    named ? 1.5 : 1);
            if (named) {
                double at = within(x(t.at()), t.label().length() * LETTER / 2);
                svg.text(at, top + 19, "middle", 14, Palette.TEXT, t.label());
            }
        }
    }

    /** What cannot be seen there, and what covers it. */
    private void covers(double lanesEnd) {
        for (StripDrawing.Stretch c : strip.covers()) {
            svg.box(
                    x(c.from()),
                    RULER - 6,
                    Math.max(2, (c.to() - c.from()) * scale),
                    lanesEnd - RULER + 6,
                    Palette.OPEN,
                    Palette.OPEN,
                    ".14");
            unlettered.add(c.label());
        }
    }

    /** Where the fit-up had a gap; the leg there is wanted larger. */
    private void gaps(double lanesEnd) {
        double free = GUTTER;
        for (StripDrawing.Stretch g : strip.gaps()) {
            svg.box(
                    x(g.from()),
                    RULER - 6,
                    Math.max(2, (g.to() - g.from()) * scale),
                    lanesEnd - RULER + 6,
                    Palette.CHALK,
                    "none",
                    ".16");
            String words = g.label() + " at fit-up";
            double half = words.length() * LETTER / 2;
            double at = within((x(g.from()) + x(g.to())) / 2, half);
            if (at - half < free) {
                unlettered.add(words);
            } else {
                svg.text(at, RULER + 14, "middle", 13, Palette.OPEN, words);
                free = at + half + 4;
            }
        }
    }

    private static double within(double x, double half) {
        return Math.min(Math.max(x, GUTTER + half), Math.max(GUTTER + half, END - half));
    }

    /** The indications of a lane from the datum on, each lettered where that is free of the one before. */
    private void marks(LaneBox lane) {
        double free = -100;
        List<StripDrawing.Mark> marks = strip.marks().stream()
                .filter(m -> m.lane().equals(lane.id()))
                .sorted(Comparator.comparingDouble(StripDrawing.Mark::from))
                .toList();
        for (StripDrawing.Mark m : marks) {
            double from = x(m.from());
            double to = x(m.to());
            shape(m, lane, from, Math.max(to, from + 3));
            String words = (m.kind().replace('-', ' ') + " " + m.label()).strip();
            double wide = words.length() * LETTER;
            boolean beside = BESIDE.contains(m.shape()) || m.from() == m.to();
            double begins = beside
                    ? to + 14 + wide <= END ? to + 14 : Math.max(GUTTER, from - 14 - wide)
                    : within((from + to) / 2, wide / 2) - wide / 2;
            if (begins < free) {
                unlettered.add(words);
                continue;
            }
            svg.haloed(begins, labelLine(m, lane), "start", m.rejects() ? Palette.REJECT : Palette.TEXT, words);
            free = begins + wide + 6;
        }
    }

    private static double labelLine(StripDrawing.Mark m, LaneBox lane) {
        double depth = Math.min(MarkOutline.DEEPEST, Math.max(5, m.depth() * 10));
        if (m.shape() == Shape.NOTCH && !lane.isBelow()) {
            return lane.top() + Math.min(depth + 15, lane.height() - 3);
        }
        if (m.shape() == Shape.NOTCH) {
            return lane.top() + Math.max(14, lane.height() - depth - 5);
        }
        return m.shape() == Shape.PORES ? lane.top() + lane.height() - 4 : lane.middle() + 5;
    }

    private void shape(StripDrawing.Mark m, LaneBox lane, double from, double to) {
        MarkOutline o = MarkOutline.of(m.shape(), m.depth(), lane, from, to);
        String colour = m.rejects() ? Palette.REJECT : Palette.TEXT;
        o.circles().forEach(c -> svg.circle(c.x(), c.y(), c.r(), Palette.PAPER, colour, 2.5));
        String fill = switch (m.shape()) {
            case NOTCH -> m.rejects() ? colour : Palette.NOTCH;
            case CRACK, CRACK_ACROSS, CRACK_STAR, DOTS, RING -> "none";
            case HATCH -> "url(#hatch)";
            case PORES, ROLL, STAR, BOX -> Palette.PAPER;
        };
        double line = switch (m.shape()) {
            case NOTCH -> 0;
            case CRACK, CRACK_ACROSS, CRACK_STAR -> 2.8;
            case DOTS -> 3;
            case HATCH, STAR -> 2;
            case PORES, ROLL, RING, BOX -> 2.5;
        };
        String more = switch (m.shape()) {
            case DOTS -> "stroke-dasharray=\"1 9\" stroke-linecap=\"round\"";
            case BOX -> "stroke-dasharray=\"5 3\"";
            case HATCH -> "opacity=\".75\"";
            case NOTCH, CRACK, CRACK_ACROSS, CRACK_STAR, PORES, ROLL, RING, STAR -> "stroke-linejoin=\"round\"";
        };
        if (o.path() != null) {
            svg.path(o.path(), fill, line == 0 ? "none" : colour, line, more);
        }
        if (o.box() != null) {
            svg.path(
                    "M" + n(o.box().x()) + " " + n(o.box().y()) + "h"
                            + n(o.box().width()) + "v" + n(o.box().height()) + "h"
                            + n(-o.box().width()) + "z",
                    fill,
                    colour,
                    line,
                    more);
        }
    }

    /** The places that decide a rejected finding, a row each; where the last ends. */
    private double brackets(double lanesEnd) {
        List<StripDrawing.Bracket> rejecting =
                strip.brackets().stream().filter(StripDrawing.Bracket::rejects).toList();
        List<String> findings =
                rejecting.stream().map(StripDrawing.Bracket::finding).distinct().toList();
        Set<String> lettered = new HashSet<>();
        for (StripDrawing.Bracket k : rejecting) {
            double top = lanesEnd + findings.indexOf(k.finding()) * BRACKET + 6;
            double wide = Math.max(x(k.to()) - x(k.from()), 10);
            double begin = (x(k.from()) + x(k.to()) - wide) / 2;
            svg.path("M" + n(begin) + " " + n(top - 6) + "v7h" + n(wide) + "v-7", "none", Palette.REJECT, 3);
            if (lettered.add(k.finding())) {
                String words = "✕ " + k.label();
                double at = within((x(k.from()) + x(k.to())) / 2, words.length() * LETTER / 2);
                svg.text(at, top + 16, "middle", 14, Palette.REJECT, words);
            }
        }
        return lanesEnd + findings.size() * BRACKET;
    }

    /** What is known of the size: stretches that a blade or a mark tells, and the stations against what is wanted. */
    private void size(double top) {
        svg.text(
                GUTTER - 10,
                top + SIZE / 2 + 5,
                "end",
                15,
                Palette.TEXT,
                strip.bands().isEmpty() ? "read at" : "size");
        for (StripDrawing.Band band : strip.bands()) {
            boolean known = band.state() == StripDrawing.Size.GOES;
            double wide = (band.to() - band.from()) * scale;
            svg.path(
                    "M" + n(x(band.from())) + " " + n(top) + "h" + n(wide) + "v" + n(SIZE) + "h" + n(-wide) + "z",
                    fill(band.state()),
                    known ? Palette.ACCEPT : Palette.NONE,
                    1,
                    known ? "" : "stroke-dasharray=\"4 3\"");
            if (wide > band.label().length() * LETTER + 8 && strip.stations().isEmpty()) {
                svg.haloed(
                        x(band.from()) + wide / 2,
                        top + SIZE / 2 + 5,
                        "middle",
                        known ? Palette.ACCEPT : Palette.OPEN,
                        band.label());
            }
        }
        double wanted = top + SIZE / 3;
        if (strip.wanted() > 0 && strip.stations().stream().anyMatch(s -> s.size() > 0)) {
            svg.path(
                    "M" + n(GUTTER) + " " + n(wanted) + "H" + n(END),
                    "none",
                    Palette.CHALK_DEEP,
                    2,
                    "stroke-dasharray=\"8 5\"");
        }
        double free = -100;
        for (StripDrawing.Station st : strip.stations()) {
            String colour = st.rejects() ? Palette.REJECT : Palette.LAYOUT;
            double x = x(st.at());
            svg.path("M" + n(x) + " " + n(top - 3) + "l6 -8h-12z", colour, "none", 0);
            svg.path("M" + n(x) + " " + n(top - 3) + "v" + n(SIZE + 6), "none", colour, st.rejects() ? 2.5 : 1.5);
            if (st.size() > 0 && strip.wanted() > 0) {
                double y = wanted + (1 - st.size() / strip.wanted()) * SIZE * 1.6;
                svg.circle(x, Math.min(top + SIZE - 4, Math.max(top + 4, y)), 5, colour, Palette.PAPER, 1.5);
            }
            String label = (st.rejects() ? "✕ " : "") + st.sizeLabel();
            double begins = Math.min(x + 9, WIDTH - label.length() * LETTER);
            if (!st.sizeLabel().isEmpty() && begins > free) {
                svg.haloed(begins, top + SIZE - 7, "start", colour, label);
                free = begins + label.length() * LETTER + 4;
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
