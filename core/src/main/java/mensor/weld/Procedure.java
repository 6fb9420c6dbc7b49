package mensor.weld;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import mensor.length.Length;
import mensor.length.Unit;

/**
 * A welding procedure (WPS) in one revision: what may be welded with it and how each kind of pass is laid. Temperatures in
 * °F. An empty set or an absent limit says nothing, and then nothing is checked against it.
 *
 * @param beadWidthRods the widest bead as a multiple of the rod's diameter
 * @param brightMetal how far back the metal is ground bright before welding
 * @param backing welded onto a backing; false where it is open or backgouged
 */
public record Procedure(
        String number,
        String revision,
        Unit units,
        Set<WeldType> welds,
        Set<Connection> connections,
        Optional<Length> thinnest,
        Optional<Length> thickest,
        Set<Position> positions,
        Optional<Progression> progression,
        Steel steel,
        OptionalDouble preheatF,
        OptionalDouble interpassMaxF,
        OptionalDouble beadWidthRods,
        boolean stringerOnly,
        Optional<String> cleaning,
        Optional<Length> brightMetal,
        Optional<Boolean> backing,
        List<ProcedurePass> passes) {

    /** @throws InvalidField naming the first field that cannot be */
    public Procedure {
        welds = Set.copyOf(welds);
        connections = Set.copyOf(connections);
        positions = Set.copyOf(positions);
        passes = List.copyOf(passes);
        if (thinnest.isPresent() && thickest.isPresent() && thinnest.get().isOver(thickest.get())) {
            throw new InvalidField(
                    "thickest", "is under the thinnest, " + thinnest.get().shownWithUnit());
        }
        if (preheatF.isPresent() && interpassMaxF.isPresent() && interpassMaxF.getAsDouble() < preheatF.getAsDouble()) {
            throw new InvalidField(
                    "interpassMaxF", "is under the preheat, " + Range.plain(preheatF.getAsDouble()) + " °F");
        }
        if (passes.isEmpty()) {
            throw new InvalidField("passes", "at least one pass is required");
        }
        for (int i = 0; i < passes.size(); i++) {
            for (int j = 0; j < i; j++) {
                if (passes.get(i).isSameRowAs(passes.get(j))) {
                    throw new InvalidField(
                            "passes[" + i + "].kind", passes.get(i).kind().id() + " is given twice with the same rod");
                }
            }
        }
    }

    /** The pass that answers for a kind: its own, else the nearest that stands for it (hot as fill, fill as root). */
    public Optional<ProcedurePass> pass(PassKind kind) {
        return passes.stream()
                .filter(p -> p.kind() == kind)
                .findFirst()
                .or(() -> passes.size() == 1 ? Optional.of(passes.get(0)) : Optional.empty())
                .or(() -> kind == PassKind.HOT ? pass(PassKind.FILL) : Optional.empty());
    }

    /** The row that a recorded pass is held against: of its kind the one with its process and rod, else the first. */
    public Optional<ProcedurePass> rowFor(Pass laid) {
        return laid.kind()
                .flatMap(kind -> passes.stream()
                        .filter(p -> p.kind() == kind && p.fits(laid))
                        .findFirst()
                        .or(() -> pass(kind)));
    }

    public boolean isLowHydrogen() {
        return passes.stream().allMatch(ProcedurePass::isLowHydrogen);
    }

    public String name() {
        return number + " rev " + revision;
    }
}
