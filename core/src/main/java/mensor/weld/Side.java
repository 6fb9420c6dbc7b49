package mensor.weld;

/** The side of the drawing's arrow, or the other side. */
public enum Side implements Named {
    ARROW("arrow"),
    OTHER("other");

    private final String id;

    Side(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
