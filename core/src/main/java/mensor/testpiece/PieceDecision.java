package mensor.testpiece;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

    /**
     * What a piece comes to that has no weld at the bench: by the aims of its drill and its specimens. Empty for practice that has
     * neither. A qualification is never accepted so: no code has judged how it looks, and no plan says how many specimens are enough.
     *
     * @param inspected somebody said how it looks
     * @param faultless and saw nothing
     * @param tested without specimens that tell nothing
     */
    public static Optional<PieceDecision> withoutBench(
            Purpose purpose, boolean inspected, boolean faultless, Optional<DrillCheck> drill, List<Tested> tested) {
        if (purpose == Purpose.PRACTICE && drill.isEmpty() && tested.isEmpty()) {
            return Optional.empty();
        }
        List<String> failing = new ArrayList<>();
        List<String> open = new ArrayList<>();
        for (DrillCheck.AimResult a : drill.map(DrillCheck::aims).orElse(List.of())) {
            if (a.verdict() == Verdict.REJECT) {
                failing.add(a.aim().title() + ": " + a.read().orElse("") + "; the aim is " + a.limit());
            } else if (a.verdict() != Verdict.ACCEPT) {
                open.add(a.aim().title() + ": not measured");
            }
        }
        boolean looksGood = inspected && faultless && failing.isEmpty();
        boolean broke = false;
        for (Tested t : tested) {
            String line = t.name() + ": " + String.join("; ", t.result().lines());
            if (t.result().verdict() == Verdict.REJECT) {
                broke = true;
                failing.add(line);
            } else if (t.result().verdict() != Verdict.ACCEPT) {
                open.add(line);
            }
        }
        if (purpose != Purpose.PRACTICE) {
            open.add(
                    "not set up at the bench: no code has judged it, and no cutting plan says how many specimens are enough");
        } else if (!tested.isEmpty() && !inspected) {
            open.add("nobody said how it looks");
        } else if (tested.isEmpty()
                && drill.filter(d ->
                                d.verdict() == Verdict.INCOMPLETE && d.aims().isEmpty())
                        .isPresent()) {
            open.add("the drill has no aims");
        }
        if (!failing.isEmpty()) {
            failing.addAll(open);
            return Optional.of(new PieceDecision(Verdict.REJECT, List.copyOf(failing), looksGood && broke));
        }
        return Optional.of(
                new PieceDecision(open.isEmpty() ? Verdict.ACCEPT : Verdict.INCOMPLETE, List.copyOf(open), false));
    }
}
