package mensor.plan;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import mensor.weld.PassKind;

/**
 * The stack of beads that a weld wants, and what it takes: mm, mm², grams, minutes. The beads are those of the section that
 * asks most; {@code stretches} say where the weld asks more or less, and the metal is summed over them. {@code steps} are
 * what is done between the beads, as a backgouge.
 */
public record PassPlan(
        String what,
        List<Stretch> stretches,
        List<Point> outline,
        List<Bead> beads,
        double area,
        double grams,
        List<RodNeed> rods,
        double arcMinutes,
        List<Heat> heat,
        List<Setting> settings,
        List<String> steps,
        Map<String, Double> constants,
        List<String> notes) {

    /** Across the weld; the root at 0, 0, the second member along x. */
    public record Point(double x, double y) {}

    /** A part of the weld with one section. */
    public record Stretch(String where, String asks, double length, double area, double grams, int beads) {}

    /**
     * One bead of the stack, in the order in which it is laid.
     *
     * @param area of this bead in the stack
     * @param fullArea what a rod lays over its run
     * @param runLength how far one rod goes; nothing where another process lays it
     * @param width from toe to toe
     * @param height its greatest thickness
     * @param cover how much of the bead before lies under it, where it leans on one
     * @param shelf what is left of that one as a seat, across its face
     * @param stops where rods end along the weld, from the datum, mm
     */
    public record Bead(
            int number,
            PassKind kind,
            int layer,
            PlanRod laidWith,
            double area,
            double fullArea,
            double runLength,
            double width,
            double height,
            OptionalDouble cover,
            OptionalDouble shelf,
            List<Point> outline,
            List<Double> stops) {
        public String rod() {
            return laidWith.words();
        }

        Bead numbered(int other, int otherLayer) {
            return new Bead(
                    other,
                    kind,
                    otherLayer,
                    laidWith,
                    area,
                    fullArea,
                    runLength,
                    width,
                    height,
                    cover,
                    shelf,
                    outline,
                    stops);
        }

        Bead stopping(List<Double> at) {
            return new Bead(
                    number, kind, layer, laidWith, area, fullArea, runLength, width, height, cover, shelf, outline, at);
        }
    }

    /**
     * Rods of one kind to draw from the store.
     *
     * @param gramsPerRod deposited by one rod with the stub left
     * @param scaled no published number stands behind the grams of this diameter
     * @param electrodeGrams rods to buy, stubs and losses included; absent where the class's efficiency is not known
     */
    public record RodNeed(
            String electrode,
            String diameter,
            double grams,
            double gramsPerRod,
            boolean scaled,
            int rods,
            OptionalDouble electrodeGrams) {
        /** With the metal of another bead of the same rod. */
        RodNeed plus(RodNeed more) {
            return new RodNeed(electrode, diameter, grams + more.grams, gramsPerRod, scaled, rods, electrodeGrams);
        }

        RodNeed counted(int count, OptionalDouble drawn) {
            return new RodNeed(electrode, diameter, grams, gramsPerRod, scaled, count, drawn);
        }
    }

    /** What a rod is set to, and where that comes from. */
    public record Setting(PassKind kind, String rod, double amps, String source) {}

    /** Heat input of one bead; {@code speed} in mm/min, as measured or from the bead's own run and the rod's burning time. */
    public record Heat(
            int bead, PassKind kind, double volts, double amps, double speed, boolean speedGiven, HeatInput input) {}
}
