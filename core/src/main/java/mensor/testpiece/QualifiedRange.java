package mensor.testpiece;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.ClockFace;
import mensor.weld.Joint;
import mensor.weld.Position;
import mensor.weld.Qualification;
import mensor.weld.RodTable;

/**
 * What an accepted test piece qualifies its welder for: the lowest rod group of its rods and those below it, the positions of the test
 * position, up to twice the plate's thickness, from 1 in [25 mm] on without limit, with backing or without.
 */
public final class QualifiedRange {
    public static final String CITATION =
            "AWS D1.1/D1.1M clause 6 (4), ASME IX QW-452, from memory: check against your copy; the quality manager confirms";

    private QualifiedRange() {}

    /**
     * Where nobody said whether it was backed, it counts as backed: that covers less.
     *
     * @param rods the classes that were used
     * @return empty where the position or the rods are not known
     */
    public static Optional<Qualification> of(Joint joint, List<String> rods, LocalDate tested) {
        Optional<Integer> group =
                rods.stream().map(RodTable::group).flatMap(Optional::stream).min(Integer::compare);
        return joint.position()
                .flatMap(p -> group.map(g -> new Qualification(
                        g,
                        p,
                        thickest(joint, p),
                        joint.isFillet() || joint.backing().orElse(true),
                        leastDiameter(joint),
                        tested,
                        tested)));
    }

    /** Of a test on pipe: under 1 in [25 mm] its own, up to 2 7/8 in [73 mm] 1 in, from there on 2 7/8 in. */
    static Optional<Length> leastDiameter(Joint joint) {
        Unit unit = joint.length().unit();
        Length one = unit.pick(Length.inches(1), Length.millimetres("25"));
        Length wide = unit.pick(Length.inches(23, 8), Length.millimetres("73"));
        return joint.clock().flatMap(ClockFace::diameter).map(d -> d.isUnder(one) ? d : d.isUnder(wide) ? one : wide);
    }

    /** A fillet test is not limited by thickness. */
    private static Optional<Length> thickest(Joint joint, Position position) {
        Length plate = joint.thinner().thickness();
        Unit unit = joint.length().unit();
        boolean unlimited = joint.isFillet() || !plate.isUnder(unit.pick(Length.inches(1), Length.millimetres("25")));
        return unlimited ? Optional.empty() : Optional.of(plate.times(2));
    }
}
