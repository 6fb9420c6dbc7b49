package mensor.weld;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Unit;

/** What a prequalified procedure allows one pass: AWS D1.1 5.1 (3.6), from memory, medium confidence. */
public final class PassLimits {
    public static final String CITATION = "D1.1 5.1 (3.6), from memory, medium confidence: check against your copy";

    private PassLimits() {}

    /** The largest single-pass fillet or root pass in a position. Pipe positions are held to the overhead's. */
    public static Length singlePass(Position position, Unit unit) {
        return switch (position) {
            case FLAT_FILLET, FLAT_GROOVE -> unit.pick(Length.inches(3, 8), Length.millimetres("10"));
            case VERTICAL_FILLET, VERTICAL_GROOVE -> unit.pick(Length.inches(1, 2), Length.millimetres("12"));
            case HORIZONTAL_FILLET,
                    HORIZONTAL_GROOVE,
                    OVERHEAD_FILLET,
                    OVERHEAD_GROOVE,
                    PIPE_FIXED_HORIZONTAL_FILLET,
                    PIPE_FIXED_INCLINED_FILLET,
                    PIPE_FIXED_HORIZONTAL,
                    PIPE_FIXED_INCLINED -> unit.pick(Length.inches(5, 16), Length.millimetres("8"));
        };
    }

    public static Length fillLayer(Unit unit) {
        return unit.pick(Length.inches(3, 16), Length.millimetres("5"));
    }

    /** The thickest rod in a position; empty where the position sets none. */
    public static Optional<Length> rod(Position position, boolean lowHydrogen, Unit unit) {
        if (!isOutOfPosition(position)) {
            return Optional.empty();
        }
        return Optional.of(
                lowHydrogen
                        ? unit.pick(Length.inches(5, 32), Length.millimetres("4"))
                        : unit.pick(Length.inches(3, 16), Length.millimetres("4.8")));
    }

    /** Vertical and overhead, and the pipe positions that contain both. */
    public static boolean isOutOfPosition(Position position) {
        return switch (position) {
            case FLAT_FILLET, HORIZONTAL_FILLET, FLAT_GROOVE, HORIZONTAL_GROOVE -> false;
            case VERTICAL_FILLET,
                    VERTICAL_GROOVE,
                    OVERHEAD_FILLET,
                    OVERHEAD_GROOVE,
                    PIPE_FIXED_HORIZONTAL_FILLET,
                    PIPE_FIXED_INCLINED_FILLET,
                    PIPE_FIXED_HORIZONTAL,
                    PIPE_FIXED_INCLINED -> true;
        };
    }

    public static boolean isVertical(Position position) {
        return position == Position.VERTICAL_FILLET || position == Position.VERTICAL_GROOVE || position.isFixedPipe();
    }

    /** The least fillet by the part's thickness (thinner with low-hydrogen rods, else thicker), D1.1 7.7 (5.7). */
    public static Length leastFillet(Length thickness, boolean cyclic, Unit unit) {
        Length t = thickness;
        if (!t.isOver(unit.pick(Length.inches(1, 4), Length.millimetres("6")))) {
            return cyclic
                    ? unit.pick(Length.inches(3, 16), Length.millimetres("5"))
                    : unit.pick(Length.inches(1, 8), Length.millimetres("3"));
        }
        if (!t.isOver(unit.pick(Length.inches(1, 2), Length.millimetres("12")))) {
            return unit.pick(Length.inches(3, 16), Length.millimetres("5"));
        }
        return !t.isOver(unit.pick(Length.inches(3, 4), Length.millimetres("20")))
                ? unit.pick(Length.inches(1, 4), Length.millimetres("6"))
                : unit.pick(Length.inches(5, 16), Length.millimetres("8"));
    }

    /** The greatest fillet along a lapped edge of this thickness, unless it is built out, D1.1 (medium confidence). */
    public static Length greatestLapFillet(Length edge, Unit unit) {
        return edge.isUnder(unit.pick(Length.inches(1, 4), Length.millimetres("6")))
                ? edge
                : edge.minus(unit.pick(Length.inches(1, 16), Length.millimetres("2")));
    }
}
