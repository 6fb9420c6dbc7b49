package mensor.server.practice;

import mensor.criteria.CriteriaBook;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import mensor.server.web.Refusal;
import mensor.weld.Connection;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.WeldType;
import org.jspecify.annotations.Nullable;

/**
 * A joint as typed, for what a code would allow at it.
 *
 * @param joint tee or butt
 * @param units in or mm
 * @param size of the fillet; the thickness where it is absent
 */
record TypicalJoint(
        String criteria,
        String joint,
        String units,
        String thickness,
        @Nullable String size) {
    private static final int LONG = 10;

    Unit unit() {
        return units.equals("mm") ? Unit.MILLIMETRE : Unit.INCH;
    }

    Joint read(CriteriaBook book) {
        if (!book.hasColumn(unit())) {
            throw Refusal.invalid("units", "this code has no column for " + units);
        }
        boolean fillet = !joint.equals("butt");
        Length thick = length("thickness", thickness);
        Length end = thick.times(LONG);
        JointBuilder builder = fillet
                ? new JointBuilder("typical", WeldType.FILLET, Connection.TEE, end)
                        .size(size == null || size.isBlank() ? thick : length("size", size))
                : new JointBuilder("typical", WeldType.GROOVE, Connection.BUTT, end)
                        .penetration(Penetration.COMPLETE)
                        .primary(false)
                        .transverseTension(false)
                        .backing(true);
        try {
            return builder.members(new Member("one", thick), new Member("other", thick))
                    .build();
        } catch (InvalidField e) {
            throw Refusal.invalid(e.field().contains("size") ? "size" : "thickness", e.problem());
        }
    }

    private Length length(String field, String typed) {
        try {
            Length l = Length.parse(typed, unit());
            if (!l.isPositive()) {
                throw Refusal.invalid(field, "must be over zero");
            }
            return l;
        } catch (LengthFormatException e) {
            throw Refusal.invalid(field, e.getMessage());
        }
    }
}
