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

    /**
     * No standing without evidence: strong wants two facts for it and nothing against, likely wants one; whatever stands
     * behind it otherwise, a cause without a fact is possible at most.
     */
    static Standing of(double share, int factsFor, int against) {
        Standing byShare = of(share);
        if (byShare == STRONG && (factsFor < 2 || against > 0)) {
            byShare = LIKELY;
        }
        return byShare == LIKELY && factsFor < 1 ? POSSIBLE : byShare;
    }

    private static Standing of(double share) {
        for (Standing s : values()) {
            if (share >= s.from) {
                return s;
            }
        }
        return UNLIKELY;
    }
}
