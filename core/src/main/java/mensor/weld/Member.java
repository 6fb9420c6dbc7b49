package mensor.weld;

import mensor.length.Length;

/** One of the parts that the weld joins. The name is empty where the drawing gives none; the thickness is over zero. */
public record Member(String name, Length thickness) {
    public Member {
        if (!thickness.isPositive()) {
            throw new InvalidField("thickness", "a member's thickness must be over zero, got " + thickness);
        }
    }
}
