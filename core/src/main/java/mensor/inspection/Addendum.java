package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;

/** One contract limit; {@code max} is present just where the kind carries one, {@code note} says where it stands. */
public record Addendum(AddendumKind kind, Optional<Length> max, Optional<String> note) {}
