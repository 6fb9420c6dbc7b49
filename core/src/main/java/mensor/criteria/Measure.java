package mensor.criteria;

/** What a depth, a height or a difference is measured of. */
public enum Measure {
    PORE("pore"),
    CRATER("open crater"),
    OVERLAP("overlap"),
    UNDERCUT("undercut"),
    ROOT_UNDERCUT("root undercut"),
    INCOMPLETE_PENETRATION("incomplete penetration"),
    BURN_THROUGH("burn-through"),
    EXCESS_PENETRATION("excess penetration"),
    ROOT_CONCAVITY("root concavity"),
    UNDERFILL("underfill"),
    REINFORCEMENT("reinforcement"),
    CONVEXITY("convexity"),
    LEG_DIFFERENCE("difference of the legs"),
    THROAT_OVER("throat over the nominal one"),
    GAP("root gap");

    private final String title;

    Measure(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
