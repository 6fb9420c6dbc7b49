package mensor.plan;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import mensor.plan.PassPlan.Bead;
import mensor.plan.PassPlan.Point;
import mensor.weld.PassKind;

/** Beads as they are laid one after the other on a surface. */
final class Stack {
    private final BeadSurface surface;
    private final PlannedRods rods;
    private final UnaryOperator<Point> turned;
    private final List<Bead> beads = new ArrayList<>();

    /** @param turned from across the surface to across the weld as it is drawn */
    Stack(BeadSurface surface, PlannedRods rods, UnaryOperator<Point> turned) {
        this.surface = surface;
        this.rods = rods;
        this.turned = turned;
    }

    List<Bead> beads() {
        return beads;
    }

    /**
     * Lays the next bead between two places.
     *
     * @param cover how much of the bead before lies under it, where it leans on one
     * @param shelf what is left of that one as a seat, across its face, mm
     */
    void lay(
            PassKind kind,
            int layer,
            PlanRod rod,
            double area,
            double left,
            double right,
            OptionalDouble cover,
            OptionalDouble shelf) {
        BeadSurface.Laid laid = surface.lay(left, right, area);
        beads.add(new Bead(
                beads.size() + 1,
                kind,
                layer,
                rod,
                area,
                rod.isStick() ? rods.beadArea(rod) : area,
                rods.runFor(rod, area),
                laid.width(),
                laid.height(),
                cover,
                shelf,
                laid.outline().stream().map(turned).toList(),
                List.of()));
    }

    /**
     * Lays a layer of beads side by side from the left, each leaning on the one before.
     *
     * @param overlap how much of its neighbor each bead after the first covers
     */
    void layer(
            PassKind kind, int layer, PlanRod rod, double area, int count, double left, double right, double overlap) {
        layer(
                layer,
                Collections.nCopies(count, rod.kind() == kind ? rod : rod.as(kind)),
                Collections.nCopies(count, area / count),
                left,
                right,
                overlap);
    }

    /** As above, each bead with its own rod and metal. */
    void layer(int layer, List<PlanRod> laid, List<Double> areas, double left, double right, double overlap) {
        int count = laid.size();
        double pitch = (right - left) / (count - 1 + 1 / (1 - overlap));
        double width = pitch / (1 - overlap);
        for (int i = 0; i < count; i++) {
            double from = left + i * pitch;
            double to = i == count - 1 ? right : from + width;
            lay(
                    laid.get(i).kind(),
                    layer,
                    laid.get(i),
                    areas.get(i),
                    from,
                    to,
                    i == 0 ? OptionalDouble.empty() : OptionalDouble.of(overlap),
                    i == 0 ? OptionalDouble.empty() : OptionalDouble.of(pitch));
        }
    }
}
