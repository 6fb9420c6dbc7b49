package mensor.weld;

/** Which way a vertical pass runs. */
public enum Progression implements Named {
    UP("up"),
    DOWN("down");

    private final String id;

    Progression(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
