package mensor.server.welding;

/**
 * A fit-up reading, an answer at fit-up, a pass, an answer in process, a can of low-hydrogen rods, the card before the first rod, what was seen
 * while a rod burned, squareness and bow before and after.
 */
public enum WeldingEntryKind {
    FIT_UP,
    FIT_UP_ANSWER,
    PASS,
    PROCESS,
    RODS,
    FIRST_ROD,
    SIGHT,
    SQUARENESS;

    /** Changes what the joint asks, so that it stands once something was signed. */
    boolean isFitUp() {
        return this == FIT_UP || this == FIT_UP_ANSWER;
    }
}
