package mensor.weld;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;

/**
 * What in a procedure lies outside the prequalified limits, each breach with its arithmetic. A procedure that was qualified
 * by test may lie outside them: the breach says what its test must cover, it forbids nothing.
 */
public final class ProcedureCheck {
    /** One limit that is passed. */
    public record Breach(String field, String line, String citation) {}

    private static final String PREHEAT = "D1.1 5.8 (3.3), from memory, medium confidence: check against your copy";
    private static final String RODS =
            "filler-metal specification's annex and handbooks, from memory; the box label goes first";
    private final Procedure procedure;
    private final List<Breach> breaches = new ArrayList<>();

    private ProcedureCheck(Procedure procedure) {
        this.procedure = procedure;
    }

    public static List<Breach> breaches(Procedure procedure) {
        ProcedureCheck check = new ProcedureCheck(procedure);
        for (int i = 0; i < procedure.passes().size(); i++) {
            check.pass("passes[" + i + "]", procedure.passes().get(i));
        }
        check.progression();
        check.preheat();
        check.openRoot();
        return List.copyOf(check.breaches);
    }

    private void breach(String field, String line, String citation) {
        breaches.add(new Breach(field, line, citation));
    }

    private void pass(String field, ProcedurePass p) {
        Optional<Range> rod = p.process().isStick() ? RodTable.workable(p.electrode(), p.diameter()) : Optional.empty();
        if (rod.isPresent()
                && p.amps().isPresent()
                && !rod.get().contains(p.amps().get())) {
            breach(
                    field + ".amps",
                    p.kind().id() + " pass: " + p.amps().get().shown("A") + " goes beyond the rod's "
                            + rod.get().shown("A") + " (" + p.rod() + ")",
                    RODS);
        }
        if (p.process().isStick()
                && p.isLowHydrogen()
                && p.polarity().filter(Polarity.DCEN::equals).isPresent()) {
            breach(field + ".polarity", p.electrode() + " on DCEN: it is run on DCEP or AC", RODS);
        }
        p.layer().ifPresent(layer -> layer(field, p, layer));
        sorted().stream()
                .filter(at -> PassLimits.rod(at, p.isLowHydrogen(), p.diameter().unit())
                        .filter(p.diameter()::isOver)
                        .isPresent())
                .findFirst()
                .ifPresent(at -> breach(
                        field + ".diameter",
                        p.rod() + " in position " + at.id() + ": "
                                + PassLimits.rod(
                                                at,
                                                p.isLowHydrogen(),
                                                p.diameter().unit())
                                        .orElseThrow()
                                        .shownWithUnit()
                                + " at most",
                        PassLimits.CITATION));
        if (p.technique().filter(Technique.WEAVE::equals).isPresent() && procedure.stringerOnly()) {
            breach(
                    field + ".technique",
                    p.kind().id() + " pass woven, but the procedure says stringers only",
                    "the procedure itself");
        }
    }

    private void layer(String field, ProcedurePass p, Length layer) {
        boolean single = p.kind() == PassKind.ROOT || procedure.passes().size() == 1;
        if (!single) {
            Length most = PassLimits.fillLayer(layer.unit());
            if (layer.isOver(most)) {
                breach(
                        field + ".layer",
                        p.kind().id() + " layer " + layer.shownWithUnit() + " − " + most.shownWithUnit() + " allowed = "
                                + layer.minus(most).shownWithUnit() + " over",
                        PassLimits.CITATION);
            }
            return;
        }
        sorted().stream()
                .min(Comparator.comparing(at -> PassLimits.singlePass(at, layer.unit())))
                .filter(at -> layer.isOver(PassLimits.singlePass(at, layer.unit())))
                .ifPresent(at -> {
                    Length most = PassLimits.singlePass(at, layer.unit());
                    breach(
                            field + ".layer",
                            "a single pass of " + layer.shownWithUnit() + " in position " + at.id() + " − "
                                    + most.shownWithUnit() + " allowed = "
                                    + layer.minus(most).shownWithUnit() + " over",
                            PassLimits.CITATION);
                });
    }

    private List<Position> sorted() {
        return procedure.positions().stream().sorted().toList();
    }

    private void progression() {
        if (procedure.progression().filter(Progression.DOWN::equals).isPresent()) {
            sorted().stream()
                    .filter(PassLimits::isVertical)
                    .findFirst()
                    .ifPresent(at -> breach(
                            "progression",
                            "position " + at.id() + " welded down: a prequalified procedure goes up",
                            PassLimits.CITATION));
        }
    }

    private void preheat() {
        Optional<Length> thickest = procedure.thickest().or(procedure::thinnest);
        if (procedure.steel() == Steel.UNKNOWN) {
            breach("steel", "the steel is not known: no preheat can be named, hold until it is", PREHEAT);
            return;
        }
        if (!procedure.isLowHydrogen() && procedure.steel() != Steel.A36_TYPE) {
            breach(
                    "passes",
                    "rods without low hydrogen on " + procedure.steel().shown()
                            + ": prequalified for A36-type steels only",
                    PassLimits.CITATION);
        }
        if (thickest.isEmpty()) {
            return;
        }
        MinimumPreheat.of(procedure.steel(), procedure.isLowHydrogen(), thickest.get())
                .ifPresent(least -> {
                    String why = procedure.steel().shown()
                            + (procedure.isLowHydrogen() ? ", low-hydrogen rods, " : ", rods without low hydrogen, ")
                            + thickest.get().shownWithUnit() + " thick: category " + least.group() + ", at least "
                            + least.shown();
                    if (procedure.preheatF().isEmpty() && least.fahrenheit() > 32) {
                        breach("preheatF", "no preheat is given; " + why, PREHEAT);
                    } else if (procedure.preheatF().isPresent()
                            && procedure.preheatF().getAsDouble() < least.fahrenheit()) {
                        double given = procedure.preheatF().getAsDouble();
                        breach(
                                "preheatF",
                                Range.plain(given) + " °F is " + Range.plain(least.fahrenheit() - given) + " °F short; "
                                        + why,
                                PREHEAT);
                    }
                });
    }

    private void openRoot() {
        boolean groove = procedure.welds().contains(WeldType.GROOVE);
        if (groove && procedure.backing().filter(b -> !b).isPresent()) {
            breach(
                    "backing",
                    "a groove without backing and welded from one side only is not prequalified for complete penetration; backgouge, or qualify it by test",
                    PassLimits.CITATION);
        }
    }
}
