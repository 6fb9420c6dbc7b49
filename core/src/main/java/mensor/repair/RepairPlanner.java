package mensor.repair;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mensor.inspection.Crack;
import mensor.inspection.Criterion;
import mensor.inspection.DrawingFault;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.NotAsDrawn;
import mensor.inspection.Reading;
import mensor.inspection.Undersize;
import mensor.judge.Evaluation;
import mensor.judge.Finding;
import mensor.judge.Terms;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.weld.Joint;
import mensor.weld.MinimumPreheat;
import mensor.weld.PassLimits;
import mensor.weld.RodTable;
import mensor.weld.Sign;
import mensor.weld.Steel;

/**
 * Plans the repair of each rejected place: AWS D1.1 7.25 (5.25) for what is taken out and who decides, from memory; geometry
 * and shop arithmetic for the numbers. Depths that were read stand; a depth that was not must be found, and is not guessed.
 */
public final class RepairPlanner {
    /** At this number the table asks for no heating. */
    private static final int NO_PREHEAT_F = 50;

    private final Inspection inspection;
    private final Joint joint;
    private final RepairConstants constants;
    private final Known known;
    private final Steel steel;
    private final RepairRods rods;

    private RepairPlanner(Inspection inspection, RepairConstants constants, Known known) {
        this.inspection = inspection;
        this.joint = inspection.joint();
        this.constants = constants;
        this.known = known;
        this.steel = joint.steel();
        this.rods = new RepairRods(joint, inspection.welding().passes());
    }

    /**
     * What somebody found or decided since, by the index of the indication.
     *
     * @param depths how deep the excavation goes
     * @param ends where a crack really ends
     * @param chosen the contractor's disposition, by the place's index among the places
     * @param least the answer of {@link #least}, where it was asked before: it takes long on a bad weld
     */
    public record Known(
            Map<Integer, Length> depths,
            Map<Integer, Span> ends,
            Map<Integer, Disposition> chosen,
            Optional<Map<String, String>> least) {

        public static Known depths(Map<Integer, Length> depths) {
            return new Known(depths, Map.of(), Map.of(), Optional.empty());
        }
    }

    /** The least repair in words, by the finding that it clears; none where all that decides must be corrected. */
    public static Map<String, String> least(Inspection inspection, Evaluation evaluation, Terms terms) {
        Map<String, String> least = new LinkedHashMap<>();
        for (Finding f : evaluation.rejected()) {
            LeastRepair.of(inspection, evaluation.book(), terms, f)
                    .ifPresent(l -> least.put(
                            f.id(),
                            "correcting " + l.total().in(inspection.units()).shownWithUnit() + " at "
                                    + l.stretches().stream().map(Span::shown).collect(Collectors.joining(" and "))
                                    + " suffices for "
                                    + f.criterion().title().toLowerCase(java.util.Locale.ROOT)));
        }
        return least;
    }

    /** A plan for each place of {@link DefectPlace#of}, in that order. */
    public static List<RepairPlan> plan(
            Inspection inspection, Evaluation evaluation, Terms terms, RepairConstants constants, Known known) {
        RepairPlanner planner = new RepairPlanner(inspection, constants, known);
        Map<String, String> least = known.least().orElseGet(() -> least(inspection, evaluation, terms));
        List<RepairPlan> plans = new ArrayList<>();
        List<DefectPlace> places = DefectPlace.of(inspection, evaluation);
        Map<Integer, Span> excavations = planner.excavations(places);
        List<Span> counted = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            DefectPlace place = places.get(i);
            Finding finding = evaluation.finding(place.finding()).orElseThrow();
            Optional<Span> excavation = Optional.ofNullable(excavations.get(i));
            RepairPlan plan = planner.plan(
                    place,
                    planner.disposition(i, place),
                    finding,
                    excavation,
                    place.indication().isPresent() ? Optional.ofNullable(least.get(finding.id())) : Optional.empty());
            boolean again = excavation.filter(counted::contains).isPresent();
            excavation.ifPresent(counted::add);
            plans.add(again ? plan.withoutMetal(excavation.get()) : plan);
        }
        return List.copyOf(plans);
    }

    /** Excavations that meet are one: the whole of each by the place's index. */
    private Map<Integer, Span> excavations(List<DefectPlace> places) {
        Map<Integer, Span> whole = new LinkedHashMap<>();
        for (int i = 0; i < places.size(); i++) {
            DefectPlace place = places.get(i);
            Disposition d = disposition(i, place);
            Optional<Indication> seen = place.seen(inspection).filter(Indication::isPlaced);
            if (d != Disposition.REMOVE_AND_REWELD || seen.isEmpty()) {
                continue;
            }
            Span one = extent(seen.get(), place);
            boolean grown = true;
            while (grown) { // what it grows by may meet another
                grown = false;
                for (Span other : List.copyOf(whole.values())) {
                    if (!other.equals(one) && meet(one, other)) {
                        Span union = union(one, other);
                        whole.replaceAll((index, w) -> w.equals(other) ? union : w);
                        one = union;
                        grown = true;
                    }
                }
            }
            whole.put(i, one);
        }
        return whole;
    }

    private boolean meet(Span a, Span b) {
        return !SpanSet.of(joint.ruler().straight(a))
                .intersect(SpanSet.of(joint.ruler().straight(b)))
                .isEmpty();
    }

    private Span union(Span a, Span b) {
        if (a.wraps() || b.wraps()) {
            return joint.ruler().whole();
        }
        return new Span(a.from().min(b.from()), a.to().max(b.to()));
    }

    private Disposition disposition(int index, DefectPlace place) {
        return Optional.ofNullable(known.chosen().get(index))
                .orElseGet(() ->
                        Disposition.suiting(place.dispositionKind(inspection)).get(0));
    }

    private RepairPlan plan(
            DefectPlace place, Disposition disposition, Finding f, Optional<Span> excavation, Optional<String> least) {
        Optional<Indication> indication = place.seen(inspection);
        Disposition.Kind kind = place.dispositionKind(inspection);
        List<Disposition> suits = Disposition.suiting(kind);
        Optional<Span> extent = disposition == Disposition.REPLACE && !kind.opening()
                ? Optional.of(joint.ruler().whole())
                : indication.isPresent()
                        ? excavation.or(
                                () -> indication.filter(Indication::isPlaced).map(x -> extent(x, place)))
                        : place.span()
                                .filter(x -> x.extent().isPositive())
                                .or(f::span)
                                .filter(x -> x.extent().isPositive());
        Optional<RepairPlan.Numbers> numbers = numbers(place, indication, disposition, extent);
        List<String> steps = new ArrayList<>();
        if (kind.opening()) {
            steps.addAll(refit(disposition, extent));
        } else if (indication.isPresent()) {
            steps.addAll(steps(indication.get(), place, disposition, extent, numbers));
        } else {
            if (extent.isEmpty() && place.span().isPresent()) {
                steps.add("read to both sides of " + place.span().get().shown()
                        + " until the readings are good: that is the extent");
            }
            steps.addAll(work(place, disposition, numbers));
        }
        return new RepairPlan(
                place,
                disposition,
                suits,
                Disposition.why(kind),
                least,
                holds(place, indication, disposition),
                List.copyOf(steps),
                extent,
                numbers,
                disposition.welds() ? preheat(isRootPlace(place)).map(MinimumPreheat::shown) : Optional.empty());
    }

    /** An opening that is too wide is not welded over. */
    private List<String> refit(Disposition disposition, Optional<Span> extent) {
        if (!disposition.isWork()) {
            return work(
                    new DefectPlace("", Criterion.SIZE, "", java.util.OptionalInt.empty(), List.of(), extent),
                    disposition,
                    Optional.empty());
        }
        List<String> steps = new ArrayList<>();
        steps.add(
                "more metal over the opening does not mend it: demonstrate the throat there, or refer the opening to the Engineer; else refit");
        extent.ifPresent(e -> steps.add("refit: take the fillet out along " + joint.shown(e)
                + " from the datum, draw the parts together, record the fit-up anew"));
        preheat(false).ifPresent(p -> steps.add(preheatStep(p)));
        steps.add(weldStep(rods.fill(), Optional.empty()));
        steps.addAll(inspectAgain(true));
        return List.copyOf(steps);
    }

    private RepairMetal metal(boolean rootPlace) {
        return new RepairMetal(joint, constants, rods.of(rootPlace));
    }

    private static boolean isRootPlace(DefectPlace place) {
        return place.criterion() == Criterion.ROOT;
    }

    private Optional<RepairPlan.Numbers> numbers(
            DefectPlace place, Optional<Indication> indication, Disposition disposition, Optional<Span> extent) {
        if (!disposition.welds()) {
            return Optional.empty();
        }
        RepairMetal metal = metal(isRootPlace(place));
        if (disposition == Disposition.REPLACE && joint.isFillet()) {
            return extent.flatMap(metal::wholeFillet);
        }
        if (indication.isEmpty()) {
            return place.criterion() == Criterion.SIZE
                    ? leastLeg(place).flatMap(leg -> extent.flatMap(e -> metal.addedToFillet(leg, e)))
                    : Optional.empty();
        }
        Indication i = indication.get();
        if (i instanceof Undersize u && disposition == Disposition.ADD_METAL) {
            return metal.addedToFillet(u.least(), u.span());
        }
        return depth(place.indication().getAsInt(), i)
                .filter(Length::isPositive)
                .map(d -> metal.cavity(d, extent.orElse(i.span())));
    }

    private Optional<Length> leastLeg(DefectPlace place) {
        return place.readings().stream()
                .map(inspection.readings()::get)
                .filter(Reading.Station.class::isInstance)
                .map(Reading.Station.class::cast)
                .flatMap(s -> s.legA().flatMap(a -> s.legB().map(a::min)).stream())
                .min(Length::compareTo);
    }

    /** Sound metal with each end of a crack, a run-in with anything else; it stops at the weld's ends. */
    private Span extent(Indication i, DefectPlace place) {
        double beyond = i instanceof Crack ? constants.beyondCrack() : constants.runIn();
        Length more = Length.millimetres(java.math.BigDecimal.valueOf(beyond).toPlainString())
                .in(inspection.units());
        if (i instanceof Crack && beyond == RepairConstants.USUAL.beyondCrack()) {
            more = inspection.units().pick(Length.inches(2), Length.millimetres("50"));
        }
        Span s = known.ends().getOrDefault(place.indication().getAsInt(), i.span());
        if (joint.closed()) {
            Length length = s.wraps() ? joint.length().minus(s.from()).plus(s.to()) : s.extent();
            if (!length.plus(more.times(2)).isUnder(joint.length())) {
                return joint.ruler().whole();
            }
            return new Span(
                    joint.ruler().place(s.from().minus(more)), joint.ruler().place(s.to().plus(more)));
        }
        Length zero = Length.zero(inspection.units());
        Length from = s.from().minus(more);
        Length to = s.to().plus(more);
        Length end = joint.length();
        Length last = s.to().isOver(end) ? s.to() : end; // what lies beside the weld may lie past its end
        return new Span(from.isNegative() ? zero : from, to.isOver(last) ? last : to);
    }

    private boolean isClipped(Indication i, Span extent) {
        return i instanceof Crack
                && !joint.closed()
                && (extent.from().signum() == 0 || extent.to().compareTo(joint.length()) == 0);
    }

    private Optional<Length> depth(int index, Indication i) {
        if (known.depths().containsKey(index)) {
            return Optional.of(known.depths().get(index));
        }
        boolean isDepth = switch (i.kind()) {
            case UNDERCUT, UNDERFILL, ROOT_CONCAVITY, INCOMPLETE_PENETRATION, CRATER -> true;
            default -> false;
        };
        return isDepth ? i.depth() : Optional.empty();
    }

    /** With a rod that nobody knows, a mild steel's number is the one for rods that are not low-hydrogen: never too little. */
    private Optional<MinimumPreheat> preheat(boolean rootPlace) {
        if (!rods.isKnown()) {
            return steel == Steel.A36_TYPE
                    ? MinimumPreheat.of(
                            steel, false, joint.thicker().thickness().in(inspection.units()))
                    : Optional.empty();
        }
        return MinimumPreheat.of(
                steel,
                rods.isLowHydrogen(rootPlace),
                joint.thicker().thickness().in(inspection.units()));
    }

    private static String preheatStep(MinimumPreheat p) {
        return "preheat to at least " + p.shown()
                + ", the greater of 3 in [75 mm] and the thickness around; between the passes not under it, nor over the procedure's highest";
    }

    private boolean isQuenchedAndTempered() {
        return joint.isDelayed();
    }

    /** What waits for somebody's word; the steel and the rod are named where they are the trouble, and only where it is welded. */
    private List<String> holds(DefectPlace place, Optional<Indication> indication, Disposition disposition) {
        List<String> holds = new ArrayList<>(HoldKind.of(new HoldKind.Facts(
                        indication,
                        inspection.welding().signs().contains(Sign.APPEARED_LATER),
                        true,
                        rods.isKnown(),
                        joint.isRootReached(),
                        disposition.isWork() ? Optional.of(disposition) : Optional.empty(),
                        false,
                        1,
                        HoldKind.USUAL_CYCLES,
                        Set.of()))
                .stream()
                .map(HoldKind::words)
                .toList());
        if (place.dispositionKind(inspection).opening()) {
            holds.add(
                    "the fit-up opening is too wide: the throat is demonstrated, or the Engineer is asked, before it is welded over");
        }
        if (disposition == Disposition.REFER) {
            holds.add(HoldKind.REFERRED.words());
            if (indication.filter(x -> x.criterion() == Criterion.ROOT).isPresent() && !joint.isRootReached()) {
                holds.add(HoldKind.ACCESS.words());
            }
        }
        if (!disposition.welds()) {
            return List.copyOf(holds);
        }
        boolean root = isRootPlace(place);
        if (steel == Steel.UNKNOWN) {
            holds.add("preheat: the steel" + joint.grade().map(g -> " " + g).orElse("")
                    + " is not one that the table knows; no number until it is");
        } else if (rods.isKnown() && preheat(root).isEmpty()) {
            holds.add(
                    "preheat: the table has none for this steel with rods that are not low-hydrogen: the procedure and the welding engineer say");
        }
        rods.of(root)
                .filter(r -> RodTable.isLowHydrogen(r.electrode()).isEmpty())
                .ifPresent(r -> holds.add("rod: " + r.electrode()
                        + " is not a class that is known here; the procedure says how it is run"));
        return List.copyOf(holds);
    }

    private List<String> steps(
            Indication i,
            DefectPlace place,
            Disposition disposition,
            Optional<Span> extent,
            Optional<RepairPlan.Numbers> numbers) {
        List<String> steps = new ArrayList<>();
        boolean taken = disposition != Disposition.REFER && disposition != Disposition.ACCEPT_AS_IS;
        if (taken && i instanceof Crack) {
            steps.add(
                    known.ends().containsKey(place.indication().getAsInt())
                            ? "both ends were found; what is taken out begins and ends beyond them"
                            : "find both ends by PT, MT or etching; the extent below holds for the ends as they were seen");
        }
        if (i instanceof NotAsDrawn n) {
            return drawn(n, place, disposition, numbers);
        }
        extent.filter(e -> taken)
                .ifPresent(e -> steps.add((disposition == Disposition.BLEND
                                ? "dress "
                                : disposition == Disposition.ADD_METAL ? "prepare " : "take out ")
                        + joint.shown(e) + " from the datum"
                        + (i instanceof Crack
                                ? ", 2 in [50 mm] of sound metal beyond each end"
                                        + (isClipped(i, e) ? ", less where the weld ends" : "")
                                : "")));
        if (taken && extent.filter(e -> isClipped(i, e)).isPresent()) {
            steps.add(
                    "the crack reaches the weld's end: follow it into the base metal by MT or PT; what is taken out there is base-metal repair, for the Engineer");
        }
        if (isRootPlace(place) && taken && !joint.isRootReached()) {
            steps.add(
                    disposition.takesOut()
                            ? "the inside cannot be reached: go in from the face, through to the root"
                            : "say first how the inside is reached; where it is not, the Engineer decides");
        } else if (isRootPlace(place) && disposition == Disposition.ADD_METAL) {
            steps.add("reach the root from its own side");
        }
        boolean removes = disposition.takesOut();
        if (numbers.isEmpty() && removes) {
            steps.add(
                    "the depth must be found: go down in thin layers until the metal is sound, then measure; without it there is no estimate of metal and rods");
        }
        if (removes) {
            preheat(isRootPlace(place))
                    .filter(p -> p.fahrenheit() > NO_PREHEAT_F)
                    .ifPresent(p -> steps.add("preheat to " + p.shown() + " before gouging too"));
            steps.add(wayOut(numbers));
            steps.add(
                    i instanceof Crack
                            ? "prove by MT or PT that the crack is gone, and have it seen"
                            : "inspect the cavity: clean, sound, walls that a rod can reach");
        }
        steps.addAll(work(place, disposition, numbers));
        return List.copyOf(steps);
    }

    /** What is drawn is made, what is not drawn comes off. */
    private List<String> drawn(
            NotAsDrawn n, DefectPlace place, Disposition disposition, Optional<RepairPlan.Numbers> numbers) {
        List<String> steps = new ArrayList<>();
        String at = n.at().map(a -> " at " + a.shown() + " from the datum").orElse("");
        if (disposition == Disposition.WELD_AS_DRAWN) {
            steps.add("weld what is drawn and missing" + at + ": "
                    + n.what().id().replace("missing-", "the ")
                    + (n.what() == DrawingFault.MISSING_RETURN ? ", carried around the corner in one go" : ""));
        } else if (disposition == Disposition.TAKE_OFF) {
            steps.add("take off what is not drawn" + at + ": "
                    + n.what().id().replace('-', ' ').replace(" left", "").replace("unwanted ", "the ")
                    + "; cut, then grind flush, no breaking off");
        }
        steps.addAll(work(place, disposition, numbers));
        return List.copyOf(steps);
    }

    private String wayOut(Optional<RepairPlan.Numbers> numbers) {
        String quenched = isQuenchedAndTempered() ? "; no oxygen gouging on this steel" : "";
        boolean much = numbers.filter(n -> n.volume() >= constants.gougeFrom()).isPresent();
        if (much) {
            return "carbon-arc gouge, then grind the skin bright" + quenched;
        }
        return (joint.isFillet()
                        ? "grind with a wheel, at the root with a burr: a flap disc does not reach it, a thin cut-off wheel is never side-loaded"
                        : "grind with a wheel; a burr where it cannot go; a thin cut-off wheel is never side-loaded")
                + quenched;
    }

    private List<String> work(DefectPlace place, Disposition disposition, Optional<RepairPlan.Numbers> numbers) {
        List<String> steps = new ArrayList<>();
        if (disposition == Disposition.BLEND) {
            steps.add("clamp the piece, then grind "
                    + (place.criterion() == Criterion.BASE_METAL ? "until nothing sharp is left" : "along the weld")
                    + ", then measure what is left: grinding into the plate is a base-metal repair");
            if (place.criterion() == Criterion.ARC_STRIKE && isQuenchedAndTempered()) {
                steps.add("on this steel check the ground place by MT, and its hardness where the procedure asks");
            }
        } else if (disposition == Disposition.REFER) {
            steps.add("refer to the Engineer with the finding and a drawing");
        } else if (disposition == Disposition.ACCEPT_AS_IS) {
            steps.add("ask the Engineer; nothing is accepted before his document is recorded");
        }
        if (disposition.welds()) {
            boolean root = isRootPlace(place);
            if (disposition == Disposition.ADD_METAL) {
                steps.add("clean and grind the surface bright; metal is not laid over a defect");
            }
            preheat(root).ifPresent(p -> steps.add(preheatStep(p)));
            steps.add(weldStep(rods.of(root), numbers));
            if (root && rods.isOpenRoot() && disposition.takesOut()) {
                rods.fill()
                        .filter(f -> rods.root().filter(f::equals).isEmpty())
                        .ifPresent(f -> steps.add(
                                "that is the root pass, put in again as an open root; fill and cap with " + f.words()));
            }
            numbers.filter(n -> joint.isFillet()).flatMap(n -> smallBead(root)).ifPresent(steps::add);
        }
        if (disposition.isWork()) {
            steps.addAll(inspectAgain(disposition.welds()));
        }
        return steps;
    }

    private static String weldStep(Optional<RepairRods.Rod> rod, Optional<RepairPlan.Numbers> numbers) {
        return rod.map(r -> "weld with " + r.electrode() + ", rods not over 5/32 in"
                        + numbers.flatMap(RepairPlan.Numbers::rods)
                                .map(n -> ": about " + n.count() + " of " + n.diameter())
                                .orElse(": " + r.diameter().shownWithUnit() + " as the weld was made"))
                .orElse("weld with the rod that the procedure names: the weld's own is not recorded");
    }

    private List<String> inspectAgain(boolean welded) {
        return List.of(
                "re-inspect by the same criteria: at least 2 in [50 mm] to each side, both toes, the reverse face, every ground place"
                        + (isQuenchedAndTempered() && welded ? "; not before 48 h after the repair" : ""),
                "then the same further tests as the weld had, MT, PT, UT or RT, over the repaired stretch");
    }

    /** A bead that is small for the plate cools too fast. */
    private Optional<String> smallBead(boolean root) {
        Length least = PassLimits.leastFillet(joint.thinner().thickness(), false, inspection.units());
        double leg = Math.sqrt(2 * metal(root).beadArea());
        return leg < RepairMetal.mm(least) - 1e-6
                ? Optional.of("the bead is smaller than the least fillet for the thickness, "
                        + least.in(inspection.units()).shownWithUnit() + ": preheat, or lay a bigger bead")
                : Optional.empty();
    }

    /** The cautions that stand beside every repair. */
    public static List<String> cautions() {
        return List.of(
                "Grinding: clamp the piece first, guard on, disc rated for the speed, shield over glasses, ears, breathing; hot metal is marked.",
                "Gouging and welding: fume, noise, shock, hot-work permit, fire watch at least 30 min (60 in newer rules).",
                "Nothing erected or loaded is ground or gouged at a crack before the Engineer has decided on support.",
                "Tubes, posts and closed boxes: vent before heat. Hydraulic lines: isolate, drain, oil off, permit. Galvanized, zinc, paint: strip well back, extraction, respirator; no chlorinated solvent near an arc.",
                "Penetrant and its cleaner burn: dry and away before any heat. Damp or confined places: dry gloves and boards, air drawn off, somebody outside.",
                "Estimates from common practice; local codes, the procedure and licensed practice decide.");
    }
}
