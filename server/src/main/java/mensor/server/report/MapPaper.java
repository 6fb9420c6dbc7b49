package mensor.server.report;

import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import mensor.server.photo.PictureFile;
import mensor.server.weldmap.MapView;
import mensor.server.weldmap.MapView.MapSheetView;
import mensor.server.weldmap.MapView.MapWeldView;
import mensor.server.weldmap.MapView.PinView;
import mensor.server.weldmap.MapView.WeldState;

/** A weld map on paper: each sheet with its pins, then where each weld stands. */
final class MapPaper {
    private static final double WIDE = 250; // a letter lying on its side has a little more
    private static final double HIGH = 150;
    private static final double PIN = 2;

    /** More marks than this are not read on a page; the list says where each is. */
    private static final int MOST_WORDS = 250;

    private MapPaper() {}

    static String of(MapView map, Function<UUID, PictureFile> pictures) {
        Map<UUID, MapWeldView> welds = new HashMap<>();
        map.welds().forEach(w -> welds.put(w.joint(), w));
        Html h = new Html();
        boolean first = true;
        for (MapSheetView sheet : map.sheets()) {
            h.raw("<div" + (first ? "" : " class=\"next\"") + ">");
            first = false;
            h.add("h1", map.job() + ": " + sheet.name() + ", revision " + sheet.revision());
            sheet(h, sheet, welds, pictures.apply(sheet.id()));
            legend(h);
            h.close("div");
        }
        h.raw("<div class=\"next\">");
        h.add("h1", map.job() + ": where each weld stands");
        h.open("table").row("th", List.of("Weld", "What", "Sheet", "State", "Next"));
        Map<UUID, String> on = new HashMap<>();
        map.sheets().forEach(s -> s.pins().forEach(p -> on.merge(p.joint(), s.name(), (a, b) -> a + ", " + b)));
        for (MapWeldView w : map.welds()) {
            h.row(
                    "td",
                    List.of(name(w), w.inWords(), on.getOrDefault(w.joint(), "not pinned"), word(w.state()), w.next()));
        }
        return h.close("table").close("div").toString();
    }

    private static String name(MapWeldView w) {
        return w.mark() + (w.weldNo() == null ? "" : " weld " + w.weldNo()) + (w.side() == null ? "" : ", " + w.side());
    }

    private static void sheet(Html h, MapSheetView sheet, Map<UUID, MapWeldView> welds, PictureFile picture) {
        double k = Math.min(WIDE / sheet.width(), HIGH / sheet.height());
        double w = sheet.width() * k;
        double high = sheet.height() * k;
        Svg svg = new Svg();
        double unit = 8; // of the drawing's own points for each mm
        boolean words = sheet.pins().size() <= MOST_WORDS;
        for (PinView p : sheet.pins()) {
            MapWeldView weld = welds.get(p.joint());
            if (weld == null) {
                continue;
            }
            double x = p.x() * w * unit;
            double y = p.y() * high * unit;
            pin(svg, weld.state(), x, y, PIN * unit);
            if (words) {
                svg.haloed(x, y + PIN * unit + 13, "middle", Palette.TEXT, weld.mark());
            }
        }
        h.raw(String.format(
                Locale.ROOT,
                "<div style=\"position:relative;width:%.2fmm;height:%.2fmm\"><img style=\"position:absolute;left:0;top:0;width:%.2fmm;height:%.2fmm\""
                        + " src=\"data:%s;base64,%s\"/><div style=\"position:absolute;left:0;top:0\">%s</div></div>",
                w,
                high,
                w,
                high,
                picture.type(),
                Base64.getEncoder().encodeToString(picture.bytes()),
                svg.page(w * unit, high * unit, w)));
    }

    private static void legend(Html h) {
        Svg svg = new Svg();
        double x = 24;
        for (WeldState s : WeldState.values()) {
            pin(svg, s, x, 24, PIN * 8);
            svg.text(x + 30, 30, "start", 24, Palette.TEXT, word(s));
            x += 80 + 14 * word(s).length();
        }
        h.drawing(svg.page(x, 48, x / 10));
    }

    static String word(WeldState s) {
        return s.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** As on the screen: a shape of its own for each state. */
    private static void pin(Svg svg, WeldState state, double x, double y, double r) {
        String at = "M" + Svg.n(x) + " " + Svg.n(y);
        String octagon = octagon(x, y, r);
        String diamond = "M" + Svg.n(x) + " " + Svg.n(y - r) + "L" + Svg.n(x + r) + " " + Svg.n(y) + "L" + Svg.n(x)
                + " " + Svg.n(y + r) + "L" + Svg.n(x - r) + " " + Svg.n(y) + "z";
        double a = r * 0.42;
        String cross = at + "m" + Svg.n(-a) + " " + Svg.n(-a) + "l" + Svg.n(2 * a) + " " + Svg.n(2 * a) + "m0 "
                + Svg.n(-2 * a) + "l" + Svg.n(-2 * a) + " " + Svg.n(2 * a);
        switch (state) {
            case NOT_INSPECTED -> svg.circle(x, y, r * 0.9, Palette.PAPER, Palette.NONE, 3);
            case OPEN -> svg.path(circle(x, y, r * 0.9), Palette.PAPER, Palette.OPEN, 4, "stroke-dasharray=\"10 7\"");
            case ACCEPT -> {
                svg.circle(x, y, r, Palette.ACCEPT, Palette.PAPER, 1);
                svg.path(
                        at + "m" + Svg.n(-r * 0.5) + " 0l" + Svg.n(r * 0.35) + " " + Svg.n(r * 0.35) + "l"
                                + Svg.n(r * 0.65) + " " + Svg.n(-r * 0.75),
                        "none",
                        Palette.PAPER,
                        4);
            }
            case REJECT -> {
                svg.path(octagon, Palette.REJECT, Palette.PAPER, 1);
                svg.path(cross, "none", Palette.PAPER, 4);
            }
            case HOLD -> {
                svg.box(x - r * 0.85, y - r * 0.85, r * 1.7, r * 1.7, Palette.PAPER, Palette.REJECT, "1");
                svg.path(
                        at + "m" + Svg.n(-r * 0.3) + " " + Svg.n(-r * 0.45) + "v" + Svg.n(r * 0.9) + "m"
                                + Svg.n(r * 0.6) + " " + Svg.n(-r * 0.9) + "v" + Svg.n(r * 0.9),
                        "none",
                        Palette.REJECT,
                        4);
            }
            case IN_REPAIR -> {
                svg.path(diamond, Palette.PAPER, Palette.REJECT, 4);
                svg.path(at + "m" + Svg.n(-r * 0.45) + " 0h" + Svg.n(r * 0.9), "none", Palette.REJECT, 4);
            }
        }
    }

    private static String circle(double x, double y, double r) {
        return "M" + Svg.n(x - r) + " " + Svg.n(y) + "a" + Svg.n(r) + " " + Svg.n(r) + " 0 1 0 " + Svg.n(2 * r) + " 0a"
                + Svg.n(r) + " " + Svg.n(r) + " 0 1 0 " + Svg.n(-2 * r) + " 0z";
    }

    private static String octagon(double x, double y, double r) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < 8; i++) {
            double angle = Math.PI / 8 + i * Math.PI / 4;
            path.append(i == 0 ? "M" : "L")
                    .append(Svg.n(x + r * Math.cos(angle)))
                    .append(' ')
                    .append(Svg.n(y + r * Math.sin(angle)));
        }
        return path.append('z').toString();
    }
}
