package mensor.judge;

import java.util.Optional;
import mensor.criteria.Bound;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Span;

/** One thing held against a bound. Without a depth it is there, of no known depth. */
record LimitedItem(
        boolean reading,
        int index,
        Span span,
        Optional<RealLength> depth,
        Optional<RealLength> width,
        Optional<Length> division,
        Bound bound) {
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
