package mensor.plan;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import mensor.length.Length;
import mensor.plan.PassPlan.Bead;
import mensor.plan.PassPlan.Heat;
import mensor.plan.PassPlan.RodNeed;
import mensor.weld.InvalidField;
import mensor.weld.PassKind;
import mensor.weld.RodTable;

/** The rods of a plan by kind of pass: what each lays over its run, how many are needed, and the heat. */
final class PlannedRods {
    private static final Map<String, Double> EFFICIENCY = Map.of("E7018", 0.70, "E7018 5/32", 0.74, "E6010", 0.74);

    private final PlanConstants k;
    private final List<String> notes;
    private final Map<PassKind, PlanRod> rods = new EnumMap<>(PassKind.class);
    private final Map<PassKind, Double> gramsPerRod = new EnumMap<>(PassKind.class);

    /** @param notes takes what is assumed */
    PlannedRods(List<PlanRod> given, PlanConstants constants, List<String> notes) {
        this.k = constants;
        this.notes = notes;
        given.forEach(r -> rods.putIfAbsent(r.kind(), r));
        fillIn();
        rods.forEach((kind, rod) -> gramsPerRod.put(kind, gramsOf(rod)));
    }

    PlanRod of(PassKind kind) {
        return rods.get(kind);
    }

    private void fillIn() {
        if (rods.isEmpty()) {
            notes.add("no rod is named: 1/8 in E7018 is assumed");
            rods.put(PassKind.FILL, PlanRod.of(PassKind.FILL, "E7018", Length.inches(1, 8)));
        }
        PlanRod any = rods.containsKey(PassKind.FILL)
                ? rods.get(PassKind.FILL)
                : rods.values().iterator().next();
        for (PassKind kind : List.of(PassKind.ROOT, PassKind.FILL, PassKind.CAP)) {
            PlanRod from = kind == PassKind.FILL && rods.containsKey(PassKind.HOT) ? rods.get(PassKind.HOT) : any;
            rods.computeIfAbsent(
                    kind,
                    x -> new PlanRod(
                            x,
                            from.electrode(),
                            from.diameter(),
                            from.amps(),
                            from.volts(),
                            from.speed(),
                            // another kind's run is not this one's where the root takes more metal
                            x == PassKind.ROOT || from.kind() == PassKind.ROOT
                                    ? OptionalDouble.empty()
                                    : from.runLength(),
                            from.widestRods()));
        }
    }

    private double gramsOf(PlanRod rod) {
        RodTable.Deposit deposit = RodTable.deposit(rod.electrode(), rod.diameter())
                .orElseThrow(() -> new InvalidField(
                        "welding.passes",
                        "how much a " + rod.diameter().shownWithUnit() + " " + rod.electrode()
                                + " rod lays is not known here; E6010, E6011, E6013 and E7018 are"));
        double standard = 12 * 25.4;
        return deposit.grams() * (k.rodLength() - k.stub()) / standard;
    }

    double runOf(PassKind kind) {
        OptionalDouble given = rods.get(kind).runLength();
        return given.orElse(kind == PassKind.ROOT ? k.runLength() / k.rootExtra() : k.runLength());
    }

    /** What a rod lays over its run, mm². */
    double beadArea(PassKind kind) {
        return gramsPerRod.get(kind) / (k.density() / 1000 * runOf(kind));
    }

    /** How far a rod goes in a bead of this area: by what it lays. */
    double runFor(PassKind kind, double area) {
        return gramsPerRod.get(kind) / (k.density() / 1000 * area);
    }

    void need(Map<String, RodNeed> needs, PassKind kind, double grams) {
        PlanRod rod = rods.get(kind);
        String diameter = rod.diameter().shownWithUnit();
        boolean scaled =
                RodTable.deposit(rod.electrode(), rod.diameter()).orElseThrow().scaled();
        needs.merge(
                rod.electrode() + " " + diameter,
                new RodNeed(rod.electrode(), diameter, grams, gramsPerRod.get(kind), scaled, 0, OptionalDouble.empty()),
                (a, b) -> new RodNeed(
                        a.electrode(),
                        a.diameter(),
                        a.grams() + b.grams(),
                        a.gramsPerRod(),
                        a.scaled(),
                        0,
                        OptionalDouble.empty()));
    }

    /** Metal ÷ efficiency ÷ what is not left as stub: the weight to draw from the store. */
    OptionalDouble electrodes(RodNeed n) {
        Double efficiency = EFFICIENCY.getOrDefault(
                n.electrode() + " " + n.diameter().replace(" in", ""), EFFICIENCY.get(n.electrode()));
        if (efficiency == null) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(n.grams() / efficiency / ((k.rodLength() - k.stub()) / k.rodLength()));
    }

    List<Heat> heat(List<Bead> beads) {
        List<Heat> heat = new ArrayList<>();
        for (PassKind kind : PassKind.values()) {
            PlanRod rod = rods.get(kind);
            boolean used = beads.stream().anyMatch(b -> b.kind() == kind);
            if (used && rod.amps().isPresent() && rod.volts().isPresent()) {
                double speed = rod.speed().orElse(runOf(kind) / k.burnSeconds() * 60);
                heat.add(new Heat(
                        kind,
                        rod.volts().getAsDouble(),
                        rod.amps().getAsDouble(),
                        speed,
                        rod.speed().isPresent(),
                        HeatInput.of(rod.volts().getAsDouble(), rod.amps().getAsDouble(), speed)));
            }
        }
        return heat;
    }
}
