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

    static Reason tooCoarse(Length division, Length limit) {
        return Why.GAUGE_TOO_COARSE.of(division, limit);
    }

    static Ask finerGauge(String what, String at) {
        return Ask.Kind.FINER_GAUGE.of(what, at);
    }
}
