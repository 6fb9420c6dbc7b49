package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Reports are read back, by a PDF reader and a CSV reader that are not ours, and held against the signed record. */
@ExtendWith(RunningMensor.class)
class ReportTest {
    private final TestBrowser ines = RunningMensor.as("ines");

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document).replaceAll("[\\s\u00a0]+", " ");
        }
    }

    private String sound(String mark) {
        String inspection = ines.inspection(mark, "Reported lot");
        ines.sound(inspection);
        return inspection;
    }

    private String rejected(String mark) {
        String inspection = ines.inspection(mark);
        ines.sound(inspection);
        ines.add(inspection, "INDICATION", "'kind':'undercut','toe':'A','from':'3','to':'6','depth':'1/16'")
                .expect(200);
        ines.sign(inspection, "reject").expect(200);
        return inspection;
    }

    @Test
    void thePdfOfAWeldHoldsItsNumbersItsSumsAndDrawingsAsVectors() throws IOException {
        String inspection = rejected("=R1");
        JsonNode bench = ines.get(inspection).json();
        byte[] pdf = ines.bytes("/api/joints/" + ines.jointOf(inspection) + "/report");
        String text = text(pdf);
        JsonNode undercut = bench.get("evaluation")
                .get("findings")
                .valueStream()
                .filter(f -> f.get("id").asString().equals("undercut"))
                .findFirst()
                .orElseThrow();
        assertThat(text)
                .contains("=R1")
                .contains("✕ Reject")
                .contains(undercut.get("measured").asString())
                .contains(undercut.get("allowed").asString())
                .contains(undercut.get("citation").asString().substring("AWS D1.1/D1.1M, ".length()))
                .contains(bench.get("signature").get("sha256").asString())
                .contains("NC-")
                .contains("Undercut on the web toe at 3–6, 1/16 in")
                .contains("from memory");
        try (PDDocument document = Loader.loadPDF(pdf)) {
            for (PDPage page : document.getPages()) {
                for (COSName name : page.getResources().getXObjectNames()) {
                    assertThat(page.getResources().isImageXObject(name)).isFalse();
                }
                page.getResources()
                        .getFontNames()
                        .forEach(f -> assertThat(isEmbedded(page, f)).isTrue());
            }
        }
    }

    @Test
    void aRejectStandsFirstOnOnePageAndNoFractionIsBroken() throws IOException {
        String inspection = ines.inspection("R-ONE");
        ines.sound(inspection);
        for (int i = 0; i < 5; i++) {
            ines.add(
                            inspection,
                            "INDICATION",
                            "'kind':'undercut','toe':'A','from':'" + (2 + 4 * i) + " 15/16','to':'" + (4 + 4 * i)
                                    + " 13/16','depth':'1/16'")
                    .expect(200);
        }
        ines.add(inspection, "INDICATION", "'kind':'slag','from':'3 1/2','to':'3 11/16','trapped':true")
                .expect(200);
        ines.sign(inspection, "reject").expect(200);
        byte[] pdf = ines.bytes("/api/joints/" + ines.jointOf(inspection) + "/report");
        String text = text(pdf);
        assertThat(text.indexOf("✕ Reject", text.indexOf("Criterion")))
                .isPositive()
                .isLessThan(text.indexOf("✓ Accept"));
        assertThat(text.lastIndexOf("✕ Reject")).isLessThan(text.indexOf("✓ Accept"));
        List<String> lines;
        try (PDDocument document = Loader.loadPDF(pdf)) {
            lines = new PDFTextStripper()
                    .getText(document)
                    .lines()
                    .map(String::strip)
                    .toList();
        }
        assertThat(IntStream.range(1, lines.size())
                        .filter(i -> lines.get(i - 1).matches(".*\\d")
                                && lines.get(i).matches("\\d+/\\d.*"))
                        .mapToObj(lines::get))
                .as("a line that begins with the fraction of the number before it")
                .isEmpty();
        String simple = rejected("R-TWO");
        try (PDDocument document = Loader.loadPDF(ines.bytes("/api/joints/" + ines.jointOf(simple) + "/report"))) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
        }
    }

    private static boolean isEmbedded(PDPage page, COSName font) {
        try {
            return page.getResources().getFont(font).isEmbedded();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @Test
    void whatIsNotSignedIsNotReported() throws IOException {
        String inspection = ines.inspection("R2");
        ines.add(inspection, "INDICATION", "'kind':'crack','at':'5'").expect(200);
        String text = text(ines.bytes("/api/joints/" + ines.jointOf(inspection) + "/report"));
        assertThat(text).contains("Nothing is signed").doesNotContainIgnoringCase("crack");
    }

    /** A cell that begins with =, +, − or @ would be run by a spreadsheet (common knowledge of CSV injection). */
    @Test
    void theCsvHasTheSameNumbersAndNoCellThatASpreadsheetWouldRun() throws IOException {
        String inspection = rejected("=cmd|A1");
        String csv = ines.get("/api/joints/" + ines.jointOf(inspection) + "/report?as=csv")
                .text();
        List<CSVRecord> rows = CSVParser.parse(
                        new StringReader(csv),
                        CSVFormat.RFC4180
                                .builder()
                                .setHeader()
                                .setSkipHeaderRecord(true)
                                .get())
                .getRecords();
        for (CSVRecord row : rows) {
            row.forEach(cell -> assertThat(cell).doesNotStartWith("=").doesNotStartWith("-"));
            assertThat(row.get("mark")).startsWith("'=cmd");
        }
        CSVRecord undercut = rows.stream()
                .filter(r ->
                        r.get("criterion").equals("undercut") && r.get("row").equals("finding"))
                .findFirst()
                .orElseThrow();
        assertThat(undercut.get("verdict")).isEqualTo("reject");
        assertThat(undercut.get("sha256"))
                .isEqualTo(ines.get(inspection)
                        .json()
                        .get("signature")
                        .get("sha256")
                        .asString());
        assertThat(rows.stream().filter(r -> r.get("row").equals("defect")))
                .singleElement()
                .satisfies(d -> assertThat(d.get("non-conformance")).startsWith("NC-"));
    }

    @Test
    void theJsonIsOfItsOwnFormat() {
        String inspection = rejected("R4");
        JsonNode report = ines.get("/api/joints/" + ines.jointOf(inspection) + "/report?as=json")
                .json();
        assertThat(report.get("format").asString()).isEqualTo("mensor-report/2");
        JsonNode weld = report.get("welds").get(0);
        assertThat(weld.get("inspections").get(0).get("findings").size()).isGreaterThan(10);
        assertThat(weld.get("inspections").get(0).get("chainPlace").asInt()).isPositive();
        assertThat(weld.get("defects").get(0).get("words").asString()).contains("3–6");
        assertThat(ines.get("/api/joints/" + ines.jointOf(inspection) + "/report?as=doc")
                        .expect(422)
                        .detail())
                .contains("pdf, csv or json");
    }

    @Test
    void aLotIsReportedInTheBackgroundWithProgressAndCanBeStopped() throws Exception {
        RunningMensor.as("quinn")
                .post("/api/jobs", "{'name':'Reported lot','criteria':'d1.1-static','units':'in'}")
                .expect(200);
        for (int i = 0; i < 8; i++) {
            ines.sign(sound("R5-" + i), "accept").expect(200);
        }
        String inspection = ines.inspection("R5", "Reported lot");
        ines.sound(inspection);
        ines.add(inspection, "INDICATION", "'kind':'undercut','toe':'A','from':'3','to':'6','depth':'1/16'")
                .expect(200);
        ines.sign(inspection, "reject").expect(200);
        String job = ines.get("/api/joints?find=R5%20reported")
                .json()
                .get("rows")
                .get(0)
                .get("jobId")
                .asString();
        JsonNode begun = ines.post("/api/reports", "{'job':'" + job + "','as':'pdf'}")
                .expect(200)
                .json();
        JsonNode second = ines.post("/api/reports", "{'job':'" + job + "','as':'pdf'}")
                .expect(200)
                .json();
        String stopped = "/api/reports/" + second.get("id").asString();
        assertThat(ines.delete(stopped).expect(200).json().get("state").asString())
                .isIn("stopped", "running");
        String path = "/api/reports/" + begun.get("id").asString();
        JsonNode view = ines.get(path).json();
        int before = 0;
        for (int i = 0; i < 600 && !view.get("state").asString().equals("done"); i++) {
            assertThat(view.get("state").asString()).isIn("waiting", "running", "done");
            assertThat(view.get("done").asInt()).isGreaterThanOrEqualTo(before);
            before = view.get("done").asInt();
            Thread.sleep(100);
            view = ines.get(path).json();
        }
        assertThat(view.get("done").asInt()).isEqualTo(view.get("welds").asInt());
        String text = text(ines.bytes(path + "/file"));
        assertThat(text)
                .contains(view.get("welds").asInt() + " welds:")
                .contains("R5")
                .contains(ines.get(inspection)
                        .json()
                        .get("signature")
                        .get("sha256")
                        .asString());
        RunningMensor.as("tomas").get(path).expect(404);
        ines.get(stopped + "/file").expect(409);
        assertThat(ines.get(stopped).json().get("state").asString()).isEqualTo("stopped");
        ines.post("/api/reports", "{'job':'" + job + "','lot':'nowhere','as':'pdf'}")
                .expect(422);
    }

    @Test
    void theTicketIsPrintedOnA5WithThePlaceFromTheDatumAndWhatIsToBeRecorded() throws IOException {
        String inspection = rejected("R6");
        String defect = "/api/defects/"
                + ines.get(inspection + "/defects")
                        .json()
                        .get("defects")
                        .get(0)
                        .get("id")
                        .asString();
        RunningMensor.as("rufus")
                .put(defect + "/disposition", "{'decision':'add-metal'}")
                .expect(200);
        byte[] pdf = ines.bytes(defect + "/ticket.pdf");
        assertThat(text(pdf))
                .contains("3–6 in measured from the datum end")
                .contains("Add weld metal")
                .contains("Welded: welder, rods, preheat read, when")
                .contains("guard on");
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getPage(0).getMediaBox().getWidth() / 72 * 25.4f)
                    .isCloseTo(148f, org.assertj.core.api.Assertions.within(0.5f));
        }
        try (PDDocument document = Loader.loadPDF(ines.bytes(defect + "/ticket.pdf?paper=letter"))) {
            assertThat(document.getPage(0).getMediaBox().getWidth()).isEqualTo(612f);
        }
    }
}
