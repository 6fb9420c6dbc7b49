package mensor.weld;

/** On which side of a corner joint the weld lies. */
public enum Corner implements Named {
    INSIDE("inside"),
    OUTSIDE("outside");

    private final String id;

    Corner(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
