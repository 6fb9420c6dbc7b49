package mensor.weld;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;

/** What is possible but unusual about a joint as set up, said so that a slip of the pen is seen (common practice). */
public final class Unusual {
    /** A line about one field. */
    public record Remark(String field, String line) {}

    private Unusual() {}

    /** A weld much shorter or longer than its member is around: the toe of a fillet lies a little further out. */
    private static Optional<Remark> clock(Joint joint) {
        return joint.clock().flatMap(ClockFace::diameter).flatMap(d -> {
            double around = Math.PI * d.approximateNanometres();
            double off = joint.length().approximateNanometres() / around;
            Length round = Length.ofNanometres(Math.round(around), d.unit());
            return off > 0.97 && off < 1.15
                    ? Optional.empty()
                    : Optional.of(new Remark(
                            "length",
                            "π × " + d.shownWithUnit() + " is " + round.shownWithUnit() + " around: check the length"));
        });
    }

    public static List<Remark> of(Joint joint) {
        List<Remark> remarks = new ArrayList<>();
        Length thinner = joint.thinner().thickness();
        joint.size()
                .filter(s -> s.isOver(thinner))
                .ifPresent(s -> remarks.add(new Remark(
                        "size",
                        "the size " + s.shown() + " is over the thinner member, " + thinner.shownWithUnit()
                                + ": check the drawing")));
        joint.size()
                .filter(s -> joint.length().isUnder(s.times(4)))
                .ifPresent(s -> remarks.add(new Remark(
                        "length",
                        "shorter than 4 × the size: the code then counts the size as a quarter of the length")));
        if (joint.thicker().thickness().isOver(Length.inches(8))) {
            remarks.add(new Remark("members", "a member over 8 in thick: check the units"));
        }
        if (joint.length().isOver(Length.inches(1200))) {
            remarks.add(new Remark("length", "over 100 ft long: check the units"));
        }
        if (joint.datum().filter(d -> !d.isBlank()).isEmpty()) {
            remarks.add(new Remark(
                    "datum", "no datum: say from which end it is measured, or the wrong end may be repaired"));
        }
        if (joint.members().size() == 1) {
            remarks.add(new Remark("members", "one member: both toes are taken to lie on it"));
        }
        clock(joint).ifPresent(remarks::add);
        joint.position()
                .filter(Position::isFixedPipe)
                .filter(p -> !joint.closed())
                .ifPresent(p -> remarks.add(new Remark(
                        "position",
                        "practised as " + p.id() + ", not a " + p.id()
                                + " test: that is welded around a fixed pipe or tube")));
        return List.copyOf(remarks);
    }
}
