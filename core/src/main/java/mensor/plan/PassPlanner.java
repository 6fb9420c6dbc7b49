package mensor.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import mensor.plan.PassPlan.Bead;
import mensor.plan.PassPlan.Point;
import mensor.plan.PassPlan.RodNeed;
import mensor.plan.PassPlan.Stretch;
import mensor.weld.Connection;
import mensor.weld.Gap;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.LegMeaning;
import mensor.weld.Pass;
import mensor.weld.Penetration;
import mensor.weld.Position;
import mensor.weld.Preparation;
import mensor.weld.RodTable;
import mensor.weld.Steel;

/**
 * Plans the passes of a fillet or groove as fitted up: the area to fill, the beads from what a rod lays over its run, their
 * order, the rods, the time and the heat. An estimate for the bench and the store, no procedure.
 */
public final class PassPlanner {

    private final Joint joint;
    private final PlanConstants k;
    private final PlannedRods rods;
    private final List<String> notes = new ArrayList<>();
    private final List<String> steps = new ArrayList<>();

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

    /**
     * The stack of the passes that were recorded, as far as they name their rods. A pass without a measured run has the run of the
     * same rod in another pass, else the usual one.
     *
     * @throws InvalidField where the joint cannot be planned, or what a rod lays is not known
     */
    public static List<Bead> recorded(Joint joint, List<Pass> passes, PlanConstants constants) {
        List<PlanRod> laid = PlanRod.each(passes);
        if (laid.isEmpty()) {
            return List.of();
        }
        PassPlanner planner = new PassPlanner(joint, laid, constants);
        List<PlanRod> measured = laid.stream().map(planner.rods::withRun).toList();
        if (!joint.isFillet()) {
            return planner.stackOf(planner.isDouble()).recorded(measured);
        }
        double leg = planner.filletParts().stream().mapToDouble(Part::leg).max().orElseThrow();
        return new FilletStack(joint, constants, planner.rods).recorded(leg, measured);
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
        FilletStack stack = new FilletStack(joint, k, rods);
        List<Part> parts = filletParts();
        List<Stretch> stretches = new ArrayList<>();
        Part most = parts.stream().max(Comparator.comparingDouble(Part::leg)).orElseThrow();
        for (Part p : parts) {
            double area = WeldMetal.fillet(p.leg(), p.leg(), dihedral);
            stretches.add(stretch(p.where(), p.asks(), area, sum(stack.layers(p.leg(), area))));
        }
        double area = WeldMetal.fillet(most.leg(), most.leg(), dihedral);
        List<Bead> beads = staggered(stack.beads(most.leg(), area, stack.layers(most.leg(), area)));
        double turn = Math.toRadians(dihedral);
        List<Point> outline = List.of(
                new Point(0, 0),
                new Point(most.leg(), 0),
                new Point(most.leg() * Math.cos(turn), most.leg() * Math.sin(turn)));
        joint.gaps().stream()
                .filter(g -> g.opening().isPositive())
                .findFirst()
                .ifPresent(g -> notes.add("metal that runs into the gap itself is not counted"));
        notes.addAll(Balance.lines(joint, beads.size(), false));
        steelAndRods(beads);
        hangs();
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

    private static int sum(List<Integer> layers) {
        return layers.stream().mapToInt(Integer::intValue).sum();
    }

    static int up(double d) {
        return (int) Math.ceil(d - 1e-9);
    }

    private PassPlan groove() {
        boolean twoSides = isDouble();
        GrooveStack stack = stackOf(twoSides);
        List<Bead> beads = stack.beads();
        double area = stack.area();
        int sides = twoSides ? 2 : 1;
        if (twoSides) {
            notes.add("one side is drawn; metal, rods and time are for both");
        }
        List<Span> where = joint.segments().isEmpty() ? List.of(joint.ruler().whole()) : joint.segments();
        List<Stretch> stretches = new ArrayList<>(List.of(stretch(
                where,
                "groove " + shown(stack.depth(), unit()) + " deep" + (twoSides ? ", each side" : ""),
                area * sides,
                beads.size() * sides)));
        double whole = area * sides;
        if (isBackgouged()) {
            BackGouge gouge = new BackGouge(stack.rootFace(), twoSides, k, rods);
            List<Bead> second = twoSides ? List.of() : gouge.beads(beads.size(), stack.layers());
            stretches.add(stretch(where, "backgouged from the second side", gouge.area(), gouge.count()));
            steps.addAll(gouge.steps(beads.size(), unit()));
            if (joint.oneSidedSaid().isEmpty() && joint.backing().isEmpty()) {
                notes.add("neither one side nor a strip is recorded: planned as welded from both sides and backgouged");
            }
            beads = new ArrayList<>(beads);
            beads.addAll(second);
            whole += gouge.area();
        }
        steelAndRods(beads);
        runOn();
        notes.addAll(Balance.lines(joint, beads.size(), twoSides));
        return finish("groove", stretches, stack.outline(), staggered(beads), whole);
    }

    /** A complete penetration from both sides without a strip: the root is gouged to sound metal before the second side. */
    private boolean isBackgouged() {
        return joint.penetration().filter(Penetration.COMPLETE::equals).isPresent()
                && !joint.oneSided()
                && joint.backing().filter(b -> b).isEmpty()
                && joint.connection() != Connection.PIPE_BUTT;
    }

    /** A rod without low hydrogen on a steel that wants it is not prequalified (D1.1, from memory, medium confidence). */
    private void steelAndRods(List<Bead> beads) {
        boolean wantsLow = joint.steel() != Steel.A36_TYPE && joint.steel() != Steel.UNKNOWN;
        beads.stream()
                .map(Bead::laidWith)
                .filter(r -> wantsLow && r.isStick())
                .map(PlanRod::electrode)
                .filter(e -> RodTable.isLowHydrogen(e).filter(low -> !low).isPresent())
                .distinct()
                .forEach(
                        e -> notes.add(
                                e + " on " + joint.grade().orElseThrow()
                                        + ": this steel wants low-hydrogen rods; without them the procedure is not prequalified and must be qualified by test"));
        Length thick = unit().pick(Length.inches(1), Length.millimetres("25"));
        if (!joint.thicker().thickness().isUnder(thick)) {
            notes.add(
                    "thick plate, and cold steel, take 5–10% more amps than the rod runs on elsewhere, within the procedure");
        }
    }

    private void hangs() {
        boolean overhead = joint.position().filter(Position::isOverhead).isPresent();
        boolean matters = overhead
                || joint.position().filter(Position.HORIZONTAL_FILLET::equals).isPresent();
        if (matters && joint.upper().isEmpty()) {
            notes.add(
                    "which member stands upright or lies above is not recorded: the first member is taken as the upright one; beads begin on the "
                            + (overhead ? "plate that hangs" : "plate that lies"));
        }
    }

    private void runOn() {
        if (!joint.closed()) {
            notes.add("at a free edge begin 1/2 in [12 mm] before it, on a tab or a ramp, and run off the same way");
        }
    }

    private Unit unit() {
        return joint.length().unit();
    }

    /** A length for people in the drawing's units, as gauges have them: to 1/32 in, or to a tenth of a millimetre. */
    static String shown(double mm, Unit unit) {
        double mark = unit.pick(25.4 / 32, 0.1);
        return Length.ofNanometres(Math.round(Math.round(mm / mark) * mark * 1e6), unit)
                .shownWithUnit();
    }

    private boolean isDouble() {
        return joint.groove()
                .flatMap(mensor.weld.Groove::preparation)
                .filter(Preparation::isDouble)
                .isPresent();
    }

    private GrooveStack stackOf(boolean twoSides) {
        return new GrooveStack(joint, grooveShape(twoSides), isBevel(), k, rods, notes);
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
        List<RodNeed> rounded = rods.needs(beads, grams);
        double minutes = rods.arcMinutes(beads, rounded);
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
                rods.settings(beads),
                List.copyOf(steps),
                k.byName(),
                List.copyOf(notes));
    }

    private List<Bead> staggered(List<Bead> beads) {
        return new StaggeredStops(joint, k.apart(), notes).of(beads);
    }
}
