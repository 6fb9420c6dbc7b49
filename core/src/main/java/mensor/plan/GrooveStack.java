package mensor.plan;

import java.util.ArrayList;
import java.util.List;
import mensor.plan.PassPlan.Bead;
import mensor.plan.PassPlan.Point;
import mensor.weld.Connection;
import mensor.weld.Corner;
import mensor.weld.Joint;
import mensor.weld.PassKind;
import mensor.weld.Position;

/**
 * The beads of a groove, a layer at a time. Where the groove is narrow one pass goes from wall to wall; where it would be wider than
 * a bead may be, the layer is split into two, three and so on. A layer is as thick as its rod lays beads; what another process lays is
 * one layer of its thickness.
 */
final class GrooveStack {
    private static final double INCH = 25.4;
    /** No layer is laid thinner (common practice, no source). */
    private static final double THINNEST = INCH / 16;
    /** What another process lays as a root, and over it, where nobody says how thick (common practice, no source). */
    private static final double OTHERS_ROOT = INCH / 8;

    private static final double OTHERS_LAYER = 3 * INCH / 32;
    /** A thinner part is welded in one layer (common practice, no source). */
    private static final double ONE_PASS = 5 * INCH / 32;
    /** A layer this much wider than its beads may be is still laid with so many. */
    private static final double WIDER = 0.10;
    /** Stringers dragged straight on a horizontal groove are narrower (common practice, no source). */
    private static final double HORIZONTAL = 0.8;
    /** A rod lays at most so many times what it lays over its usual run. */
    private static final double MOST_METAL = 2;

    private static final double SIDE_BY_SIDE = 0.15;
    /** No two places of the surface lie one over the other. */
    private static final double HAIR = 1e-7;

    private final Joint joint;
    private final WeldMetal.Groove groove;
    private final boolean bevel;
    private final PlanConstants k;
    private final PlannedRods rods;
    private final List<String> notes;
    private final Stack stack;
    private double height;
    private int layer;

    GrooveStack(
            Joint joint,
            WeldMetal.Groove groove,
            boolean bevel,
            PlanConstants constants,
            PlannedRods rods,
            List<String> notes) {
        this.joint = joint;
        this.groove = groove;
        this.bevel = bevel;
        this.k = constants;
        this.rods = rods;
        this.notes = notes;
        this.stack = new Stack(surface(), rods, p -> p);
    }

    /** The groove's walls at a height, left and right of the root's middle; a bevel widens on one side. */
    private double[] walls(double at) {
        double widened = groove.widthAt(at) - groove.opening();
        return bevel
                ? new double[] {-groove.opening() / 2 - widened, groove.opening() / 2}
                : new double[] {-groove.widthAt(at) / 2, groove.widthAt(at) / 2};
    }

    /** The same on the surface that beads are laid on, whose upright walls lean by a hair. */
    private double[] laidWalls(double at) {
        double[] walls = walls(at);
        double face = groove.rootFace();
        double under = face > 0 ? Math.min(1, at / face) : 1;
        double over = at > face && groove.depth() > face ? (at - face) / (groove.depth() - face) : 0;
        return new double[] {walls[0] - HAIR * (under + over), walls[1] + HAIR * (1 + under + over)};
    }

    private double below() {
        return Math.min(k.fillBelow(), groove.depth() / 2);
    }

    /** Over both edges of a butt; a tee has one edge, on its other side the face of the member goes on. */
    private double capWidth() {
        return groove.widthAt(groove.depth()) + (isAgainstWall() ? 1 : 2) * k.capOverEdge();
    }

    /** One side of the groove is the face of the other member, which goes on past the groove. */
    private boolean isAgainstWall() {
        return bevel
                && (joint.connection() == Connection.TEE
                        || joint.corner().filter(Corner.INSIDE::equals).isPresent());
    }

    /** The root, the walls and the plates' faces from left to right; an upright wall leans by nothing that could be measured. */
    private BeadSurface surface() {
        double hair = HAIR;
        double[] root = walls(0);
        double[] face = walls(groove.rootFace());
        double[] top = walls(groove.depth());
        double out = k.capOverEdge() + 2 * INCH;
        List<Point> left = List.of(
                new Point(top[0] - out, groove.depth()),
                new Point(top[0] - 2 * hair, groove.depth()),
                new Point(face[0] - hair, groove.rootFace()),
                new Point(root[0], 0));
        List<Point> right = isAgainstWall()
                ? List.of(
                        new Point(root[1] + hair, 0),
                        new Point(face[1] + 2 * hair, groove.rootFace()),
                        new Point(top[1] + 3 * hair, groove.depth()),
                        new Point(top[1] + 4 * hair, groove.depth() + out))
                : List.of(
                        new Point(root[1] + hair, 0),
                        new Point(face[1] + 2 * hair, groove.rootFace()),
                        new Point(top[1] + 3 * hair, groove.depth()),
                        new Point(top[1] + out, groove.depth()));
        List<Point> all = new ArrayList<>(left);
        all.addAll(right);
        return new BeadSurface(all);
    }

    List<Point> outline() {
        double[] root = walls(0);
        double[] face = walls(groove.rootFace());
        double[] top = walls(groove.depth());
        return List.of(
                new Point(root[0], 0),
                new Point(root[1], 0),
                new Point(face[1], groove.rootFace()),
                new Point(top[1], groove.depth()),
                new Point(top[0], groove.depth()),
                new Point(face[0], groove.rootFace()));
    }

    List<Bead> beads() {
        if (groove.depth() < ONE_PASS) {
            cap(PassKind.ROOT, rods.of(PassKind.ROOT));
            return stack.beads();
        }
        root();
        double left = groove.depth() - height;
        if (left > 1e-9) {
            fill(groove.depth() - Math.min(below(), left));
        }
        cap(PassKind.CAP, capRod());
        return stack.beads();
    }

    /**
     * The passes of a record as they would lie: side by side as far as the groove is wide, the caps over its edges.
     *
     * @param laid one for each pass, in order, with its own run where that was measured
     */
    List<Bead> recorded(List<PlanRod> laid) {
        List<PlanRod> caps = laid.stream().filter(r -> r.kind() == PassKind.CAP).toList();
        List<PlanRod> under =
                laid.stream().filter(r -> r.kind() != PassKind.CAP).toList();
        int next = 0;
        while (next < under.size() && groove.depth() - height > 1e-6) {
            PlanRod first = under.get(next);
            int most = first.isStick() ? abreast(first, groove.widthAt(height + THINNEST), 0) : 1;
            int end = next + 1;
            while (end < under.size() && end - next < most && under.get(end).kind() == first.kind()) {
                end++;
            }
            List<PlanRod> here = under.subList(next, end);
            double top = groove.heightOf(groove.areaTo(height)
                    + here.stream().mapToDouble(this::metal).sum());
            double[] walls = laidWalls(top);
            stack.layer(++layer, here, areas(here), walls[0], walls[1], SIDE_BY_SIDE);
            height = top;
            next = end;
        }
        double left = walls(groove.depth())[0] - k.capOverEdge();
        List<PlanRod> over = new ArrayList<>(under.subList(next, under.size()));
        over.addAll(caps);
        if (!over.isEmpty()) {
            double right = isAgainstWall() ? laidWalls(groove.depth())[1] : left + capWidth();
            stack.layer(++layer, over, areas(over), left, right, k.capOverlap());
        }
        return stack.beads();
    }

    private List<Double> areas(List<PlanRod> laid) {
        return laid.stream().map(this::metal).toList();
    }

    private double metal(PlanRod rod) {
        if (rod.isStick()) {
            return rods.beadArea(rod);
        }
        double thick = rod.layer().orElse(rod.kind() == PassKind.ROOT ? OTHERS_ROOT : OTHERS_LAYER);
        return groove.areaTo(Math.min(groove.depth(), height + thick)) - groove.areaTo(height);
    }

    double depth() {
        return groove.depth();
    }

    int layers() {
        return layer + 1;
    }

    double rootFace() {
        return groove.rootFace();
    }

    double area() {
        return groove.area() + WeldMetal.crown(capWidth(), k.capHeight());
    }

    /** The widest bead of a rod: by the procedure, else by the shop. */
    private double widest(PlanRod rod) {
        double usual =
                joint.position().filter(Position.HORIZONTAL_GROOVE::equals).isPresent()
                        ? k.beadRods() * HORIZONTAL
                        : k.beadRods();
        return rod.widestRods().orElse(usual) * rod.diameterMm();
    }

    private int abreast(PlanRod rod, double width, double area) {
        int byWidth = PassPlanner.up(width / widest(rod) - WIDER);
        int byMetal = PassPlanner.up(area / (MOST_METAL * rods.beadArea(rod)) - WIDER);
        int most = (int) Math.max(1, Math.floor(width / rod.diameterMm())); // no bead is narrower than its rod
        return Math.max(1, Math.min(most, Math.max(byWidth, byMetal)));
    }

    private void root() {
        for (PlanRod rod : rods.all(PassKind.ROOT)) {
            if (rod.isStick()) {
                rootByStick(rod);
            } else {
                byAnother(rod, OTHERS_ROOT);
            }
        }
        for (PlanRod rod : rods.all(PassKind.HOT)) {
            if (!rod.isStick()) {
                byAnother(rod, OTHERS_LAYER);
            } else if (groove.depth() - height >= THINNEST + below()) {
                oneLayer(PassKind.HOT, rod, groove.depth() - below());
            }
        }
    }

    private void rootByStick(PlanRod rod) {
        double metal = rods.beadArea(rod);
        double top = groove.heightOf(height > 0 ? groove.areaTo(height) + metal : metal);
        int n = abreast(rod, groove.widthAt((height + top) / 2), 0);
        top = groove.heightOf(groove.areaTo(height) + metal * n);
        top = Math.max(top, height + THINNEST);
        layTo(Math.min(top, groove.depth() - below()), PassKind.ROOT, rod, n); // the cap is no skin
    }

    private void byAnother(PlanRod rod, double usual) {
        double thick = rod.layer().orElse(usual);
        if (groove.depth() - height < 1e-9) {
            return;
        }
        if (rod.layer().isEmpty()) {
            notes.add("the " + rod.kind().id() + " by " + rod.process().id() + " is taken as "
                    + PassPlanner.shown(thick, joint.length().unit()) + " thick");
        }
        layTo(Math.min(groove.depth(), height + thick), rod.kind(), rod, 1);
    }

    /** Lays what is between the surface and a height. */
    private void layTo(double top, PassKind kind, PlanRod rod, int count) {
        double area = groove.areaTo(top) - groove.areaTo(height);
        double[] walls = laidWalls(top);
        stack.layer(kind, ++layer, rod, area, count, walls[0], walls[1], SIDE_BY_SIDE);
        height = top;
    }

    /** How thick a layer of a rod is at a height, not higher than is still to be filled. */
    private double thickness(PlanRod rod, double at, double to) {
        double most = Math.min(k.layerHeight(), rod.layer().orElse(k.layerHeight()));
        double thick = Math.min(most, k.beadHeightRods() * rod.diameterMm());
        double width = groove.widthAt(Math.min(to, at + thick / 2));
        if (rod.runLength().isPresent()) { // what the rod was seen to lay says how thick
            thick = Math.min(most, abreast(rod, width, 0) * rods.beadArea(rod) / width);
        }
        double bead = width / abreast(rod, width, 0);
        return Math.max(THINNEST, Math.min(thick, bead)); // never taller than wide
    }

    private void oneLayer(PassKind kind, PlanRod rod, double to) {
        double top = Math.min(to, height + thickness(rod, height, to));
        if (to - top < THINNEST) {
            top = to;
        }
        double area = groove.areaTo(top) - groove.areaTo(height);
        // a hot pass goes wall to wall: no two lie side by side
        int count = kind == PassKind.HOT ? 1 : abreast(rod, groove.widthAt((height + top) / 2), area);
        layTo(top, kind, rod, count);
    }

    /** Several rods of the fill: one layer of each, and the rest of the last. */
    private void fill(double to) {
        List<PlanRod> all = rods.all(PassKind.FILL);
        for (int i = 0; i < all.size() && to - height >= THINNEST; i++) {
            PlanRod rod = all.get(i);
            if (!rod.isStick()) {
                byAnother(rod, OTHERS_LAYER);
            } else if (i < all.size() - 1) {
                oneLayer(PassKind.FILL, rod, to);
            } else {
                evenly(rod, to);
            }
        }
    }

    /** As many layers as come nearest to the rod's own thickness, all a little thicker or thinner. */
    private void evenly(PlanRod rod, double to) {
        double at = height;
        List<Double> tops = new ArrayList<>();
        while (at < to - 1e-9 && tops.size() < 500) {
            at += thickness(rod, at, to);
            tops.add(at);
        }
        if (tops.isEmpty()) {
            return;
        }
        double before = tops.size() > 1 ? tops.get(tops.size() - 2) : height;
        double rest = (to - before) / (at - before);
        if (tops.size() > 1 && rest <= Math.max(k.restJoined(), THINNEST / (at - before))) {
            tops.remove(tops.size() - 1);
            at = before;
        }
        double from = height;
        double stretched = (to - from) / (at - from);
        for (double top : tops) {
            double end = from + (top - from) * stretched;
            double area = groove.areaTo(end) - groove.areaTo(height);
            layTo(end, PassKind.FILL, rod, abreast(rod, groove.widthAt((height + end) / 2), area));
        }
    }

    private PlanRod capRod() {
        return rods.all(PassKind.CAP).stream()
                .filter(r -> !r.isStick())
                .findFirst()
                .orElseGet(() -> rods.of(PassKind.CAP));
    }

    /** From the surface over the edges of the groove to the crown. */
    private void cap(PassKind kind, PlanRod rod) {
        double width = capWidth();
        double left = walls(groove.depth())[0] - k.capOverEdge();
        double area = groove.area() - groove.areaTo(height) + WeldMetal.crown(width, k.capHeight());
        int count = rod.isStick() ? capBeads(rod, width) : 1;
        double right = isAgainstWall() ? laidWalls(groove.depth())[1] : left + width;
        stack.layer(kind, layer + 1, rod, area, count, left, right, k.capOverlap());
    }

    private int capBeads(PlanRod rod, double width) {
        double bead = widest(rod);
        return width <= bead * (1 + WIDER)
                ? 1
                : 1 + PassPlanner.up((width - bead) / (bead * (1 - k.capOverlap())) - WIDER);
    }
}
