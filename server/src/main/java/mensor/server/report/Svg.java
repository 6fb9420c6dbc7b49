package mensor.server.report;

import java.util.Locale;

/** Vectors for paper, gathered in the order in which they are drawn. */
final class Svg {
    private final StringBuilder out = new StringBuilder();

    static String n(double d) {
        return String.format(Locale.ROOT, "%.2f", d);
    }

    /** {@code anchor} is start, middle or end. */
    Svg text(double x, double y, String anchor, double size, String colour, String words) {
        out.append("<text x=\"" + n(x) + "\" y=\"" + n(y) + "\" text-anchor=\"" + anchor + "\" font-size=\"" + n(size)
                + "\" font-family=\"Atkinson\" fill=\"" + colour + "\">" + Html.escaped(words) + "</text>");
        return this;
    }

    /** Lettering that is read over a shape: a line of paper around it. */
    Svg haloed(double x, double y, String anchor, String colour, String words) {
        String begin = "<text x=\"" + n(x) + "\" y=\"" + n(y) + "\" text-anchor=\"" + anchor
                + "\" font-size=\"14\" font-weight=\"700\" font-family=\"Atkinson\" ";
        String end = ">" + Html.escaped(words) + "</text>";
        out.append(begin + "fill=\"" + Palette.PAPER + "\" stroke=\"" + Palette.PAPER + "\" stroke-width=\"4\"" + end);
        out.append(begin + "fill=\"" + colour + "\"" + end);
        return this;
    }

    /** @param opacity of what fills it */
    Svg box(double x, double y, double w, double h, String fill, String stroke, String opacity) {
        out.append("<rect x=\"" + n(x) + "\" y=\"" + n(y) + "\" width=\"" + n(Math.max(0, w)) + "\" height=\"" + n(h)
                + "\" fill=\"" + fill + "\" fill-opacity=\"" + opacity + "\" stroke=\"" + stroke
                + "\" stroke-width=\"1\"/>");
        return this;
    }

    Svg circle(double x, double y, double r, String fill, String stroke, double line) {
        out.append("<circle cx=\"" + n(x) + "\" cy=\"" + n(y) + "\" r=\"" + n(r) + "\" fill=\"" + fill + "\" stroke=\""
                + stroke + "\" stroke-width=\"" + n(line) + "\"/>");
        return this;
    }

    Svg path(String d, String fill, String stroke, double width) {
        return path(d, fill, stroke, width, "");
    }

    Svg path(String d, String fill, String stroke, double width, String more) {
        out.append("<path d=\"" + d + "\" fill=\"" + fill + "\" stroke=\"" + stroke + "\" stroke-width=\"" + n(width)
                + "\" " + more + "/>");
        return this;
    }

    Svg raw(String markup) {
        out.append(markup);
        return this;
    }

    /** What hatched boxes are filled with: {@code url(#hatch)}, and {@code url(#untried)} where nobody inspected or measured. */
    Svg hatches() {
        return raw("<defs><pattern id=\"hatch\" width=\"7\" height=\"7\" patternUnits=\"userSpaceOnUse\""
                + " patternTransform=\"rotate(45)\"><path d=\"M0 0v7\" stroke=\"" + Palette.TEXT
                + "\" stroke-width=\"2.2\"/></pattern><pattern id=\"untried\" width=\"8\" height=\"8\""
                + " patternUnits=\"userSpaceOnUse\" patternTransform=\"rotate(45)\"><path d=\"M0 0v8\" stroke=\""
                + Palette.HATCH + "\" stroke-width=\"1.5\"/></pattern></defs>");
    }

    /** @param millimetres how wide it stands on the page */
    String page(double width, double height, double millimetres) {
        return "<div class=\"keep\"><svg xmlns=\"http://www.w3.org/2000/svg\" style=\"display:block;width:"
                + n(millimetres) + "mm;height:" + n(millimetres * height / width) + "mm\" viewBox=\"0 0 "
                + (int) Math.ceil(width) + " "
                + (int) Math.ceil(height) + "\">" + out + "</svg></div>";
    }
}
