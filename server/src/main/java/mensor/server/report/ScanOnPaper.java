package mensor.server.report;

import static mensor.server.report.Svg.n;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import mensor.drawing.StripDrawing;
import mensor.length.Unit;
import mensor.server.scan.ScanView;
import mensor.server.scan.ScanView.LinesView;
import mensor.server.scan.ScanView.ReachView;
import mensor.server.scan.ScanView.ScannedLineView;

/** What a scan measured, to the scale of the strip above it: each line beside the limit it is held against, hatched where it did not measure. */
final class ScanOnPaper {
    private static final double MM_PER_INCH = 25.4;
    private static final double RULER = 30;
    private static final double PANEL = 74;
    private static final double GAP = 16;
    private static final List<String> DASHES = List.of("", "stroke-dasharray=\"5 3\"");

    private final LinesView lines;
    private final StripDrawing strip;
    private final boolean inches;
    private final double scale;
    private final Svg svg = new Svg();

    /**
     * A scan of a signed inspection.
     *
     * @param units of the job, in which it is told
     * @param lines absent where they cannot be drawn any more
     */
    record PrintedScan(ScanView scan, String units, LinesView lines) {}

    private ScanOnPaper(LinesView lines, StripDrawing strip, boolean inches) {
        this.lines = lines;
        this.strip = strip;
        this.inches = inches;
        this.scale = (StripOnPaper.END - StripOnPaper.GUTTER) / lines.length();
    }

    static void add(Html h, PrintedScan printed, StripDrawing strip, double millimetres) {
        ScanView scan = printed.scan();
        boolean inches = Unit.INCH.symbol().equals(printed.units());
        h.add(
                "p",
                WeldPage.joined(
                        " · ",
                        "Scan " + scan.name(),
                        scan.gauge() == null ? scan.device() : scan.gauge(),
                        scan.profiles() == 0 ? null : scan.profiles() + " profiles",
                        scan.state().equals("measured") ? "measured by " + scan.measuredBy() : scan.state()));
        if (printed.lines() != null) {
            ScanOnPaper paper = new ScanOnPaper(printed.lines(), strip, inches);
            if (!paper.panels().isEmpty()) {
                h.drawing(paper.drawn(millimetres));
                h.add("p", "small", String.join("; ", paper.extremes()) + ".");
            }
        }
        if (!scan.holes().isEmpty()) {
            h.add("p", "small", "Not measured: " + String.join("; ", scan.holes()) + ".");
        }
        h.add("p", "sum", "the scan's file: SHA-256 " + scan.sha256());
    }

    private double x(double mm) {
        return StripOnPaper.GUTTER + mm * scale;
    }

    private String shown(double mm) {
        return inches
                ? String.format(Locale.ROOT, "%.3f in", mm / MM_PER_INCH)
                : String.format(Locale.ROOT, "%.2f mm", mm);
    }

    /** What is held against one limit stands in one panel. */
    private List<List<ScannedLineView>> panels() {
        Map<String, List<ScannedLineView>> panels = new LinkedHashMap<>();
        for (ScannedLineView l : lines.lines()) {
            if (l.limit() != null && Arrays.stream(l.values()).anyMatch(Objects::nonNull)) {
                panels.computeIfAbsent(what(l), k -> new ArrayList<>()).add(l);
            }
        }
        return List.copyOf(panels.values());
    }

    /** The worst of each line, and where. */
    private List<String> extremes() {
        List<String> said = new ArrayList<>();
        for (List<ScannedLineView> panel : panels()) {
            for (ScannedLineView l : panel) {
                int worst = -1;
                for (int i = 0; i < l.values().length; i++) {
                    Double v = l.values()[i];
                    if (v != null && (worst < 0 || (l.least() ? v < l.values()[worst] : v > l.values()[worst]))) {
                        worst = i;
                    }
                }
                String value = shown(l.values()[worst]);
                said.add(l.title()
                        + (l.least() ? " at least " : " at most ")
                        + value
                        + (value.equals(shown(0)) ? "" : ", at " + shown(lines.s()[worst])));
            }
        }
        return said;
    }

    private String drawn(double millimetres) {
        svg.hatches();
        for (StripDrawing.Tick t : strip.ticks()) {
            if (!t.label().isEmpty()) {
                svg.path("M" + n(x(t.at())) + " " + n(RULER - 8) + "v5", "none", Palette.TEXT, 1);
            }
        }
        double top = RULER;
        for (List<ScannedLineView> panel : panels()) {
            panel(panel, top);
            top += PANEL + GAP;
        }
        return svg.page(StripOnPaper.WIDTH, top, millimetres);
    }

    private void panel(List<ScannedLineView> panel, double top) {
        double limit = panel.get(0).limit();
        double least = Math.min(limit, least(panel));
        double most = Math.max(limit, most(panel));
        double room = Math.max(most - least, limit / 10) / 8;
        double from = least - room;
        double perMm = PANEL / (most + room - from);
        double width = StripOnPaper.END - StripOnPaper.GUTTER;
        svg.box(StripOnPaper.GUTTER, top, width, PANEL, Palette.PAPER, Palette.LINE, "1");
        for (ReachView hole : lines.holes()) {
            svg.box(x(hole.from()), top, (hole.to() - hole.from()) * scale, PANEL, "url(#untried)", "none", "1");
        }
        String what = what(panel.get(0));
        for (int i = 0; i < panel.size(); i++) {
            svg.path(
                    line(panel.get(i), y -> top + PANEL - (y - from) * perMm),
                    "none",
                    Palette.TEXT,
                    1.2,
                    DASHES.get(i % DASHES.size()));
            String name = panel.get(i).title();
            String toe = panel.size() == 1 ? "" : name.substring(what.length()).strip();
            beside(
                    top + 28 + 16 * (i + (panel.size() == 1 ? 0 : 1)),
                    Palette.TEXT,
                    (toe.isEmpty() ? name : toe) + (i == 0 ? " ——" : " – –"));
        }
        double at = top + PANEL - (limit - from) * perMm;
        svg.path("M" + n(StripOnPaper.GUTTER) + " " + n(at) + "H" + n(StripOnPaper.END), "none", Palette.REJECT, 1.5);
        beside(
                top + 12,
                Palette.REJECT,
                panel.get(0).limitWords() + (panel.get(0).least() ? " wanted" : " at most"));
        if (panel.size() > 1) {
            beside(top + 28, Palette.TEXT, what);
        }
    }

    private void beside(double y, String colour, String words) {
        svg.text(StripOnPaper.GUTTER - 8, y, "end", 13, colour, words);
    }

    /** What the lines of one panel are, by their first word: leg, undercut. */
    private static String what(ScannedLineView line) {
        return line.title().split(" ")[0];
    }

    /** A line breaks where nothing was measured. */
    private String line(ScannedLineView l, java.util.function.DoubleUnaryOperator y) {
        StringBuilder d = new StringBuilder();
        boolean pen = false;
        for (int i = 0; i < l.values().length; i++) {
            Double v = l.values()[i];
            boolean broken = i > 0 && inHole(lines.s()[i - 1], lines.s()[i]);
            if (v != null) {
                d.append(pen && !broken ? 'L' : 'M')
                        .append(n(x(lines.s()[i])))
                        .append(' ')
                        .append(n(y.applyAsDouble(v)));
            }
            pen = v != null;
        }
        return d.toString();
    }

    private boolean inHole(double from, double to) {
        return lines.holes().stream().anyMatch(h -> h.from() < to && h.to() > from);
    }

    private static double least(List<ScannedLineView> panel) {
        return values(panel).stream().mapToDouble(v -> v).min().orElseThrow();
    }

    private static double most(List<ScannedLineView> panel) {
        return values(panel).stream().mapToDouble(v -> v).max().orElseThrow();
    }

    private static List<Double> values(List<ScannedLineView> panel) {
        return panel.stream()
                .flatMap(l -> Arrays.stream(l.values()))
                .filter(Objects::nonNull)
                .collect(Collectors.toList());
    }
}
