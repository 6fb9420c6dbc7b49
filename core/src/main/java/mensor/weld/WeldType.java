package mensor.weld;

/** A fillet fills a corner; a groove is prepared between the parts. */
public enum WeldType implements Named {
    FILLET("fillet"),
    GROOVE("groove");

    private final String id;

    WeldType(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
