package mensor.weld;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;

/**
 * What departs in a welding record from the rods' ranges and from what is usual for a prequalified procedure, each with
 * both numbers. Limits: AWS D1.1 5.1 (3.6) and the exposure of 7.1 (5.1), from memory; a written procedure goes first.
 */
public final class PassCheck {
    /** Hours an E70 low-hydrogen rod may be out of the oven. */
    public static final double E70_HOURS = 4;

    /** A departure of one pass, by its place in the record; −1 for the record as a whole. */
    public record Departure(int pass, String line) {}

    private PassCheck() {}

    public static List<Departure> departures(WeldingRecord record, Optional<Position> position) {
        List<Departure> found = new ArrayList<>();
        for (int i = 0; i < record.passes().size(); i++) {
            Pass p = record.passes().get(i);
            if (p.planned()) {
                found.add(new Departure(i, "planned, not measured: no evidence"));
                continue;
            }
            int pass = i;
            PassAmps.of(p, record)
                    .filter(a -> a.isOver() || a.isUnder())
                    .ifPresent(a -> found.add(new Departure(pass, a.line())));
            polarity(p).ifPresent(l -> found.add(new Departure(pass, l)));
            if (position.isPresent()) {
                diameter(p, position.get()).ifPresent(l -> found.add(new Departure(pass, l)));
                progression(p, position.get()).ifPresent(l -> found.add(new Departure(pass, l)));
            }
        }
        boolean lowHydrogen = record.passes().stream().anyMatch(PassCheck::isLowHydrogen);
        if (lowHydrogen
                && record.electrodeExposureHours().isPresent()
                && record.electrodeExposureHours().getAsDouble() > E70_HOURS) {
            found.add(new Departure(
                    -1,
                    "low-hydrogen rods out "
                            + PassAmps.plain(record.electrodeExposureHours().getAsDouble()) + " h; "
                            + PassAmps.plain(E70_HOURS) + " h for E70"));
        }
        return List.copyOf(found);
    }

    private static boolean isLowHydrogen(Pass p) {
        return p.electrode().flatMap(RodTable::isLowHydrogen).orElse(false);
    }

    private static Optional<String> polarity(Pass p) {
        boolean wrong =
                isLowHydrogen(p) && p.polarity().filter(Polarity.DCEN::equals).isPresent();
        return wrong
                ? Optional.of(p.electrode().orElseThrow() + " on DCEN: it is run on DCEP or AC")
                : Optional.empty();
    }

    private static boolean isVertical(Position position) {
        return position == Position.VERTICAL_FILLET || position == Position.VERTICAL_GROOVE;
    }

    /** Vertical and overhead: 3/16 in [4.8 mm] rods at most, low-hydrogen 5/32 [4]. */
    private static Optional<String> diameter(Pass p, Position position) {
        boolean outOfPosition =
                isVertical(position) || position == Position.OVERHEAD_FILLET || position == Position.OVERHEAD_GROOVE;
        if (!outOfPosition || p.diameter().isEmpty()) {
            return Optional.empty();
        }
        Length diameter = p.diameter().get();
        Length most = isLowHydrogen(p)
                ? diameter.unit().pick(Length.inches(5, 32), Length.millimetres("4"))
                : diameter.unit().pick(Length.inches(3, 16), Length.millimetres("4.8"));
        return diameter.isOver(most)
                ? Optional.of(
                        PassAmps.rod(p) + " in position " + position.id() + ": " + most.shownWithUnit() + " at most")
                : Optional.empty();
    }

    private static Optional<String> progression(Pass p, Position position) {
        boolean down = p.progression().filter(Progression.DOWN::equals).isPresent();
        return isVertical(position) && down
                ? Optional.of("welded vertical down: a prequalified procedure goes up")
                : Optional.empty();
    }
}
