package mensor.server.report;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;

/** A page's size, and markup printed on it as PDF with the letters of the application. */
public enum Paper {
    A4("210mm 297mm"),
    LETTER("8.5in 11in"),
    A5("148mm 210mm");

    private final String size;

    Paper(String size) {
        this.size = size;
    }

    /** What the drawings' units are printed on, where nobody chose. */
    static Paper usual(String units) {
        return units.equals("mm") ? A4 : LETTER;
    }

    /** Declared here too, since drawings know only what the page itself declares. */
    private static final String FONTS = face("AtkinsonHyperlegibleNext-Regular", "Atkinson", 400)
            + face("AtkinsonHyperlegibleNext-Bold", "Atkinson", 700)
            + face("DejaVuSans", "DejaVu", 400);

    private static String face(String file, String family, int weight) {
        return "@font-face { font-family: '" + family + "'; font-weight: " + weight + "; src: url('"
                + Paper.class.getResource("/fonts/" + file + ".ttf") + "'); -fs-pdf-font-embed: embed; }";
    }

    private static final String STYLE = """
            @page { margin: 14mm 13mm 16mm 13mm;
              @bottom-left { content: element(foot); }
              @bottom-right { content: counter(page) " / " counter(pages); font-family: 'Atkinson', 'DejaVu'; font-size: 8pt; color: #51606b; } }
            body { font-family: 'Atkinson', 'DejaVu'; font-size: 9.5pt; color: #14212b; line-height: 1.3; }
            .foot { position: running(foot); font-size: 8pt; color: #51606b; }
            h1 { font-size: 17pt; margin: 0 0 2pt 0; } h2 { font-size: 12.5pt; margin: 12pt 0 3pt 0; page-break-after: avoid; }
            h3 { font-size: 10.5pt; margin: 8pt 0 2pt 0; page-break-after: avoid; }
            p { margin: 2pt 0; } .quiet { color: #51606b; } .small { font-size: 8pt; color: #51606b; }
            .said { font-size: 14pt; font-weight: bold; } .reject { color: #a31515; } .accept { color: #12603a; } .incomplete { color: #7a4e00; }
            table { width: 100%; border-collapse: collapse; margin: 3pt 0; -fs-table-paginate: paginate; }
            th { text-align: left; font-size: 8pt; color: #51606b; border-bottom: 1pt solid #7d8b95; padding: 2pt 4pt 2pt 0; }
            td { border-bottom: 0.5pt solid #cfd6da; padding: 2.5pt 4pt 2.5pt 0; vertical-align: top; }
            tr { page-break-inside: avoid; }
            ol, ul { margin: 2pt 0; padding-left: 14pt; } li { margin: 1.5pt 0; }
            .place { font-size: 20pt; font-weight: bold; } .box { border: 1pt solid #7d8b95; padding: 4pt 6pt; margin: 4pt 0; }
            .hold { border-left: 4pt solid #8a6500; background: #f5f7f8; padding: 3pt 6pt; margin: 3pt 0; }
            .line { border-bottom: 0.7pt solid #7d8b95; height: 16pt; } .caution { font-size: 8pt; border-top: 0.7pt solid #7d8b95; margin-top: 8pt; padding-top: 3pt; }
            .sum { font-family: 'DejaVu'; font-size: 7pt; }
            .keep { page-break-inside: avoid; }
            .nobreak { white-space: nowrap; }
            .lay td { border: 0; padding: 0; } .lay .seen { width: 64mm; }
            .findings td { font-size: 8.7pt; padding-top: 1.8pt; padding-bottom: 1.8pt; } .findings .why { font-weight: bold; margin: 0; }
            .findings td:first-child { width: 24mm; } .findings .clause { font-size: 7.5pt; color: #51606b; width: 58mm; }
            .next { page-break-before: always; }
            """;

    /** What is a little over a page is set closer, if then it is one. */
    private static final String CLOSER = """
            @page { margin: 10mm 11mm 12mm 11mm; }
            body { font-size: 8.8pt; line-height: 1.2; } h1 { font-size: 15pt; } h2 { font-size: 11.5pt; margin: 6pt 0 2pt 0; } h3 { margin: 4pt 0 1pt 0; }
            .findings td { font-size: 8pt; padding-top: 1pt; padding-bottom: 1pt; } .findings .clause { font-size: 7pt; }
            .caution { font-size: 7.3pt; margin-top: 4pt; }
            """;

    /** @param foot a line under each page */
    byte[] print(String title, String foot, String body) {
        return print(title, foot, body, "");
    }

    /** Likewise, the page lying on its side. */
    byte[] printAcross(String title, String foot, String body) {
        String[] sides = size.split(" ");
        return print(title, foot, body, "@page { size: " + sides[1] + " " + sides[0] + "; }");
    }

    /** A body that fills its pages to the edge, without a foot. */
    byte[] printToTheEdge(String title, String style, String body) {
        return print(
                title,
                "",
                body,
                "@page { margin: 0; @bottom-left { content: none; } @bottom-right { content: none; } } body { margin: 0; }"
                        + style);
    }

    /** On as few pages as {@link #print} needs, or on one where a little closer is enough for it. */
    byte[] printOnOnePage(String title, String foot, String body) {
        byte[] usual = print(title, foot, body);
        if (pages(usual) != 2) {
            return usual;
        }
        byte[] closer = print(title, foot, body, CLOSER);
        return pages(closer) == 1 ? closer : usual;
    }

    private static int pages(byte[] pdf) {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return document.getNumberOfPages();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private byte[] print(String title, String foot, String body, String further) {
        String page = "<!DOCTYPE html><html lang=\"en\"><head><title>" + Html.escaped(title)
                + "</title><style>@page { size: "
                + size + "; }" + FONTS + STYLE + further + "</style></head><body><div class=\"foot\">"
                + Html.escaped(foot)
                + "</div>" + body
                + "</body></html>";
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            builder.useFastMode();
            builder.useFont(() -> font("AtkinsonHyperlegibleNext-Regular"), "Atkinson", 400, FontStyle.NORMAL, true);
            builder.useFont(() -> font("AtkinsonHyperlegibleNext-Bold"), "Atkinson", 700, FontStyle.NORMAL, true);
            builder.useFont(() -> font("DejaVuSans"), "DejaVu", 400, FontStyle.NORMAL, true);
            builder.useSVGDrawer(new BatikSVGDrawer());
            builder.withHtmlContent(page, null);
            builder.toStream(out);
            builder.run();
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static InputStream font(String name) {
        return Paper.class.getResourceAsStream("/fonts/" + name + ".ttf");
    }
}
