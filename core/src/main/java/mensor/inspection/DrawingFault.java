package mensor.inspection;

import mensor.weld.Named;

/** How a weld departs from the drawing. */
public enum DrawingFault implements Named {
    MISSING_WELD("missing-weld"),
    WRONG_PLACE("wrong-place"),
    EXTRA_WELD("extra-weld"),
    MISSING_RETURN("missing-return"),
    UNWANTED_RETURN("unwanted-return"),
    TAB_LEFT("tab-left"),
    BACKING_LEFT("backing-left");

    private final String id;

    DrawingFault(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
