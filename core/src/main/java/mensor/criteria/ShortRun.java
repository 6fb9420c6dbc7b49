package mensor.criteria;

import mensor.length.Length;

/**
 * How much of a short imperfection: so much in any window; a weld that is shorter than the window may have its length
 * divided by {@code shorterDivisor}, or the whole allowance where that is zero.
 */
public record ShortRun(Length total, Length window, int shorterDivisor) {}
