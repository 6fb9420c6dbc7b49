package mensor.server.report;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.stream.Collectors;
import tools.jackson.databind.json.JsonMapper;

/** The colours of the screen in the light, read from its own file, so that paper shows the same. */
final class Palette {
    private static final Map<String, String> LIGHT = read();

    static final String TEXT = of("text");
    static final String QUIET = of("quiet");
    static final String LINE = of("line");
    static final String PAPER = of("paper");
    static final String LAYOUT = of("layout");
    static final String CHALK = of("chalk");
    static final String CHALK_DEEP = of("chalk-deep");
    static final String STEEL = of("steel");
    static final String STEEL_LIGHT = of("steel-light");
    static final String WELD = of("weld");
    static final String LANE = of("lane");
    static final String LANE_FACE = of("lane-face");
    static final String HATCH = of("hatch");
    static final String NOTCH = of("notch");
    static final String ACCEPT = of("accept");
    static final String ACCEPT_SOFT = of("accept-soft");
    static final String REJECT = of("reject");
    static final String OPEN = of("open");
    static final String OPEN_SOFT = of("open-soft");
    static final String NONE = of("none");

    private Palette() {}

    private static String of(String name) {
        String colour = LIGHT.get(name);
        if (colour == null) {
            throw new IllegalStateException("no colour " + name + " in the palette");
        }
        return colour;
    }

    private static Map<String, String> read() {
        try (InputStream in = Palette.class.getResourceAsStream("/mensor/web/palette.json")) {
            return JsonMapper.shared().readTree(in).get("light").properties().stream()
                    .collect(Collectors.toUnmodifiableMap(
                            Map.Entry::getKey, colour -> colour.getValue().asString()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
