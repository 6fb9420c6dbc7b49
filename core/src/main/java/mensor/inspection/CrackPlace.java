package mensor.inspection;

import mensor.weld.Named;

/** Where a crack runs. */
public enum CrackPlace implements Named {
    WELD("weld"),
    CRATER("crater"),
    TOE("toe"),
    BASE("base");

    private final String id;

    CrackPlace(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
