package mensor.server.rejectrate;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Rejected places per length of weld inspected, of the signed inspections.
 *
 * @param ranked rows with fewer welds than this are listed after the others, in no order of merit
 */
public record RejectRatesView(String by, List<RejectRateRow> rows, int ranked) {

    /**
     * One welder, procedure, position or electrode.
     *
     * @param per100 rejected places per 100 in, with the 95 % interval of a Poisson count
     * @param key as it is asked for; absent where it was not recorded
     */
    public record RejectRateRow(
            @Nullable String key,
            @Nullable String name,
            long welds,
            double lengthMm,
            long places,
            double per100,
            double low,
            double high,
            boolean enough) {}

    /**
     * One row opened.
     *
     * @param hand what the welder's hand and machine set
     * @param shop cleaning, rods, fit-up, procedure and metal
     */
    public record RejectRate(
            String by,
            RejectRateRow row,
            List<ShareRow> kinds,
            List<ShareRow> hand,
            List<ShareRow> shop,
            List<QuarterRow> trend) {}

    /** So many of the places, as a share with its 95 % Wilson interval. */
    public record ShareRow(String name, long places, double share, double low, double high) {}

    public record QuarterRow(
            LocalDate from, long welds, double lengthMm, long places, double per100, double low, double high) {}
}
