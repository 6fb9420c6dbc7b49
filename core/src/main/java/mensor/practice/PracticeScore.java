package mensor.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import mensor.inspection.Crack;
import mensor.inspection.Crater;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.inspection.Undercut;
import mensor.inspection.Underfill;
import mensor.inspection.Undersize;
import mensor.length.Length;
import mensor.length.Span;

/**
 * What was found of a made-up weld's flaws, what was missed, and what was called where there is none. Places within 5 mm are one place.
 *
 * @param outcomes of each true flaw
 * @param called the indications, by their number in the inspection, that no true flaw stands behind
 */
public record PracticeScore(List<Outcome> outcomes, List<Integer> called) {
    private static final double BESIDE = 5;

    /**
     * @param found it was recorded
     * @param sized what was put down for its size, mm; absent where nothing was
     */
    public record Outcome(PracticeFlaw flaw, boolean found, OptionalDouble sized) {
        /** What was put down less the truth. */
        public OptionalDouble off() {
            return sized.isPresent() ? OptionalDouble.of(sized.getAsDouble() - flaw.size()) : OptionalDouble.empty();
        }
    }

    /** @param wanted the leg that was wanted, mm */
    public static PracticeScore of(List<PracticeFlaw> flaws, Inspection seen, double wanted) {
        List<Outcome> outcomes = new ArrayList<>();
        List<Integer> called = new ArrayList<>();
        boolean[] stands = new boolean[seen.indications().size()];
        for (PracticeFlaw f : flaws) {
            boolean found = false;
            OptionalDouble sized = OptionalDouble.empty();
            for (int i = 0; i < stands.length; i++) {
                Indication x = seen.indications().get(i);
                if (names(x, f) && touches(x.span(), f)) {
                    stands[i] = true;
                    found = true;
                    sized = greater(sized, size(x, wanted));
                }
            }
            if (f.kind() == FlawKind.SHORT_LEG) {
                for (Reading r : seen.readings()) {
                    OptionalDouble missing = missing(r, f, wanted);
                    found |= missing.isPresent();
                    sized = greater(sized, missing);
                }
            }
            outcomes.add(new Outcome(f, found, sized));
        }
        for (int i = 0; i < stands.length; i++) {
            if (!stands[i]) {
                called.add(i);
            }
        }
        return new PracticeScore(List.copyOf(outcomes), List.copyOf(called));
    }

    private static boolean names(Indication x, PracticeFlaw f) {
        return switch (f.kind()) {
            case UNDERCUT ->
                x instanceof Undercut u && f.toe().filter(u.toe()::equals).isPresent();
            case PORE -> x instanceof Porosity;
            case CRACK -> x instanceof Crack;
            case CRATER -> x instanceof Crater || x instanceof Underfill;
            case SHORT_LEG -> x instanceof Undersize;
        };
    }

    private static boolean touches(Span span, PracticeFlaw f) {
        return mm(span.from()) <= f.to() + BESIDE && mm(span.to()) >= f.from() - BESIDE;
    }

    private static OptionalDouble size(Indication x, double wanted) {
        if (x instanceof Porosity p) {
            return OptionalDouble.of(mm(p.diameter()));
        }
        if (x instanceof Crack) {
            return OptionalDouble.of(mm(x.span().to()) - mm(x.span().from()));
        }
        if (x instanceof Undersize u) {
            return OptionalDouble.of(wanted - mm(u.least()));
        }
        return x.depth().map(d -> OptionalDouble.of(mm(d))).orElse(OptionalDouble.empty());
    }

    /** What a station read within a short stretch says is missing of the leg. */
    private static OptionalDouble missing(Reading r, PracticeFlaw f, double wanted) {
        if (!(r instanceof Reading.Station s) || !f.isAt(mm(s.at()), 1)) {
            return OptionalDouble.empty();
        }
        return (f.across() == 0 ? s.legA() : s.legB())
                .map(PracticeScore::mm)
                .filter(l -> l < wanted - 1e-6)
                .map(l -> OptionalDouble.of(wanted - l))
                .orElse(OptionalDouble.empty());
    }

    private static OptionalDouble greater(OptionalDouble a, OptionalDouble b) {
        return a.isEmpty() || b.isPresent() && b.getAsDouble() > a.getAsDouble() ? b : a;
    }

    private static double mm(Length l) {
        return l.approximateNanometres() / 1e6;
    }

    public long found() {
        return outcomes.stream().filter(Outcome::found).count();
    }

    public List<PracticeFlaw> missed() {
        return outcomes.stream().filter(o -> !o.found()).map(Outcome::flaw).toList();
    }
}
