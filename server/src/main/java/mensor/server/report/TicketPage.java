package mensor.server.report;

import java.util.List;
import mensor.server.repair.DefectsView;
import mensor.server.repair.DefectsView.RejectedPlace;
import mensor.server.repair.DefectsView.TicketView;
import org.jspecify.annotations.Nullable;

/** The repair ticket on paper: where, what to do in order, and lines for what must be recorded. */
final class TicketPage {
    private TicketPage() {}

    static String of(TicketView t, boolean small) {
        RejectedPlace d = t.defect();
        Html h = new Html();
        h.add("h1", d.number() + ", " + t.mark() + (t.weldNo() == null ? "" : " weld " + t.weldNo()));
        h.add("p", WeldPage.joined(" · ", t.inWords(), t.side() == null ? null : t.side() + " side", t.job(), t.lot()));
        h.add("p", "quiet", WeldPage.joined(" · ", t.drawing(), t.wps(), "weld " + t.length() + " long"));
        h.add(
                "p",
                "place",
                d.place() == null
                        ? "the whole weld"
                        : d.place() + " " + t.units() + (d.byClock() == null ? "" : " · " + d.byClock() + " o’clock"));
        h.add("p", "measured from the " + t.datum());
        h.add("p", d.words() + (d.cycle() > 1 ? "; repair " + d.cycle() + " of this place" : ""));
        List<StripOnPaper.WorkedStretch> worked =
                t.from() == null ? List.of() : List.of(new StripOnPaper.WorkedStretch(t.from(), t.to()));
        WeldPage.strip(h, StripOnPaper.of(t.strip(), worked, small ? 121 : 186));
        h.drawing(SectionOnPaper.of(t.section(), small ? 70 : 95));
        h.open("p").text("Decided: ").add("b", d.disposition() == null ? "not yet" : d.dispositionTitle());
        h.text(d.note() == null ? "" : ", " + d.note()).close("p");
        d.holds().stream().filter(x -> x.open()).forEach(x -> h.add("p", "hold", WeldPage.hold(x)));
        if (d.plan() != null) {
            h.add("h2", "In this order");
            h.open("ol");
            d.plan().steps().forEach(s -> h.add("li", s));
            h.close("ol");
            if (d.plan().numbers() != null) {
                var n = d.plan().numbers();
                h.add("p", "Estimates: " + rods(n.rods()) + Math.round(n.grams()) + " g of metal.");
            }
        }
        if (!d.steps().isEmpty()) {
            h.add("h2", "Recorded so far");
            h.open("ol");
            d.steps().forEach(s -> h.add("li", WeldPage.step(s)));
            h.close("ol");
        }
        toRecord(h, d);
        h.add("h2", "Protection");
        h.open("ul");
        t.protection().forEach(line -> h.add("li", line));
        h.close("ul");
        h.add("p", "caution", String.join(" ", t.cautions()));
        return h.toString();
    }

    /** A line to write on for each step that is still to come. */
    private static void toRecord(Html h, RejectedPlace d) {
        List<String> lines = d.route().stream()
                .filter(s -> !s.reached() && !s.id().equals("closed"))
                .map(s -> switch (s.id()) {
                    case "extent-known" -> "Extent known: from, to, how found";
                    case "excavated" -> "Excavated: from, to, method, depth";
                    case "cavity-accepted" -> "Cavity accepted: clean, inspected by, proof and report";
                    case "welded" -> "Welded: welder, rods, preheat read, when";
                    default -> "Ready to inspect: cleaned, cooled";
                })
                .toList();
        if (lines.isEmpty()) {
            return;
        }
        h.add("h2", "To be recorded");
        for (String line : lines) {
            h.add("p", line);
            h.open("div", "line").close("div");
        }
    }

    private static String rods(DefectsView.@Nullable RepairRods r) {
        return r == null
                ? "the rod is not recorded; "
                : r.count() + (r.count() == 1 ? " rod " : " rods ") + r.diameter() + " " + r.electrode() + ", "
                        + r.beads() + (r.beads() == 1 ? " bead, " : " beads, ") + (int) Math.ceil(r.arcMinutes())
                        + " min of arc, about " + Math.round(r.workHours() * 10) / 10.0 + " h of welding work; ";
    }
}
