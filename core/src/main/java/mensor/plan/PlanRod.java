package mensor.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mensor.length.Length;
import mensor.weld.Pass;
import mensor.weld.PassKind;
import mensor.weld.Procedure;
import mensor.weld.ProcedurePass;
import mensor.weld.Range;
import mensor.weld.Technique;
import mensor.weld.WeldingProcess;

/**
 * The rod and setting for one kind of pass. Run length (bead per rod) in mm, travel in mm per minute.
 *
 * @param process another than stick lays one layer of a given thickness, and takes no rods
 * @param diameter absent where another process lays it
 * @param widestRods the procedure's bead-width limit in rod diameters
 * @param layer the thickness of its layer, mm, where the procedure says one
 * @param technique stringer or weave, where the procedure or the record says
 * @param ampsFrom where the amps come from, also where there are none yet
 */
public record PlanRod(
        PassKind kind,
        WeldingProcess process,
        String electrode,
        Optional<Length> diameter,
        OptionalDouble amps,
        OptionalDouble volts,
        OptionalDouble speed,
        OptionalDouble runLength,
        OptionalDouble widestRods,
        OptionalDouble layer,
        Optional<Technique> technique,
        SettingSource ampsFrom) {

    public static PlanRod of(PassKind kind, String electrode, Length diameter) {
        OptionalDouble none = OptionalDouble.empty();
        return new PlanRod(
                kind,
                WeldingProcess.SMAW,
                electrode,
                Optional.of(diameter),
                none,
                none,
                none,
                none,
                none,
                none,
                Optional.empty(),
                SettingSource.ROD);
    }

    /** A layer by another process. */
    public static PlanRod by(WeldingProcess process, PassKind kind, OptionalDouble layer) {
        OptionalDouble none = OptionalDouble.empty();
        return new PlanRod(
                kind,
                process,
                process.id(),
                Optional.empty(),
                none,
                none,
                none,
                none,
                none,
                layer,
                Optional.empty(),
                SettingSource.ROD);
    }

    /** The same rod for another kind of pass. */
    PlanRod as(PassKind other) {
        return new PlanRod(
                other,
                process,
                electrode,
                diameter,
                amps,
                volts,
                speed,
                runLength,
                widestRods,
                layer,
                technique,
                ampsFrom);
    }

    PlanRod withRun(OptionalDouble run) {
        return new PlanRod(
                kind, process, electrode, diameter, amps, volts, speed, run, widestRods, layer, technique, ampsFrom);
    }

    boolean weaves() {
        return technique.filter(Technique.WEAVE::equals).isPresent();
    }

    public boolean isStick() {
        return process.isStick();
    }

    double diameterMm() {
        return diameter.orElseThrow().approximateNanometres() / 1e6;
    }

    /** {@code 1/8 in E7018}, or the process where it is no rod. */
    String words() {
        return isStick() ? diameter.orElseThrow().shownWithUnit() + " " + electrode : process.id();
    }

    boolean isSameRod(PlanRod other) {
        return isStick() && other.isStick() && words().equals(other.words());
    }

    /** The rods of a procedure, amps and volts and travel in the middle of their ranges. */
    public static List<PlanRod> of(Procedure procedure) {
        return procedure.passes().stream().map(p -> of(procedure, p)).toList();
    }

    private static PlanRod of(Procedure procedure, ProcedurePass p) {
        OptionalDouble layer = p.layer().isPresent()
                ? OptionalDouble.of(p.layer().get().approximateNanometres() / 1e6)
                : OptionalDouble.empty();
        if (!p.process().isStick()) {
            return by(p.process(), p.kind(), layer);
        }
        return new PlanRod(
                p.kind(),
                p.process(),
                p.electrode(),
                Optional.of(p.diameter()),
                middle(p.ampsOrRods()),
                middle(p.volts()),
                middle(p.travel()),
                OptionalDouble.empty(),
                procedure.beadWidthRods(),
                layer,
                p.technique(),
                p.amps().isPresent() ? SettingSource.PROCEDURE : SettingSource.ROD);
    }

    private static OptionalDouble middle(Optional<Range> range) {
        return range.isPresent()
                ? OptionalDouble.of((range.get().low() + range.get().high()) / 2)
                : OptionalDouble.empty();
    }

    /** The rods of a record, each rod of a kind once, the first with a measured run before the others. */
    public static List<PlanRod> ofPasses(List<Pass> passes) {
        Map<String, PlanRod> rods = new LinkedHashMap<>();
        each(passes)
                .forEach(r -> rods.merge(
                        r.kind() + r.words(), r, (a, b) -> a.runLength().isPresent() ? a : a.withRun(b.runLength())));
        return List.copyOf(rods.values());
    }

    /** One for each pass that names its rod or another process; one without a kind is a fill. */
    static List<PlanRod> each(List<Pass> passes) {
        List<PlanRod> rods = new ArrayList<>();
        for (Pass p : passes) {
            PassKind kind = p.kind().orElse(PassKind.FILL);
            if (!p.isStick()) {
                rods.add(by(p.process().orElseThrow(), kind, OptionalDouble.empty()));
            } else if (p.electrode().isPresent() && p.diameter().isPresent()) {
                rods.add(new PlanRod(
                        kind,
                        WeldingProcess.SMAW,
                        p.electrode().get(),
                        p.diameter(),
                        p.amps(),
                        p.volts(),
                        p.speed(),
                        p.runLength().isPresent()
                                ? OptionalDouble.of(p.runLength().get().approximateNanometres() / 1e6)
                                : OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        p.technique(),
                        SettingSource.RECORD));
            }
        }
        return List.copyOf(rods);
    }
}
