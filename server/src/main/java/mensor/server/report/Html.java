package mensor.server.report;

import java.util.List;
import java.util.regex.Pattern;

/** Well-formed markup for paper; every text that goes in is escaped. */
final class Html {
    /** The space within a measure, which a line must not break: 5 1/8 in, 120 mm. */
    private static final Pattern WITHIN = Pattern.compile("(?<=\\d) (?=\\d+/\\d|(?:in|mm|°F|°C|A|V|h|u)(?!\\w))");

    private static final String NO_BREAK = "\u00a0";

    private final StringBuilder out = new StringBuilder();

    static String escaped(Object text) {
        String s = String.valueOf(text);
        StringBuilder safe = new StringBuilder(s.length());
        for (int i = 0; i < s.length(); i++) {
            char c = s.charAt(i);
            switch (c) {
                case '<' -> safe.append("&lt;");
                case '>' -> safe.append("&gt;");
                case '&' -> safe.append("&amp;");
                case '"' -> safe.append("&quot;");
                default -> safe.append(c < 0x20 && c != '\n' && c != '\t' ? ' ' : c);
            }
        }
        return safe.toString();
    }

    /** An element with a text. */
    Html add(String tag, Object text) {
        return open(tag).text(text).close(tag);
    }

    /** An element of a class with a text. */
    Html add(String tag, String style, Object text) {
        return open(tag, style).text(text).close(tag);
    }

    Html open(String tag) {
        out.append('<').append(tag).append('>');
        return this;
    }

    Html open(String tag, String style) {
        out.append('<').append(tag).append(" class=\"").append(style).append("\">");
        return this;
    }

    Html close(String tag) {
        out.append("</").append(tag).append('>');
        return this;
    }

    Html text(Object text) {
        out.append(WITHIN.matcher(escaped(text)).replaceAll(NO_BREAK));
        return this;
    }

    /** Markup that was made here, as a drawing. */
    /** Markup that is well-formed already. */
    Html raw(String markup) {
        out.append(markup);
        return this;
    }

    Html drawing(String svg) {
        out.append(svg);
        return this;
    }

    /** A row of cells, all of one sort. */
    Html row(String cell, List<?> texts) {
        open("tr");
        texts.forEach(t -> add(cell, t == null ? "" : t));
        return close("tr");
    }

    @Override
    public String toString() {
        return out.toString();
    }
}
