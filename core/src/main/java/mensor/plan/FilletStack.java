package mensor.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import mensor.plan.PassPlan.Bead;
import mensor.plan.PassPlan.Point;
import mensor.weld.Joint;
import mensor.weld.PassKind;
import mensor.weld.PassLimits;
import mensor.weld.Position;
import mensor.weld.Toe;

/** The beads of a fillet: one pass where rod and position take the leg, else layers from the lower member upward. */
final class FilletStack {
    /** Where an inner layer's toes lie, as part of the leg that a flat one of its metal would have: its beads stand out. */
    private static final double INNER_TOES = 0.95;
    /** A layer this much wider than its beads may be is still laid with so many. */
    private static final double WIDER = 0.10;

    private static final double NARROWER = 0.05;
    /** The widest weave, and the largest leg of one woven pass, in rod diameters (common practice, no source). */
    private static final double WEAVE_RODS = 4;

    private static final double WOVEN_ONE_PASS = 2.5;
    private static final int MOST_BEADS = 200;

    private final Joint joint;
    private final PlanConstants k;
    private final PlannedRods rods;
    private final double half;

    FilletStack(Joint joint, PlanConstants constants, PlannedRods rods) {
        this.joint = joint;
        this.k = constants;
        this.rods = rods;
        this.half = Math.toRadians(joint.dihedral().degrees().doubleValue()) / 2;
    }

    /**
     * How many beads each layer has. One pass where the position and the rod take the leg at once. More are laid as a stack, in
     * which a layer has as many beads as the one below or one more: 1-2, 1-2-2, 1-2-3 and so on (common practice, no source). A
     * lone bead over the whole face of another would be a skin that nobody lays; then the beads are a little larger or smaller.
     */
    List<Integer> layers(double leg, double area) {
        double root = rods.beadArea(rods.of(PassKind.ROOT));
        boolean narrowed = face(leg) > widest(rods.of(PassKind.ROOT)) * (1 + WIDER) && isNarrowed();
        if (!narrowed && (leg <= onePass() * (1 + 1e-9) || area <= root * (1 + 1e-9))) {
            return List.of(1);
        }
        if (rods.of(PassKind.CAP).weaves()) {
            return woven(leg);
        }
        double beads = 1 + Math.max(0, (area - root) / rods.beadArea(rods.of(PassKind.FILL)) - k.restJoined());
        int count = PassPlanner.up(beads);
        if (count == 2) {
            count = 3;
        } else if (count == 4) {
            count = beads * beads < 3 * 5 ? 3 : 5;
        }
        List<Integer> layers = stack(count);
        while (isTooWide(layers, leg) && count < MOST_BEADS) {
            layers = stack(++count);
        }
        return layers;
    }

    /** A layer at a time over the whole width, split where a weave would be wider than it may be (common practice, no source). */
    private List<Integer> woven(double leg) {
        double first = Math.min(onePass(), leg);
        int over = Math.max(1, PassPlanner.up((leg - first) / Math.sqrt(2) / k.layerHeight() - WIDER));
        List<Integer> layers = new ArrayList<>(List.of(1));
        for (int i = 1; i <= over; i++) {
            double toes = first + (leg - first) * i / over;
            layers.add(Math.max(1, PassPlanner.up(face(toes) / widest(rods.of(PassKind.CAP)) - WIDER)));
        }
        return layers;
    }

    private double face(double leg) {
        return 2 * leg * Math.sin(half);
    }

    /** The widest bead: by the procedure, else by the shop; a weave is as wide as weaves are. */
    private double widest(PlanRod rod) {
        double usual = rod.weaves() ? Math.max(k.beadRods(), WEAVE_RODS) : k.beadRods();
        return rod.widestRods().orElse(usual) * rod.diameterMm();
    }

    /** Whether beads are kept narrower than is usual, so that also a single pass is held to it. */
    private boolean isNarrowed() {
        double usual = PlanConstants.USUAL.beadRods();
        return rods.of(PassKind.ROOT).widestRods().orElse(k.beadRods()) < usual;
    }

    /** Whether the beads of the last layer, side by side, are wider than a bead may be. */
    private boolean isTooWide(List<Integer> layers, double leg) {
        int last = layers.get(layers.size() - 1);
        double width = face(leg) / (1 + (last - 1) * (1 - k.capOverlap()));
        return width > widest(rods.of(PassKind.CAP)) * (1 + NARROWER);
    }

    /** The largest leg of one pass: by the rod, within what D1.1 gives a single pass in the position. */
    private double onePass() {
        PlanRod rod = rods.of(PassKind.ROOT);
        double byRod = (rod.weaves() ? Math.max(k.onePassRods(), WOVEN_ONE_PASS) : k.onePassRods()) * rod.diameterMm();
        Position position = joint.position().orElse(Position.HORIZONTAL_FILLET);
        return Math.min(
                byRod,
                PassPlanner.mm(PassLimits.singlePass(position, joint.length().unit())));
    }

    /** The fewest layers that hold so many beads: each layer one more than the one below, but where too many would come. */
    private List<Integer> stack(int count) {
        if (k.repeatLayers() > 0.5) {
            return repeated(count);
        }
        int layers = 1;
        while (layers * (layers + 1) / 2 < count) {
            layers++;
        }
        int tooMany = layers * (layers + 1) / 2 - count;
        List<Integer> stack = new ArrayList<>();
        int here = 0;
        for (int layer = 1; layer <= layers; layer++) {
            // a layer no larger than the one below takes one bead off it and off each above
            boolean asBelow = layer > 2 && tooMany >= layers - layer + 1;
            if (asBelow) {
                tooMany -= layers - layer + 1;
            } else {
                here++;
            }
            stack.add(here);
        }
        return stack;
    }

    /** One bead, then each number twice until so many are there: 1-2-2-3; the last layer takes the rest. */
    private static List<Integer> repeated(int count) {
        List<Integer> stack = new ArrayList<>(List.of(1));
        int left = count - 1;
        for (int layer = 2; left > 0; layer++) {
            int here = Math.min(layer / 2 + 1, left);
            stack.add(here);
            left -= here;
        }
        return stack;
    }

    /** The corner with the line that halves it upright, the lower member to the left; far enough out for every toe. */
    private BeadSurface corner(double leg) {
        double out = 2 * leg * Math.sin(half);
        double up = 2 * leg * Math.cos(half);
        return new BeadSurface(List.of(new Point(-out, up), new Point(0, 0), new Point(out, up)));
    }

    /** From there to the drawing, where the second member lies along x; the stack grows from the lower one. */
    private Point turned(Point laid) {
        Point p = low() == Toe.B ? laid : new Point(-laid.x(), laid.y());
        return new Point(
                p.y() * Math.cos(half) - p.x() * Math.sin(half), p.y() * Math.sin(half) + p.x() * Math.cos(half));
    }

    /**
     * The member that gravity pulls to, where beads begin: in 2F the one that lies, overhead the one that hangs. Where nobody
     * said which member is which, the first is taken as the upright one.
     */
    private Toe low() {
        boolean overhead = joint.position().filter(Position::isOverhead).isPresent();
        return joint.upper().map(Toe::opposite).orElse(overhead ? Toe.A : Toe.B);
    }

    List<Bead> beads(double leg, double area, List<Integer> layers) {
        int count = layers.stream().mapToInt(Integer::intValue).sum();
        double share = k.rootExtra() / (count - 1 + k.rootExtra()); // the root no more over the others than it takes
        double root = count == 1 ? area : Math.min(area * share, rods.beadArea(rods.of(PassKind.ROOT)));
        double each = count == 1 ? 0 : (area - root) / (count - 1);
        Stack stack = new Stack(corner(leg), rods, this::turned);
        double laid = 0;
        double rootToe = 0;
        for (int layer = 1; layer <= layers.size(); layer++) {
            int here = layers.get(layer - 1);
            boolean last = layer == layers.size();
            double metal = layer == 1 ? root : each * here;
            laid += metal;
            double toes = Math.sqrt(laid / area) * leg * (last ? 1 : INNER_TOES);
            double toe = toes * Math.sin(half);
            PassKind kind = layer == 1 ? PassKind.ROOT : last ? PassKind.CAP : PassKind.FILL;
            PlanRod rod = kind == PassKind.FILL ? rods.fill(layer - 2) : rods.of(kind);
            if (layer == 2 && here == 2) {
                overTheRoot(stack, kind, rod, each, toe, rootToe);
            } else {
                stack.layer(kind, layer, rod, metal, here, -toe, toe, k.capOverlap());
            }
            rootToe = toe;
        }
        return stack.beads();
    }

    /** The passes of a record as they would lie, in a stack of as many. */
    List<Bead> recorded(double leg, List<PlanRod> laid) {
        Stack beads = new Stack(corner(2 * leg), rods, this::turned);
        double metal = 0;
        int next = 0;
        int layer = 0;
        for (int here : stack(laid.size())) {
            List<PlanRod> now = laid.subList(next, next + here);
            List<Double> areas = now.stream()
                    .map(r -> r.isStick() ? rods.beadArea(r) : rods.beadArea(rods.of(PassKind.ROOT)))
                    .toList();
            metal += areas.stream().mapToDouble(Double::doubleValue).sum();
            double toe = Math.sqrt(2 * metal / Math.sin(2 * half)) * Math.sin(half);
            beads.layer(++layer, now, areas, -toe, toe, k.capOverlap());
            next += here;
        }
        return beads.beads();
    }

    /** The second bead on the root bead's lower toe, leaving a shelf of it; the third from there to the upper toe. */
    private void overTheRoot(Stack stack, PassKind kind, PlanRod rod, double each, double toe, double rootToe) {
        double face = 2 * rootToe;
        double end = -rootToe + overlap() * face;
        stack.lay(
                kind, 2, rod, each, -toe, end, OptionalDouble.of(overlap()), OptionalDouble.of((1 - overlap()) * face));
        double from = end - k.capOverlap() * (end + toe);
        stack.lay(kind, 2, rod, each, from, toe, OptionalDouble.of(k.capOverlap()), OptionalDouble.of(from + toe));
    }

    private double overlap() {
        boolean overhead = joint.position().filter(Position::isOverhead).isPresent();
        return overhead ? k.overheadOverlap() : k.secondOverlap();
    }
}
