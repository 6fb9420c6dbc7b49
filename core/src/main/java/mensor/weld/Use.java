package mensor.weld;

/** A use of the weld that changes a limit. */
public enum Use implements Named {
    STIFFENER_TO_WEB("stiffener-to-web"),
    WEB_TO_FLANGE("web-to-flange"),
    OTHER("other");

    private final String id;

    Use(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
