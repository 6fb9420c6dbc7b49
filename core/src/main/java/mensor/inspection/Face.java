package mensor.inspection;

import mensor.weld.Named;

/** The shape of the weld's face across its width. */
public enum Face implements Named {
    FLAT("flat"),
    CONVEX("convex"),
    CONCAVE("concave");

    private final String id;

    Face(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
