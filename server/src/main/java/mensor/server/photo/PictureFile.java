package mensor.server.photo;

import java.awt.Dimension;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import mensor.server.web.Desks;
import mensor.server.web.Refusal;
import net.coobird.thumbnailator.Thumbnails;

/**
 * A picture as it is kept: upright, and drawn anew from its points alone, so that nothing which the camera wrote beside
 * them (the place, the time, its owner) goes on.
 *
 * @param type image/png or image/jpeg, by its content
 * @param width points
 * @param height points
 */
public record PictureFile(String type, int width, int height, byte[] bytes, byte[] thumbnail) {
    /** The most that a file may hold: 10 MB. */
    public static final int MOST_BYTES = 10 * 1024 * 1024;

    /** A point takes four bytes, and a picture is there about six times while it is drawn anew. */
    private static final int BYTES_A_POINT = 24;

    /** At once at most so many: they share half of the memory. */
    private static final int DESKS = 2;

    private static final long MOST_POINTS =
            Math.min(50_000_000, Runtime.getRuntime().maxMemory() / 2 / DESKS / BYTES_A_POINT);
    private static final int THUMBNAIL = 160;
    private static final double QUALITY = 0.9;
    private static final String FIELD = "photo";

    private static final Desks OPEN =
            new Desks(DESKS, Duration.ofSeconds(60), "many pictures come in at this moment; send it again shortly");

    /** Reads what was sent; anything but a whole PNG or JPEG is refused in plain words. */
    public static PictureFile of(byte[] sent) {
        if (sent.length == 0) {
            throw Refusal.invalid(FIELD, "the picture is empty");
        }
        if (sent.length > MOST_BYTES) {
            throw Refusal.invalid(FIELD, "a picture has at most 10 MB; take it with fewer points, or crop it");
        }
        String format = format(sent).orElseThrow(() -> Refusal.invalid(FIELD, whatElse(sent)));
        checkSize(sent, format);
        try {
            return OPEN.at(() -> drawnAnew(sent, format));
        } catch (IOException | IllegalArgumentException e) {
            throw damaged(format);
        }
    }

    private static PictureFile drawnAnew(byte[] sent, String format) throws IOException {
        checkWhole(sent, format);
        byte[] clean = drawn(sent, format, 0);
        Dimension size = size(clean, format);
        return new PictureFile("image/" + format, size.width, size.height, clean, drawn(clean, "jpeg", THUMBNAIL));
    }

    private static Refusal damaged(String format) {
        return Refusal.invalid(
                FIELD, "this " + format.toUpperCase() + " is damaged or of a kind that cannot be opened");
    }

    private static Optional<String> format(byte[] b) {
        if (begins(b, 0xFF, 0xD8, 0xFF)) {
            return Optional.of("jpeg");
        }
        return begins(b, 0x89, 'P', 'N', 'G', 0x0D, 0x0A, 0x1A, 0x0A) ? Optional.of("png") : Optional.empty();
    }

    private static boolean begins(byte[] b, int... with) {
        for (int i = 0; i < with.length; i++) {
            if (b.length <= i || (b[i] & 0xFF) != with[i]) {
                return false;
            }
        }
        return true;
    }

    private static String whatElse(byte[] b) {
        boolean phone = b.length > 12 && b[4] == 'f' && b[5] == 't' && b[6] == 'y' && b[7] == 'p';
        return phone
                ? "this is a phone's own kind of picture; set the camera to JPEG, or send it as JPEG"
                : "this is no picture that is kept: a PNG or a JPEG is, whatever the file is called";
    }

    private static ImageReader reader(String format) {
        return ImageIO.getImageReadersByFormatName(format).next();
    }

    private static Dimension size(byte[] picture, String format) throws IOException {
        ImageReader reader = reader(format);
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(picture))) {
            reader.setInput(in, true, true);
            return new Dimension(reader.getWidth(0), reader.getHeight(0));
        } finally {
            reader.dispose();
        }
    }

    /** By its head alone, before room is made for its points. */
    private static void checkSize(byte[] picture, String format) {
        try {
            Dimension size = size(picture, format);
            if ((long) size.width * size.height > MOST_POINTS) {
                throw Refusal.invalid(
                        FIELD,
                        "a picture has at most " + MOST_POINTS / 1_000_000 + " million points; this one has "
                                + size.width + " × " + size.height);
            }
        } catch (IOException | IllegalArgumentException e) {
            throw damaged(format);
        }
    }

    /** Opened to its end: a file that broke off on the way would else be kept half grey. */
    private static void checkWhole(byte[] picture, String format) throws IOException {
        List<String> warnings = new ArrayList<>();
        ImageReader reader = reader(format);
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(picture))) {
            reader.setInput(in, true, true);
            reader.addIIOReadWarningListener((source, warning) -> warnings.add(warning));
            reader.read(0);
        } finally {
            reader.dispose();
        }
        if (warnings.stream().anyMatch(w -> w.toLowerCase().contains("premature"))) {
            throw new IOException(warnings.get(0));
        }
    }

    /** @param longest of the longer side in points; 0 keeps the size */
    private static byte[] drawn(byte[] picture, String format, int longest) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        var drawing = Thumbnails.of(new ByteArrayInputStream(picture)).outputFormat(format);
        if (longest == 0) {
            drawing.scale(1);
        } else {
            drawing.size(longest, longest);
        }
        if (format.equals("jpeg")) {
            drawing.outputQuality(QUALITY);
        }
        drawing.toOutputStream(out);
        return out.toByteArray();
    }
}
