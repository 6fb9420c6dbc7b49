package mensor.server.gauge;

import java.time.LocalDate;
import java.util.Optional;
import mensor.inspection.Gauge;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.server.web.AllOptional;

/**
 * A gauge as it is registered; division, range and uncertainty are lengths, inches where no unit is said.
 *
 * @param uncertainty the expanded one (k = 2) on its certificate; absent where it has none
 * @param measured the standard uncertainty of a reading, as a study found it; set by the study alone
 * @param measuredBy that study, in words
 */
@AllOptional
public record GaugeForm(
        String name,
        String kind,
        String division,
        String range,
        String serial,
        LocalDate due,
        LocalDate foundOut,
        String uncertainty,
        String measured,
        String measuredBy) {

    /** The gauge as the core knows it. */
    public Gauge gauge() {
        return new Gauge(
                name,
                kind,
                length(division),
                length(range),
                serial == null ? "" : serial,
                Optional.ofNullable(due),
                Optional.ofNullable(foundOut),
                length(uncertainty),
                length(measured));
    }

    private static Optional<Length> length(String typed) {
        return Optional.ofNullable(typed).map(l -> Length.parse(l, Unit.INCH));
    }
}
