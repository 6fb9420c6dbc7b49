package mensor.weld;

/** How the arc was held. */
public enum ArcLength implements Named {
    LONG("long"),
    NORMAL("normal"),
    SHORT("short");

    private final String id;

    ArcLength(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
