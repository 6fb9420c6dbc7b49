package mensor.criteria;

import java.util.Optional;
import mensor.length.Length;

/** The underrun allowed where the drawn size is under {@code sizeUnder}; the last step has no bound. */
public record Underrun(Optional<Length> sizeUnder, Length underrun) {}
