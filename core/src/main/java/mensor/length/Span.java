package mensor.length;

import java.util.Objects;

/**
 * A stretch along the weld, measured from the datum, both ends included. {@code from} may lie beyond {@code to} only on a
 * closed weld, where the stretch passes the datum; neither is ever null.
 */
public record Span(Length from, Length to) {
    public Span {
        Objects.requireNonNull(from);
        Objects.requireNonNull(to);
    }

    public static Span at(Length position) {
        return new Span(position, position);
    }

    /** True where it passes the datum of a closed weld. */
    public boolean wraps() {
        return from.isOver(to);
    }

    /** Its length where it does not pass the datum; negative where it does. */
    public Length extent() {
        return to.minus(from);
    }

    public boolean contains(Length position) {
        return wraps()
                ? !position.isUnder(from) || !position.isOver(to)
                : !position.isUnder(from) && !position.isOver(to);
    }

    /** From a place to the nearer end; zero where the place lies within. */
    public Length distanceTo(Length position) {
        if (contains(position)) {
            return Length.zero(position.unit());
        }
        Length toFrom = position.minus(from);
        Length toEnd = position.minus(to);
        return (toFrom.isNegative() ? toFrom.negate() : toFrom).min(toEnd.isNegative() ? toEnd.negate() : toEnd);
    }

    /** For people: {@code 12–14}, or {@code 7 1/2} for a single place. */
    public String shown() {
        return from.compareTo(to) == 0 ? from.shown() : from.shown() + "–" + to.shown();
    }
}
