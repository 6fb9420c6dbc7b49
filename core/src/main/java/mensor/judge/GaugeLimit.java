package mensor.judge;

import java.util.Optional;
import mensor.length.Length;

/** What a gauge's smallest division can tell of a value against its limit (common practice, no source). */
final class GaugeLimit {
    private GaugeLimit() {}

    /** Accepting, not at the limit, but nearer to it than half the division. */
    static boolean isNear(Length distanceToLimit, Optional<Length> division) {
        return division.isPresent()
                && distanceToLimit.isPositive()
                && distanceToLimit.times(2).isUnder(division.get());
    }

    /** The limit is finer than the division, so that a reading of the gauge cannot show that it is kept. */
    static boolean isTooCoarse(Length limit, Optional<Length> division) {
        return division.isPresent() && limit.isPositive() && division.get().isOver(limit);
    }

    static String tooCoarse(Length division, Length limit) {
        return "a gauge that reads to " + division.shownWithUnit() + " cannot show " + limit.shownWithUnit();
    }

    static String finerGauge(String what, String at) {
        return "a dial or digital gauge is needed: measure the " + what + " at " + at + " again";
    }
}
