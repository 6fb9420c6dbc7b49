package mensor.weld;

/** Where the weld meets a member: toe A on the first, toe B on the second; or the root, under the weld. */
public enum Toe implements Named {
    A("A"),
    B("B"),
    ROOT("root");

    private final String id;

    Toe(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    /** The toe on the other member; the root has none, and is answered with toe A. */
    public Toe opposite() {
        return this == A ? B : A;
    }
}
