package mensor.criteria;

import java.util.Optional;
import mensor.length.Length;

/** A convexity limit for faces up to a width; the last step has no width. {@code under} faces just short of it. */
public record WidthStep(Optional<Length> width, boolean widthIncluded, Length convexity, Confidence confidence) {}
