package mensor.repair;

import java.util.ArrayList;
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

    /** One excavation with a place before it: its metal is counted there. */
    RepairPlan withoutMetal(Span whole) {
        List<String> more = new ArrayList<>();
        more.add("one excavation with the place before it, " + whole.shown()
                + " from the datum; metal and rods are counted there");
        more.addAll(steps);
        return new RepairPlan(
                place, disposition, suits, why, least, holds, List.copyOf(more), extent, Optional.empty(), preheat);
    }

    /**
     * Lengths in mm, areas mm², volume mm³; estimates.
     *
     * @param rods empty where no rod is recorded, or what it lays is not known
     */
    public record Numbers(
            double depth, double width, double area, double length, double volume, double grams, Optional<Rods> rods) {}

    /**
     * The rods for it.
     *
     * @param electrode its class
     * @param diameter as recorded, else 1/8 in
     * @param workHours the arc's time over the operating factor; taking out, preheat and tests come on top
     */
    public record Rods(String electrode, String diameter, int count, int beads, double arcMinutes, double workHours) {}
}
