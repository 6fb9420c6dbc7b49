package mensor.weld;

/** Which pole the rod is on. */
public enum Polarity implements Named {
    DCEP("DCEP"),
    DCEN("DCEN"),
    AC("AC");

    private final String id;

    Polarity(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
