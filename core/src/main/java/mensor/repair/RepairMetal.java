package mensor.repair;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Joint;
import mensor.weld.PassLimits;
import mensor.weld.Position;
import mensor.weld.RodTable;

/** The metal of a repair, and the rods and beads that it takes. */
final class RepairMetal {
    /** The rod that a bead is reckoned with where none is recorded. */
    private static final RepairRods.Rod USUAL = new RepairRods.Rod("E7018", Length.inches(1, 8));

    private final Joint joint;
    private final RepairConstants constants;
    private final Optional<RepairRods.Rod> rod;

    RepairMetal(Joint joint, RepairConstants constants, Optional<RepairRods.Rod> rod) {
        this.joint = joint;
        this.constants = constants;
        this.rod = rod;
    }

    RepairPlan.Numbers cavity(Length depth, Span extent) {
        double d = mm(depth);
        Cavity cavity = new Cavity(d, constants.includedDegrees(), constants.rootRadius());
        double length = along(extent);
        return numbers(
                d,
                cavity.width(),
                cavity.area(),
                length,
                cavity.volume(length, constants.runOut()),
                beads(cavity.area()));
    }

    /** The whole weld once more: a fillet of the drawn size, laid in one pass where the position takes it. */
    Optional<RepairPlan.Numbers> wholeFillet(Span extent) {
        if (!joint.isFillet() || joint.size().isEmpty()) {
            return Optional.empty();
        }
        double leg = mm(joint.size().get());
        double area = leg * leg / 2 * sine();
        double length = along(extent);
        return Optional.of(numbers(leg, leg, area, length, area * length, isOnePass() ? 1 : beads(area)));
    }

    /** What brings a fillet up to its size: the difference of the triangles, at least one whole bead. */
    Optional<RepairPlan.Numbers> addedToFillet(Length actual, Span along) {
        if (!joint.isFillet() || joint.size().isEmpty() || !joint.size().get().isOver(actual)) {
            return Optional.empty();
        }
        double wanted = mm(joint.size().get());
        double is = mm(actual);
        double area = (wanted * wanted - is * is) / 2 * sine();
        double length = along(along);
        double atLeast = Math.max(area, beadArea());
        return Optional.of(numbers(wanted - is, wanted, atLeast, length, atLeast * length, beads(atLeast)));
    }

    private double sine() {
        return Math.sin(Math.toRadians(joint.dihedral().degrees().doubleValue()));
    }

    private double along(Span extent) {
        return mm(extent.wraps() ? joint.length().minus(extent.from()).plus(extent.to()) : extent.extent());
    }

    /** Within what one pass of the rod and the position lays, as a pass plan has it. */
    private boolean isOnePass() {
        Position position = joint.position().orElse(Position.HORIZONTAL_FILLET);
        Length most = PassLimits.singlePass(position, joint.length().unit());
        double byRod = 2 * mm(rod.orElse(USUAL).diameter());
        double leg = mm(joint.size().orElseThrow());
        return leg <= byRod + 1e-6 && leg <= mm(most) + 1e-6;
    }

    private int beads(double area) {
        return (int) Math.max(1, Math.ceil(area / beadArea() - 1e-9));
    }

    private RepairPlan.Numbers numbers(
            double depth, double width, double area, double length, double volume, int beads) {
        double grams = volume * constants.density() / 1000;
        return new RepairPlan.Numbers(
                depth, width, area, length, volume, grams, rod.flatMap(r -> rods(r, grams, beads)));
    }

    private Optional<RepairPlan.Rods> rods(RepairRods.Rod r, double grams, int beads) {
        return RodTable.deposit(r.electrode(), r.diameter()).map(d -> {
            int count = (int) Math.ceil(grams / d.grams() - 1e-9);
            double arcMinutes = count * constants.burnSeconds() * RodTable.burnShare(r.diameter()) / 60;
            return new RepairPlan.Rods(
                    r.electrode(),
                    r.diameter().shownWithUnit(),
                    count,
                    beads,
                    arcMinutes,
                    arcMinutes / 60 / constants.operatingFactor());
        });
    }

    /** The cross-section that one rod lays over its run. */
    double beadArea() {
        RepairRods.Rod r = rod.filter(
                        x -> RodTable.deposit(x.electrode(), x.diameter()).isPresent())
                .orElse(USUAL);
        double grams =
                RodTable.deposit(r.electrode(), r.diameter()).orElseThrow().grams();
        return grams / (constants.density() / 1000 * constants.runLength());
    }

    static double mm(Length length) {
        return length.approximateNanometres() / Unit.MILLIMETRE.nanometres();
    }
}
