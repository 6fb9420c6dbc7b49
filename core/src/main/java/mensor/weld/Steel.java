package mensor.weld;

import java.util.Locale;

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

    /**
     * The kind that a grade belongs to; what is not surely one of them is unknown. ASTM grades as the preheat table groups
     * them, from memory, medium confidence.
     */
    public static Steel ofGrade(String grade) {
        String g = grade.toUpperCase(Locale.ROOT).replaceAll("^ASTM\\s*", "").strip();
        if (g.matches("A36|A709[- ](GR(ADE)?\\s*)?36")) {
            return A36_TYPE;
        }
        if (g.matches("A572[- ](GR(ADE)?\\s*)?(42|50)|A992|A588|A709[- ](GR(ADE)?\\s*)?50W?")) {
            return A572_TYPE;
        }
        return UNKNOWN;
    }

    @Override
    public String id() {
        return id;
    }

    public String shown() {
        return shown;
    }
}
