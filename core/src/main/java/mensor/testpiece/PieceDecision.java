package mensor.testpiece;

import java.util.ArrayList;
import java.util.List;
import mensor.inspection.Verdict;

/**
 * What a test piece comes to: how it looked and what its specimens showed, together. One that is not tested leaves it open.
 *
 * @param lesson it looked good and broke badly: what the eye does not see
 */
public record PieceDecision(Verdict verdict, List<String> lines, boolean lesson) {
    /** A specimen that was tested. */
    public record Tested(SpecimenKind kind, String name, Specimen.Result result) {}

    public static PieceDecision of(Verdict visual, CuttingPlan plan, List<Tested> tested) {
        List<String> failing = new ArrayList<>();
        List<String> open = new ArrayList<>();
        if (visual == Verdict.REJECT) {
            failing.add("rejected by eye");
        } else if (visual != Verdict.ACCEPT) {
            open.add("the visual inspection is not through");
        }
        boolean broke = false;
        for (Tested t : tested) {
            if (t.result().verdict() == Verdict.REJECT) {
                broke = true;
                failing.add(t.name() + ": " + String.join("; ", t.result().lines()));
            } else if (t.result().verdict() != Verdict.ACCEPT) {
                open.add(t.name() + ": " + String.join("; ", t.result().lines()));
            }
        }
        for (SpecimenKind kind : SpecimenKind.values()) {
            long wanted = plan.cuts().stream().filter(c -> c.kind() == kind).count();
            long there = tested.stream()
                    .filter(t -> t.kind() == kind && !t.result().replace())
                    .count();
            if (there < wanted) {
                open.add(kind.title().toLowerCase(java.util.Locale.ROOT) + ": " + there + " of " + wanted + " tested");
            }
        }
        open.addAll(plan.problems()); // without a plan nobody knows how many specimens are enough
        if (!failing.isEmpty()) {
            return new PieceDecision(Verdict.REJECT, List.copyOf(failing), visual == Verdict.ACCEPT && broke);
        }
        return open.isEmpty()
                ? new PieceDecision(Verdict.ACCEPT, List.of("accepted by eye and by every specimen"), false)
                : new PieceDecision(Verdict.INCOMPLETE, List.copyOf(open), false);
    }
}
