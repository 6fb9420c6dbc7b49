package mensor.practice;

import mensor.weld.Named;

/**
 * A simulated gauge of the practice bench. Divisions and noise are those of worn shop gauges in a steady hand (common practice, no source).
 */
public enum PracticeGauge implements Named {
    BLADE("blade", "fillet blade of the size", 0, 0.10),
    LEG("leg", "leg gauge", 32, 0.15),
    THROAT("throat", "throat gauge", 32, 0.12),
    UNDERCUT("undercut", "undercut gauge", 64, 0.07),
    CROWN("crown", "crown gauge", 32, 0.12),
    RULE("rule", "steel rule", 64, 0.12);

    private final String id;
    private final String title;
    private final int parts;
    private final double noise;

    PracticeGauge(String id, String title, int parts, double noise) {
        this.id = id;
        this.title = title;
        this.parts = parts;
        this.noise = noise;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    /** How many divisions an inch has; 0 for one that goes or does not. */
    int partsOfAnInch() {
        return parts;
    }

    /** The division of its metric sister, mm. */
    double metricDivision() {
        return parts == 64 ? 0.1 : 0.5;
    }

    /** Standard deviation of one reading, mm. */
    double noise() {
        return noise;
    }
}
