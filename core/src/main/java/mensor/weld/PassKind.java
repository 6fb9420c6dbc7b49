package mensor.weld;

/** The pass's place in the stack. */
public enum PassKind implements Named {
    ROOT("root"),
    HOT("hot"),
    FILL("fill"),
    CAP("cap");

    private final String id;

    PassKind(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
