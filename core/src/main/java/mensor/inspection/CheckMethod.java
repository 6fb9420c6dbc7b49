package mensor.inspection;

import mensor.weld.Named;

/** How a ground arc strike was checked. */
public enum CheckMethod implements Named {
    VT("VT"),
    MT("MT"),
    PT("PT");

    private final String id;

    CheckMethod(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
