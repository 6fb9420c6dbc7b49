package mensor.server.report;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import mensor.server.inspection.BenchView;
import mensor.server.inspection.BenchView.FindingView;
import mensor.server.repair.DefectsView.RejectedPlace;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.json.JsonMapper;

/** The report as open files: CSV, a row for each finding and each rejected place, and JSON ({@code mensor-report/2}). */
final class ReportFiles {
    static final String FORMAT = "mensor-report/2";
    private static final String[] COLUMNS = {
        "row",
        "job",
        "lot",
        "mark",
        "weld",
        "side",
        "stage",
        "capacity",
        "revision",
        "book",
        "edition",
        "criterion",
        "verdict",
        "measured",
        "allowed",
        "margin",
        "place",
        "clause",
        "confidence",
        "reason",
        "gauges",
        "signed by",
        "certificate",
        "signed at",
        "sha256",
        "chain place",
        "previous sha256",
        "non-conformance",
        "disposition",
        "cycle",
        "state",
        "notified",
        "done",
        "documents"
    };

    private ReportFiles() {}

    /** A cell that a spreadsheet would run as a formula, also behind blanks and line ends, is made text by a quote before it. */
    static String harmless(Object cell) {
        String s = cell == null ? "" : String.valueOf(cell);
        String begin = s.stripLeading();
        boolean formula = !begin.isEmpty() && "=+-@".indexOf(begin.charAt(0)) >= 0;
        return formula || !s.isEmpty() && "\t\r\n".indexOf(s.charAt(0)) >= 0 ? "'" + s : s;
    }

    static String csv(WeldReport weld) {
        StringWriter out = new StringWriter();
        try (Csv csv = new Csv(out)) {
            csv.add(weld);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /** Written as it grows; closing ends it. */
    static final class Csv implements ReportRuns.Pages {
        private final CSVPrinter csv;

        Csv(Writer out) throws IOException {
            csv = new CSVPrinter(
                    out, CSVFormat.RFC4180.builder().setHeader(COLUMNS).get());
        }

        @Override
        public void add(WeldReport w) throws IOException {
            for (WeldReport.SignedInspection l : w.inspections()) {
                for (FindingView f : l.bench().evaluation().findings()) {
                    row(csv, finding(w, l, f));
                }
            }
            for (RejectedPlace d : w.defects()) {
                row(csv, defect(w, d));
            }
        }

        @Override
        public void end() throws IOException {
            csv.flush();
        }

        @Override
        public void close() throws IOException {
            csv.close();
        }
    }

    private static void row(CSVPrinter csv, Object[] cells) throws IOException {
        csv.printRecord(Arrays.stream(cells).map(ReportFiles::harmless).toList());
    }

    private static Object[] finding(WeldReport w, WeldReport.SignedInspection l, FindingView f) {
        BenchView b = l.bench();
        return new Object[] {
            "finding",
            w.job(),
            w.lot(),
            w.mark(),
            w.weldNo(),
            w.side(),
            b.stage(),
            b.capacity(),
            b.revision(),
            b.joint().criteria(),
            b.joint().edition(),
            f.id(),
            f.verdict(),
            f.measured(),
            f.allowed(),
            f.margin(),
            f.span(),
            f.citation(),
            f.confidence(),
            f.reason(),
            String.join(", ", b.gaugeNames()),
            l.elsewhere() == null ? l.signedBy() : l.signedBy() + ", " + l.elsewhere(),
            l.certificate(),
            l.signedAt(),
            l.sha256(),
            l.chainPlace(),
            l.previousSha256(),
            "",
            "",
            "",
            "",
            "",
            "",
            ""
        };
    }

    private static Object[] defect(WeldReport w, RejectedPlace d) {
        return new Object[] {
            "defect",
            w.job(),
            w.lot(),
            w.mark(),
            w.weldNo(),
            w.side(),
            "",
            "",
            "",
            "",
            "",
            d.finding(),
            "",
            "",
            "",
            "",
            d.place(),
            "",
            "",
            d.words(),
            "",
            "",
            "",
            "",
            "",
            "",
            "",
            d.number(),
            d.dispositionTitle(),
            d.cycle(),
            d.stateTitle(),
            d.notified(),
            String.join(" | ", d.steps().stream().map(WeldPage::step).toList()),
            String.join(" | ", d.holds().stream().map(WeldPage::hold).toList())
        };
    }

    @JsonInclude(JsonInclude.Include.NON_NULL)
    private record Weld(
            String job,
            String lot,
            String mark,
            String weldNo,
            String side,
            String inWords,
            String position,
            String welder,
            String wps,
            String drawing,
            String drawingRev,
            String datum,
            String units,
            String stands,
            List<InspectionRow> inspections,
            List<RejectedPlace> defects) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    private record InspectionRow(
            String stage,
            String capacity,
            int revision,
            String verdict,
            String book,
            String edition,
            List<String> gauges,
            String repaired,
            List<FindingView> findings,
            List<String> notes,
            String signedBy,
            String signedElsewhere,
            String certificate,
            Instant signedAt,
            String sha256,
            int chainPlace,
            String previousSha256,
            List<ScanRow> scans) {}

    /** A scan that the inspection was signed with: its file by name and sum. */
    private record ScanRow(String name, String sha256, String scanner, String state, String measuredBy) {}

    static String json(WeldReport weld, Instant made, JsonMapper json) {
        StringWriter out = new StringWriter();
        try (Json document = new Json(out, made, json)) {
            document.add(weld);
            document.end();
        }
        return out.toString();
    }

    /** The whole report, written as it grows. */
    static final class Json implements ReportRuns.Pages {
        private final JsonGenerator out;

        Json(Writer to, Instant made, JsonMapper json) {
            out = json.writerWithDefaultPrettyPrinter().createGenerator(to);
            out.writeStartObject();
            out.writeStringProperty("format", FORMAT);
            out.writePOJOProperty("made", made);
            out.writeArrayPropertyStart("welds");
        }

        @Override
        public void add(WeldReport w) {
            out.writePOJO(weld(w));
        }

        @Override
        public void end() {
            out.writeEndArray();
            out.writeEndObject();
        }

        @Override
        public void close() {
            out.close();
        }
    }

    private static Weld weld(WeldReport w) {
        return new Weld(
                w.job(),
                w.lot(),
                w.mark(),
                w.weldNo(),
                w.side(),
                w.inWords(),
                w.position(),
                w.welder(),
                w.wps(),
                w.drawing(),
                w.drawingRev(),
                w.datum(),
                w.units(),
                w.next(),
                w.inspections().stream().map(ReportFiles::inspection).toList(),
                w.defects());
    }

    private static InspectionRow inspection(WeldReport.SignedInspection l) {
        BenchView b = l.bench();
        return new InspectionRow(
                b.stage(),
                b.capacity(),
                b.revision(),
                l.verdict(),
                b.joint().criteria(),
                b.joint().edition(),
                b.gaugeNames(),
                b.again() == null ? null : b.again().repaired(),
                b.evaluation().findings(),
                b.evaluation().notes(),
                l.signedBy(),
                l.elsewhere(),
                l.certificate(),
                l.signedAt(),
                l.sha256(),
                l.chainPlace(),
                l.previousSha256(),
                l.scans().stream()
                        .map(ScanOnPaper.PrintedScan::scan)
                        .map(s -> new ScanRow(s.name(), s.sha256(), s.gauge(), s.state(), s.measuredBy()))
                        .toList());
    }
}
