package mensor.inspection;

import mensor.weld.Named;

/** What harmed the base metal beside a weld. All but ground-away metal is sharp until it is dressed. */
public enum DamageKind implements Named {
    GOUGE("gouge"),
    NICK("nick"),
    OVER_GRINDING("over-grinding"),
    TEAR("tear"),
    TOOL_MARK("tool-mark"),
    TACK_SCAR("tack-scar");

    private final String id;

    DamageKind(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
