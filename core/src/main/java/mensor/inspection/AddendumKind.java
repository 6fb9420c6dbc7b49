package mensor.inspection;

import mensor.weld.Named;

/** The contract limits that a job may set, tighter than the code. */
public enum AddendumKind implements Named {
    UNDERCUT_DEPTH("undercut.depth", true, Criterion.UNDERCUT),
    POROSITY_DIAMETER("porosity.diameter", true, Criterion.POROSITY),
    REINFORCEMENT_MAX("reinforcement.max", true, Criterion.PROFILE),
    CONVEXITY_MAX("convexity.max", true, Criterion.PROFILE),
    SIZE_UNDERRUN("size.underrun", true, Criterion.SIZE),
    BEAD_WIDTH_MAX("bead-width.max", true, Criterion.PROFILE),
    MELT_THROUGH_MAX("melt-through.max", true, Criterion.ROOT),
    ROOT_CONCAVITY_MAX("root-concavity.max", true, Criterion.ROOT),
    UNDERCUT_EXCEPTION_OFF("undercut.exception-off", false, Criterion.UNDERCUT),
    POROSITY_NONE("porosity.none", false, Criterion.POROSITY),
    ARC_STRIKE_NONE("arc-strike.none", false, Criterion.ARC_STRIKE),
    SPATTER_NONE("spatter.none", false, Criterion.SPATTER);

    private final String id;
    private final boolean hasMax;
    private final Criterion criterion;

    AddendumKind(String id, boolean hasMax, Criterion criterion) {
        this.id = id;
        this.hasMax = hasMax;
        this.criterion = criterion;
    }

    @Override
    public String id() {
        return id;
    }

    /** Whether it carries a limit, or only a word. */
    public boolean hasMax() {
        return hasMax;
    }

    /** The criterion that it tightens, whose evidence it wants. */
    public Criterion criterion() {
        return criterion;
    }
}
