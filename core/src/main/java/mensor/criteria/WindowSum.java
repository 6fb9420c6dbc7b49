package mensor.criteria;

import mensor.length.Length;

/** The sum of diameters allowed in any window. */
public record WindowSum(Length sum, Length window) {}
