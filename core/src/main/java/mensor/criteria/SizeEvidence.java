package mensor.criteria;

import mensor.length.Length;
import mensor.length.Unit;

/** How many readings accept a size: stations near both ends and none too far apart, or one on a short weld. */
public record SizeEvidence(int stations, Length fromEnd, Length apart, Length shortWeld) {
    public static SizeEvidence in(Unit column) {
        return column.pick(inches(), millimetres());
    }

    public static SizeEvidence inches() {
        return new SizeEvidence(3, Length.inches(2), Length.inches(12), Length.inches(3));
    }

    public static SizeEvidence millimetres() {
        return new SizeEvidence(3, Length.millimetres("50"), Length.millimetres("300"), Length.millimetres("75"));
    }
}
