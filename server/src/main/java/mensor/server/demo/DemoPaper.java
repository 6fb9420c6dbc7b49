package mensor.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** A made-up document of the Engineer, of one line, as a PDF. */
final class DemoPaper {
    private DemoPaper() {}

    static byte[] of(String number) {
        String text = "BT /F1 14 Tf 60 700 Td (" + number + ": made up for the demonstration) Tj ET";
        List<String> objects = List.of(
                "<< /Type /Catalog /Pages 2 0 R >>",
                "<< /Type /Pages /Kids [3 0 R] /Count 1 >>",
                "<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Contents 4 0 R"
                        + " /Resources << /Font << /F1 5 0 R >> >> >>",
                "<< /Length " + text.length() + " >>\nstream\n" + text + "\nendstream",
                "<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>");
        StringBuilder pdf = new StringBuilder("%PDF-1.4\n");
        List<Integer> at = new ArrayList<>();
        for (int i = 0; i < objects.size(); i++) {
            at.add(pdf.length());
            pdf.append(i + 1).append(" 0 obj\n").append(objects.get(i)).append("\nendobj\n");
        }
        int table = pdf.length();
        pdf.append("xref\n0 ").append(objects.size() + 1).append("\n0000000000 65535 f \n");
        at.forEach(a -> pdf.append(String.format("%010d 00000 n \n", a)));
        pdf.append("trailer\n<< /Size ")
                .append(objects.size() + 1)
                .append(" /Root 1 0 R >>\nstartxref\n")
                .append(table)
                .append("\n%%EOF\n");
        return pdf.toString().getBytes(StandardCharsets.US_ASCII);
    }
}
