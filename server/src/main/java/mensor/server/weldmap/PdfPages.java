package mensor.server.weldmap;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import mensor.server.reading.FileReading;
import mensor.server.web.Refusal;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** Each page of a PDF as a PNG: its length in bytes, then the bytes. */
public final class PdfPages implements FileReading {
    private static final int MOST_PAGES = 20;

    /** Points along the longer side: a line of a drawing is still seen on a sheet of 1 m. */
    private static final int LONG_SIDE = 3200;

    /** A sheet of 33 by 47 in (A0), scanned at 400 points an inch. */
    private static final long MOST_POINTS = 250_000_000;

    private static final float MOST_DPI = 300;
    private static final float POINTS_PER_INCH = 72;
    /** Of a sheet, 5 m: longer than any roll of paper is plotted. */
    private static final float LONGEST_SHEET = 5000 / 25.4f * POINTS_PER_INCH;

    @Override
    public byte[] read(byte[] file) throws IOException {
        ByteArrayOutputStream pages = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(pages);
        try (PDDocument document = Loader.loadPDF(file)) {
            int n = document.getNumberOfPages();
            if (n > MOST_PAGES) {
                throw Refusal.invalid(
                        DrawingPages.FIELD, "a PDF has at most " + MOST_PAGES + " sheets; this one has " + n);
            }
            PDFRenderer renderer = new PDFRenderer(document);
            for (int p = 0; p < n; p++) {
                checkPictures(document.getPage(p).getResources());
                byte[] png = png(
                        renderer.renderImageWithDPI(p, dpi(document.getPage(p).getCropBox()), ImageType.RGB));
                out.writeInt(png.length);
                out.write(png);
            }
        }
        return pages.toByteArray();
    }

    /** What is laid on the page is opened whole, however small it is shown. */
    private static void checkPictures(PDResources on) throws IOException {
        if (on == null) {
            return;
        }
        for (COSName name : on.getXObjectNames()) {
            if (on.isImageXObject(name)
                    && on.getXObject(name) instanceof PDImageXObject picture
                    && (long) picture.getWidth() * picture.getHeight() > MOST_POINTS) {
                throw Refusal.invalid(
                        DrawingPages.FIELD,
                        "a picture in this PDF has more than " + MOST_POINTS / 1_000_000
                                + " million points; save the drawing with fewer");
            }
        }
    }

    private static float dpi(PDRectangle page) {
        float longer = Math.max(page.getWidth(), page.getHeight());
        float shorter = Math.min(page.getWidth(), page.getHeight());
        if (!(longer <= LONGEST_SHEET && shorter >= 1)) {
            throw Refusal.invalid(
                    DrawingPages.FIELD, "a sheet of a drawing is up to 5 m long; a page of this one is not");
        }
        return Math.min(MOST_DPI, LONG_SIDE * POINTS_PER_INCH / longer);
    }

    private static byte[] png(BufferedImage image) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }
}
