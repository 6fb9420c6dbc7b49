package mensor.weld;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** A date as the trade writes it: Aug 28, 2026. */
public final class Day {
    private static final DateTimeFormatter SHOWN = DateTimeFormatter.ofPattern("MMM d, uuuu", Locale.US);

    private Day() {}

    public static String shown(LocalDate date) {
        return SHOWN.format(date);
    }
}
