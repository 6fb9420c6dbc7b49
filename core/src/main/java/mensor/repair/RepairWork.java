package mensor.repair;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import mensor.inspection.Crack;
import mensor.inspection.Indication;
import mensor.judge.Reinspection;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.MinimumPreheat;
import mensor.weld.Named;
import mensor.weld.RodTable;
import mensor.weld.Steel;

/** What must be recorded at each step of a repair, and what of it is worth a warning. */
public final class RepairWork {
    private static final Length LARGEST_ROD = Length.inches(5, 32);

    private RepairWork() {}

    /**
     * What the repair lead records at one step; each step wants its own part of it.
     *
     * @param span the true extent: the ends as found, then what was taken out
     * @param foundBy how the ends were found: PT, MT, etch or VT
     * @param clean the cavity was inspected and is clean and sound
     * @param proof MT or PT that proved a crack gone, with the number of its report
     * @param left the thickness left where it was ground
     * @param preheat as read, in °F or °C
     */
    public record Step(
            Optional<Span> span,
            Optional<String> foundBy,
            Optional<RemovalMethod> method,
            Optional<Length> depth,
            Optional<Boolean> clean,
            Optional<String> seenBy,
            Optional<String> proof,
            Optional<String> proofReport,
            Optional<Length> left,
            Optional<BigDecimal> preheat,
            boolean celsius,
            Optional<String> rod,
            Optional<Length> diameter,
            Optional<Integer> rods,
            Optional<String> welder,
            Optional<Boolean> cleaned,
            Optional<Boolean> cooled) {}

    /**
     * The place that is repaired.
     *
     * @param place where it was recorded; empty where it lies nowhere
     * @param ends what was recorded as its extent, once it was
     */
    public record Place(
            Joint joint,
            Optional<Indication> indication,
            Optional<Span> place,
            Disposition disposition,
            Optional<Span> ends) {
        boolean isCrack() {
            return indication.filter(Crack.class::isInstance).isPresent();
        }
    }

    /** What is missing or cannot be, by field; empty where the step may be recorded. */
    public static List<InvalidField> problems(RepairState to, Step s, Place p) {
        List<InvalidField> problems = new ArrayList<>();
        switch (to) {
            case EXTENT_KNOWN -> extent(problems, s, p);
            case EXCAVATED -> excavated(problems, s, p);
            case CAVITY_ACCEPTED -> cavity(problems, s, p);
            case WELDED -> welded(problems, s);
            case READY -> {
                need(problems, s.cleaned().orElse(false), "cleaned", "slag and spatter off, the repair brushed clean");
                need(problems, s.cooled().orElse(false), "cooled", "cooled to ambient");
            }
            default -> throw new IllegalArgumentException(to.id() + " is not recorded");
        }
        return problems;
    }

    private static void need(List<InvalidField> problems, boolean there, String field, String wanted) {
        if (!there) {
            problems.add(new InvalidField(field, wanted));
        }
    }

    private static void extent(List<InvalidField> problems, Step s, Place p) {
        where(problems, s, p, "where it begins and ends, from the datum");
        if (p.isCrack()) {
            boolean tested =
                    s.foundBy().filter(List.of("PT", "MT", "etch")::contains).isPresent();
            need(problems, tested, "foundBy", "a crack's ends are found by PT, MT or etching, not by eye");
        }
    }

    private static void excavated(List<InvalidField> problems, Step s, Place p) {
        boolean placed = where(problems, s, p, "from where to where metal was taken off");
        need(problems, s.method().isPresent(), "method", "how: " + Named.list(RemovalMethod.class));
        if (s.method().filter(RemovalMethod.OXYGEN::equals).isPresent()
                && p.joint().isDelayed()) {
            problems.add(new InvalidField(
                    "method", "no oxygen gouging on quenched-and-tempered steel; grind, or gouge by carbon arc"));
        }
        boolean takesOut = p.disposition() == Disposition.REMOVE_AND_REWELD || p.disposition() == Disposition.REPLACE;
        if (takesOut) {
            need(problems, s.depth().filter(Length::isPositive).isPresent(), "depth", "how deep it went");
        }
        if (placed && p.isCrack()) {
            SpanSet wanted = SpanSet.of(Reinspection.stretches(
                    p.joint(), List.of(p.ends().or(p::place).orElseThrow())));
            boolean reaches = wanted.minus(
                            p.joint().ruler().straight(List.of(s.span().orElseThrow())))
                    .isEmpty();
            need(
                    problems,
                    reaches,
                    "from",
                    "a crack goes with 2 in [50 mm] of sound metal beyond each end: "
                            + wanted.spans().stream().map(Span::shown).collect(Collectors.joining(" and "))
                            + " at least");
        }
    }

    private static void cavity(List<InvalidField> problems, Step s, Place p) {
        need(
                problems,
                s.clean().orElse(false),
                "clean",
                "the cavity is accepted only clean and sound: go on until it is");
        need(problems, s.seenBy().filter(n -> !n.isBlank()).isPresent(), "seenBy", "who inspected it");
        if (p.isCrack()) {
            boolean proven = s.proof().filter(List.of("MT", "PT")::contains).isPresent();
            need(problems, proven, "proof", "MT or PT proves that the crack is gone");
            need(
                    problems,
                    s.proofReport().filter(n -> !n.isBlank()).isPresent(),
                    "proofReport",
                    "the number of its report");
        }
        if (p.disposition() == Disposition.BLEND) {
            need(problems, s.left().isPresent(), "left", "measure what is left where it was ground");
        }
    }

    private static void welded(List<InvalidField> problems, Step s) {
        need(problems, s.welder().filter(n -> !n.isBlank()).isPresent(), "welder", "the welder's stamp");
        need(problems, s.rod().filter(n -> !n.isBlank()).isPresent(), "rod", "the rod's class, as E7018");
        need(problems, s.diameter().filter(Length::isPositive).isPresent(), "diameter", "the rod's diameter");
        need(problems, s.preheat().isPresent(), "preheat", "the temperature that was read before welding");
        s.rods().filter(n -> n < 1).ifPresent(n -> problems.add(new InvalidField("rods", "how many rods: 1 or more")));
    }

    /** Repairing the wrong end is the classic blunder: the stretch must touch the place that was rejected. */
    private static boolean where(List<InvalidField> problems, Step s, Place p, String wanted) {
        if (s.span().isEmpty()) {
            problems.add(new InvalidField("from", wanted));
            return false;
        }
        Span span = s.span().get();
        boolean beside =
                p.place().filter(x -> x.to().isOver(p.joint().length())).isPresent();
        try {
            if (!beside && span.from().compareTo(span.to()) != 0) {
                p.joint().checkWithin("", span);
            } else if (!beside) {
                throw new InvalidField("to", "a stretch is required: it ends behind where it begins");
            }
        } catch (InvalidField e) {
            problems.add(new InvalidField(e.field().replaceFirst("^\\.", ""), e.problem()));
            return false;
        }
        boolean touches = p.place().isEmpty()
                || !SpanSet.of(p.joint().ruler().straight(span))
                        .intersect(
                                SpanSet.of(p.joint().ruler().straight(p.place().get())))
                        .isEmpty();
        if (!touches) {
            problems.add(new InvalidField(
                    "from",
                    "the defect stands at " + p.place().get().shown() + " from the datum; " + span.shown()
                            + " is another place"));
        }
        return touches;
    }

    /** What was recorded and is not as it should be: it is kept, and said. */
    public static List<String> warnings(RepairState to, Step s, Place p) {
        List<String> warnings = new ArrayList<>();
        if (to == RepairState.WELDED) {
            s.diameter()
                    .filter(d -> d.isOver(LARGEST_ROD))
                    .ifPresent(
                            d -> warnings.add("rod of " + d.shownWithUnit() + ": repairs preferably not over 5/32 in"));
            Optional<Boolean> low = s.rod().flatMap(RodTable::isLowHydrogen);
            Steel steel = p.joint().steel();
            MinimumPreheat.of(steel, low.orElse(false), p.joint().thicker().thickness())
                    .ifPresent(m -> s.preheat()
                            .filter(t ->
                                    t.compareTo(BigDecimal.valueOf(s.celsius() ? m.celsius() : m.fahrenheit())) < 0)
                            .ifPresent(t -> warnings.add("preheat read " + t.toPlainString()
                                    + (s.celsius() ? " °C" : " °F") + "; at least " + m.shown() + " is required")));
        }
        if (to == RepairState.CAVITY_ACCEPTED) {
            s.left().ifPresent(left -> {
                Length t = p.joint().thinner().thickness();
                Length gone = t.minus(left);
                Length most = t.unit().pick(Length.inches(1, 32), Length.millimetres("1"));
                if (gone.isOver(most) || gone.times(20).isOver(t)) {
                    warnings.add(left.shownWithUnit() + " left of " + t.shownWithUnit()
                            + ": ground into the plate is a base-metal repair, for the Engineer");
                }
            });
        }
        if (to == RepairState.EXCAVATED) {
            s.method()
                    .filter(m -> m == RemovalMethod.FLAP_DISC && p.joint().isFillet())
                    .ifPresent(m -> warnings.add("a flap disc does not reach the root of a fillet"));
        }
        return warnings;
    }
}
