package mensor.server.report;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;

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
            .next { page-break-before: always; }
            """;

    /** @param foot a line under each page */
    byte[] print(String title, String foot, String body) {
        String page =
                "<!DOCTYPE html><html lang=\"en\"><head><title>" + Html.escaped(title) + "</title><style>@page { size: "
                        + size + "; }" + STYLE + "</style></head><body><div class=\"foot\">" + Html.escaped(foot)
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
