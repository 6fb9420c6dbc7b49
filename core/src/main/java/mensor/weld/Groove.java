package mensor.weld;

import java.util.Optional;
import mensor.length.Length;

/** The preparation of a groove as drawn, for plans. The included angle is in degrees. */
public record Groove(
        Optional<String> prep,
        Optional<Double> includedAngle,
        Optional<Length> rootFace,
        Optional<Length> rootOpening) {
    /** The preparation, where it is one that plans and sections know. */
    public Optional<Preparation> preparation() {
        return prep.flatMap(Preparation::of);
    }
}
