package mensor.server.weldmap;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import mensor.server.photo.PictureFile;
import mensor.server.web.Desks;
import mensor.server.web.Refusal;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** A drawing as pictures: a PNG or JPEG as it is, of a PDF each page. */
final class DrawingPages {
    private static final String FIELD = "drawing";
    private static final int MOST_PAGES = 20;

    /** Points along the longer side: a line of a drawing is still seen on a sheet of 1 m. */
    private static final int LONG_SIDE = 3200;

    private static final float MOST_DPI = 300;
    private static final float POINTS_PER_INCH = 72;

    private static final Desks OPEN =
            new Desks(1, Duration.ofSeconds(60), "other drawings come in at this moment; send it again shortly");

    static List<PictureFile> of(byte[] sent) {
        if (sent.length == 0) {
            throw Refusal.invalid(FIELD, "the drawing is empty");
        }
        return isPdf(sent) ? pages(sent) : List.of(PictureFile.of(sent));
    }

    private static boolean isPdf(byte[] b) {
        return b.length > 4 && b[0] == '%' && b[1] == 'P' && b[2] == 'D' && b[3] == 'F';
    }

    private static List<PictureFile> pages(byte[] sent) {
        List<byte[]> drawn = new ArrayList<>();
        try {
            OPEN.at(() -> {
                try (PDDocument document = Loader.loadPDF(sent)) {
                    if (document.getNumberOfPages() > MOST_PAGES) {
                        throw Refusal.invalid(
                                FIELD,
                                "a PDF has at most " + MOST_PAGES + " sheets; this one has "
                                        + document.getNumberOfPages());
                    }
                    PDFRenderer renderer = new PDFRenderer(document);
                    for (int p = 0; p < document.getNumberOfPages(); p++) {
                        drawn.add(png(renderer.renderImageWithDPI(
                                p, dpi(document.getPage(p).getCropBox()), ImageType.RGB)));
                    }
                }
                return null;
            });
        } catch (IOException | IllegalArgumentException | IllegalStateException e) {
            throw Refusal.invalid(FIELD, "this PDF is damaged, or locked by a password");
        }
        if (drawn.isEmpty()) {
            throw Refusal.invalid(FIELD, "this PDF has no page");
        }
        return drawn.stream().map(PictureFile::of).toList();
    }

    private static float dpi(PDRectangle page) {
        return Math.min(MOST_DPI, LONG_SIDE * POINTS_PER_INCH / Math.max(page.getWidth(), page.getHeight()));
    }

    private static byte[] png(BufferedImage image) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    private DrawingPages() {}
}
