package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.UUID;
import javax.imageio.ImageIO;
import mensor.server.TestBrowser.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Pictures of an inspection. The layout of Exif within a JPEG (APP1, TIFF tags 0x0112 and 0x8825) is CIPA DC-008's, from memory. */
@ExtendWith(RunningMensor.class)
class PhotosTest {
    private static final String WHERE = "GPS 51 30 12.3 N";

    private final TestBrowser ines = RunningMensor.as("ines");

    static byte[] picture(String format, int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.ORANGE);
        g.fillRect(0, 0, width / 2, height);
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, format, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** A JPEG as a camera writes it: turned by a quarter (orientation 6), with a GPS block that names its place. */
    private static byte[] fromACamera() {
        byte[] plain = picture("jpeg", 64, 32);
        ByteBuffer tiff = ByteBuffer.allocate(200);
        tiff.put("MM\0*".getBytes(StandardCharsets.US_ASCII)).putInt(8).putShort((short) 2);
        tiff.putShort((short) 0x0112)
                .putShort((short) 3)
                .putInt(1)
                .putShort((short) 6)
                .putShort((short) 0);
        tiff.putShort((short) 0x8825).putShort((short) 4).putInt(1).putInt(38);
        tiff.putInt(0);
        tiff.putShort((short) 1)
                .putShort((short) 0x001B)
                .putShort((short) 7)
                .putInt(WHERE.length())
                .putInt(56)
                .putInt(0);
        tiff.put(WHERE.getBytes(StandardCharsets.US_ASCII));
        byte[] body = Arrays.copyOf(tiff.array(), tiff.position());
        ByteBuffer out = ByteBuffer.allocate(plain.length + body.length + 10);
        out.put(plain, 0, 2).put((byte) 0xFF).put((byte) 0xE1).putShort((short) (body.length + 8));
        out.put("Exif\0\0".getBytes(StandardCharsets.US_ASCII)).put(body).put(plain, 2, plain.length - 2);
        return out.array();
    }

    private Answer put(String inspection, String where, byte[] bytes) {
        return ines.putBytes(inspection + "/photos/" + UUID.randomUUID() + "?" + where, bytes);
    }

    private static JsonNode only(Answer a) {
        JsonNode photos = a.expect(200).json().get("photos");
        assertThat(photos.size()).isEqualTo(1);
        return photos.get(0);
    }

    @Test
    void aCamerasPictureIsKeptUprightWithoutItsPlace() throws IOException {
        byte[] sent = fromACamera();
        assertThat(new String(sent, StandardCharsets.ISO_8859_1)).contains(WHERE);
        String inspection = ines.inspection("PH-1");
        JsonNode photo = only(put(inspection, "at=7%201/2", sent));
        assertThat(photo.get("at").asDouble()).isEqualTo(190.5);
        byte[] kept = ines.bytes(inspection + "/photos/" + photo.get("id").asString());
        assertThat(new String(kept, StandardCharsets.ISO_8859_1))
                .doesNotContain("GPS")
                .doesNotContain("Exif");
        BufferedImage shown = ImageIO.read(new ByteArrayInputStream(kept));
        assertThat(shown.getWidth()).as("turned upright").isEqualTo(32);
        assertThat(shown.getHeight()).isEqualTo(64);
        assertThat(new Color(shown.getRGB(16, 4)).getRed())
                .as("its left half is above now")
                .isGreaterThan(200);
    }

    @ParameterizedTest
    @ValueSource(strings = {"png", "jpeg"})
    void aPictureIsToldByItsContentAndShownSmall(String format) throws IOException {
        String inspection = ines.inspection("PH-2" + format);
        String photo = inspection + "/photos/"
                + only(put(inspection, "at=3", picture(format, 900, 600)))
                        .get("id")
                        .asString();
        BufferedImage small = ImageIO.read(new ByteArrayInputStream(ines.bytes(photo + "/thumbnail")));
        assertThat(small.getWidth()).isEqualTo(160);
        assertThat(ImageIO.read(new ByteArrayInputStream(ines.bytes(photo))).getWidth())
                .isEqualTo(900);
        assertThat(ines.get(photo).response().headers().firstValue("Content-Type"))
                .hasValue("image/" + format);
    }

    @Test
    void whatIsNoPictureIsRefusedPlainly() {
        String inspection = ines.inspection("PH-3");
        byte[] whole = picture("jpeg", 400, 400);
        assertThat(put(inspection, "at=3", "GIF89a and more".getBytes(StandardCharsets.US_ASCII))
                        .expect(422)
                        .detail())
                .contains("a PNG or a JPEG");
        assertThat(put(inspection, "at=3", "<svg onload='x'/>".getBytes(StandardCharsets.US_ASCII))
                        .expect(422)
                        .detail())
                .contains("no picture");
        assertThat(put(inspection, "at=3", Arrays.copyOf(whole, whole.length / 2))
                        .expect(422)
                        .detail())
                .contains("damaged");
        byte[] png = picture("png", 400, 400);
        assertThat(put(inspection, "at=3", Arrays.copyOf(png, png.length / 2))
                        .expect(422)
                        .detail())
                .contains("damaged");
        assertThat(put(inspection, "at=3", new byte[0]).expect(422).detail()).contains("empty");
        byte[] big = Arrays.copyOf(whole, 10 * 1024 * 1024 + 1);
        assertThat(put(inspection, "at=3", big).expect(422).detail()).contains("at most 10 MB");
        byte[] phone = "\0\0\0\u0018ftypheic\0\0\0\0mif1".getBytes(StandardCharsets.ISO_8859_1);
        assertThat(put(inspection, "at=3", phone).expect(422).detail()).contains("set the camera to JPEG");
        assertThat(ines.get(inspection).json().get("photos").isEmpty()).isTrue();
    }

    @Test
    void aPlaceMustLieOnTheWeld() {
        String inspection = ines.inspection("PH-4");
        byte[] p = picture("png", 20, 20);
        assertThat(put(inspection, "at=25", p).expect(422).detail()).startsWith("at: ");
        assertThat(put(inspection, "at=three", p).expect(422).detail()).contains("not a length");
        assertThat(put(inspection, "", p).expect(422).detail()).contains("a place of the weld, or one entry");
        put(inspection, "entry=" + UUID.randomUUID(), p).expect(404);
    }

    @Test
    void sentTwiceItStandsOnceAndUndoTakesItOff() {
        String inspection = ines.inspection("PH-5");
        ines.add(inspection, "INDICATION", "'kind':'undercut','toe':'A','from':'12','to':'14','depth':'1/32'")
                .expect(200);
        String entry =
                ines.get(inspection).json().get("entries").get(0).get("id").asString();
        String path = inspection + "/photos/" + UUID.randomUUID();
        byte[] p = picture("png", 20, 20);
        ines.putBytes(path + "?entry=" + entry, p).expect(200);
        JsonNode photo = only(ines.putBytes(path + "?entry=" + entry, p));
        assertThat(photo.get("at").asDouble()).as("where its undercut begins").isEqualTo(304.8);
        assertThat(only(ines.delete(path)).get("withdrawn").asBoolean()).isTrue();
        assertThat(only(ines.post(path + "/restore", null)).get("withdrawn").asBoolean())
                .isFalse();
    }

    @Test
    void aSignedRecordNamesItsPicturesAndARevisionCarriesThem() {
        String inspection = ines.inspection("PH-6");
        ines.sound(inspection);
        put(inspection, "at=3", picture("png", 20, 20)).expect(200);
        ines.sign(inspection, "accept").expect(200);
        assertThat(ines.get(inspection + "/record").text()).containsPattern("\"photos\":\"[0-9a-f]{64}\"");
        put(inspection, "at=4", picture("png", 20, 20)).expect(409);
        Answer next = ines.post(inspection + "/amend", "{'reason':'a second picture'}")
                .expect(200);
        assertThat(next.json().get("photos").size()).isEqualTo(1);
        String revision = "/api/inspections/" + next.json().get("id").asString();
        ines.bytes(revision + "/photos/"
                + next.json().get("photos").get(0).get("id").asString());
    }

    @Test
    void everyChangeGivesAInspectionAnotherVersion() {
        String inspection = ines.inspection("PH-7");
        long before = ines.get(inspection + "/version")
                .expect(200)
                .json()
                .get("version")
                .asLong();
        ines.add(inspection, "INDICATION", "'kind':'undercut','toe':'A','from':'12','to':'14','depth':'1/64'")
                .expect(200);
        JsonNode entry = ines.get(inspection).json().get("entries").get(0);
        long first = ines.get(inspection + "/version").json().get("version").asLong();
        assertThat(first).isGreaterThan(before);
        ines.put(
                        inspection + "/entries/" + entry.get("id").asString(),
                        "{'kind':'INDICATION','version':" + entry.get("version").asLong()
                                + ",'content':{'kind':'undercut','toe':'A','from':'12','to':'15','depth':'1/64'}}")
                .expect(200);
        assertThat(ines.get(inspection + "/version").json().get("version").asLong())
                .as("one entry changed, the verdict stayed")
                .isGreaterThan(first);
        assertThat(ines.get(inspection).json().get("version").asLong())
                .isEqualTo(
                        ines.get(inspection + "/version").json().get("version").asLong());
    }
}
