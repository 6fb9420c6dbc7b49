package mensor.weld;

/** What a leg is where the members do not meet at 90°: along the member, square to the other member, or the 90° leg of equal throat. */
public enum LegMeaning implements Named {
    CONTACT("contact"),
    PERPENDICULAR("perpendicular"),
    EQUIVALENT("equivalent");

    private final String id;

    LegMeaning(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
