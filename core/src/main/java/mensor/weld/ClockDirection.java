package mensor.weld;

/** Which way a weld around a round member is measured, as one looks at the dial. */
public enum ClockDirection implements Named {
    CLOCKWISE("clockwise"),
    COUNTERCLOCKWISE("counterclockwise");

    private final String id;

    ClockDirection(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
