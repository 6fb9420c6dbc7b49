package mensor.length;

import java.util.List;

/**
 * The axis of a weld, from the datum to its length. On a closed weld the end is the datum again, and a stretch may pass it;
 * the ruler lays such a stretch out as two straight ones.
 */
public record Ruler(Length length, boolean closed) {

    /** The stretch as one or two that do not pass the datum. */
    public List<Span> straight(Span span) {
        if (!span.wraps()) {
            return List.of(span);
        }
        return List.of(new Span(span.from(), length), new Span(Length.zero(length.unit()), span.to()));
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

    public Span whole() {
        return new Span(Length.zero(length.unit()), length);
    }
}
