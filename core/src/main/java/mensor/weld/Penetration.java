package mensor.weld;

/** Complete or partial joint penetration. */
public enum Penetration implements Named {
    COMPLETE("cjp"),
    PARTIAL("pjp");

    private final String id;

    Penetration(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
