package mensor.weld;

/** Welding position: flat, horizontal, vertical, overhead, and fixed pipe, level or inclined; F fillet, G groove. */
public enum Position implements Named {
    FLAT_FILLET("1F"),
    HORIZONTAL_FILLET("2F"),
    VERTICAL_FILLET("3F"),
    OVERHEAD_FILLET("4F"),
    PIPE_FIXED_HORIZONTAL_FILLET("5F"),
    PIPE_FIXED_INCLINED_FILLET("6F"),
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

    public boolean isFlat() {
        return this == FLAT_FILLET || this == FLAT_GROOVE;
    }

    public boolean isOverhead() {
        return this == OVERHEAD_FILLET || this == OVERHEAD_GROOVE;
    }

    /** The pipe stands still, and the position goes through all of them around it. */
    public boolean isFixedPipe() {
        return switch (this) {
            case PIPE_FIXED_HORIZONTAL_FILLET, PIPE_FIXED_INCLINED_FILLET, PIPE_FIXED_HORIZONTAL, PIPE_FIXED_INCLINED ->
                true;
            default -> false;
        };
    }
}
