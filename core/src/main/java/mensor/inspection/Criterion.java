package mensor.inspection;

import mensor.weld.Named;

/** What an inspection answers to, in the order in which every answer lists it. A clearable one can be inspected for and not seen. */
public enum Criterion implements Named {
    READINESS("readiness", "Ready to inspect", false),
    CRACK("crack", "Crack", true),
    FUSION("fusion", "Fusion", true),
    CRATER("crater", "Crater", true),
    OVERLAP("overlap", "Overlap", true),
    PROFILE("profile", "Profile", true),
    SIZE("size", "Size", false),
    LENGTH("length", "Length", true),
    AS_DRAWN("as-drawn", "As drawn", true),
    UNDERCUT("undercut", "Undercut", true),
    POROSITY("porosity", "Porosity", true),
    ARC_STRIKE("arc-strike", "Arc strike", true),
    SLAG("slag", "Slag", true),
    SPATTER("spatter", "Spatter", true),
    ROOT("root", "Root", true),
    MISALIGNMENT("misalignment", "Misalignment", true),
    BASE_METAL("base-metal", "Base metal", false);

    private final String id;
    private final String title;
    private final boolean clearable;

    Criterion(String id, String title, boolean clearable) {
        this.id = id;
        this.title = title;
        this.clearable = clearable;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    public boolean clearable() {
        return clearable;
    }
}
