package mensor.testpiece;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.ClockFace;
import mensor.weld.Joint;
import mensor.weld.PassKind;
import mensor.weld.Position;
import mensor.weld.Qualification;
import mensor.weld.RodTable;

/**
 * What an accepted test piece qualifies its welder for: the positions of the test position, up to twice the plate's thickness, from
 * 1 in [25 mm] on without limit, and a rod group with those below it. An open root that is welded from one side qualifies its own
 * rod without backing; the rods above it lay on what the root left, which is their backing.
 */
public final class QualifiedRange {
    public static final String CITATION =
            "AWS D1.1/D1.1M clause 6 (4), ASME IX QW-433, QW-452, from memory: check against your copy; the quality manager confirms";

    private QualifiedRange() {}

    /** A rod that was used, and for which pass, where that was said. */
    public record RodUsed(String electrode, Optional<PassKind> kind) {}

    /**
     * Where nobody said whether it was backed, it counts as backed, and a rod whose pass nobody said as laid in the root: that
     * covers less.
     *
     * @return one range for each group that covers more than another; empty where the position or the rods are not known
     */
    public static List<Qualification> of(Joint joint, List<RodUsed> rods, LocalDate tested) {
        OptionalInt root = group(rods.stream().filter(r -> r.kind().orElse(PassKind.ROOT) == PassKind.ROOT));
        OptionalInt above = group(rods.stream().filter(r -> r.kind().orElse(PassKind.ROOT) != PassKind.ROOT));
        OptionalInt least = root.isPresent() ? root : above;
        if (joint.position().isEmpty() || least.isEmpty()) {
            return List.of();
        }
        List<Qualification> ranges = new ArrayList<>();
        if (isOpenRoot(joint) && root.isPresent()) {
            ranges.add(range(joint, root.getAsInt(), false, tested));
            above.ifPresent(g -> {
                if (g > root.getAsInt()) {
                    ranges.add(range(joint, g, true, tested));
                }
            });
        } else {
            int group = Math.max(least.getAsInt(), above.orElse(0));
            ranges.add(range(joint, group, true, tested));
        }
        return List.copyOf(ranges);
    }

    private static OptionalInt group(Stream<RodUsed> rods) {
        return rods.map(r -> RodTable.group(r.electrode()))
                .flatMap(Optional::stream)
                .mapToInt(g -> g)
                .min();
    }

    private static Qualification range(Joint joint, int group, boolean backing, LocalDate tested) {
        Position position = joint.position().orElseThrow();
        return new Qualification(
                group, position, thickest(joint, position), backing, leastDiameter(joint), tested, tested);
    }

    /** A groove that is welded from one side onto nothing; where nobody said of the sides, that it has no backing says it. */
    private static boolean isOpenRoot(Joint joint) {
        boolean backed = joint.backing().orElse(false);
        return !joint.isFillet()
                && !backed
                && joint.oneSidedSaid().orElse(joint.backing().isPresent());
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
