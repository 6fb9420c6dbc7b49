package mensor.cause;

import mensor.weld.Named;

/** The classes of causes: what the welder's hand sets, what the shop supplies, what the procedure and the metal bring. */
public enum CauseClass implements Named {
    CURRENT_HIGH("current-high", "Current too high"),
    CURRENT_LOW("current-low", "Current too low"),
    POLARITY("polarity", "Wrong polarity"),
    ARC_FORCE("arc-force", "Arc force too high"),
    ARC_LONG("arc-long", "Arc too long"),
    ARC_SHORT("arc-short", "Arc too short"),
    SPEED_FAST("speed-fast", "Travel too fast"),
    SPEED_SLOW("speed-slow", "Travel too slow"),
    WORK_ANGLE("work-angle", "Work angle"),
    TRAVEL_ANGLE("travel-angle", "Travel angle"),
    MANIPULATION("manipulation", "Manipulation"),
    CLEANLINESS("cleanliness", "Cleanliness"),
    CONSUMABLE("consumable", "Rods"),
    FIT_UP("fit-up", "Fit-up"),
    ARC_BLOW("arc-blow", "Arc blow"),
    PROCEDURE("procedure", "Procedure"),
    METALLURGY("metallurgy", "Metallurgy");

    private final String id;
    private final String title;

    CauseClass(String id, String title) {
        this.id = id;
        this.title = title;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    /** What the welder's hand and machine set: current, arc, angle, manipulation, speed. The rest is the shop's. */
    public boolean isHands() {
        return ordinal() < CLEANLINESS.ordinal();
    }
}
