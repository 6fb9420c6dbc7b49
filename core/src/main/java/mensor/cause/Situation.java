package mensor.cause;

import mensor.weld.Named;

/** The troubles that the shop's knowledge is ordered by; each has a table of causes in {@code causes.md}. */
public enum Situation implements Named {
    UNDERCUT_UPPER("undercut-upper", "undercut"),
    UNDERCUT_BOTH("undercut-both", "undercut"),
    UNDERCUT_LOWER("undercut-lower", "undercut"),
    OVERLAP("overlap", "overlap"),
    CONVEX("convex", "too convex"),
    CONCAVE("concave", "too concave"),
    UNDERSIZE("undersize", "undersize"),
    UNEQUAL_LEGS("unequal-legs", "unequal legs"),
    REINFORCEMENT("reinforcement", "too much reinforcement"),
    UNDERFILL("underfill", "underfill"),
    POROSITY_AT_START("porosity-at-start", "porosity"),
    POROSITY("porosity", "porosity"),
    SLAG("slag", "slag"),
    FUSION("fusion", "incomplete fusion"),
    PENETRATION("penetration", "incomplete penetration"),
    RESTART_HOLE("restart-hole", "hole at a restart"),
    BURN_THROUGH("burn-through", "burn-through"),
    ROOT_CONCAVE("root-concave", "root concavity"),
    CRATER("crater", "open crater"),
    CRACK_CRATER("crack-crater", "crack"),
    CRACK_ALONG("crack-along", "crack"),
    CRACK_ACROSS("crack-across", "crack"),
    CRACK_TOE("crack-toe", "crack"),
    CRACK_UNSAID("crack-unsaid", "crack"),
    ARC_STRIKE("arc-strike", "arc strike"),
    SPATTER("spatter", "spatter"),
    WAVY("wavy", "wavy, uneven bead"),
    TIE_IN("tie-in", "bump or divot at a tie-in"),
    SHORT("short", "short weld"),
    NOT_AS_DRAWN("not-as-drawn", "not as drawn"),
    NOT_WRAPPED("not-wrapped", "corner not wrapped"),
    BASE_METAL("base-metal", "base metal damage"),
    OVER_GROUND("over-ground", "ground into the plate"),
    MISALIGNED("misaligned", "misalignment");

    private final String id;
    private final String trouble;

    Situation(String id, String trouble) {
        this.id = id;
        this.trouble = trouble;
    }

    @Override
    public String id() {
        return id;
    }

    /** What one says of the weld. */
    public String trouble() {
        return trouble;
    }

    boolean isCrack() {
        return trouble.equals("crack");
    }
}
