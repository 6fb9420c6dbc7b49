package mensor.weld;

import mensor.length.Length;
import mensor.length.Span;

/** A fit-up opening under the weld, as measured before welding, along a stretch. */
public record Gap(Span span, Length opening) {}
