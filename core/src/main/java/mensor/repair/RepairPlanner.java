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
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.RootConcavity;
import mensor.inspection.Underfill;
import mensor.inspection.Undersize;
import mensor.judge.Evaluation;
import mensor.judge.Finding;
import mensor.judge.Terms;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.Joint;
import mensor.weld.MinimumPreheat;
import mensor.weld.Pass;
import mensor.weld.PassLimits;
import mensor.weld.RodTable;
import mensor.weld.Sign;
import mensor.weld.Steel;

/**
 * Plans the repair of each rejected place: AWS D1.1 7.25 (5.25) for what is taken out and who decides, from memory; geometry
 * and shop arithmetic for the numbers. Depths that were read stand; a depth that was not must be found, and is not guessed.
 */
public final class RepairPlanner {
    private static final String LOW_HYDROGEN = "E7018";
    private final Inspection inspection;
    private final Joint joint;
    private final RepairConstants constants;
    private final Known known;
    private final Steel steel;
    private final String rod;
    private final RepairMetal metal;

    private RepairPlanner(Inspection inspection, RepairConstants constants, Known known) {
        this.inspection = inspection;
        this.joint = inspection.joint();
        this.constants = constants;
        this.known = known;
        this.steel = joint.grade().map(Steel::ofGrade).orElse(Steel.UNKNOWN);
        this.rod = rod();
        this.metal = new RepairMetal(joint, constants, rod);
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
        for (int i = 0; i < places.size(); i++) {
            DefectPlace place = places.get(i);
            Finding finding = evaluation.finding(place.finding()).orElseThrow();
            plans.add(planner.plan(
                    place,
                    Optional.ofNullable(known.chosen().get(i)),
                    finding,
                    place.indication().isPresent() ? Optional.ofNullable(least.get(finding.id())) : Optional.empty()));
        }
        return List.copyOf(plans);
    }

    private RepairPlan plan(DefectPlace place, Optional<Disposition> chosen, Finding f, Optional<String> least) {
        Optional<Indication> indication = place.indication().isPresent()
                ? Optional.of(inspection.indications().get(place.indication().getAsInt()))
                : Optional.empty();
        List<Disposition> suits = Disposition.suiting(place.criterion());
        Disposition disposition = chosen.orElseGet(
                () -> indication.map(i -> usual(i, place.criterion())).orElse(suits.get(0)));
        Optional<Span> extent = disposition == Disposition.REPLACE
                ? Optional.of(joint.ruler().whole())
                : indication.isPresent()
                        ? indication.filter(Indication::isPlaced).map(i -> extent(i, place))
                        : place.span()
                                .filter(s -> s.extent().isPositive())
                                .or(f::span)
                                .filter(s -> s.extent().isPositive());
        Optional<RepairPlan.Numbers> numbers = numbers(place, indication, disposition, extent);
        List<String> steps = new ArrayList<>();
        if (indication.isPresent()) {
            steps.addAll(steps(indication.get(), place, disposition, extent, numbers));
        } else {
            if (extent.isEmpty() && place.span().isPresent()) {
                steps.add("read to both sides of " + place.span().get().shown()
                        + " until the readings are good: that is the extent");
            }
            steps.addAll(work(disposition, numbers));
        }
        return new RepairPlan(
                place,
                disposition,
                suits,
                Disposition.why(place.criterion()),
                least,
                indication.map(this::holds).orElse(List.of()),
                List.copyOf(steps),
                extent,
                numbers,
                preheat().map(MinimumPreheat::shown));
    }

    private Optional<RepairPlan.Numbers> numbers(
            DefectPlace place, Optional<Indication> indication, Disposition disposition, Optional<Span> extent) {
        if (disposition == Disposition.BLEND
                || disposition == Disposition.REFER
                || disposition == Disposition.ACCEPT_AS_IS) {
            return Optional.empty();
        }
        if (indication.isEmpty()) {
            return place.criterion() == Criterion.SIZE
                    ? leastLeg(place).flatMap(leg -> extent.flatMap(e -> metal.addedToFillet(leg, e)))
                    : Optional.empty();
        }
        Indication i = indication.get();
        if (i instanceof Undersize u && disposition == Disposition.ADD_METAL) {
            return extent.flatMap(e -> metal.addedToFillet(u.least(), u.span()));
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

    private static Disposition usual(Indication i, Criterion criterion) {
        boolean missing = i instanceof Underfill || i instanceof RootConcavity;
        return missing ? Disposition.ADD_METAL : Disposition.suiting(criterion).get(0);
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

    /** The rod that was used where it is of low hydrogen, or the steel lets another; else a low-hydrogen one. */
    private String rod() {
        return inspection.welding().passes().stream()
                .map(Pass::electrode)
                .flatMap(Optional::stream)
                .filter(e -> RodTable.deposit(e, RepairMetal.EIGHTH).isPresent())
                .filter(e -> RodTable.isLowHydrogen(e).orElse(false) || steel == Steel.A36_TYPE)
                .findFirst()
                .orElse(LOW_HYDROGEN);
    }

    private Optional<MinimumPreheat> preheat() {
        return MinimumPreheat.of(
                steel,
                RodTable.isLowHydrogen(rod).orElse(false),
                joint.thicker().thickness().in(inspection.units()));
    }

    private boolean isQuenchedAndTempered() {
        return joint.delayed().orElse(false);
    }

    /** What waits for somebody's word, before anything is decided; the steel is named where it is the trouble. */
    private List<String> holds(Indication i) {
        List<String> holds = new ArrayList<>(HoldKind.of(new HoldKind.Facts(
                        Optional.of(i),
                        inspection.welding().signs().contains(Sign.APPEARED_LATER),
                        true,
                        Optional.empty(),
                        false,
                        1,
                        HoldKind.USUAL_CYCLES,
                        Set.of()))
                .stream()
                .map(HoldKind::words)
                .toList());
        if (steel == Steel.UNKNOWN) {
            holds.add("preheat: the steel" + joint.grade().map(g -> " " + g).orElse("")
                    + " is not one that the table knows; no number until it is");
        } else if (preheat().isEmpty()) {
            holds.add("preheat: the table has none for this steel with rods that are not low-hydrogen");
        }
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
        extent.filter(e -> taken)
                .ifPresent(e -> steps.add((disposition == Disposition.BLEND
                                ? "dress "
                                : disposition == Disposition.ADD_METAL ? "prepare " : "take out ")
                        + joint.shown(e) + " from the datum"
                        + (i instanceof Crack
                                ? ", 2 in [50 mm] of sound metal beyond each end"
                                        + (isClipped(i, e) ? ", less where the weld ends" : "")
                                : "")));
        boolean removes = disposition == Disposition.REMOVE_AND_REWELD || disposition == Disposition.REPLACE;
        boolean needsDepth = numbers.isEmpty() && removes;
        if (needsDepth) {
            steps.add(
                    "the depth must be found: go down in thin layers until the metal is sound, then measure; without it there is no estimate of metal and rods");
        }
        if (removes) {
            steps.add(wayOut(numbers));
            steps.add(
                    i instanceof Crack
                            ? "prove by MT or PT that the crack is gone, and have it seen"
                            : "inspect the cavity: clean, sound, walls that a rod can reach");
        }
        steps.addAll(work(disposition, numbers));
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

    private List<String> work(Disposition disposition, Optional<RepairPlan.Numbers> numbers) {
        List<String> steps = new ArrayList<>();
        boolean welds = disposition == Disposition.ADD_METAL
                || disposition == Disposition.REMOVE_AND_REWELD
                || disposition == Disposition.REPLACE;
        if (disposition == Disposition.BLEND) {
            steps.add(
                    "grind along the weld, then measure what is left: grinding into the plate is a base-metal repair");
        } else if (disposition == Disposition.REFER) {
            steps.add("refer to the Engineer with the finding and a drawing");
        } else if (disposition == Disposition.ACCEPT_AS_IS) {
            steps.add("ask the Engineer; nothing is accepted before his document is recorded");
        }
        if (welds) {
            if (disposition == Disposition.ADD_METAL) {
                steps.add("clean and grind the surface bright; metal is not laid over a defect");
            }
            preheat()
                    .ifPresent(p -> steps.add("preheat to at least " + p.shown()
                            + ", the greater of 3 in [75 mm] and the thickness around"));
            steps.add("weld with " + rod + ", rods not over 5/32 in"
                    + numbers.map(n -> ": about " + n.rods() + " of " + n.diameter())
                            .orElse(""));
            numbers.filter(n -> joint.isFillet()).flatMap(n -> smallBead()).ifPresent(steps::add);
        }
        if (disposition != Disposition.REFER && disposition != Disposition.ACCEPT_AS_IS) {
            steps.add(
                    "re-inspect by the same criteria: at least 2 in [50 mm] to each side, both toes, the reverse face, every ground place"
                            + (isQuenchedAndTempered() && welds ? "; not before 48 h after the repair" : ""));
            steps.add("then the same further tests as the weld had, MT, PT, UT or RT, over the repaired stretch");
        }
        return steps;
    }

    /** A bead that is small for the plate cools too fast. */
    private Optional<String> smallBead() {
        Length least = PassLimits.leastFillet(joint.thinner().thickness(), false, inspection.units());
        double leg = Math.sqrt(2 * metal.beadArea());
        return leg < RepairMetal.mm(least) - 1e-6
                ? Optional.of("the bead is smaller than the least fillet for the thickness, "
                        + least.in(inspection.units()).shownWithUnit() + ": preheat, or lay a bigger bead")
                : Optional.empty();
    }

    /** The cautions that stand beside every repair. */
    public static List<String> cautions() {
        return List.of(
                "Grinding: guard on, disc rated for the speed, shield over glasses, ears, breathing; hot metal is marked.",
                "Gouging and welding: fume, noise, shock, hot-work permit, fire watch at least 30 min (60 in newer rules).",
                "Nothing erected or loaded is ground or gouged at a crack before the Engineer has decided on support.",
                "Tubes, posts and closed boxes: vent before heat. Hydraulic lines: isolate, drain, oil off, permit. Galvanized, zinc, paint: strip well back, extraction, respirator; no chlorinated solvent near an arc.",
                "Estimates from common practice; local codes, the procedure and licensed practice decide.");
    }
}
