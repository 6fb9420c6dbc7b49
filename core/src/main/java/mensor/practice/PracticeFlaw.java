package mensor.practice;

import java.util.Optional;
import mensor.weld.Toe;

/**
 * A flaw that truly is there, in mm.
 *
 * @param toe of an undercut and of a short leg
 * @param size the depth, diameter or length that its kind names
 * @param across where on the face, 0 at toe A and 1 at toe B
 */
public record PracticeFlaw(FlawKind kind, Optional<Toe> toe, double from, double to, double size, double across) {
    double middle() {
        return (from + to) / 2;
    }

    boolean isAt(double place, double beside) {
        return place >= from - beside && place <= to + beside;
    }
}
