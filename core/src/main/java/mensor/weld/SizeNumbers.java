package mensor.weld;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Unit;

/**
 * The numbers that bear on a fillet's size before it is welded, each with its arithmetic: the least for the thickness, the
 * greatest along a lapped edge, the leg that a fit-up gap asks for, and the legs of a skew (AWS D1.1 7.7, 7.21 and its annex on
 * skewed joints, from memory, medium confidence). Which of them govern is for the drawing and the Engineer to say.
 */
public final class SizeNumbers {
    /**
     * One number.
     *
     * @param how its arithmetic
     * @param broken the drawn size does not keep it
     */
    public record GoverningNumber(String title, String value, String how, boolean broken) {}

    private final Joint joint;
    private final Unit unit;
    private final List<GoverningNumber> numbers = new ArrayList<>();

    private SizeNumbers(Joint joint) {
        this.joint = joint;
        this.unit = joint.size()
                .or(joint::throat)
                .map(Length::unit)
                .orElse(joint.length().unit());
    }

    /** @param lowHydrogen of the rods, absent where no procedure says; a cyclically loaded member has a greater least size */
    public static List<GoverningNumber> structural(Joint joint, boolean cyclic, Optional<Boolean> lowHydrogen) {
        SizeNumbers n = new SizeNumbers(joint);
        if (joint.isFillet()) {
            n.least(cyclic, lowHydrogen);
            n.lapEdge();
            n.length();
            n.gaps();
            n.skew();
        }
        return List.copyOf(n.numbers);
    }

    /** What geometry alone tells, for books that ask no least size. */
    public static List<GoverningNumber> geometric(Joint joint) {
        SizeNumbers n = new SizeNumbers(joint);
        if (joint.isFillet()) {
            n.skew();
        }
        return List.copyOf(n.numbers);
    }

    private void add(String title, String value, String how, boolean broken) {
        numbers.add(new GoverningNumber(title, value, how, broken));
    }

    /** The drawn leg as the 90° leg of equal throat, in which least sizes are given. */
    private RealLength equivalent() {
        RealLength throat = joint.nominalThroat().orElseThrow();
        return joint.dihedral().legOf(throat, LegMeaning.EQUIVALENT);
    }

    private void least(boolean cyclic, Optional<Boolean> lowHydrogen) {
        Member part = lowHydrogen.orElse(true) ? joint.thinner() : joint.thicker();
        Length byTable = PassLimits.leastFillet(part.thickness(), cyclic, unit);
        Length least = byTable.min(joint.thinner().thickness());
        String which = lowHydrogen
                .map(low -> low ? "the thinner part, low-hydrogen rods" : "the thicker part, in a single pass")
                .orElse("the thinner part, if the rods are low-hydrogen");
        String capped = least.isUnder(byTable) ? "; it need not exceed the thinner part" : "";
        add(
                "least for the thickness",
                least.in(unit).shownWithUnit(),
                part.thickness().shownWithUnit() + " (" + which + ") asks " + byTable.shownWithUnit() + capped
                        + (cyclic ? ", cyclically loaded" : ""),
                equivalent().isUnder(RealLength.of(least)));
    }

    private void lapEdge() {
        if (joint.connection() == Connection.LAP) {
            Length edge = joint.members().get(0).thickness();
            Length most = PassLimits.greatestLapFillet(edge, unit);
            boolean thin = most.compareTo(edge) == 0;
            add(
                    "greatest along the lapped edge",
                    most.in(unit).shownWithUnit(),
                    "edge of " + edge.shownWithUnit()
                            + (thin
                                    ? ": its thickness"
                                    : " − " + edge.minus(most).in(unit).shown())
                            + ", unless it is built out",
                    equivalent().isOver(RealLength.of(most)));
        }
    }

    private void length() {
        Length size = joint.size().orElse(null);
        if (size != null) {
            Length least = size.times(4).in(unit);
            boolean shorter = joint.length().isUnder(least);
            add(
                    "least length",
                    least.shownWithUnit(),
                    "4 × " + size.shown()
                            + (shorter
                                    ? "; shorter, the size counts as a quarter of the length: "
                                            + joint.length()
                                                    .dividedBy(4)
                                                    .in(unit)
                                                    .shownWithUnit()
                                    : ""),
                    shorter);
        }
    }

    private void gaps() {
        Length free = unit.pick(Length.inches(1, 16), Length.millimetres("2"));
        RealLength drawn = joint.dihedral().legOf(joint.nominalThroat().orElseThrow(), joint.sizeMeans());
        for (Gap g : joint.gaps()) {
            if (g.opening().isOver(free)) {
                RealLength wanted = drawn.plus(RealLength.of(g.opening()));
                add(
                        "leg over the gap at " + g.span().shown(),
                        wanted.shownWithUnit(unit),
                        drawn.in(unit).shown() + " + the whole opening of "
                                + g.opening().in(unit).shown() + ", as it is over " + free.shownWithUnit(),
                        false);
            }
        }
    }

    private void skew() {
        Dihedral angle = joint.dihedral();
        if (angle.isSquare()) {
            return;
        }
        RealLength equivalent = equivalent();
        RealLength throat = joint.nominalThroat().orElseThrow();
        String factor = String.format(Locale.ROOT, "%.3f", 2 * angle.halfSine().doubleValue() / Math.sqrt(2));
        add(
                "90° leg of equal throat",
                equivalent.shownWithUnit(unit),
                "throat " + throat.in(unit).shown() + " × √2",
                false);
        add(
                "leg along the member, at " + angle,
                angle.legOf(throat, LegMeaning.CONTACT).shownWithUnit(unit),
                "throat " + throat.in(unit).shown() + " ÷ cos(" + angle + "/2)",
                false);
        add(
                "leg square to the other member",
                angle.legOf(throat, LegMeaning.PERPENDICULAR).shownWithUnit(unit),
                "90° leg × √2·sin(" + angle + "/2) = × " + factor,
                false);
        zLoss(angle)
                .ifPresent(z -> add(
                        "lost at the root, for planning",
                        z.shownWithUnit(),
                        "below 60° a rod does not reach the corner: 1/8 in [3 mm] from 45°, 1/4 in [6 mm] from 30°",
                        false));
    }

    private Optional<Length> zLoss(Dihedral angle) {
        double degrees = angle.degrees().doubleValue();
        if (degrees >= 60) {
            return Optional.empty();
        }
        return Optional.of(
                degrees >= 45
                        ? unit.pick(Length.inches(1, 8), Length.millimetres("3"))
                        : unit.pick(Length.inches(1, 4), Length.millimetres("6")));
    }
}
