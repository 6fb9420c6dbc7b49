package mensor.weld;

/** Straight beads or oscillated ones. */
public enum Technique implements Named {
    STRINGER("stringer"),
    WEAVE("weave");

    private final String id;

    Technique(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
