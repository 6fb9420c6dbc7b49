package mensor.cause;

import mensor.weld.Named;

/** How a cause stands in the ranking: a word for its share of the evidence, never a measured probability. */
public enum Standing implements Named {
    STRONG("strong", 0.5),
    LIKELY("likely", 0.22),
    POSSIBLE("possible", 0.07),
    UNLIKELY("unlikely", 0);

    private final String id;
    private final double from;

    Standing(String id, double from) {
        this.id = id;
        this.from = from;
    }

    @Override
    public String id() {
        return id;
    }

    static Standing of(double share) {
        for (Standing s : values()) {
            if (share >= s.from) {
                return s;
            }
        }
        return UNLIKELY;
    }
}
