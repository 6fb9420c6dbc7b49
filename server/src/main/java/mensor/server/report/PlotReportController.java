package mensor.server.report;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.rejectrate.PlotScope;
import mensor.server.rejectrate.Plots;
import mensor.server.rejectrate.PlotsView;
import mensor.server.rejectrate.PlotsView.Mark;
import mensor.server.rejectrate.PlotsView.PlotPointView;
import mensor.server.rejectrate.PlotsView.PlotView;
import mensor.server.spreadsheet.Spreadsheet;
import mensor.server.web.Refusal;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The plots on paper, each with its question, its answer and its table; the tables as a list. */
@RestController
class PlotReportController {
    /** Longer tables are cut on paper; the list has all rows. */
    private static final int MOST_ROWS = 40;

    private final Plots plots;

    PlotReportController(Plots plots) {
        this.plots = plots;
    }

    @GetMapping("/api/plots/report")
    ResponseEntity<byte[]> report(
            @AuthenticationPrincipal Actor actor,
            @RequestParam(defaultValue = "pdf") String as,
            @RequestParam(required = false) Paper paper,
            @RequestParam(required = false) UUID job,
            @RequestParam(required = false) String welder,
            @RequestParam(required = false) String procedure,
            @RequestParam(required = false) LocalDate from,
            @RequestParam(required = false) LocalDate to) {
        PlotsView all = plots.of(actor, new PlotScope(job, welder, procedure, from, to));
        String title = "Where to act, " + all.of();
        return switch (as) {
            case "csv" -> ReportController.answer(csv(all).getBytes(StandardCharsets.UTF_8), as, title);
            case "xlsx" -> ReportController.answer(Spreadsheet.of(csv(all), "plots"), as, title);
            case "pdf" ->
                ReportController.answer(
                        (paper == null ? Paper.usual("in") : paper).print(title, title, page(all)), as, title);
            default -> throw Refusal.invalid("as", "pdf, csv or xlsx");
        };
    }

    private static String page(PlotsView all) {
        Html h = new Html();
        h.add("h1", "Where to act");
        h.add("p", "Of " + all.of() + ". \u25b3 too few to say, \u25cf off by more than chance.");
        for (PlotView p : all.plots()) {
            h.open("div", "keep");
            h.add("h2", p.question());
            if (!p.points().isEmpty()) {
                h.drawing(PlotOnPaper.of(p));
            }
            h.open("p", p.enough() ? "answer" : "quiet").add("b", p.answer()).close("p");
            h.close("div");
            if (!p.points().isEmpty()) {
                h.open("table").row("th", p.columns());
                p.points().stream().limit(MOST_ROWS).forEach(x -> h.row("td", marked(x)));
                h.close("table");
                if (p.points().size() > MOST_ROWS) {
                    h.add(
                            "p",
                            "small",
                            "The first " + MOST_ROWS + " of " + p.points().size() + " rows.");
                }
            }
            h.add("p", "small", p.note());
        }
        h.add(
                "p",
                "caution",
                "Signed QC inspections, the last one of each weld, and the rejects raised from them. Positions, lengths and joints differ between "
                        + "welders: a rate is where to look, not a judgement of a person.");
        return h.toString();
    }

    /** What is marked has a shape before its name: too few to say, or off. */
    private static List<String> marked(PlotPointView x) {
        if (x.mark() == null) {
            return x.cells();
        }
        List<String> cells = new ArrayList<>(x.cells());
        cells.set(0, (x.mark() == Mark.FEW ? "\u25b3 " : "\u25cf ") + cells.get(0));
        return cells;
    }

    private static String csv(PlotsView all) {
        StringWriter out = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.DEFAULT)) {
            for (PlotView p : all.plots()) {
                csv.printRecord(p.question(), p.answer());
                csv.printRecord(p.columns());
                for (PlotPointView x : p.points()) {
                    csv.printRecord(x.cells());
                }
                csv.println();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }
}
