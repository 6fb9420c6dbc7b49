package mensor.judge;

import java.util.Optional;
import java.util.OptionalInt;
import mensor.criteria.Bound;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Span;

/** One thing held against a bound. Without a depth it is there, of no known depth. */
record LimitedItem(
        Source source,
        Span span,
        Optional<RealLength> depth,
        Optional<RealLength> width,
        Optional<Length> division,
        Bound bound) {
    /** What of the record it comes from. */
    sealed interface Source {
        /** @param index among the indications */
        record Indicated(int index) implements Source {}

        /** @param index among the readings */
        record Read(int index) implements Source {}

        /** Of the joint itself, as it was fitted up: no entry of the inspection. */
        record FittedUp() implements Source {}
    }

    /** Its place among the indications; empty where it is none. */
    OptionalInt indication() {
        return source instanceof Source.Indicated i ? OptionalInt.of(i.index()) : OptionalInt.empty();
    }

    /** Its place among the readings; empty where it is none. */
    OptionalInt reading() {
        return source instanceof Source.Read r ? OptionalInt.of(r.index()) : OptionalInt.empty();
    }

    boolean isSomething() {
        return depth.map(d -> d.signum() > 0).orElse(true);
    }

    /** The least that its bound could be. */
    RealLength surely() {
        return width.map(bound::at).orElse(bound.base());
    }

    /** The most that its bound could be; empty where nothing holds it. */
    Optional<RealLength> perhaps() {
        return width.isPresent() ? width.map(bound::at) : bound.greatest();
    }

    boolean rejects() {
        if (bound.isNone()) {
            return isSomething();
        }
        return depth.isPresent() && perhaps().map(p -> depth.get().isOver(p)).orElse(false);
    }

    boolean accepts() {
        return depth.isPresent() && !depth.get().isOver(surely());
    }

    String place() {
        return span.shown();
    }
}
