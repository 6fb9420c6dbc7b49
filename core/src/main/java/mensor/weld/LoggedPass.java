package mensor.weld;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import mensor.length.Length;
import mensor.length.Span;

/**
 * One pass as it was recorded beside the weld: what the welding record of a file holds, and what only the shop floor asks.
 * A value copied from the procedure stays {@code planned} by its name until somebody measured it.
 *
 * @param temperatureF the metal's temperature before the pass: preheat for the first, interpass for the others
 * @param starts where an arc was struck, from the datum
 * @param stops where it was broken off
 */
public record LoggedPass(
        Pass pass,
        OptionalDouble temperatureF,
        List<Length> starts,
        List<Length> stops,
        Optional<Length> beadWidth,
        Optional<Boolean> cleaned,
        Optional<String> welder,
        Set<String> planned,
        PassDetail detail) {
    /** The values that may be copied from a procedure. */
    public static final List<String> COPIED = List.of(
            "electrode", "diameter", "amps", "volts", "polarity", "progression", "technique", "speed", "temperatureF");

    /** Where nothing else of the pass was noted. */
    public LoggedPass(
            Pass pass,
            OptionalDouble temperatureF,
            List<Length> starts,
            List<Length> stops,
            Optional<Length> beadWidth,
            Optional<Boolean> cleaned,
            Optional<String> welder,
            Set<String> planned) {
        this(pass, temperatureF, starts, stops, beadWidth, cleaned, welder, planned, PassDetail.NONE);
    }

    public LoggedPass {
        starts = List.copyOf(starts);
        stops = List.copyOf(stops);
        planned = Set.copyOf(planned);
        for (String field : planned) {
            if (!COPIED.contains(field)) {
                throw new InvalidField(
                        "plannedFields",
                        "\"" + field + "\" is not copied from a procedure; those are " + String.join(", ", COPIED));
            }
        }
    }

    /**
     * The pass with its planned values left out, since they are no evidence; what was not copied is measured. Amps read at the arc stand
     * for those of the machine's display.
     */
    public Pass measured() {
        return new Pass(
                pass.number(),
                pass.kind(),
                pass.process(),
                keep("electrode", pass.electrode()),
                keep("diameter", pass.diameter()),
                detail.ampsAtArc().isPresent() ? detail.ampsAtArc() : keep("amps", pass.amps()),
                keep("volts", pass.volts()),
                keep("polarity", pass.polarity()),
                keep("progression", pass.progression()),
                keep("technique", pass.technique()),
                keep("speed", pass.speed()),
                pass.runLength(),
                pass.arcForce(),
                pass.planned());
    }

    /**
     * The pass as a welding record has it: without the values that are still planned. Where nothing else is left to say of rod
     * and setting, it stays whole and is marked planned.
     */
    public Pass recorded() {
        List<String> said = COPIED.stream().filter(this::says).toList();
        return planned.isEmpty() || !planned.containsAll(said) ? measured() : pass.asPlanned();
    }

    private boolean says(String field) {
        return switch (field) {
            case "electrode" -> pass.electrode().isPresent();
            case "diameter" -> pass.diameter().isPresent();
            case "amps" -> pass.amps().isPresent();
            case "volts" -> pass.volts().isPresent();
            case "polarity" -> pass.polarity().isPresent();
            case "progression" -> pass.progression().isPresent();
            case "technique" -> pass.technique().isPresent();
            case "speed" -> pass.speed().isPresent();
            default -> false; // the temperature is no field of the record
        };
    }

    private <T> Optional<T> keep(String field, Optional<T> value) {
        return planned.contains(field) ? Optional.empty() : value;
    }

    private OptionalDouble keep(String field, OptionalDouble value) {
        return planned.contains(field) ? OptionalDouble.empty() : value;
    }

    /**
     * Where a change within the pass holds: from its place to where the rod it was made on was broken off, the way that rod ran.
     *
     * @param end of the weld, where nobody noted where the rod ended
     */
    public Span holds(PassDetail.PassChange change, Length end) {
        Length at = change.at();
        for (int i = 0; i < Math.min(starts.size(), stops.size()); i++) {
            Length from = starts.get(i);
            Length to = stops.get(i);
            if (!at.isUnder(from.min(to)) && !at.isOver(from.max(to))) {
                return from.isOver(to) ? new Span(to, at) : new Span(at, to);
            }
        }
        return new Span(at, end.max(at));
    }

    OptionalDouble measuredTemperature() {
        return keep("temperatureF", temperatureF);
    }
}
