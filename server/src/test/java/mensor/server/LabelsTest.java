package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.LuminanceSource;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.Result;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.multi.qrcode.QRCodeMultiReader;
import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Labels as they come from the printer, read back by a decoder, and what their links open. */
@ExtendWith(RunningMensor.class)
class LabelsTest {
    private final TestBrowser quinn = RunningMensor.as("quinn");
    private final TestBrowser ines = RunningMensor.as("ines");

    private static Set<String> read(BufferedImage page) throws Exception {
        int[] pixels = page.getRGB(0, 0, page.getWidth(), page.getHeight(), null, 0, page.getWidth());
        LuminanceSource light = new RGBLuminanceSource(page.getWidth(), page.getHeight(), pixels);
        return Arrays.stream(new QRCodeMultiReader()
                        .decodeMultiple(
                                new BinaryBitmap(new HybridBinarizer(light)), Map.of(DecodeHintType.TRY_HARDER, true)))
                .map(Result::getText)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void theCodeOnEachLabelOpensItsWeld() throws Exception {
        String job = "Labels " + UUID.randomUUID().toString().substring(0, 6);
        String id = quinn.post("/api/jobs", "{'name':'" + job + "','criteria':'d1.1-static','units':'in','terms':{}}")
                .expect(200)
                .json()
                .get("id")
                .asString();
        assertThat(quinn.get("/api/jobs/" + id + "/labels").status())
                .as("nothing to label")
                .isEqualTo(409);
        Set<String> welds = new TreeSet<>();
        for (String mark : new String[] {"LB-1", "LB-2", "LB-3"}) {
            String inspection = ines.inspection(mark, job);
            welds.add(ines.jointOf(inspection));
            assertThat(ines.get("/api/welds/" + ines.jointOf(inspection))
                            .expect(200)
                            .json()
                            .get("inspectionId")
                            .asString())
                    .isEqualTo(inspection.substring(inspection.lastIndexOf('/') + 1));
        }
        for (String sheet : new String[] {"A4_70_37", "A4_99_67", "LETTER_67_25", "LETTER_102_51"}) {
            try (var pdf = Loader.loadPDF(quinn.bytes("/api/jobs/" + id + "/labels?first=1&sheet=" + sheet))) {
                assertThat(pdf.getNumberOfPages()).as(sheet).isOne();
                assertThat(new PDFTextStripper().getText(pdf)).contains("LB-1", "LB-3", "datum");
                Set<String> links = read(new PDFRenderer(pdf).renderImageWithDPI(0, 300));
                assertThat(links.stream()
                                .map(l -> l.substring(l.lastIndexOf('/') + 1))
                                .collect(Collectors.toSet()))
                        .as(sheet)
                        .isEqualTo(welds);
                assertThat(links).allMatch(l -> l.contains("/welds/"));
            }
        }
        try (var pdf = Loader.loadPDF(quinn.bytes("/api/jobs/" + id + "/labels?first=7&sheet=A4_99_67"))) {
            assertThat(pdf.getNumberOfPages())
                    .as("the first sheet's last place, then a new one")
                    .isEqualTo(2);
        }
        assertThat(quinn.get("/api/jobs/" + id + "/labels?sheet=A0").status()).isEqualTo(400);
        assertThat(RunningMensor.as("vera")
                        .get("/api/welds/" + welds.iterator().next())
                        .status())
                .as("nothing is signed")
                .isEqualTo(403);
    }

    /** A temporary mark for each open rejected place: its number, from where to where, its ticket's code. */
    @Test
    void aMarkForEachRepairOpensItsTicket() throws Exception {
        String job = "Marks " + UUID.randomUUID().toString().substring(0, 6);
        String id = quinn.post("/api/jobs", "{'name':'" + job + "','criteria':'d1.1-static','units':'in','terms':{}}")
                .expect(200)
                .json()
                .get("id")
                .asString();
        assertThat(quinn.get("/api/jobs/" + id + "/repair-marks").expect(409).detail())
                .contains("nothing is to be repaired");
        String inspection = ines.inspection("LM-1", job);
        ines.sound(inspection);
        ines.add(inspection, "INDICATION", "'kind':'slag','from':'10','to':'11','trapped':true")
                .expect(200);
        ines.sign(inspection, "reject").expect(200);
        String defect = ines.get(inspection + "/defects")
                .json()
                .get("defects")
                .get(0)
                .get("id")
                .asString();
        try (var pdf = Loader.loadPDF(quinn.bytes("/api/jobs/" + id + "/repair-marks"))) {
            assertThat(new PDFTextStripper().getText(pdf).replace('\u00a0', ' '))
                    .contains("NC-1", "LM-1, 10–11 in", "not decided");
            assertThat(read(new PDFRenderer(pdf).renderImageWithDPI(0, 300)))
                    .singleElement()
                    .asString()
                    .endsWith("/defects/" + defect);
        }
    }
}
