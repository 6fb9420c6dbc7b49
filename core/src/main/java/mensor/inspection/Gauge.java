package mensor.inspection;

import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import mensor.length.Length;
import mensor.weld.Day;

/**
 * A gauge of the register.
 *
 * @param division its smallest division
 * @param due the last day on which its calibration holds
 * @param foundOut the day on which it was found out of calibration; what it read is then in doubt
 * @param uncertainty the expanded one (k = 2) on its certificate
 * @param measured the standard uncertainty of a reading as a study of gauge and people found it
 */
public record Gauge(
        String name,
        String kind,
        Optional<Length> division,
        Optional<Length> range,
        String serial,
        Optional<LocalDate> due,
        Optional<LocalDate> foundOut,
        Optional<Length> uncertainty,
        Optional<Length> measured) {

    /** Whether a gauge of this name or kind scans. */
    public static boolean scans(String word) {
        return word.toLowerCase(Locale.ROOT).contains("scan");
    }

    /** Whether what it gives comes with an uncertainty of its own: a scanner, or a picture that was measured in. */
    public static boolean statesUncertainty(String word) {
        return scans(word) || word.toLowerCase(Locale.ROOT).contains("picture");
    }

    /** What it cannot tell apart, by a study: twice the standard uncertainty; absent where nobody measured it. */
    public Optional<Length> blur() {
        return measured.map(u -> u.times(2));
    }

    /** Why it may not be used on a day; empty where it may. Its due day is still good; without one nothing lapses. */
    public Optional<String> fault(LocalDate day) {
        if (foundOut.isPresent()) {
            return Optional.of(name + " was found out of calibration on " + Day.shown(foundOut.get()));
        }
        return due.filter(day::isAfter).map(d -> name + " was due for calibration on " + Day.shown(d));
    }
}
