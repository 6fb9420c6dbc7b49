package mensor.server.report;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Labels to cut or peel from a sheet, a weld a label: its code to be read by any phone, mark, weld number, and where the datum is. In mm.
 */
enum LabelSheet {
    /** 24 on a sheet. */
    A4_70_37(Paper.A4, 3, 8, 70, 37, 0, 0.5, 0, 0),
    /** 8 on a sheet. */
    A4_99_67(Paper.A4, 2, 4, 99, 67.7, 4.7, 13, 2.5, 0),
    /** 30 on a sheet: 2 5/8 by 1 in. */
    LETTER_67_25(Paper.LETTER, 3, 10, 66.7, 25.4, 4.8, 12.7, 3.1, 0),
    /** 10 on a sheet: 4 by 2 in. */
    LETTER_102_51(Paper.LETTER, 2, 5, 101.6, 50.8, 4, 12.7, 4.8, 0);

    private static final double EDGE = 2.2;
    private static final double QUIET_ZONE = 4;

    private final Paper paper;
    private final int across;
    private final int down;
    private final double width;
    private final double height;
    private final double left;
    private final double top;
    private final double gapAcross;
    private final double gapDown;

    LabelSheet(
            Paper paper,
            int across,
            int down,
            double width,
            double height,
            double left,
            double top,
            double gapAcross,
            double gapDown) {
        this.paper = paper;
        this.across = across;
        this.down = down;
        this.width = width;
        this.height = height;
        this.left = left;
        this.top = top;
        this.gapAcross = gapAcross;
        this.gapDown = gapDown;
    }

    /**
     * One label.
     *
     * @param link what its code says
     * @param mark in large letters
     * @param lines under it
     * @param datum where the weld is measured from; empty where nobody said
     */
    record Label(String link, String mark, List<String> lines, String datum) {}

    /** @param first how many places of the first sheet are used already */
    byte[] print(String title, List<Label> labels, int first) {
        StringBuilder body = new StringBuilder();
        int each = across * down;
        for (int i = 0; i < labels.size(); i++) {
            int place = i + first;
            if (i == 0 || place % each == 0) {
                body.append(i == 0 ? "" : "</div>")
                        .append("<div class=\"sheet")
                        .append(i == 0 ? "" : " next")
                        .append("\">");
            }
            int row = place % each / across;
            int column = place % across;
            body.append(String.format(
                    Locale.ROOT,
                    "<div class=\"label\" style=\"left: %.2fmm; top: %.2fmm\">",
                    left + column * (width + gapAcross),
                    top + row * (height + gapDown)));
            body.append(label(labels.get(i))).append("</div>");
        }
        body.append(labels.isEmpty() ? "" : "</div>");
        double code = height - 2 * EDGE;
        String style = String.format(
                Locale.ROOT,
                ".sheet { position: relative; width: 100%%; height: 10mm; } .label { position: absolute; width: %.2fmm; height: %.2fmm; overflow: hidden; }"
                        + " .label .code { position: absolute; left: %.2fmm; top: %.2fmm; }"
                        + " .label .words { position: absolute; left: %.2fmm; top: %.2fmm; width: %.2fmm; line-height: 1.15; }"
                        + " .label .mark { font-size: %.1fpt; font-weight: bold; } .label p { margin: 0; }",
                width,
                height,
                EDGE,
                EDGE,
                code + 2 * EDGE,
                EDGE,
                width - code - 3 * EDGE,
                Math.min(20, height * 0.45));
        return paper.printToTheEdge(title, style, body.toString());
    }

    private String label(Label l) {
        Html h = new Html();
        h.open("div", "code").drawing(code(l.link(), height - 2 * EDGE)).close("div");
        h.open("div", "words");
        h.add("div", "mark", l.mark());
        l.lines().forEach(line -> h.add("p", "small", line));
        h.add("p", "small", "\u25cf\u2192 datum" + (l.datum().isEmpty() ? ": not said" : ": " + l.datum()));
        h.close("div");
        return h.toString();
    }

    /** A code as a drawing, its quiet zone in it. */
    static String code(String link, double mm) {
        BitMatrix m;
        try {
            m = new QRCodeWriter()
                    .encode(
                            link,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.M, EncodeHintType.MARGIN, (int)
                                    QUIET_ZONE));
        } catch (WriterException e) {
            throw new IllegalArgumentException("no code can be drawn of " + link, e);
        }
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < m.getHeight(); y++) {
            for (int x = 0; x < m.getWidth(); x++) {
                int run = x;
                while (run < m.getWidth() && m.get(run, y)) {
                    run++;
                }
                if (run > x) {
                    path.append("M" + x + " " + y + "h" + (run - x) + "v1h-" + (run - x) + "z");
                    x = run;
                }
            }
        }
        return String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %d %d\" width=\"%.2fmm\" height=\"%.2fmm\"><path d=\"%s\" fill=\"#000\"/></svg>",
                m.getWidth(),
                m.getHeight(),
                mm,
                mm,
                path);
    }
}
