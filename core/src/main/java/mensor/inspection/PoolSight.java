package mensor.inspection;

import mensor.weld.Named;

/** What is seen while a rod burns, whether to stop, and how to go on (common practice, no source). */
public enum PoolSight implements Named {
    ARC_WANDERS(
            "arc-wanders",
            "The arc wanders or is blown to one side",
            true,
            "Move the work clamp, shorten the arc, weld toward a heavy tack; AC where the rod allows it."),
    SLAG_AHEAD(
            "slag-ahead",
            "Slag runs ahead, more than a third of the pool",
            true,
            "Chip it off. Drag more, a little hotter or slower, and keep the slag behind the pool."),
    KEYHOLE_CLOSES(
            "keyhole-closes",
            "The keyhole closes",
            true,
            "Grind the spot to a feather and restart; a little hotter, or a wider gap as the procedure asks."),
    KEYHOLE_GROWS(
            "keyhole-grows",
            "The keyhole grows over 1.5 × the rod",
            true,
            "Let it cool, grind the edges, restart cooler or quicker."),
    ROD_STICKS(
            "rod-sticks",
            "The rod sticks",
            true,
            "Break it off, grind the mark. 5 A more, strike and lift; a fresh tip where the coating is gone."),
    UNDERCUT_STAYS(
            "undercut-stays",
            "Undercut that does not fill on a pause",
            true,
            "Shorter arc, 5 A less, wait at the toe until it fills. Grind and fill what is left."),
    METAL_FALLS(
            "metal-falls",
            "The pool sags or metal falls",
            true,
            "Let it cool. Shorter arc, less amps, quick across and pause at the sides."),
    STEADY(
            "steady",
            "Crisp sound, the pool follows, slag behind it",
            false,
            "Go on. At the end pause, step back about 1/4 in and fill the crater.");

    private final String id;
    private final String title;
    private final boolean stop;
    private final String restart;

    PoolSight(String id, String title, boolean stop, String restart) {
        this.id = id;
        this.title = title;
        this.stop = stop;
        this.restart = restart;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    public boolean isStop() {
        return stop;
    }

    /** How to go on. */
    public String restart() {
        return restart;
    }
}
