package mensor.exchange;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mensor.length.Span;
import mensor.weld.ClockFace;
import mensor.weld.InvalidField;
import mensor.weld.Joint;

/** Places that were given by the clock, turned into lengths from the datum before anything else reads them. */
public final class ClockPlaces {
    private static final Set<String> PLACES = Set.of("at", "from", "to", "starts", "stops", "restarts");

    private ClockPlaces() {}

    /**
     * The object with each place that is a time ({@code "4:30"}) as a length.
     *
     * @param clock the weld's
     */
    static Json inLengths(Json value, ClockFace clock) {
        if (value instanceof Json.Object o) {
            Map<String, Json> fields = new LinkedHashMap<>();
            Optional<Span> stretch = stretch(o, clock);
            o.fields()
                    .forEach((name, v) ->
                            fields.put(name, PLACES.contains(name) ? place(v, clock) : inLengths(v, clock)));
            stretch.ifPresent(span -> {
                fields.put("from", new Json.Text(span.from().shown()));
                fields.put("to", new Json.Text(span.to().shown()));
            });
            return new Json.Object(fields);
        }
        if (value instanceof Json.Array a) {
            return new Json.Array(
                    a.items().stream().map(v -> inLengths(v, clock)).toList());
        }
        return value;
    }

    /** From one time to another it runs as the hours go, whichever way the weld is measured. */
    private static Optional<Span> stretch(Json.Object o, ClockFace clock) {
        if (o.fields().get("from") instanceof Json.Text from
                && o.fields().get("to") instanceof Json.Text to
                && ClockFace.isTime(from.value())
                && ClockFace.isTime(to.value())) {
            try {
                return clock.range(from.value().strip() + "-" + to.value().strip());
            } catch (InvalidField e) {
                throw new UnreadableInput(e.field(), e.problem());
            }
        }
        return Optional.empty();
    }

    private static Json place(Json value, ClockFace clock) {
        if (value instanceof Json.Array a) {
            return new Json.Array(a.items().stream().map(v -> place(v, clock)).toList());
        }
        return value instanceof Json.Text t && ClockFace.isTime(t.value())
                ? new Json.Text(clock.place(t.value()).shown())
                : value;
    }

    /** The content of a part of the welding record, as {@link WeldingParts} reads it. */
    public static String inLengths(String json, Joint joint) {
        return joint.clock()
                .map(clock -> Json.canonical(inLengths(Json.read(json), clock)))
                .orElse(json);
    }
}
