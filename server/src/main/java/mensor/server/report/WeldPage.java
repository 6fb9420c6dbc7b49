package mensor.server.report;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.drawing.SectionDrawing;
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
        List<StripOnPaper.WorkedStretch> worked = b.again() == null
                ? List.of()
                : b.again().spans().stream()
                        .map(s -> new StripOnPaper.WorkedStretch(s.from(), s.to()))
                        .toList();
        h.drawing(StripOnPaper.of(b.strip(), worked, 183));
        sections(b).forEach(s -> {
            h.add("p", "small", s.read() ? "Section read at " + s.at() : "Section as drawn");
            h.drawing(SectionOnPaper.of(s, 84));
        });
        findings(h, b);
        h.open("ul");
        b.evaluation().notes().forEach(n -> h.add("li", "small", n));
        h.close("ul");
        h.open("div", "box");
        h.add(
                "p",
                joined(
                        " · ",
                        "Signed " + l.verdict() + " by " + l.signedBy(),
                        after("certificate ", l.certificate()),
                        b.capacity(),
                        time(l.signedAt())));
        h.add("p", "sum", "SHA-256 " + l.sha256());
        h.add(
                "p",
                "sum",
                "record " + l.chainPlace() + " of the job"
                        + (l.previousSha256() == null ? ", the first" : "; chained to " + l.previousSha256()));
        h.close("div");
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

    private static void findings(Html h, BenchView b) {
        h.open("table").open("thead");
        h.row("th", List.of("Criterion", "Verdict", "Measured", "Allowed", "Margin", "Place", "Clause, confidence"));
        h.close("thead").open("tbody");
        for (FindingView f : b.evaluation().findings()) {
            if (f.verdict().equals("not-applicable")) {
                continue;
            }
            h.open("tr");
            h.add("td", f.title());
            h.add("td", "nobreak " + f.verdict(), verdict(f.verdict()));
            h.open("td").text(f.measured());
            if (f.verdict().equals("reject")) {
                h.add("p", "small", f.reason());
            }
            h.close("td");
            h.add("td", f.allowed());
            h.add("td", "nobreak", f.margin());
            h.add("td", "nobreak", f.span() == null ? "" : f.span());
            h.add("td", f.citation() + ", " + f.confidence());
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

    static void defect(Html h, RejectedPlace d) {
        h.add("h3", d.number() + ": " + d.words());
        h.add(
                "p",
                joined(
                        ". ",
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
