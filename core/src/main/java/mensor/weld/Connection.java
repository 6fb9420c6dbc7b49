package mensor.weld;

/** How the members meet. */
public enum Connection implements Named {
    TEE("tee"),
    LAP("lap"),
    CORNER("corner"),
    BUTT("butt"),
    TUBE_TO_PLATE("tube-to-plate"),
    PIPE_BUTT("pipe-butt");

    private final String id;

    Connection(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
