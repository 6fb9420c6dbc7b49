package mensor.weld;

/** What can be seen on a bead and told of its welding record. */
public enum Sign implements Named {
    FLAT_WIDE_BEAD("flat-wide-bead"),
    ROPY_BEAD("ropy-bead"),
    NARROW_BEAD("narrow-bead"),
    POINTED_RIPPLES("pointed-ripples"),
    ROUND_CLOSE_RIPPLES("round-close-ripples"),
    COARSE_SPATTER("coarse-spatter"),
    ONE_SIDED_SPATTER("one-sided-spatter"),
    STICK_MARKS("stick-marks"),
    SLAG_HARD_TO_FREE("slag-hard-to-free"),
    DEEP_CRATER("deep-crater"),
    OVERHEATED_ROD_END("overheated-rod-end"),
    REPEATS_AT_WEAVE("repeats-at-weave"),
    FOLLOWS_PATCHES("follows-patches"),
    FOLLOWS_GAP("follows-gap"),
    MILL_SCALE_LEFT("mill-scale-left"),
    RUST_PAINT_OIL("rust-paint-oil"),
    SLAG_AHEAD_OF_POOL("slag-ahead-of-pool"),
    POOL_PEANUT("pool-peanut"),
    POOL_WIDE("pool-wide"),
    SPUTTERING("sputtering"),
    METAL_FELL_OUT("metal-fell-out"),
    ONE_ROD_ONLY("one-rod-only"),
    LAST_THIRD_OF_ROD("last-third-of-rod"),
    APPEARED_LATER("appeared-later"),
    NOT_WIRE_BRUSHED_BETWEEN_PASSES("not-wire-brushed-between-passes"),
    HAND_NOT_PROPPED("hand-not-propped"),
    POOL_NOT_SEEN("pool-not-seen"),
    AWKWARD_STANCE("awkward-stance"),
    SHADE_WRONG("shade-wrong"),
    OVER_OLD_BEAD("over-old-bead"),
    STRUCK_OUTSIDE("struck-outside"),
    NOT_BROUGHT_BACK_OVER_START("not-brought-back-over-start"),
    BROKE_OFF_QUICKLY("broke-off-quickly");

    private final String id;

    Sign(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
