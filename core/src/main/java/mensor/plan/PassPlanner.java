package mensor.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.plan.PassPlan.Bead;
import mensor.plan.PassPlan.Point;
import mensor.plan.PassPlan.RodNeed;
import mensor.plan.PassPlan.Stretch;
import mensor.weld.Connection;
import mensor.weld.Gap;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.LegMeaning;
import mensor.weld.PassKind;
import mensor.weld.PassLimits;
import mensor.weld.Position;
import mensor.weld.Preparation;

/**
 * Plans the passes of a fillet or groove as fitted up: the area to fill, the beads from what a rod lays over its run, their
 * order, the rods, the time and the heat. An estimate for the bench and the store, no procedure.
 */
public final class PassPlanner {

    private final Joint joint;
    private final PlanConstants k;
    private final PlannedRods rods;
    private final List<String> notes = new ArrayList<>();

    private PassPlanner(Joint joint, List<PlanRod> rods, PlanConstants constants) {
        this.joint = joint;
        this.k = constants;
        this.rods = new PlannedRods(rods, constants, notes);
    }

    /**
     * @param rods by kind of pass; a kind that is missing takes the nearest one's, and with none a 1/8 in E7018 is assumed
     * @throws InvalidField where the joint cannot be planned, naming the field
     */
    public static PassPlan plan(Joint joint, List<PlanRod> rods, PlanConstants constants) {
        PassPlanner planner = new PassPlanner(joint, rods, constants);
        return joint.isFillet() ? planner.fillet() : planner.groove();
    }

    static double mm(Length length) {
        return length.approximateNanometres() / 1e6;
    }

    private static double mm(RealLength length) {
        return mm(length.rounded());
    }

    private record Part(List<Span> where, String asks, double leg) {}

    private PassPlan fillet() {
        double dihedral = joint.dihedral().degrees().doubleValue();
        List<Part> parts = filletParts();
        List<Stretch> stretches = new ArrayList<>();
        Part most = parts.stream().max(Comparator.comparingDouble(Part::leg)).orElseThrow();
        for (Part p : parts) {
            double area = WeldMetal.fillet(p.leg(), p.leg(), dihedral);
            stretches.add(stretch(p.where(), p.asks(), area, sum(filletLayers(p.leg(), area))));
        }
        double area = WeldMetal.fillet(most.leg(), most.leg(), dihedral);
        List<Bead> beads = staggered(filletStack(most.leg(), area, filletLayers(most.leg(), area)));
        double turn = Math.toRadians(dihedral);
        List<Point> outline = List.of(
                new Point(0, 0),
                new Point(most.leg(), 0),
                new Point(most.leg() * Math.cos(turn), most.leg() * Math.sin(turn)));
        joint.gaps().stream()
                .filter(g -> g.opening().isPositive())
                .findFirst()
                .ifPresent(g -> notes.add("metal that runs into the gap itself is not counted"));
        return finish("flat fillet, " + most.asks(), stretches, outline, beads, area);
    }

    /** The leg along the members where nothing is open, and where a gap is added to it. */
    private List<Part> filletParts() {
        LegMeaning meaning = joint.sizeMeans();
        RealLength size = joint.size()
                .map(RealLength::of)
                .orElseGet(() ->
                        joint.dihedral().legOf(RealLength.of(joint.throat().orElseThrow()), meaning));
        SpanSet welded = joint.segments().isEmpty()
                ? SpanSet.of(List.of(joint.ruler().whole()))
                : joint.ruler().straight(joint.segments());
        List<Part> parts = new ArrayList<>();
        SpanSet left = welded;
        Length free = joint.length().unit().pick(Length.inches(1, 16), Length.millimetres("2"));
        for (Gap gap : joint.gaps()) {
            if (gap.opening().isOver(free)) {
                SpanSet there = joint.ruler().straight(List.of(gap.span())).intersect(left);
                if (!there.isEmpty()) {
                    RealLength leg = size.plus(RealLength.of(gap.opening()));
                    parts.add(new Part(
                            there.spans(),
                            "leg " + leg.shown() + " (" + size.shown() + " + gap "
                                    + gap.opening().shown() + ")",
                            contact(leg, meaning)));
                    left = left.minus(there);
                }
            }
        }
        if (!left.isEmpty()) {
            parts.add(0, new Part(left.spans(), "leg " + size.shown(), contact(size, meaning)));
        }
        return parts;
    }

    private double contact(RealLength leg, LegMeaning meaning) {
        return mm(joint.dihedral()
                .contact(
                        meaning == LegMeaning.EQUIVALENT ? joint.dihedral().leg(leg, meaning, LegMeaning.CONTACT) : leg,
                        meaning == LegMeaning.PERPENDICULAR ? LegMeaning.PERPENDICULAR : LegMeaning.CONTACT));
    }

    /**
     * How many beads each layer has. One pass where the position and the rod take the leg at once. More are laid as a stack, in
     * which a layer has as many beads as the one below or one more: 1-2, 1-2-2, 1-2-3 and so on (common practice, no source). A
     * lone bead over the whole face of another would be a skin that nobody lays; then the beads are a little larger or smaller.
     */
    private List<Integer> filletLayers(double leg, double area) {
        double root = rods.beadArea(PassKind.ROOT);
        if (leg <= onePass() * (1 + 1e-9) || area <= root * (1 + 1e-9)) {
            return List.of(1);
        }
        double beads = 1 + Math.max(0, (area - root) / rods.beadArea(PassKind.FILL) - k.restJoined());
        int count = up(beads);
        if (count == 2) {
            count = 3;
        } else if (count == 4) {
            count = beads * beads < 3 * 5 ? 3 : 5;
        }
        return stack(count);
    }

    /** The largest leg of one pass: by the rod, within what D1.1 gives a single pass in the position. */
    private double onePass() {
        double byRod = k.onePassRods() * rods.of(PassKind.ROOT).diameterMm();
        Position position = joint.position().orElse(Position.HORIZONTAL_FILLET);
        return Math.min(byRod, mm(PassLimits.singlePass(position, joint.length().unit())));
    }

    /** The fewest layers that hold so many beads: each layer one more than the one below, but where too many would come. */
    private static List<Integer> stack(int count) {
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

    private static int sum(List<Integer> layers) {
        return layers.stream().mapToInt(Integer::intValue).sum();
    }

    /** Whole beads; a small rest is laid with the others by travelling slower. */
    private int beadsFor(double d) {
        return up(Math.max(0, d - k.restJoined()));
    }

    static int up(double d) {
        return (int) Math.ceil(d - 1e-9);
    }

    /** Layers of one, two, three beads parallel to the face; in the second, the lower bead covers part of the root. */
    private List<Bead> filletStack(double leg, double area, List<Integer> layers) {
        int count = sum(layers);
        double root = count == 1 ? area : Math.min(area, rods.beadArea(PassKind.ROOT));
        double each = count == 1 ? 0 : (area - root) / (count - 1);
        List<Bead> beads = new ArrayList<>();
        double before = 0;
        for (int layer = 1; layer <= layers.size(); layer++) {
            int here = layers.get(layer - 1);
            double metal = layer == 1 ? root : each * here;
            double inner = Math.sqrt(before / area) * leg;
            double outer = Math.sqrt((before + metal) / area) * leg;
            boolean last = layer == layers.size() && layer > 1;
            double u = 0;
            double v = 0;
            for (int i = 0; i < here; i++) {
                double nextU = (i + 1.0) / here;
                double nextV = nextU;
                if (layer == 2 && here == 2 && i == 0) {
                    nextU = overlap();
                    nextV = Math.min(0.9, Math.max(0.1, ((inner + outer) / 2 - nextU * inner) / outer));
                }
                List<Point> outline = inner == 0
                        ? List.of(new Point(0, 0), at(outer, 0), at(outer, 1))
                        : List.of(at(inner, u), at(outer, v), at(outer, nextV), at(inner, nextU));
                PassKind kind = layer == 1 ? PassKind.ROOT : last ? PassKind.CAP : PassKind.FILL;
                beads.add(bead(beads.size() + 1, kind, layer, metal / here, outline));
                u = nextU;
                v = nextV;
            }
            before += metal;
        }
        return beads;
    }

    private double overlap() {
        boolean overhead = joint.position()
                .filter(p -> p == Position.OVERHEAD_FILLET || p == Position.OVERHEAD_GROOVE)
                .isPresent();
        return overhead ? k.overheadOverlap() : k.secondOverlap();
    }

    /** A place on a line parallel to the face: at a leg, and how far from the second member's toe to the first's. */
    private Point at(double leg, double along) {
        double turn = Math.toRadians(joint.dihedral().degrees().doubleValue());
        double a = leg * along;
        double b = leg * (1 - along);
        return new Point(b + a * Math.cos(turn), a * Math.sin(turn));
    }

    private Bead bead(int number, PassKind kind, int layer, double area, List<Point> outline) {
        PlanRod rod = rods.of(kind);
        return new Bead(
                number,
                kind,
                layer,
                rod.diameter().shownWithUnit() + " " + rod.electrode(),
                area,
                rods.beadArea(kind),
                rods.runFor(kind, area),
                outline,
                List.of());
    }

    private PassPlan groove() {
        boolean twoSides = joint.groove()
                .flatMap(mensor.weld.Groove::preparation)
                .filter(Preparation::isDouble)
                .isPresent();
        WeldMetal.Groove groove = grooveShape(twoSides);
        GrooveOutlines outlines = new GrooveOutlines(groove, isBevel(), k.capHeight());
        double below = Math.min(k.fillBelow(), groove.depth() / 2);
        double fillTo = groove.depth() - below;
        double edge = groove.widthAt(groove.depth());
        double capWidth = edge + 2 * k.capOverEdge();
        double capArea = groove.area() - groove.areaTo(fillTo) + WeldMetal.crown(capWidth, k.capHeight());
        double rootArea = Math.min(rods.beadArea(PassKind.ROOT), groove.areaTo(fillTo));
        double fillArea = Math.max(0, groove.areaTo(fillTo) - rootArea);
        int fill = fillArea <= 1e-9 ? 0 : Math.max(1, beadsFor(fillArea / rods.beadArea(PassKind.FILL)));
        int cap = capBeads(capWidth);
        List<Bead> beads = new ArrayList<>();
        double height = groove.heightOf(rootArea);
        beads.add(bead(1, PassKind.ROOT, 1, rootArea, outlines.slice(0, height, 0, 1)));
        int layer = fillLayers(groove, beads, height, fillTo, fill, fillArea);
        for (int i = 0; i < cap; i++) {
            beads.add(bead(
                    beads.size() + 1,
                    PassKind.CAP,
                    layer + 1,
                    capArea / cap,
                    outlines.capSlice(fillTo, capWidth, (double) i / cap, (i + 1.0) / cap)));
        }
        double area = groove.areaTo(fillTo) + capArea;
        int sides = twoSides ? 2 : 1;
        if (twoSides) {
            notes.add("one side is drawn; metal, rods and time are for both");
        }
        List<Stretch> stretches = List.of(stretch(
                joint.segments().isEmpty() ? List.of(joint.ruler().whole()) : joint.segments(),
                "groove " + round(groove.depth()) + " mm deep" + (twoSides ? ", each side" : ""),
                area * sides,
                beads.size() * sides));
        if (joint.backing().filter(b -> !b).isPresent() && !joint.oneSided()) {
            notes.add("metal of the backgouged side is not counted");
        }
        return finish("groove", stretches, outlines.whole(), staggered(beads), area * sides);
    }

    private WeldMetal.Groove grooveShape(boolean twoSides) {
        mensor.weld.Groove g = joint.groove()
                .orElseThrow(() -> new InvalidField(
                        "joint.groove",
                        "the preparation is required for a plan: prep, includedAngle, rootFace, rootOpening"));
        Preparation prep = g.prep().isEmpty()
                ? Preparation.V
                : g.preparation()
                        .orElseThrow(() -> new InvalidField(
                                "joint.groove.prep",
                                "V, bevel, double-V, double-bevel or square are planned, got \""
                                        + g.prep().get() + "\""));
        double t = mm(joint.throat().orElse(joint.thinner().thickness()));
        if (joint.throat().isPresent()) {
            notes.add("a partial penetration groove is planned to its throat");
        }
        double face = g.rootFace().map(PassPlanner::mm).orElse(0.0);
        if (g.rootFace().isEmpty()) {
            notes.add("no root face is given: a feather edge is assumed");
        }
        double opening = openingAsFitted(g);
        if (prep == Preparation.SQUARE) {
            return new WeldMetal.Groove(t, t, opening, 0);
        }
        double angle = g.includedAngle()
                .orElseThrow(() -> new InvalidField("joint.groove.includedAngle", "is required for a plan"));
        boolean half = prep.isDouble();
        double depth = half ? t / 2 : t;
        double land = half ? face / 2 : face;
        return prep.isBevel()
                ? WeldMetal.Groove.singleBevel(depth, land, opening, angle)
                : WeldMetal.Groove.singleV(depth, land, opening, angle);
    }

    /** The widest opening that was read, else the drawing's. */
    private double openingAsFitted(mensor.weld.Groove g) {
        Optional<Length> read = joint.gaps().stream().map(Gap::opening).max(Comparator.naturalOrder());
        read.ifPresent(o -> notes.add("planned with the root opening as fitted up, " + o.shownWithUnit()));
        if (read.isEmpty() && g.rootOpening().isEmpty()) {
            notes.add("no root opening is given: tight is assumed");
        }
        return read.or(g::rootOpening).map(PassPlanner::mm).orElse(0.0);
    }

    private int capBeads(double width) {
        PlanRod rod = rods.of(PassKind.CAP);
        double bead = rod.widestRods().orElse(k.capBeadRods()) * rod.diameterMm();
        return width <= bead ? 1 : 1 + up((width - bead) / (bead * (1 - k.capOverlap())));
    }

    /** Fill beads in layers no higher than allowed, shared by the layers' metal. Returns the number of the last layer. */
    private int fillLayers(WeldMetal.Groove groove, List<Bead> beads, double from, double to, int count, double metal) {
        if (count == 0) {
            return 1;
        }
        GrooveOutlines outlines = new GrooveOutlines(groove, isBevel(), k.capHeight());
        int layers = Math.min(count, Math.max(1, up((to - from) / k.layerHeight())));
        int left = count;
        double floor = from;
        for (int l = 1; l <= layers; l++) {
            double top = l == layers ? to : from + (to - from) * l / layers;
            double here = groove.areaTo(top) - groove.areaTo(floor);
            int n = l == layers
                    ? left
                    : (int) Math.max(1, Math.min(left - (layers - l), Math.round(count * here / metal)));
            for (int i = 0; i < n; i++) {
                beads.add(bead(
                        beads.size() + 1,
                        PassKind.FILL,
                        l + 1,
                        here / n,
                        outlines.slice(floor, top, (double) i / n, (i + 1.0) / n)));
            }
            left -= n;
            floor = top;
        }
        return layers + 1;
    }

    private boolean isBevel() {
        return joint.groove()
                .flatMap(mensor.weld.Groove::preparation)
                .filter(Preparation::isBevel)
                .isPresent();
    }

    private Stretch stretch(List<Span> where, String asks, double area, int beads) {
        double length = 0;
        for (Span s : where) {
            for (Span straight : joint.ruler().straight(s)) {
                length += mm(straight.extent());
            }
        }
        String shown = String.join(", ", where.stream().map(Span::shown).toList());
        return new Stretch(shown, asks, length, area, WeldMetal.grams(area, length, k.density()), beads);
    }

    static double round(double d) {
        return Math.round(d * 100) / 100.0;
    }

    private PassPlan finish(String what, List<Stretch> stretches, List<Point> outline, List<Bead> beads, double area) {
        double grams = stretches.stream().mapToDouble(Stretch::grams).sum();
        Map<String, RodNeed> needs = new LinkedHashMap<>();
        double stack = beads.stream().mapToDouble(Bead::area).sum();
        for (PassKind kind : PassKind.values()) {
            double share = beads.stream()
                            .filter(b -> b.kind() == kind)
                            .mapToDouble(Bead::area)
                            .sum()
                    / stack;
            if (share > 0) {
                rods.need(needs, kind, grams * share);
            }
        }
        List<RodNeed> rounded = needs.values().stream()
                .map(n -> new RodNeed(
                        n.electrode(),
                        n.diameter(),
                        n.grams(),
                        n.gramsPerRod(),
                        n.scaled(),
                        up(n.grams() / n.gramsPerRod()),
                        rods.electrodes(n)))
                .toList();
        double minutes = rounded.stream().mapToInt(RodNeed::rods).sum() * k.burnSeconds() / 60;
        if (joint.connection() == Connection.PIPE_BUTT || joint.connection() == Connection.TUBE_TO_PLATE) {
            notes.add("the length along the weld is taken as drawn");
        }
        notes.add("an estimate for the bench and the store; the procedure and the work decide");
        return new PassPlan(
                what,
                List.copyOf(stretches),
                outline,
                beads,
                area,
                grams,
                rounded,
                minutes,
                rods.heat(beads),
                k.byName(),
                List.copyOf(notes));
    }

    private List<Bead> staggered(List<Bead> beads) {
        return new StaggeredStops(joint.length(), k.apart(), notes).of(beads);
    }
}
