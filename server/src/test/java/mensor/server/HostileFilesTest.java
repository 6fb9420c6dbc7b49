package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.UUID;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Files made to take the server's memory or its time: each is answered in words, and the next one is read as ever. */
@ExtendWith(RunningMensor.class)
class HostileFilesTest {
    private final TestBrowser ines = RunningMensor.as("ines");

    @TempDir
    Path folder;

    private static byte[] sheet() throws IOException {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            try (Workbook book = new Workbook(out, "test", "1.0")) {
                Worksheet welds = book.newWorksheet("welds");
                welds.value(0, 0, "mark");
                welds.value(1, 0, 24);
            }
            return out.toByteArray();
        }
    }

    /** The spreadsheet with something else in one of its parts. */
    private byte[] altered(String part, String from, String to) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        boolean found = false;
        try (ZipFile in = new ZipFile(
                        Files.write(folder.resolve("sheet.xlsx"), sheet()).toFile());
                ZipOutputStream zip = new ZipOutputStream(out)) {
            for (ZipEntry e : Collections.list(in.entries())) {
                String text = new String(in.getInputStream(e).readAllBytes(), StandardCharsets.UTF_8);
                if (e.getName().endsWith(part)) {
                    found |= text.contains(from);
                    text = text.replace(from, to);
                }
                zip.putNextEntry(new ZipEntry(e.getName()));
                zip.write(text.getBytes(StandardCharsets.UTF_8));
            }
        }
        assertThat(found).as("%s has %s", part, from).isTrue();
        return out.toByteArray();
    }

    @ParameterizedTest
    @CsvSource({
        "sheet1.xml, <v>0</v>, <v>99999999</v>",
        "sheet1.xml, <v>0</v>, <v>-1</v>",
        "sheet1.xml, <v>24</v>, <v>1e999999999</v>",
        "sheet1.xml, <v>24</v>, <v>1e-999999999</v>",
        "sheet1.xml, <v>24</v>, <v>noon</v>",
        "sheet1.xml, A2, ZZZZZZZZ1",
        "sheet1.xml, <v>24</v>, <v>24",
        "workbook.xml, <sheets>, <sheet",
        "sharedStrings.xml, <si>, <sj>"
    })
    void aSpreadsheetThatIsNoneIsAnsweredInWords(String part, String from, String to) throws IOException {
        var answer = ines.postBytes("/api/tables", altered(part, from, to));
        assertThat(answer.status()).isIn(200, 422);
        assertThat(answer.text()).doesNotContain("Exception", "java.", "/tmp").hasSizeLessThan(500);
        assertThat(ines.postBytes("/api/tables", sheet()).expect(200).text()).contains("24");
    }

    private static byte[] pdf(float width, int pixels) throws IOException {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PDPage page = new PDPage(new PDRectangle(width, 500));
            document.addPage(page);
            if (pixels > 0) {
                ByteArrayOutputStream points = new ByteArrayOutputStream();
                try (DeflaterOutputStream packed = new DeflaterOutputStream(points)) {
                    packed.write(new byte[(pixels + 7) / 8 * pixels]);
                }
                PDImageXObject white = new PDImageXObject(
                        document,
                        new ByteArrayInputStream(points.toByteArray()),
                        COSName.FLATE_DECODE,
                        pixels,
                        pixels,
                        1,
                        PDDeviceGray.INSTANCE);
                try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                    content.drawImage(white, 0, 0, 400, 400);
                }
            }
            document.save(out);
            return out.toByteArray();
        }
    }

    private String map() {
        String job = ines.post(
                        "/api/jobs",
                        "{'name':'Hostile " + UUID.randomUUID() + "','criteria':'d1.1-static','units':'in'}")
                .expect(200)
                .json()
                .get("id")
                .asString();
        return "/api/jobs/" + job + "/map/";
    }

    /** A picture of 20,000 × 20,000 points in 49 kB of PDF, and a page of 14 km. */
    @Test
    void aDrawingTooLargeToBeDrawnIsAnsweredAndTheNextOneDrawn() throws IOException {
        String map = map();
        byte[] huge = pdf(500, 20_000);
        assertThat(huge).hasSizeLessThan(100_000);
        assertThat(ines.putBytes(map + UUID.randomUUID() + "?name=huge", huge)
                        .expect(422)
                        .detail())
                .contains("more than 250 million points");
        assertThat(ines.putBytes(map + UUID.randomUUID() + "?name=long", pdf(1e9f, 0))
                        .expect(422)
                        .detail())
                .contains("up to 5 m long");
        ines.putBytes(map + UUID.randomUUID() + "?name=good", pdf(500, 10)).expect(200);
    }
}
