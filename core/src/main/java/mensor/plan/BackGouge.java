package mensor.plan;

import java.util.ArrayList;
import java.util.List;
import mensor.length.Unit;
import mensor.plan.PassPlan.Bead;
import mensor.plan.PassPlan.Point;
import mensor.weld.PassKind;

/**
 * The root of a two-sided groove gouged to sound metal from its second side, and what fills it: a U through the root face and
 * 1/8 in [3 mm] into the weld, 1/4 in [6 mm] in radius (common practice, no source). How deep it goes is found by gouging:
 * an estimate for metal and rods. Lengths in mm.
 */
final class BackGouge {
    private static final double INCH = 25.4;
    private static final double INTO_THE_WELD = INCH / 8;
    private static final double RADIUS = INCH / 4;
    private static final double INCLUDED = Math.toRadians(60);
    private static final int PIECES = 12;

    private final PlanConstants k;
    private final PlannedRods rods;
    private final double depth;

    /** @param twoSides half of the root face is gouged, the other half is open already */
    BackGouge(double rootFace, boolean twoSides, PlanConstants constants, PlannedRods rods) {
        this.k = constants;
        this.rods = rods;
        this.depth = (twoSides ? rootFace / 2 : rootFace) + INTO_THE_WELD;
    }

    private double width() {
        double theta = INCLUDED / 2;
        double shallow = RADIUS * (1 - Math.sin(theta));
        return depth < shallow
                ? 2 * Math.sqrt(depth * (2 * RADIUS - depth))
                : 2 * ((depth - RADIUS) * Math.tan(theta) + RADIUS / Math.cos(theta));
    }

    /** The cavity, taken as two thirds of its width times its depth, and a flat crown. */
    double area() {
        return 2 * width() * depth / 3 + WeldMetal.crown(width(), k.capHeight());
    }

    int count() {
        return PassPlanner.up(area() / rods.beadArea(rods.of(PassKind.FILL)) - k.restJoined());
    }

    /** The beads of the second side, hanging below the plate's lower face; numbered on from those of the first. */
    List<Bead> beads(int before, int layers) {
        double half = width() / 2;
        List<Point> surface = new ArrayList<>();
        surface.add(new Point(-half - INCH, 0));
        for (int i = 0; i <= PIECES; i++) {
            double x = -half + 2 * half * i / PIECES;
            surface.add(new Point(x, -depth * (1 - x * x / (half * half))));
        }
        surface.add(new Point(half + INCH, 0));
        Stack stack = new Stack(new BeadSurface(surface), rods, p -> new Point(p.x(), -p.y()));
        int count = Math.max(1, count());
        PlanRod fill = rods.of(PassKind.FILL);
        if (count == 1) {
            stack.layer(PassKind.CAP, 1, rods.of(PassKind.CAP), area(), 1, -half, half, k.capOverlap());
        } else {
            double root = area() / count;
            double toes = half * 0.7;
            stack.layer(PassKind.FILL, 1, fill, root, 1, -toes, toes, 0);
            stack.layer(PassKind.CAP, 2, rods.of(PassKind.CAP), area() - root, count - 1, -half, half, k.capOverlap());
        }
        return stack.beads().stream()
                .map(b -> b.numbered(before + b.number(), layers + b.layer()))
                .toList();
    }

    List<String> steps(int before, Unit unit) {
        return List.of(
                "after bead " + before + ": turn the piece and backgouge the root to sound metal, a U about "
                        + PassPlanner.shown(depth, unit) + " deep and " + PassPlanner.shown(width(), unit)
                        + " wide; grind the skin bright",
                "hold: the gouge is inspected, clean and sound along its whole length, by MT or PT where the contract asks; no bead is laid on a root that was not gouged",
                "then the second side: about " + count() + (count() == 1 ? " bead" : " beads")
                        + " fill the gouge, before what its own groove takes");
    }
}
