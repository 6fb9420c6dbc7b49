package mensor.length;

import java.util.List;

/**
 * The axis of a weld, from the datum to its length. On a closed weld the end is the datum again, and a stretch may pass it;
 * the ruler lays such a stretch out as two straight ones.
 */
public record Ruler(Length length, boolean closed) {

    /** The stretch as one or two that do not pass the datum; one that begins or ends at the datum is one. */
    public List<Span> straight(Span span) {
        if (!span.wraps()) {
            return List.of(span);
        }
        Length datum = Length.zero(length.unit());
        if (!span.from().isUnder(length)) {
            return List.of(new Span(datum, span.to()));
        }
        Span toTheEnd = new Span(span.from(), length);
        return span.to().isZero() ? List.of(toTheEnd) : List.of(toTheEnd, new Span(datum, span.to()));
    }

    public SpanSet straight(List<Span> spans) {
        return SpanSet.of(spans.stream().flatMap(s -> straight(s).stream()).toList());
    }

    /** The place itself; on a closed weld its end is the datum, and a place beyond is carried round. */
    public Length place(Length position) {
        if (!closed) {
            return position;
        }
        Length p = position;
        while (!p.isUnder(length)) {
            p = p.minus(length);
        }
        return p.isNegative() ? p.plus(length) : p;
    }

    /** Whether the place lies on one of the stretches; on a closed weld the datum and the weld's end are one place. */
    public boolean isOn(SpanSet stretches, Length position) {
        Length place = place(position);
        return stretches.covers(place) || closed && place.isZero() && stretches.covers(length);
    }

    /** The stretches of a set on which a stretch lies, clipped to it; a single place is kept where it lies on one. */
    public SpanSet on(SpanSet stretches, Span span) {
        if (span.from().compareTo(span.to()) == 0) {
            return isOn(stretches, span.from()) ? SpanSet.of(List.of(Span.at(place(span.from())))) : SpanSet.NONE;
        }
        return SpanSet.of(straight(span).stream()
                .flatMap(s -> stretches.within(s).spans().stream())
                .toList());
    }

    public Span whole() {
        return new Span(Length.zero(length.unit()), length);
    }
}
