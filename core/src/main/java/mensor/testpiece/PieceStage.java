package mensor.testpiece;

import mensor.weld.Named;

/** How far a test piece has come; practice may stop anywhere. */
public enum PieceStage implements Named {
    PREPARED("prepared"),
    WELDED("welded"),
    INSPECTED("inspected"),
    TESTED("cut and tested"),
    DECIDED("decided");

    private final String id;

    PieceStage(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    /**
     * The furthest that what is on record tells of.
     *
     * @param welded a rod, a setting or a pass is on record
     * @param inspected somebody said how it looks
     */
    public static PieceStage of(boolean welded, boolean inspected, boolean tested, boolean decided) {
        return decided ? DECIDED : tested ? TESTED : inspected ? INSPECTED : welded ? WELDED : PREPARED;
    }
}
