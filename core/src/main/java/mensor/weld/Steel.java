package mensor.weld;

/** The kinds of base metal that the preheat table and the choice of rods tell apart; unknown is a hold, not a guess. */
public enum Steel implements Named {
    A36_TYPE("a36-type", "A36-type"),
    A572_TYPE("a572-50-type", "A572-50, A992 and like"),
    HIGHER("higher-strength", "higher strength"),
    UNKNOWN("unknown", "not known");

    private final String id;
    private final String shown;

    Steel(String id, String shown) {
        this.id = id;
        this.shown = shown;
    }

    @Override
    public String id() {
        return id;
    }

    public String shown() {
        return shown;
    }
}
