package mensor.repair;

import java.util.List;
import java.util.Optional;
import mensor.length.Span;

/**
 * What to do about one rejected place: an estimate and an order of work, not an approval.
 *
 * @param suits the dispositions that suit the finding, the usual one first
 * @param least the least repair that clears the finding, where less than all suffices
 * @param holds what waits for somebody's word before work begins
 * @param extent what is taken out or prepared along the weld; empty where it must be found first
 * @param numbers the cavity, the metal and the rods; empty without a depth
 * @param preheat as the table gives it; empty where the steel is not known
 */
public record RepairPlan(
        DefectPlace place,
        Disposition disposition,
        List<Disposition> suits,
        String why,
        Optional<String> least,
        List<String> holds,
        List<String> steps,
        Optional<Span> extent,
        Optional<Numbers> numbers,
        Optional<String> preheat) {

    /** Lengths in mm, areas mm², volume mm³; estimates. {@code rod} is its class, {@code diameter} as drawn or 1/8 in. */
    public record Numbers(
            double depth,
            double width,
            double area,
            double length,
            double volume,
            double grams,
            String rod,
            String diameter,
            int rods,
            int beads,
            double arcMinutes) {}
}
