package mensor.inspection;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mensor.length.Length;
import mensor.length.Span;

/**
 * What was seen and measured on a joint before welding.
 *
 * @param brightMetal how far back the metal is bright, where it was measured
 */
public record FitUp(List<Reading> readings, Map<FitUpQuestion, Boolean> answers, Optional<Length> brightMetal) {
    public static final FitUp NONE = new FitUp(List.of(), Map.of(), Optional.empty());

    public FitUp {
        readings = List.copyOf(readings);
        answers = Map.copyOf(answers);
    }

    /** At a station, or along a stretch. The included angle in degrees; offset is the step between the parts of a butt. */
    public record Reading(
            Span span,
            Optional<Length> opening,
            Optional<Length> rootFace,
            OptionalDouble angle,
            Optional<Length> offset,
            Optional<Length> backingGap) {
        public boolean isStation() {
            return span.from().compareTo(span.to()) == 0;
        }
    }
}
