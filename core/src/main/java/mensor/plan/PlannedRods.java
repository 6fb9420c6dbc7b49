package mensor.plan;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mensor.length.Length;
import mensor.plan.PassPlan.Bead;
import mensor.plan.PassPlan.Heat;
import mensor.plan.PassPlan.RodNeed;
import mensor.plan.PassPlan.Setting;
import mensor.weld.InvalidField;
import mensor.weld.PassKind;
import mensor.weld.Range;
import mensor.weld.RodTable;

/** The rods of a plan by kind of pass: what each lays over its run, how many are needed, and the heat. */
final class PlannedRods {
    private static final Map<String, Double> EFFICIENCY = Map.of("E7018", 0.70, "E7018 5/32", 0.74, "E6010", 0.74);

    private final PlanConstants k;
    private final List<String> notes;
    private List<PlanRod> measured = List.of();
    private final Map<PassKind, List<PlanRod>> rods = new EnumMap<>(PassKind.class);

    /** @param notes takes what is assumed */
    PlannedRods(List<PlanRod> given, PlanConstants constants, List<String> notes) {
        this.k = constants;
        this.notes = notes;
        given.forEach(
                r -> rods.computeIfAbsent(r.kind(), x -> new ArrayList<>()).add(r));
        fillIn();
        carryRuns();
        rods.values()
                .forEach(all ->
                        all.stream().filter(PlanRod::isStick).forEach(this::gramsOf)); // refuses what is not known
    }

    /** The first rod of a kind of pass that is laid by stick. */
    PlanRod of(PassKind kind) {
        return all(kind).stream()
                .filter(PlanRod::isStick)
                .findFirst()
                .orElseGet(() -> anyStick().as(kind));
    }

    /** All of a kind, in the order in which they are laid. */
    List<PlanRod> all(PassKind kind) {
        return rods.getOrDefault(kind, List.of());
    }

    private PlanRod anyStick() {
        return rods.values().stream()
                .flatMap(List::stream)
                .filter(PlanRod::isStick)
                .findFirst()
                .orElseThrow();
    }

    private void fillIn() {
        if (rods.values().stream().flatMap(List::stream).noneMatch(PlanRod::isStick)) {
            notes.add("no rod is named: 1/8 in E7018 is assumed");
            rods.computeIfAbsent(PassKind.FILL, x -> new ArrayList<>())
                    .add(PlanRod.of(PassKind.FILL, "E7018", Length.inches(1, 8)));
        }
        PlanRod under = lastStick(PassKind.FILL, PassKind.HOT).orElseGet(this::anyStick);
        rods.computeIfAbsent(PassKind.FILL, x -> List.of(under.as(x)));
        // what lies over all is never capped with the root's rod
        rods.computeIfAbsent(
                PassKind.CAP,
                x -> List.of(
                        lastStick(PassKind.FILL, PassKind.HOT).orElse(under).as(x)));
        rods.computeIfAbsent(PassKind.ROOT, x -> List.of(of(PassKind.FILL).as(x)));
    }

    /** The last rod of the first of these kinds that is laid by stick. */
    private Optional<PlanRod> lastStick(PassKind... kinds) {
        for (PassKind kind : kinds) {
            Optional<PlanRod> last = all(kind).stream().filter(PlanRod::isStick).reduce((a, b) -> b);
            if (last.isPresent()) {
                return last;
            }
        }
        return Optional.empty();
    }

    /** The rod of a fill layer, counted from 0: each row of the procedure one layer, the last one the rest. */
    PlanRod fill(int layer) {
        List<PlanRod> all = all(PassKind.FILL).stream().filter(PlanRod::isStick).toList();
        return all.isEmpty() ? of(PassKind.FILL) : all.get(Math.min(layer, all.size() - 1));
    }

    /** A run that was measured for a rod holds for its other passes too. */
    private void carryRuns() {
        measured = rods.values().stream()
                .flatMap(List::stream)
                .filter(r -> r.isStick() && r.runLength().isPresent())
                .toList();
        rods.replaceAll((kind, all) -> all.stream().map(this::withRun).toList());
    }

    PlanRod withRun(PlanRod rod) {
        return rod.runLength().isPresent()
                ? rod
                : measured.stream()
                        .filter(rod::isSameRod)
                        .findFirst()
                        .map(m -> rod.withRun(m.runLength()))
                        .orElse(rod);
    }

    private double gramsOf(PlanRod rod) {
        Length diameter = rod.diameter().orElseThrow();
        RodTable.Deposit deposit = RodTable.deposit(rod.electrode(), diameter)
                .orElseThrow(() -> new InvalidField(
                        "welding.passes",
                        "how much a " + diameter.shownWithUnit() + " " + rod.electrode()
                                + " rod lays is not known here; E6010, E6011, E6013 and E7018 are. A layer by another"
                                + " process is planned where the pass names it"));
        double standard = 12 * 25.4;
        return deposit.grams() * (k.rodLength() - k.stub()) / standard;
    }

    double runOf(PlanRod rod) {
        return rod.runLength().orElse(rod.kind() == PassKind.ROOT ? k.runLength() / k.rootExtra() : k.runLength());
    }

    /** What a rod lays over its run, mm². */
    double beadArea(PlanRod rod) {
        return gramsOf(rod) / (k.density() / 1000 * runOf(rod));
    }

    /** How far a rod goes in a bead of this area: by what it lays. Nothing where it is no rod. */
    double runFor(PlanRod rod, double area) {
        return rod.isStick() ? gramsOf(rod) / (k.density() / 1000 * area) : 0;
    }

    /** The rods for this much metal over all beads. */
    List<RodNeed> needs(List<Bead> beads, double grams) {
        double stack = beads.stream().mapToDouble(Bead::area).sum();
        Map<String, RodNeed> needs = new LinkedHashMap<>();
        double byOthers = 0;
        for (Bead b : beads) {
            double share = grams * b.area() / stack;
            if (!b.laidWith().isStick()) {
                byOthers += share;
                continue;
            }
            RodNeed more = need(b.laidWith(), share);
            needs.merge(more.electrode() + " " + more.diameter(), more, RodNeed::plus);
        }
        if (byOthers > 0) {
            notes.add(PassPlanner.round(byOthers) + " g of the metal is laid by another process and needs no rods");
        }
        return needs.values().stream()
                .map(n -> n.counted(PassPlanner.up(n.grams() / n.gramsPerRod()), electrodes(n)))
                .toList();
    }

    private RodNeed need(PlanRod rod, double grams) {
        Length diameter = rod.diameter().orElseThrow();
        return new RodNeed(
                rod.electrode(),
                diameter.shownWithUnit(),
                grams,
                gramsOf(rod),
                RodTable.deposit(rod.electrode(), diameter).orElseThrow().scaled(),
                0,
                OptionalDouble.empty());
    }

    /** Metal ÷ efficiency ÷ what is not left as stub: the weight to draw from the store. */
    private OptionalDouble electrodes(RodNeed n) {
        Double efficiency = EFFICIENCY.getOrDefault(
                n.electrode() + " " + n.diameter().replace(" in", ""), EFFICIENCY.get(n.electrode()));
        if (efficiency == null) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(n.grams() / efficiency / ((k.rodLength() - k.stub()) / k.rodLength()));
    }

    /** How long all these rods burn, in minutes. */
    double arcMinutes(List<Bead> beads, List<RodNeed> needs) {
        return needs.stream().mapToDouble(n -> n.rods() * burnSeconds(beads, n)).sum() / 60;
    }

    private double burnSeconds(List<Bead> beads, RodNeed need) {
        return beads.stream()
                .map(Bead::laidWith)
                .filter(r -> r.isStick()
                        && r.electrode().equals(need.electrode())
                        && r.diameter().orElseThrow().shownWithUnit().equals(need.diameter()))
                .findFirst()
                .map(this::burnSeconds)
                .orElse(k.burnSeconds());
    }

    private double burnSeconds(PlanRod rod) {
        return k.burnSeconds() * RodTable.burnShare(rod.diameter().orElseThrow());
    }

    /** By each bead's own run and the rod's burning time, or the travel that was measured. */
    List<Heat> heat(List<Bead> beads) {
        List<Heat> heat = new ArrayList<>();
        for (Bead b : beads) {
            PlanRod rod = b.laidWith();
            if (!rod.isStick() || rod.amps().isEmpty() || rod.volts().isEmpty()) {
                continue;
            }
            double speed = rod.speed().orElse(b.runLength() / burnSeconds(rod) * 60);
            heat.add(new Heat(
                    b.number(),
                    b.kind(),
                    rod.volts().getAsDouble(),
                    rod.amps().getAsDouble(),
                    speed,
                    rod.speed().isPresent(),
                    HeatInput.of(rod.volts().getAsDouble(), rod.amps().getAsDouble(), speed)));
        }
        return heat;
    }

    /** What each rod is set to: as recorded or as the procedure has it, else the middle of the rod's own range. */
    List<Setting> settings(List<Bead> beads) {
        Map<String, Setting> settings = new LinkedHashMap<>();
        beads.stream().map(Bead::laidWith).filter(PlanRod::isStick).forEach(rod -> {
            Optional<Range> range =
                    RodTable.workable(rod.electrode(), rod.diameter().orElseThrow());
            OptionalDouble amps = rod.amps().isPresent()
                    ? rod.amps()
                    : range.map(r -> OptionalDouble.of(Math.round((r.low() + r.high()) / 10) * 5.0))
                            .orElse(OptionalDouble.empty());
            SettingSource from = rod.amps().isPresent() ? rod.ampsFrom() : SettingSource.ROD;
            amps.ifPresent(a -> settings.putIfAbsent(
                    rod.kind() + rod.words(),
                    new Setting(
                            rod.kind(),
                            rod.words(),
                            a,
                            from.words()
                                    + (from == SettingSource.ROD
                                            ? range.map(r -> ", " + r.shown("A"))
                                                            .orElse("") + "; the procedure and the box label go first"
                                            : ""))));
        });
        return List.copyOf(settings.values());
    }
}
