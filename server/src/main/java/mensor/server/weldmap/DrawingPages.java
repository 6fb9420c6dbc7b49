package mensor.server.weldmap;

import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;
import mensor.server.photo.PictureFile;
import mensor.server.reading.OwnProcess;
import mensor.server.web.Refusal;

/** A drawing as pictures: a PNG or JPEG as it is, of a PDF each page. */
final class DrawingPages {
    static final String FIELD = "drawing";

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
        byte[] answer = OwnProcess.read(PdfPages.class, sent, FIELD, "this PDF is damaged, or locked by a password");
        List<PictureFile> pages = new ArrayList<>();
        for (ByteBuffer in = ByteBuffer.wrap(answer); in.hasRemaining(); ) {
            byte[] png = new byte[in.getInt()];
            in.get(png);
            pages.add(PictureFile.of(png));
        }
        if (pages.isEmpty()) {
            throw Refusal.invalid(FIELD, "this PDF has no page");
        }
        return pages;
    }

    private DrawingPages() {}
}
