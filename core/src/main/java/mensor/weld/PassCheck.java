package mensor.weld;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import mensor.length.Length;

/**
 * What departs in the recorded passes from the procedure, from the rods' ranges and from what is usual for a prequalified
 * procedure, each with both numbers. A value still planned departs from nothing, for nobody measured it.
 */
public final class PassCheck {
    /** A departure of one pass, by its place in the record; −1 for the record as a whole. {@code fault} is false for a remark. */
    public record Departure(int pass, String line, boolean fault) {}

    private final Function<Pass, Optional<Range>> label;
    private final Optional<Procedure> procedure;
    private final Optional<Position> position;
    private final Map<PassKind, Range> procedureAmps = new EnumMap<>(PassKind.class);
    private final List<Departure> found = new ArrayList<>();
    private int number;

    private PassCheck(
            WeldingRecord record,
            Optional<Procedure> procedure,
            Optional<Position> position,
            Function<Pass, Optional<Range>> label) {
        this.label = label;
        this.procedure = procedure;
        this.position = position;
        procedureAmps.putAll(record.procedureAmps());
    }

    /** As below, where no box label was noted. */
    public static List<Departure> departures(
            List<LoggedPass> passes, WeldingRecord record, Optional<Procedure> procedure, Optional<Position> position) {
        return departures(passes, record, procedure, position, p -> Optional.empty());
    }

    /**
     * @param record what holds for the weld as a whole; its own passes are not read
     * @param label the amps on the box of a pass's rods: they go before the general table
     */
    public static List<Departure> departures(
            List<LoggedPass> passes,
            WeldingRecord record,
            Optional<Procedure> procedure,
            Optional<Position> position,
            Function<Pass, Optional<Range>> label) {
        PassCheck check = new PassCheck(record, procedure, position, label);
        for (int i = 0; i < passes.size(); i++) {
            check.number = i;
            check.pass(passes.get(i), i == 0);
        }
        check.number = -1;
        check.exposure(passes, record);
        return List.copyOf(check.found);
    }

    private void fault(String line) {
        found.add(new Departure(number, line, true));
    }

    private void pass(LoggedPass logged, boolean first) {
        if (logged.pass().planned()) {
            found.add(new Departure(number, "planned, not measured: no evidence", false));
            return;
        }
        if (!logged.planned().isEmpty()) {
            List<String> names = LoggedPass.COPIED.stream()
                    .filter(logged.planned()::contains)
                    .map(PassCheck::word)
                    .toList();
            found.add(new Departure(number, "planned, not measured: " + String.join(", ", names), false));
        }
        Pass p = logged.measured();
        Optional<ProcedurePass> wanted = procedure.flatMap(w -> w.rowFor(p));
        Map<PassKind, Range> amps = new EnumMap<>(procedureAmps);
        wanted.flatMap(ProcedurePass::amps).ifPresent(r -> amps.put(p.kind().orElseThrow(), r));
        PassAmps.of(p, amps, label.apply(p))
                .filter(a -> a.isOver() || a.isUnder())
                .ifPresent(a -> fault(a.line()));
        polarity(p);
        wanted.ifPresent(w -> against(w, p));
        position.ifPresent(at -> {
            diameter(p, at);
            progression(p, at);
        });
        procedure.ifPresent(w -> temperature(w, logged, first));
        width(logged);
        display(logged);
        logged.cleaned().filter(c -> !c).ifPresent(c -> fault("not cleaned before the next pass"));
    }

    private static String word(String field) {
        return switch (field) {
            case "electrode" -> "rod";
            case "speed" -> "travel";
            case "temperatureF" -> "temperature";
            default -> field;
        };
    }

    private void against(ProcedurePass w, Pass p) {
        String name = procedure.orElseThrow().name();
        p.process()
                .filter(x -> x != w.process())
                .ifPresent(x -> fault("laid by " + x.id() + "; " + name + " says "
                        + w.process().id()));
        p.electrode()
                .filter(e -> !e.equalsIgnoreCase(w.electrode()))
                .ifPresent(e -> fault(e + " used; " + name + " says " + w.electrode()));
        p.diameter()
                .filter(d -> !RodTable.isCalled(d, w.diameter()))
                .ifPresent(d -> fault(d.shownWithUnit() + " rod used; " + name + " says "
                        + w.diameter().shownWithUnit()));
        range("volts", p.volts(), w.volts(), "V", 1);
        boolean inch = procedure.orElseThrow().units() == mensor.length.Unit.INCH;
        range("travel", p.speed(), w.travel(), inch ? "in/min" : "mm/min", inch ? 25.4 : 1);
        p.polarity()
                .filter(x -> w.polarity().filter(y -> x != y).isPresent())
                .ifPresent(x -> fault(x.id() + " used; " + name + " says "
                        + w.polarity().orElseThrow().id()));
        p.technique()
                .filter(t -> t == Technique.WEAVE)
                .filter(t -> procedure.orElseThrow().stringerOnly()
                        || w.technique().filter(Technique.STRINGER::equals).isPresent())
                .ifPresent(t -> fault("woven; " + name + " says stringers"));
        procedure
                .orElseThrow()
                .progression()
                .filter(x -> p.progression().filter(y -> x != y).isPresent())
                .ifPresent(
                        x -> fault("welded " + p.progression().orElseThrow().id() + "; " + name + " says " + x.id()));
    }

    private void range(String what, OptionalDouble value, Optional<Range> range, String unit, double scale) {
        if (value.isPresent() && range.isPresent() && !range.get().contains(value.getAsDouble())) {
            Range shown = new Range(
                    round(range.get().low() / scale), round(range.get().high() / scale));
            fault(what + " " + Range.plain(round(value.getAsDouble() / scale)) + " " + unit + "; the procedure says "
                    + shown.shown(unit));
        }
    }

    private static double round(double d) {
        return Math.round(d * 10) / 10.0;
    }

    /** The first pass against the preheat, the others between preheat and the interpass limit. */
    private void temperature(Procedure w, LoggedPass logged, boolean first) {
        if (logged.measuredTemperature().isEmpty()) {
            return;
        }
        double t = logged.measuredTemperature().getAsDouble();
        if (w.preheatF().isPresent() && t < w.preheatF().getAsDouble()) {
            fault((first ? "preheat " : "interpass ") + Range.plain(t) + " °F; " + w.name() + " requires at least "
                    + Range.plain(w.preheatF().getAsDouble()) + " °F");
        }
        if (w.interpassMaxF().isPresent() && t > w.interpassMaxF().getAsDouble()) {
            fault((first ? "preheat " : "interpass ") + Range.plain(t) + " °F; " + w.name() + " allows at most "
                    + Range.plain(w.interpassMaxF().getAsDouble()) + " °F");
        }
    }

    /** Machines read 3–8 % off (common practice, no source). */
    private void display(LoggedPass logged) {
        OptionalDouble display = logged.pass().amps();
        OptionalDouble arc = logged.detail().ampsAtArc();
        if (display.isPresent() && arc.isPresent() && !logged.planned().contains("amps")) {
            double off = 100 * (display.getAsDouble() - arc.getAsDouble()) / arc.getAsDouble();
            if (Math.abs(off) > 8) {
                found.add(new Departure(
                        number,
                        "the machine shows " + Range.plain(display.getAsDouble()) + " A, the arc gets "
                                + Range.plain(arc.getAsDouble()) + " A: " + Range.plain(round(Math.abs(off)))
                                + " % apart, 3–8 % are common; have the display checked",
                        false));
            }
        }
    }

    private void width(LoggedPass logged) {
        OptionalDouble times = procedure.map(Procedure::beadWidthRods).orElse(OptionalDouble.empty());
        Optional<Length> rod = logged.pass().diameter();
        if (times.isEmpty() || rod.isEmpty() || logged.beadWidth().isEmpty()) {
            return;
        }
        // in thousandths of the rod, exact enough for a multiple given with up to three decimals
        Length most = rod.get().times(Math.round(times.getAsDouble() * 1000)).dividedBy(1000);
        if (logged.beadWidth().get().isOver(most)) {
            fault("bead " + logged.beadWidth().get().shownWithUnit() + " wide; " + Range.plain(times.getAsDouble())
                    + " × " + rod.get().shownWithUnit() + " = " + most.shownWithUnit() + " at most");
        }
    }

    private void polarity(Pass p) {
        boolean lowHydrogen = p.electrode().flatMap(RodTable::isLowHydrogen).orElse(false);
        if (lowHydrogen && p.polarity().filter(Polarity.DCEN::equals).isPresent()) {
            fault(p.electrode().orElseThrow() + " on DCEN: it is run on DCEP or AC");
        }
    }

    private void diameter(Pass p, Position at) {
        p.diameter()
                .ifPresent(d -> PassLimits.rod(
                                at,
                                p.electrode().flatMap(RodTable::isLowHydrogen).orElse(false),
                                d.unit())
                        .filter(d::isOver)
                        .ifPresent(most -> fault(PassAmps.rod(p) + " in position " + at.id() + ": "
                                + most.shownWithUnit() + " at most")));
    }

    private void progression(Pass p, Position at) {
        boolean down = p.progression().filter(Progression.DOWN::equals).isPresent();
        if (down
                && PassLimits.isVertical(at)
                && procedure.flatMap(Procedure::progression).isEmpty()) {
            fault("welded vertical down: a prequalified procedure goes up");
        }
    }

    /** By each rod's own class. */
    private void exposure(List<LoggedPass> passes, WeldingRecord record) {
        if (record.electrodeExposureHours().isEmpty()) {
            return;
        }
        double hours = record.electrodeExposureHours().getAsDouble();
        passes.stream()
                .flatMap(p -> p.pass().electrode().stream())
                .distinct()
                .forEach(rod -> RodClock.limit(rod)
                        .filter(limit -> hours > limit.toMinutes() / 60.0)
                        .ifPresent(limit -> fault("low-hydrogen rods out " + Range.plain(hours) + " h; "
                                + RodClock.shown(limit) + " for " + rod)));
    }
}
