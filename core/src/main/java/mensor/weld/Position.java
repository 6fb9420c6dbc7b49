package mensor.weld;

/** Welding position: flat, horizontal, vertical, overhead; F fillet, G groove. */
public enum Position implements Named {
    FLAT_FILLET("1F"),
    HORIZONTAL_FILLET("2F"),
    VERTICAL_FILLET("3F"),
    OVERHEAD_FILLET("4F"),
    FLAT_GROOVE("1G"),
    HORIZONTAL_GROOVE("2G"),
    VERTICAL_GROOVE("3G"),
    OVERHEAD_GROOVE("4G"),
    PIPE_FIXED_HORIZONTAL("5G"),
    PIPE_FIXED_INCLINED("6G");

    private final String id;

    Position(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
