package mensor.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mensor.length.Unit;
import mensor.weld.Joint;
import mensor.weld.LoggedPass;
import mensor.weld.Pass;
import mensor.weld.PassKind;
import mensor.weld.PassLimits;
import mensor.weld.Range;
import mensor.weld.RodTable;

/** The plan held against the passes that were recorded: each line with both numbers. Planned values are not compared. */
public final class PlanComparison {
    /** One point; {@code apart} where what was recorded differs from the plan. */
    public record ComparisonRow(String what, String planned, String recorded, boolean apart) {}

    private static final double MM_PER_INCH = 25.4;

    private PlanComparison() {}

    public static List<ComparisonRow> of(Joint joint, PassPlan plan, List<LoggedPass> passes, Unit units) {
        List<ComparisonRow> lines = new ArrayList<>();
        lines.add(new ComparisonRow(
                "passes",
                String.valueOf(plan.beads().size()),
                String.valueOf(passes.size()),
                passes.size() == 1 && isOverOnePass(joint)));
        for (PassKind kind : PassKind.values()) {
            Optional<PassPlan.Bead> bead = nearest(plan.beads(), PassPlan.Bead::kind, kind);
            List<Pass> laid = passes.stream()
                    .map(LoggedPass::measured)
                    .filter(p -> p.kind().filter(kind::equals).isPresent())
                    .toList();
            if (bead.isPresent()) {
                PlanRod.each(laid).stream()
                        .map(PlanRod::words)
                        .distinct()
                        .forEach(rod -> lines.add(new ComparisonRow(
                                kind.id() + " rod",
                                bead.get().rod(),
                                rod,
                                !rod.equals(bead.get().rod()))));
            }
            heat(plan, kind, laid).ifPresent(lines::add);
        }
        metal(plan, passes, units).ifPresent(lines::add);
        return List.copyOf(lines);
    }

    /**
     * The number of passes is the welder's, as long as the metal is there. One alone is too few where the leg is over what D1.1 gives
     * a single pass in the position.
     */
    private static boolean isOverOnePass(Joint joint) {
        return joint.isFillet()
                && joint.position()
                        .flatMap(at -> joint.size()
                                .filter(size -> size.isOver(
                                        PassLimits.singlePass(at, joint.length().unit()))))
                        .isPresent();
    }

    /** What is planned of a kind; a fill or cap that the plan calls otherwise is held against what lies over the root. */
    private static <T> Optional<T> nearest(List<T> planned, Function<T, PassKind> kindOf, PassKind kind) {
        return planned.stream()
                .filter(x -> kindOf.apply(x) == kind)
                .findFirst()
                .or(() -> kind == PassKind.ROOT
                        ? Optional.empty()
                        : planned.stream()
                                .filter(x -> kindOf.apply(x) != PassKind.ROOT)
                                .findFirst());
    }

    private static Optional<ComparisonRow> heat(PassPlan plan, PassKind kind, List<Pass> laid) {
        Optional<PassPlan.Heat> planned = nearest(plan.heat(), PassPlan.Heat::kind, kind);
        Optional<HeatInput> greatest = laid.stream()
                .filter(p -> p.volts().isPresent()
                        && p.amps().isPresent()
                        && p.speed().isPresent())
                .map(p -> HeatInput.of(
                        p.volts().getAsDouble(),
                        p.amps().getAsDouble(),
                        p.speed().getAsDouble()))
                .max(java.util.Comparator.comparingDouble(HeatInput::joulesPerMillimetre));
        if (planned.isEmpty() || greatest.isEmpty()) {
            return Optional.empty();
        }
        double off =
                greatest.get().joulesPerMillimetre() / planned.get().input().joulesPerMillimetre();
        return Optional.of(new ComparisonRow(
                kind.id() + " heat input",
                kilojoules(planned.get().input()),
                kilojoules(greatest.get()),
                off > 1.25 || off < 0.8));
    }

    private static String kilojoules(HeatInput h) {
        return one(h.kilojoulesPerInch()) + " kJ/in";
    }

    private static String one(double d) {
        return Range.plain(Math.round(d * 10) / 10.0);
    }

    private static String area(double squareMillimetres, Unit units) {
        double squareInches = squareMillimetres / (MM_PER_INCH * MM_PER_INCH);
        return units == Unit.INCH
                ? Range.plain(Math.round(squareInches * 1000) / 1000.0) + " in²"
                : one(squareMillimetres) + " mm²";
    }

    /** Only where every recorded pass says its rod and run length: the metal they lay against the section's. */
    private static Optional<ComparisonRow> metal(PassPlan plan, List<LoggedPass> passes, Unit units) {
        double laid = 0;
        for (LoggedPass l : passes) {
            Pass p = l.measured();
            var grams = p.electrode().flatMap(e -> p.diameter().flatMap(d -> RodTable.deposit(e, d)));
            if (grams.isEmpty() || p.runLength().isEmpty()) {
                return Optional.empty();
            }
            laid += grams.get().grams()
                    / (plan.constants().get("density")
                            / 1000
                            * p.runLength().get().approximateNanometres()
                            / 1e6);
        }
        if (passes.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new ComparisonRow(
                "metal across the weld",
                area(plan.area(), units),
                area(laid, units),
                laid < 0.95 * plan.area() || laid > 1.4 * plan.area()));
    }
}
