package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A job's drawings with its welds pinned to them: drawn from PDF, moved, taken over by a revision that asks about what changed near a pin. */
@ExtendWith(RunningMensor.class)
class WeldMapTest {
    private final TestBrowser ines = RunningMensor.as("ines");

    /** A frame of lines; with a stiffener at the right where it is the later revision. */
    private static byte[] drawing(boolean later) throws IOException {
        BufferedImage image = new BufferedImage(1600, 1000, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, 1600, 1000);
        g.setColor(Color.BLACK);
        g.drawRect(100, 100, 1400, 800);
        g.drawLine(100, 500, 1500, 500);
        if (later) {
            g.drawLine(1200, 300, 1200, 700); // a hair line: a stiffener
        }
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    private static byte[] pdf(int pages) throws IOException {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            for (int i = 0; i < pages; i++) {
                PDPage page = new PDPage(new PDRectangle(1224, 792)); // 17 by 11 in
                document.addPage(page);
                try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                    content.addRect(306, 198, 612, 396);
                    content.fill();
                }
            }
            document.save(out);
            return out.toByteArray();
        }
    }

    private record Weld(String job, String joint, String mark) {}

    private Weld weld() {
        String mark = "MP-" + UUID.randomUUID().toString().substring(0, 8);
        String inspection = ines.inspection(mark);
        String joint =
                ines.get(inspection).expect(200).json().get("joint").get("id").asString();
        for (JsonNode row :
                ines.get("/api/joints?find=" + mark).expect(200).json().get("rows")) {
            return new Weld("/api/jobs/" + row.get("jobId").asString(), joint, mark);
        }
        throw new AssertionError(mark);
    }

    private static JsonNode sheet(JsonNode map, String id) {
        for (JsonNode s : map.get("sheets")) {
            if (s.get("id").asString().equals(id)) {
                return s;
            }
        }
        throw new AssertionError("no sheet " + id + " in " + map.get("sheets"));
    }

    private static JsonNode pin(JsonNode sheet, String joint) {
        for (JsonNode p : sheet.get("pins")) {
            if (p.get("joint").asString().equals(joint)) {
                return p;
            }
        }
        throw new AssertionError("no pin of " + joint);
    }

    @Test
    void aRevisionKeepsThePinsAndAsksAboutThoseNearWhatChanged() throws IOException {
        Weld near = weld();
        Weld far = weld();
        String first = UUID.randomUUID().toString();
        String map = near.job() + "/map";
        ines.putBytes(map + "/" + first + "?name=Plan&revision=A", drawing(false))
                .expect(200);
        ines.put(map + "/" + first + "/pins/" + near.joint(), "{'x':0.75,'y':0.5}")
                .expect(200);
        ines.put(map + "/" + first + "/pins/" + far.joint(), "{'x':0.1,'y':0.1}")
                .expect(200);
        ines.put(map + "/" + first + "/pins/" + far.joint(), "{'x':0.1,'y':1.1}")
                .expect(422);
        ines.put(map + "/" + first + "/pins/" + UUID.randomUUID(), "{'x':0.1,'y':0.1}")
                .expect(404);
        String second = UUID.randomUUID().toString();
        JsonNode after = ines.putBytes(map + "/" + second + "?name=Plan&revision=B&replaces=" + first, drawing(true))
                .expect(200)
                .json();
        JsonNode sheet = sheet(after, second);
        assertThat(after.get("sheets").toString()).doesNotContain(first);
        assertThat(sheet.get("before").get(0).asString()).isEqualTo("A");
        assertThat(pin(sheet, near.joint()).get("changedNear").asBoolean()).isTrue();
        assertThat(pin(sheet, near.joint()).get("x").asDouble()).isEqualTo(0.75);
        assertThat(pin(sheet, far.joint()).get("changedNear").asBoolean()).isFalse();
        JsonNode kept = ines.put(map + "/" + second + "/pins/" + near.joint(), "{'x':0.75,'y':0.5}")
                .expect(200)
                .json();
        assertThat(pin(sheet(kept, second), near.joint()).get("changedNear").asBoolean())
                .as("somebody looked")
                .isFalse();
        ines.putBytes(map + "/" + UUID.randomUUID() + "?name=Plan&revision=C&replaces=" + first, drawing(true))
                .expect(409);
        JsonNode off = ines.delete(map + "/" + second + "/pins/" + far.joint())
                .expect(200)
                .json();
        assertThat(sheet(off, second).get("pins")).hasSize(1);
        JsonNode taken = ines.delete(map + "/" + second).expect(200).json();
        assertThat(sheet(taken, first).get("revision").asString())
                .as("the one before stands again")
                .isEqualTo("A");
        ines.post(map + "/" + second + "/restore", "{}").expect(200);
    }

    @Test
    void thePagesOfAPdfAreDrawn() throws IOException {
        Weld weld = weld();
        String map = weld.job() + "/map";
        String id = UUID.randomUUID().toString();
        String name = "Set " + id.substring(0, 4);
        JsonNode after = ines.putBytes(map + "/" + id + "?name=" + name.replace(" ", "%20"), pdf(2))
                .expect(200)
                .json();
        assertThat(sheet(after, id).get("name").asString()).isEqualTo(name + ", page 1");
        assertThat(after.get("sheets").toString()).contains(name + ", page 2");
        BufferedImage drawn = ImageIO.read(new ByteArrayInputStream(ines.bytes(map + "/" + id + "/picture")));
        assertThat(drawn.getWidth()).isBetween(3190, 3200);
        assertThat(drawn.getRGB(1600, 1035) & 0xFFFFFF)
                .as("filled in the middle")
                .isZero();
        assertThat(drawn.getRGB(100, 100) & 0xFFFFFF).isEqualTo(0xFFFFFF);
        assertThat(ines.putBytes(map + "/" + UUID.randomUUID() + "?name=x", "%PDF-1.7 broken".getBytes())
                        .expect(422)
                        .detail())
                .contains("damaged");
        ines.putBytes(map + "/" + UUID.randomUUID() + "?name=x", pdf(21)).expect(422);
        ines.putBytes(map + "/" + UUID.randomUUID() + "?name=x", "no drawing".getBytes())
                .expect(422);
        ines.putBytes(map + "/" + UUID.randomUUID() + "?name=", pdf(1)).expect(422);
        RunningMensor.as("rufus")
                .putBytes(map + "/" + UUID.randomUUID() + "?name=x", pdf(1))
                .expect(403);
    }

    @Test
    void aWeldListPlacesItsWelds() throws IOException {
        Weld weld = weld();
        String map = weld.job() + "/map";
        String id = UUID.randomUUID().toString();
        String name = "Listed " + id.substring(0, 4);
        ines.putBytes(map + "/" + id + "?name=" + name.replace(" ", "%20"), drawing(false))
                .expect(200);
        JsonNode placed = ines.postText(
                        map + "/places",
                        "mark,length,sheet,x,y\n" + weld.mark() + ",24," + name + ",0.25,\"0,5\"\nXX-1,24," + name
                                + ",.1,.1\n" + weld.mark() + ",24,nowhere,.1,.1\n")
                .expect(200)
                .json();
        JsonNode pin = pin(sheet(placed.get("map"), id), weld.joint());
        assertThat(pin.get("x").asDouble()).isEqualTo(0.25);
        assertThat(pin.get("y").asDouble()).isEqualTo(0.5);
        assertThat(placed.get("left").toString()).contains("XX-1: no such weld", "no sheet is called nowhere");
        assertThat(ines.postText(map + "/places", "mark,length,sheet,x,y\nA,1," + name + ",7,0\n")
                        .expect(422)
                        .detail())
                .contains("line 2, x");
        for (JsonNode w : placed.get("map").get("welds")) {
            if (w.get("joint").asString().equals(weld.joint())) {
                assertThat(w.get("state").asString()).isEqualTo("NOT_INSPECTED");
            }
        }
        assertThat(new String(ines.bytes(map + "/report"), 0, 4, java.nio.charset.StandardCharsets.ISO_8859_1))
                .isEqualTo("%PDF");
        JsonNode vera = RunningMensor.as("vera").get(map).expect(200).json();
        assertThat(vera.toString()).as("a viewer sees no open weld").doesNotContain(weld.mark());
    }
}
