package mensor.judge;

import mensor.length.Length;
import org.apache.commons.numbers.gamma.Erfc;

/**
 * How likely it is that the true value keeps a limit, for a reading with a standard uncertainty (JCGM 106:2012: p = Φ((T − y)/u)
 * for an upper limit T, Φ((y − T)/u) for a lower one).
 */
public final class Conformance {
    private Conformance() {}

    public static double atMost(Length reading, Length uncertainty, Length limit) {
        return normal(limit.approximateNanometres() - reading.approximateNanometres(), uncertainty);
    }

    public static double atLeast(Length reading, Length uncertainty, Length limit) {
        return normal(reading.approximateNanometres() - limit.approximateNanometres(), uncertainty);
    }

    /** Φ of the distance in uncertainties. */
    private static double normal(double distance, Length uncertainty) {
        double z = distance / uncertainty.approximateNanometres();
        return Erfc.value(-z / Math.sqrt(2)) / 2;
    }
}
