package mensor.look;

import mensor.weld.Named;

/** The kinds of indication, in the order in which forms and handbooks list them. */
public enum IndicationKind implements Named, Judgeable {
    UNDERCUT("undercut"),
    POROSITY("porosity"),
    CRACK("crack"),
    INCOMPLETE_FUSION("incomplete-fusion"),
    OVERLAP("overlap"),
    UNDERSIZE("undersize"),
    UNDERFILL("underfill"),
    CRATER("crater"),
    SLAG("slag"),
    SPATTER("spatter"),
    ARC_STRIKE("arc-strike"),
    INCOMPLETE_PENETRATION("incomplete-penetration"),
    MELT_THROUGH("melt-through"),
    ROOT_CONCAVITY("root-concavity"),
    BURN_THROUGH("burn-through"),
    MISALIGNMENT("misalignment"),
    SHORT_WELD("short-weld"),
    NOT_AS_DRAWN("not-as-drawn");

    private final String id;

    IndicationKind(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    /** For people: "incomplete fusion". */
    @Override
    public String words() {
        return id.replace('-', ' ');
    }
}
