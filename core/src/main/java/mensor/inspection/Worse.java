package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;

/** A depth made worse. One of zero is nothing there, and stays so. */
final class Worse {
    private Worse() {}

    static Length by(Length depth, Length more) {
        return depth.isZero() ? depth : depth.plus(more);
    }

    static Optional<Length> by(Optional<Length> depth, Length more) {
        return depth.map(d -> by(d, more));
    }
}
