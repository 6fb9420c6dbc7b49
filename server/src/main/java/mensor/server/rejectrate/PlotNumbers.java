package mensor.server.rejectrate;

import java.util.Locale;
import mensor.rejectrate.Interval;

/** Numbers of the plots as they are read. */
final class PlotNumbers {
    private PlotNumbers() {}

    /** With so many places as it can bear. */
    static String number(double v) {
        return String.format(Locale.US, v >= 10 ? "%,.0f" : v >= 1 || v == 0 ? "%.1f" : "%.2f", v);
    }

    static String range(Interval i) {
        return number(i.low()) + " to " + number(i.high());
    }

    static String percent(double share) {
        return Math.round(100 * share) + " %";
    }

    static String percents(double low, double high) {
        return Math.round(100 * low) + " to " + percent(high);
    }

    static String count(long n, String one) {
        return String.format(Locale.US, "%,d %s", n, n == 1 ? one : one + "s");
    }
}
