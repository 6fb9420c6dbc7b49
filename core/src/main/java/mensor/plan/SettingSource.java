package mensor.plan;

/** Where a planned setting comes from. */
public enum SettingSource {
    RECORD("as recorded of this weld"),
    PROCEDURE("the middle of the procedure's range"),
    /** The shop's table of rods; nobody set it down for this weld. */
    ROD("the middle of the rod's range");

    private final String words;

    SettingSource(String words) {
        this.words = words;
    }

    String words() {
        return words;
    }
}
