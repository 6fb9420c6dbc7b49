package mensor.weld;

/** Which ends of the weld lie at an end of the girder. */
public enum GirderEnds implements Named {
    START("start"),
    END("end"),
    BOTH("both"),
    NONE("none");

    private final String id;

    GirderEnds(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
