package mensor.plan;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mensor.length.Length;
import mensor.weld.Pass;
import mensor.weld.PassKind;
import mensor.weld.Procedure;
import mensor.weld.Range;

/**
 * The rod and setting for one kind of pass. Run length (bead per rod) in mm, travel in mm per minute.
 *
 * @param widestRods the procedure's bead-width limit in rod diameters
 */
public record PlanRod(
        PassKind kind,
        String electrode,
        Length diameter,
        OptionalDouble amps,
        OptionalDouble volts,
        OptionalDouble speed,
        OptionalDouble runLength,
        OptionalDouble widestRods) {

    public static PlanRod of(PassKind kind, String electrode, Length diameter) {
        OptionalDouble none = OptionalDouble.empty();
        return new PlanRod(kind, electrode, diameter, none, none, none, none, none);
    }

    double diameterMm() {
        return diameter.approximateNanometres() / 1e6;
    }

    /** The rods of a procedure, amps and volts and travel in the middle of their ranges. */
    public static List<PlanRod> of(Procedure procedure) {
        return procedure.passes().stream()
                .map(p -> new PlanRod(
                        p.kind(),
                        p.electrode(),
                        p.diameter(),
                        middle(p.ampsOrRods()),
                        middle(p.volts()),
                        middle(p.travel()),
                        OptionalDouble.empty(),
                        procedure.beadWidthRods()))
                .toList();
    }

    private static OptionalDouble middle(Optional<Range> range) {
        return range.isPresent()
                ? OptionalDouble.of((range.get().low() + range.get().high()) / 2)
                : OptionalDouble.empty();
    }

    /** The rods of a record, the first of each kind; a pass without a rod says nothing, one without a kind is a fill. */
    public static List<PlanRod> ofPasses(List<Pass> passes) {
        Map<PassKind, PlanRod> byKind = new EnumMap<>(PassKind.class);
        for (Pass p : passes) {
            if (p.electrode().isPresent() && p.diameter().isPresent()) {
                PassKind kind = p.kind().orElse(PassKind.FILL);
                OptionalDouble run = p.runLength().isPresent()
                        ? OptionalDouble.of(p.runLength().get().approximateNanometres() / 1e6)
                        : OptionalDouble.empty();
                byKind.putIfAbsent(
                        kind,
                        new PlanRod(
                                kind,
                                p.electrode().get(),
                                p.diameter().get(),
                                p.amps(),
                                p.volts(),
                                p.speed(),
                                run,
                                OptionalDouble.empty()));
            }
        }
        return List.copyOf(byKind.values());
    }
}
