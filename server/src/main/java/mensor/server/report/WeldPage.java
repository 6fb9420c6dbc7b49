package mensor.server.report;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.drawing.SectionDrawing;
import mensor.judge.Judge;
import mensor.server.inspection.BenchView;
import mensor.server.inspection.BenchView.FindingView;
import mensor.server.repair.DefectsView.HoldView;
import mensor.server.repair.DefectsView.RecordedStep;
import mensor.server.repair.DefectsView.RejectedPlace;

/** A weld's report as markup for paper. */
final class WeldPage {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm 'UTC'").withZone(ZoneOffset.UTC);
    private static final int MOST_SECTIONS = 2;
    private static final double WIDE = 183;

    private WeldPage() {}

    static String time(Instant at) {
        return TIME.format(at);
    }

    static String verdict(String verdict) {
        return switch (verdict) {
            case "accept" -> "✓ Accept";
            case "reject" -> "✕ Reject";
            default ->
                "◌ " + Character.toUpperCase(verdict.charAt(0))
                        + verdict.substring(1).replace('-', ' ');
        };
    }

    static String joined(String between, Object... parts) {
        return Arrays.stream(parts)
                .filter(Objects::nonNull)
                .map(String::valueOf)
                .filter(p -> !p.isBlank())
                .collect(Collectors.joining(between));
    }

    private static String after(String before, String value) {
        return value == null || value.isBlank() ? null : before + value;
    }

    static String of(WeldReport w) {
        Html h = new Html();
        h.add("h1", w.name());
        h.add(
                "p",
                joined(" · ", w.inWords(), w.position(), after("welder ", w.welder()), after("procedure ", w.wps())));
        h.add(
                "p",
                "quiet",
                joined(
                        " · ",
                        w.job(),
                        w.lot(),
                        after("drawing ", joined(" rev ", w.drawing(), w.drawingRev())),
                        "places from the " + w.datum() + ", " + w.units()));
        if (w.inspections().isEmpty()) {
            h.add("p", "Nothing is signed of this weld; what is open is not reported.");
            return h.toString();
        }
        h.open("p").text("Stands: ").add("b", w.next()).close("p");
        w.inspections().forEach(l -> inspection(h, l));
        if (!w.defects().isEmpty()) {
            h.add("h2", "What was rejected, and what became of it");
            w.defects().forEach(d -> defect(h, d));
        }
        h.add("p", "sum", "This installation's journal of seals was at " + w.journal() + " when this was printed.");
        h.add(
                "p",
                "caution",
                "Visual inspection only: surface flaws only. Limits stand in Mensor from memory of the published code, the confidence beside"
                        + " each clause; the contract's own copy and the Engineer decide. Acceptance by eye is not release while MT, PT, UT or RT"
                        + " is due. Repair numbers are estimates. Local codes and licensed practice come first.");
        return h.toString();
    }

    private static void inspection(Html h, WeldReport.SignedInspection l) {
        BenchView b = l.bench();
        String stage = b.stage().equals("final") ? "Final inspection" : "Re-inspection after " + b.stage();
        h.add("h2", stage + ", " + b.capacity() + ", revision " + b.revision());
        h.open("table", "lay").open("tr").open("td", "told");
        h.add("p", "said " + l.verdict(), verdict(l.verdict()));
        h.add("p", b.joint().criteriaTitle() + ", " + b.joint().edition());
        if (b.reason() != null) {
            h.add("p", "Amended: " + b.reason());
        }
        if (b.again() != null) {
            h.add(
                    "p",
                    "Repaired " + b.again().repaired() + "; inspected "
                            + b.again().inspectAlong() + "; answers "
                            + String.join(", ", b.again().defects())
                            + ". Outside the repair the earlier inspection stands.");
        }
        h.add(
                "p",
                "quiet",
                joined(
                        " · ",
                        after("gauges ", String.join(", ", b.gaugeNames())),
                        after("light ", b.conditions().lightLevel()),
                        after("access ", b.conditions().access()),
                        after("contract: ", String.join("; ", b.contract().lines())),
                        after("further tests due: ", String.join(", ", b.due()))));
        h.close("td").open("td", "seen");
        sections(b).forEach(s -> {
            h.add("p", "small", s.read() ? "Section read at " + s.at() : "Section as drawn");
            h.drawing(SectionOnPaper.of(s, 60));
        });
        h.close("td").close("tr").close("table");
        List<StripOnPaper.WorkedStretch> worked = b.again() == null
                ? List.of()
                : b.again().spans().stream()
                        .map(s -> new StripOnPaper.WorkedStretch(s.from(), s.to()))
                        .toList();
        strip(h, StripOnPaper.of(b.strip(), worked, WIDE));
        l.scans().forEach(s -> ScanOnPaper.add(h, s, b.strip(), WIDE));
        findings(h, b);
        // the cautions that hold for every weld stand at the report's end
        List<String> notes = b.evaluation().notes().stream()
                .filter(n -> !Judge.CAUTIONS.contains(n))
                .toList();
        if (!notes.isEmpty()) {
            h.open("ul");
            notes.forEach(n -> h.add("li", "small", n));
            h.close("ul");
        }
        h.open("div", "box");
        h.add(
                "p",
                joined(
                        " · ",
                        "Signed " + l.verdict() + " by " + l.signedBy(),
                        after("certificate ", l.certificate()),
                        b.capacity(),
                        time(l.signedAt())));
        if (l.elsewhere() != null) {
            h.add("p", "strong", "This record was " + l.elsewhere() + ". It is no accept of this shop.");
        }
        h.add("p", "sum", "SHA-256 " + l.sha256());
        h.add(
                "p",
                "sum",
                "record " + l.chainPlace() + " of the job"
                        + (l.previousSha256() == null ? ", the first" : "; chained to " + l.previousSha256()));
        h.close("div");
    }

    /** The strip, and under it what had no room on it. */
    static void strip(Html h, StripOnPaper.Drawn drawn) {
        h.drawing(drawn.svg());
        if (!drawn.unlettered().isEmpty()) {
            h.add(
                    "p",
                    "small",
                    "Also there, without room to letter it: " + String.join("; ", drawn.unlettered()) + ".");
        }
    }

    /** Of many stations those that reject, else the first: paper has room for few. */
    private static List<SectionDrawing> sections(BenchView b) {
        if (b.sections().isEmpty()) {
            return List.of(b.drawn());
        }
        List<SectionDrawing> low = b.sections().stream()
                .filter(s -> s.dimensions().stream().anyMatch(SectionDrawing.Dimension::low)
                        || s.notches().stream().anyMatch(SectionDrawing.Notch::rejects))
                .limit(MOST_SECTIONS)
                .toList();
        return low.isEmpty() ? List.of(b.sections().get(0)) : low;
    }

    /** A column of the findings; one in which nothing stands is left out. */
    private record Column(String head, String style, Function<FindingView, String> text) {
        boolean says(List<FindingView> findings) {
            return findings.stream()
                    .anyMatch(f -> text.apply(f) != null && !text.apply(f).isBlank());
        }
    }

    private static void findings(Html h, BenchView b) {
        List<FindingView> findings = worstFirst(b);
        String code = commonBegin(findings);
        List<Column> columns = Stream.of(
                        new Column("Allowed", "", FindingView::allowed),
                        new Column("Margin", "nobreak", FindingView::margin),
                        new Column("Place", "nobreak", FindingView::span),
                        new Column(
                                "Clause" + (code.isEmpty() ? "" : " of " + code.substring(0, code.length() - 2))
                                        + ", confidence",
                                "clause",
                                f -> f.citation().substring(code.length()) + ", " + f.confidence()))
                .filter(c -> c.says(findings))
                .toList();
        h.open("table", "findings").open("thead");
        h.row(
                "th",
                Stream.concat(
                                Stream.of("Criterion", "Verdict", "Measured"),
                                columns.stream().map(Column::head))
                        .toList());
        h.close("thead").open("tbody");
        for (FindingView f : findings) {
            h.open("tr");
            h.add("td", f.title());
            h.add("td", "nobreak " + f.verdict(), verdict(f.verdict()));
            h.open("td");
            boolean rejects = f.verdict().equals("reject");
            if (!rejects || !f.reason().startsWith(f.measured())) {
                h.text(f.measured());
            }
            if (rejects) {
                h.add("p", "why", f.reason());
            }
            h.close("td");
            columns.forEach(c -> h.add(
                    "td", c.style(), c.text().apply(f) == null ? "" : c.text().apply(f)));
            h.close("tr");
        }
        h.close("tbody").close("table");
        List<String> out = b.evaluation().findings().stream()
                .filter(f -> f.verdict().equals("not-applicable"))
                .map(f -> f.title().toLowerCase(Locale.ROOT))
                .toList();
        if (!out.isEmpty()) {
            h.add("p", "small", "Not applicable: " + String.join(", ", out) + ".");
        }
    }

    /** The code that all clauses begin with, as "AWS D1.1/D1.1M, "; empty where they differ. */
    private static String commonBegin(List<FindingView> findings) {
        String first = findings.isEmpty() ? "" : findings.get(0).citation();
        String code = first.substring(0, first.indexOf(", ") + 1 > 0 ? first.indexOf(", ") + 2 : 0);
        return findings.stream().allMatch(f -> f.citation().startsWith(code)) ? code : "";
    }

    /** What rejects, then what was not inspected, then the rest; each as the code orders them. */
    private static List<FindingView> worstFirst(BenchView b) {
        List<String> order = List.of("reject", "incomplete", "accept");
        return b.evaluation().findings().stream()
                .filter(f -> order.contains(f.verdict()))
                .sorted(Comparator.comparingInt(f -> order.indexOf(f.verdict())))
                .toList();
    }

    static void defect(Html h, RejectedPlace d) {
        h.add("h3", d.number() + ": " + d.words());
        h.add(
                "p",
                joined(
                        " · ",
                        "Rejected " + time(d.raisedAt()) + " by " + d.raisedBy(),
                        d.notified() == null
                                ? "nobody noted who was notified"
                                : "notified: " + d.notified() + ", " + time(d.notifiedAt()),
                        d.disposition() == null
                                ? "not decided yet"
                                : "decided by " + d.decidedBy() + ": " + joined(", ", d.dispositionTitle(), d.note()),
                        "repair " + d.cycle() + " of this place",
                        d.closedWhy() == null
                                ? d.stateTitle()
                                : "closed " + time(d.closedAt()) + ": " + d.closedWhy()));
        d.holds().forEach(x -> h.add("p", x.open() ? "hold" : "small", hold(x)));
        List<String> done = new ArrayList<>();
        d.steps().forEach(s -> done.add(step(s)));
        if (!done.isEmpty()) {
            h.open("ol");
            done.forEach(s -> h.add("li", s));
            h.close("ol");
        }
    }

    static String hold(HoldView x) {
        if (x.open()) {
            return "On hold: " + x.words();
        }
        return x.deniedWhy() != null
                ? x.words() + ": not so, " + x.deniedWhy() + " (" + x.by() + ")"
                : x.words() + ": the Engineer's document " + x.documentNo() + ", " + x.documentBy() + ", "
                        + x.documentDate() + " (recorded by " + x.by() + ")";
    }

    static String step(RecordedStep s) {
        return Stream.of(
                        "repair " + s.cycle() + ", " + s.title().toLowerCase(Locale.ROOT) + ": "
                                + String.join(", ", s.said()) + " (" + s.by() + ", " + time(s.at()) + ")",
                        s.warnings().isEmpty() ? "" : "Warning: " + String.join("; ", s.warnings()),
                        s.withdrawnWhy() == null ? "" : "Taken back by " + s.withdrawnWhy())
                .filter(t -> !t.isEmpty())
                .collect(Collectors.joining(". "));
    }

    /** A weld on the first page of many: what stands, without its drawings. */
    record Line(String name, String inWords, String welder, String verdict, String next, String defects) {
        static Line of(WeldReport w) {
            return new Line(
                    w.name(),
                    w.inWords(),
                    w.welder(),
                    w.verdict(),
                    w.next(),
                    w.defects().stream()
                            .map(d -> d.number() + " " + d.stateTitle().toLowerCase(Locale.ROOT))
                            .collect(Collectors.joining(", ")));
        }

        boolean is(String wanted) {
            return verdict.equals(wanted);
        }
    }

    /** The first page of many welds: each with what stands. */
    static String summary(String title, List<Line> welds) {
        Html h = new Html();
        h.add("h1", title);
        long accepted = welds.stream().filter(w -> w.is("accept")).count();
        long rejected = welds.stream().filter(w -> w.is("reject")).count();
        h.add(
                "p",
                welds.size() + " welds: " + accepted + " accepted, " + rejected + " rejected, "
                        + (welds.size() - accepted - rejected) + " without a signed inspection");
        h.open("table").open("thead");
        h.row("th", List.of("Weld", "What it is", "Welder", "Last signed inspection", "Stands", "Non-conformances"));
        h.close("thead").open("tbody");
        for (Line w : welds) {
            boolean signed = w.is("accept") || w.is("reject");
            h.row(
                    "td",
                    Arrays.asList(
                            w.name(),
                            w.inWords(),
                            w.welder(),
                            signed ? verdict(w.verdict()) : w.verdict(),
                            w.next(),
                            w.defects()));
        }
        h.close("tbody").close("table");
        return h.toString();
    }
}
