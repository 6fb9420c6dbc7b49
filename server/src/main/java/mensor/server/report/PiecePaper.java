package mensor.server.report;

import java.util.Base64;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;
import mensor.server.photo.PictureFile;
import mensor.server.testpiece.PieceView;
import mensor.server.testpiece.PieceView.CardView;
import mensor.server.testpiece.PieceView.SeriesView;
import mensor.server.testpiece.PieceView.SettingView;
import mensor.server.testpiece.Ratings;
import mensor.server.testpiece.Specimens.SpecimenView;
import mensor.server.testpiece.TestPieceView;
import mensor.server.welder.WelderForm;
import mensor.server.welder.Welders;
import mensor.weld.Day;
import mensor.weld.Range;
import org.jspecify.annotations.Nullable;

/** Test pieces on paper: the record of one, a welder's series, and what a welder is qualified for. */
final class PiecePaper {
    private static final double WIDE = 640;
    private static final double HIGH = 150;
    private static final String CAUTION =
            "A score is for learning; it is not pass or fail. Limits, cutting places and ranges are from memory: check against your copy "
                    + "of the code. The quality manager confirms what a piece qualifies.";

    private PiecePaper() {}

    /**
     * @param cut of a piece that is at the bench; absent where there is none
     * @param settings as shown
     */
    static String of(
            PieceView p, List<SettingView> settings, @Nullable TestPieceView cut, Function<UUID, PictureFile> picture) {
        Html h = new Html();
        h.add("h1", "Test piece " + p.form().number());
        h.add(
                "p",
                WeldPage.joined(
                        " · ",
                        p.kindTitle(),
                        "welder " + p.welderName(),
                        "for " + p.form().purpose(),
                        p.drill() == null ? null : p.drill().title(),
                        Day.shown(p.form().made()),
                        p.form().instructor() == null
                                ? null
                                : "with " + p.form().instructor()));
        h.add("p", "said " + (p.verdict() == null ? "" : p.verdict()), decision(p));
        list(h, p.why());
        if (p.retest() != null) {
            h.add("p", p.retest());
        }
        if (p.lesson()) {
            h.add("p", "hold", "It looks good and broke badly: the eye alone would have passed it.");
        }
        pictures(h, p.pictures(), picture);
        h.add("h2", "How it was made");
        h.add(
                "p",
                settings.isEmpty()
                        ? "not noted"
                        : String.join(
                                " · ",
                                settings.stream()
                                        .map(s -> s.title() + " " + s.shown())
                                        .toList()));
        if (cut != null) {
            h.add("h2", "Where it is cut");
            cut.cuts()
                    .forEach(c -> h.add(
                            "p",
                            c.name() + " at " + c.shown() + (c.byClock() == null ? "" : " (" + c.byClock() + ")")));
            list(h, cut.problems());
            h.add("p", "small", cut.citation());
        }
        if (!p.aims().isEmpty()) {
            h.add("h2", "Aims of the drill");
            p.aims()
                    .forEach(a -> h.add(
                            "p",
                            a.title() + ": " + (a.read() == null ? "not measured" : a.read()) + " (" + a.limit() + "; "
                                    + met(a.verdict()) + ")"));
        }
        seen(h, p);
        tests(h, p.tests());
        scores(h, p.ratings());
        if (p.form().note() != null) {
            h.add("h2", "Note");
            h.add("p", p.form().note());
        }
        h.add("p", "caution", CAUTION);
        return h.toString();
    }

    private static String decision(PieceView p) {
        if (p.verdict() == null) {
            return "Neither a code nor a drill judges it";
        }
        boolean byCode = p.jointId() != null || p.tests().stream().anyMatch(t -> !t.withdrawn());
        return byCode
                ? Character.toUpperCase(p.verdict().charAt(0)) + p.verdict().substring(1)
                : switch (p.verdict()) {
                    case "accept" -> "Aims met";
                    case "reject" -> "An aim is missed";
                    default -> "Aims not all measured";
                };
    }

    private static String met(String verdict) {
        return switch (verdict) {
            case "accept" -> "met";
            case "reject" -> "missed";
            default -> "open";
        };
    }

    private static void list(Html h, List<String> lines) {
        if (!lines.isEmpty()) {
            h.open("ul");
            lines.forEach(l -> h.add("li", l));
            h.close("ul");
        }
    }

    private static void pictures(Html h, List<UUID> ids, Function<UUID, PictureFile> picture) {
        if (ids.isEmpty()) {
            return;
        }
        h.open("p");
        ids.stream()
                .limit(4)
                .forEach(id -> h.raw("<img style=\"height: 42mm; margin-right: 3mm\" src=\"data:image/jpeg;base64,"
                        + Base64.getEncoder().encodeToString(picture.apply(id).thumbnail()) + "\"/>"));
        h.close("p");
    }

    private static void seen(Html h, PieceView p) {
        h.add("h2", "By eye");
        if (p.visual() != null) {
            h.add("p", "At the bench: " + p.visual());
        }
        p.faults().forEach(f -> h.add("p", f.count() + " × " + f.fault() + (f.rate() == null ? "" : ", " + f.rate())));
        if (p.faults().isEmpty() && p.visual() == null) {
            h.add("p", Boolean.TRUE.equals(p.form().inspected()) ? "no fault seen" : "not inspected");
        }
    }

    private static void tests(Html h, List<SpecimenView> tests) {
        List<SpecimenView> standing = tests.stream().filter(t -> !t.withdrawn()).toList();
        if (standing.isEmpty()) {
            return;
        }
        h.add("h2", "Specimens");
        h.open("table");
        for (SpecimenView t : standing) {
            h.open("tr");
            h.add("td", t.specimen());
            h.add("td", t.verdict(), t.verdict());
            h.add("td", String.join("; ", t.lines()));
            h.add("td", "small", t.by());
            h.close("tr");
        }
        h.close("table");
        h.add("p", "small", standing.get(0).citation());
    }

    private static void scores(Html h, List<Ratings.RatingView> ratings) {
        if (ratings.isEmpty()) {
            return;
        }
        h.add("h2", "Score");
        for (Ratings.RatingView r : ratings) {
            h.open("p").add("b", r.by() + ": " + r.sum() + " of 10");
            h.text(" "
                    + String.join(
                            " · ",
                            r.points().stream()
                                    .map(x -> x.title() + " " + x.points() + "/" + x.most())
                                    .toList())
                    + (r.reasons().isEmpty() ? "" : ". " + String.join(" ", r.reasons())));
            h.close("p");
        }
    }

    static String of(SeriesView s) {
        Html h = new Html();
        h.add("h1", "Series of " + s.name());
        h.add("p", s.cards().size() + " pieces");
        h.drawing(curve(s));
        if (s.next() != null) {
            h.open("p").add("b", "Change next: " + s.next().words());
            h.text(" (" + s.next().why() + ")").close("p");
        }
        if (s.lessons() > 0) {
            h.add("p", "hold", s.lessons() + " looked good and broke badly.");
        }
        h.open("table").open("tr");
        List.of("Piece", "Welded on", "What", "What was changed", "Score", "Seen", "Specimens")
                .forEach(t -> h.add("th", t));
        h.close("tr");
        for (CardView c : s.cards()) {
            h.open("tr");
            h.add("td", c.piece().number());
            h.add("td", "nobreak", Day.shown(c.piece().made()));
            h.add("td", c.piece().drill() == null ? c.piece().kind() : c.piece().drill());
            h.add("td", c.step());
            h.add("td", c.piece().score() == null ? "–" : Range.plain(c.piece().score()));
            h.add(
                    "td",
                    String.join(
                            ", ",
                            c.faults().stream()
                                    .map(f -> f.count() + " " + f.fault())
                                    .toList()));
            h.add("td", String.join(", ", c.tests()) + (c.piece().lesson() ? " (looks good, broke badly)" : ""));
            h.close("tr");
        }
        h.close("table");
        h.add("p", "caution", CAUTION);
        return h.toString();
    }

    /** The scores in order. */
    private static String curve(SeriesView s) {
        Svg svg = new Svg();
        double left = 30;
        double step = (WIDE - 2 * left) / Math.max(1, s.cards().size() - 1);
        for (int n = 0; n <= 10; n += 2) {
            double y = y(n);
            svg.path("M" + Svg.n(left) + " " + Svg.n(y) + "H" + Svg.n(WIDE - left), "none", Palette.LINE, 0.7);
            svg.text(left - 6, y + 4, "end", 11, Palette.QUIET, String.valueOf(n));
        }
        StringBuilder d = new StringBuilder();
        boolean gap = true;
        for (int i = 0; i < s.cards().size(); i++) {
            Double score = s.cards().get(i).piece().score();
            if (score == null) {
                gap = true;
                continue;
            }
            d.append(gap ? 'M' : 'L').append(Svg.n(left + i * step)).append(' ').append(Svg.n(y(score)));
            gap = false;
        }
        svg.path(d.length() == 0 ? "M0 0" : d.toString(), "none", Palette.TEXT, 1.6);
        for (int i = 0; i < s.cards().size(); i++) {
            CardView c = s.cards().get(i);
            svg.text(
                    left + i * step,
                    HIGH - 2,
                    "middle",
                    11,
                    Palette.QUIET,
                    c.piece().number());
            if (c.piece().score() != null) {
                svg.circle(left + i * step, y(c.piece().score()), 3.5, Palette.TEXT, Palette.PAPER, 1);
            }
        }
        return svg.page(WIDE, HIGH, 180);
    }

    private static double y(double score) {
        return HIGH - 20 - score * (HIGH - 34) / 10;
    }

    /** @param pieces the welder's test pieces */
    static String of(Welders.WelderView w, SeriesView pieces) {
        Html h = new Html();
        h.add("h1", "Welder qualification record: " + w.form().stamp());
        h.add("p", w.form().name());
        h.add("h2", "What the welder is qualified for");
        h.open("table").open("tr");
        List.of("Rods", "Tested in", "Thickness", "Pipe from", "Backing", "Tested on", "Last used", "Stands")
                .forEach(t -> h.add("th", t));
        h.close("tr");
        for (int i = 0; i < w.form().tests().size(); i++) {
            WelderForm.WelderTest t = w.form().tests().get(i);
            h.open("tr");
            h.add("td", "F1 to F" + t.group());
            h.add("td", t.position());
            h.add("td", t.thickest() == null ? "any" : "up to " + t.thickest());
            h.add("td", t.leastDiameter() == null ? "any" : t.leastDiameter());
            h.add("td", Boolean.TRUE.equals(t.backing()) ? "with backing" : "with or without");
            h.add("td", "nobreak", Day.shown(t.tested()));
            h.add("td", "nobreak", t.lastUsed() == null ? "" : Day.shown(t.lastUsed()));
            String lapsed = w.lapsed().get(i);
            h.add("td", lapsed.isEmpty() ? "accept" : "reject", lapsed.isEmpty() ? "in force" : lapsed);
            h.close("tr");
        }
        h.close("table");
        if (w.form().tests().isEmpty()) {
            h.add("p", "no test is on record");
        }
        h.add("h2", "Test pieces");
        pieces.cards()
                .forEach(c -> h.add(
                        "p",
                        WeldPage.joined(
                                " · ",
                                c.piece().number(),
                                Day.shown(c.piece().made()),
                                c.piece().kind(),
                                "for " + c.piece().purpose(),
                                c.piece().verdict() == null
                                        ? "not judged"
                                        : c.piece().verdict(),
                                String.join(", ", c.tests()))));
        if (pieces.cards().isEmpty()) {
            h.add("p", "none is on record");
        }
        h.open("div", "line").close("div");
        h.add("p", "small", "Confirmed by the quality manager: name, signature, day");
        h.add("p", "caution", CAUTION + " A qualification lapses after six months without use (from memory).");
        return h.toString();
    }
}
