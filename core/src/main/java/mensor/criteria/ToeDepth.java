package mensor.criteria;

import java.util.Optional;
import mensor.length.Length;

/** A toe's depth at any length, and the greater depth that may add up along a short length. */
public record ToeDepth(Length anyLength, Optional<Length> exception) {}
