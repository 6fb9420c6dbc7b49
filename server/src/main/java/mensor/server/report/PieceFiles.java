package mensor.server.report;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import mensor.server.testpiece.PieceForm;
import mensor.server.testpiece.PieceView;
import mensor.server.testpiece.PieceView.AimResultView;
import mensor.server.testpiece.PieceView.CardView;
import mensor.server.testpiece.PieceView.SeriesView;
import mensor.server.testpiece.Ratings;
import mensor.server.testpiece.SpecimenForm;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import tools.jackson.databind.json.JsonMapper;

/** Test pieces as open files: JSON ({@code mensor-test-piece/1}), a series as CSV too. */
final class PieceFiles {
    static final String FORMAT = "mensor-test-piece/1";

    private PieceFiles() {}

    /** @param piece as it was recorded; the rest is what it came to */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Document(
            String format,
            PieceForm piece,
            String welderName,
            String stage,
            List<AimResultView> aims,
            List<SpecimenResult> specimens,
            List<Ratings.RatingView> ratings,
            Double score,
            String verdict,
            List<String> why,
            boolean lesson) {}

    record SpecimenResult(SpecimenForm said, String verdict, List<String> lines, String by, String at) {}

    private static Document document(PieceView p) {
        return new Document(
                FORMAT,
                p.form(),
                p.welderName(),
                p.stage(),
                p.aims(),
                p.tests().stream()
                        .filter(t -> !t.withdrawn())
                        .map(t -> new SpecimenResult(t.said(), t.verdict(), t.lines(), t.by(), t.at().toString()))
                        .toList(),
                p.ratings(),
                p.score(),
                p.verdict(),
                p.why(),
                p.lesson());
    }

    static String json(PieceView p, JsonMapper json) {
        return json.writerWithDefaultPrettyPrinter().writeValueAsString(document(p));
    }

    static String json(List<PieceView> series, JsonMapper json) {
        return json.writerWithDefaultPrettyPrinter()
                .writeValueAsString(series.stream().map(PieceFiles::document).toList());
    }

    static String csv(SeriesView s) {
        StringWriter out = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(
                out,
                CSVFormat.DEFAULT
                        .builder()
                        .setHeader(
                                "piece",
                                "welded on",
                                "kind",
                                "drill",
                                "purpose",
                                "stage",
                                "settings",
                                "changed",
                                "score",
                                "seen",
                                "specimens",
                                "verdict",
                                "looks good, broke badly")
                        .get())) {
            for (CardView c : s.cards()) {
                csv.printRecord(
                        ReportFiles.harmless(c.piece().number()),
                        c.piece().made(),
                        c.piece().kind(),
                        ReportFiles.harmless(c.piece().drill()),
                        c.piece().purpose(),
                        c.piece().stage(),
                        ReportFiles.harmless(String.join(
                                "; ",
                                c.settings().stream()
                                        .map(x -> x.title() + " " + x.shown())
                                        .toList())),
                        ReportFiles.harmless(c.step()),
                        c.piece().score(),
                        String.join(
                                "; ",
                                c.faults().stream()
                                        .map(f -> f.count() + " " + f.fault())
                                        .toList()),
                        ReportFiles.harmless(String.join("; ", c.tests())),
                        c.piece().verdict(),
                        c.piece().lesson() ? "yes" : "no");
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }
}
