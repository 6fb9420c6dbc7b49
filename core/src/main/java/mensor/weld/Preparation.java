package mensor.weld;

import java.util.Locale;
import java.util.Optional;

/** The edge preparations of a groove that plans and sections know. */
public enum Preparation implements Named {
    SQUARE("square"),
    V("V"),
    BEVEL("bevel"),
    DOUBLE_V("double-V"),
    DOUBLE_BEVEL("double-bevel");

    private final String id;

    Preparation(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    /** As a drawing writes it, capitals or not: "V", "double bevel", "square-groove"; absent where it is another. */
    public static Optional<Preparation> of(String drawn) {
        String plain = drawn.toLowerCase(Locale.ROOT);
        if (plain.contains("square")) {
            return Optional.of(SQUARE);
        }
        boolean both = plain.startsWith("double");
        if (plain.contains("bevel")) {
            return Optional.of(both ? DOUBLE_BEVEL : BEVEL);
        }
        String rest = plain.replace("single", "")
                .replace("double", "")
                .replace("groove", "")
                .replace("-", "")
                .strip();
        return rest.equals("v") ? Optional.of(both ? DOUBLE_V : V) : Optional.empty();
    }

    /** Prepared from both faces. */
    public boolean isDouble() {
        return this == DOUBLE_V || this == DOUBLE_BEVEL;
    }

    /** One member alone is cut. */
    public boolean isBevel() {
        return this == BEVEL || this == DOUBLE_BEVEL;
    }
}
