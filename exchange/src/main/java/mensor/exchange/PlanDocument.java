package mensor.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.plan.PassPlan;
import mensor.plan.WeldMetal;

/** The pass plan of a joint, as a {@code mensor-plan/1} answer. The unit of each number is in its name. */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record PlanDocument(
        String format,
        String mark,
        String what,
        double areaMm2,
        double grams,
        double pounds,
        double arcMinutes,
        List<PlanStretch> stretches,
        List<PlanBead> beads,
        List<PlanRods> rods,
        List<PlanHeat> heat,
        List<PlanSetting> settings,
        List<String> steps,
        List<PlanPoint> outline,
        Map<String, Double> constants,
        List<String> notes) {
    public static final String FORMAT = "mensor-plan/1";

    private static final double MM_PER_INCH = 25.4;

    /** Millimetres from the root; x along the second member, or across a groove. */
    public record PlanPoint(double x, double y) {}

    public record PlanStretch(String where, String asks, double lengthMm, double areaMm2, double grams, int beads) {}

    /**
     * A bead in the order in which it is laid; {@code fullAreaMm2} is what its rod lays over its run, {@code cover} how much of the
     * bead before lies under it and {@code shelfMm} what is left of that one as a seat. Stops from the datum.
     *
     * @param runLengthMm absent where another process lays it
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record PlanBead(
            int pass,
            String kind,
            int layer,
            String rod,
            double areaMm2,
            double fullAreaMm2,
            Double runLengthMm,
            double widthMm,
            double heightMm,
            Double cover,
            Double shelfMm,
            List<String> stops,
            List<PlanPoint> outline) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record PlanRods(
            String electrode,
            String diameter,
            int count,
            double grams,
            double gramsPerRod,
            boolean scaled,
            Double electrodeGrams) {}

    /** What a rod is set to, and by what. */
    public record PlanSetting(String kind, String rod, double amps, String source) {}

    public record PlanHeat(
            int bead,
            String kind,
            double volts,
            double amps,
            double speedMmPerMin,
            boolean speedGiven,
            @JsonProperty("kJPerInch") double kilojoulesPerInch,
            @JsonProperty("kJPerMm") double kilojoulesPerMm,
            @JsonProperty("enKJPerMm") double enKilojoulesPerMm) {}

    /** @param units of the stops, the drawing's */
    public static PlanDocument of(String mark, PassPlan p, Unit units) {
        Map<String, Double> constants = new LinkedHashMap<>();
        p.constants().forEach((name, value) -> constants.put(name, round(value)));
        return new PlanDocument(
                FORMAT,
                mark,
                p.what(),
                round(p.area()),
                round(p.grams()),
                round(WeldMetal.pounds(p.grams())),
                round(p.arcMinutes()),
                p.stretches().stream()
                        .map(s -> new PlanStretch(
                                s.where(), s.asks(), round(s.length()), round(s.area()), round(s.grams()), s.beads()))
                        .toList(),
                beads(p.beads(), units),
                p.rods().stream().map(PlanDocument::rod).toList(),
                p.heat().stream().map(PlanDocument::heat).toList(),
                p.settings().stream()
                        .map(s -> new PlanSetting(s.kind().id(), s.rod(), s.amps(), s.source()))
                        .toList(),
                p.steps(),
                points(p.outline()),
                constants,
                p.notes());
    }

    public static List<PlanBead> beads(List<PassPlan.Bead> beads, Unit units) {
        return beads.stream().map(b -> bead(b, units)).toList();
    }

    private static PlanBead bead(PassPlan.Bead b, Unit units) {
        return new PlanBead(
                b.number(),
                b.kind().id(),
                b.layer(),
                b.rod(),
                round(b.area()),
                round(b.fullArea()),
                b.laidWith().isStick() ? round(b.runLength()) : null,
                round(b.width()),
                round(b.height()),
                rounded(b.cover()),
                rounded(b.shelf()),
                b.stops().stream().map(s -> place(s, units)).toList(),
                points(b.outline()));
    }

    /** To a mark that a tape has: eighths of an inch, whole millimetres. */
    private static String place(double mm, Unit units) {
        double mark = units.pick(MM_PER_INCH / 8, 1.0);
        return Length.ofNanometres(Math.round(Math.round(mm / mark) * mark * 1e6), units)
                .shown();
    }

    private static PlanRods rod(PassPlan.RodNeed r) {
        return new PlanRods(
                r.electrode(),
                r.diameter(),
                r.rods(),
                round(r.grams()),
                round(r.gramsPerRod()),
                r.scaled(),
                r.electrodeGrams().isPresent() ? round(r.electrodeGrams().getAsDouble()) : null);
    }

    private static PlanHeat heat(PassPlan.Heat h) {
        return new PlanHeat(
                h.bead(),
                h.kind().id(),
                h.volts(),
                h.amps(),
                round(h.speed()),
                h.speedGiven(),
                round(h.input().kilojoulesPerInch()),
                round(h.input().kilojoulesPerMillimetre()),
                round(h.input().en()));
    }

    private static List<PlanPoint> points(List<PassPlan.Point> outline) {
        return outline.stream()
                .map(p -> new PlanPoint(round(p.x()), round(p.y())))
                .toList();
    }

    private static Double rounded(OptionalDouble d) {
        return d.isPresent() ? round(d.getAsDouble()) : null;
    }

    private static double round(double d) {
        return Math.round(d * 1000) / 1000.0;
    }
}
