package mensor.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Map;
import mensor.plan.WeldMetal;
import mensor.repair.RepairConstants;
import mensor.repair.RepairPlan;
import mensor.repair.RepairPlanner;

/** The repair of what rejects, as a {@code mensor-repair/1} answer. The unit of each number is in its name. */
public record RepairDocument(
        String format, String mark, List<Defect> defects, Map<String, Double> constants, List<String> cautions) {
    public static final String FORMAT = "mensor-repair/1";

    /** One rejected place; the numbers are absent without a depth. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Defect(
            Integer indication,
            Integer reading,
            String kind,
            String criterion,
            String disposition,
            String why,
            String least,
            List<String> holds,
            List<String> steps,
            List<String> extent,
            Double depthMm,
            Double widthMm,
            Double areaMm2,
            Double lengthMm,
            Double volumeMm3,
            Double grams,
            Double pounds,
            String rod,
            String diameter,
            Integer rods,
            Integer beads,
            Double arcMinutes,
            Double workHours,
            String preheat) {}

    public static RepairDocument of(String mark, List<RepairPlan> plans, RepairConstants constants) {
        return new RepairDocument(
                FORMAT,
                mark,
                plans.stream().map(RepairDocument::defect).toList(),
                constants.byName(),
                RepairPlanner.cautions());
    }

    private static Defect defect(RepairPlan p) {
        RepairPlan.Numbers n = p.numbers().orElse(null);
        RepairPlan.Rods r = p.numbers().flatMap(RepairPlan.Numbers::rods).orElse(null);
        return new Defect(
                p.place().indication().isPresent() ? p.place().indication().getAsInt() : null,
                p.place().readings().isEmpty() ? null : p.place().readings().get(0),
                p.place().kind(),
                p.place().criterion().id(),
                p.disposition().id(),
                p.why(),
                p.least().orElse(null),
                p.holds(),
                p.steps(),
                p.extent()
                        .map(s -> List.of(s.from().toString(), s.to().toString()))
                        .orElse(null),
                n == null ? null : round(n.depth()),
                n == null ? null : round(n.width()),
                n == null ? null : round(n.area()),
                n == null ? null : round(n.length()),
                n == null ? null : round(n.volume()),
                n == null ? null : round(n.grams()),
                n == null ? null : round(n.grams() / WeldMetal.GRAMS_PER_POUND),
                r == null ? null : r.electrode(),
                r == null ? null : r.diameter(),
                r == null ? null : r.count(),
                r == null ? null : r.beads(),
                r == null ? null : round(r.arcMinutes()),
                r == null ? null : round(r.workHours()),
                p.preheat().orElse(null));
    }

    private static double round(double d) {
        return Math.round(d * 1000) / 1000.0;
    }
}
