package mensor.inspection;

import mensor.weld.Named;

/** How a crack runs: with the weld, across it, or out from one point. */
public enum CrackOrientation implements Named {
    ALONG("along"),
    ACROSS("across"),
    STAR("star");

    private final String id;

    CrackOrientation(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
