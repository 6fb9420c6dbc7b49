package mensor.repair;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Joint;
import mensor.weld.RodTable;

/** The metal of a repair, and the rods and beads that it takes. */
final class RepairMetal {
    /** The rod that estimates go by. */
    static final Length EIGHTH = Length.inches(1, 8);

    private final Joint joint;
    private final RepairConstants constants;
    private final String rod;

    RepairMetal(Joint joint, RepairConstants constants, String rod) {
        this.joint = joint;
        this.constants = constants;
        this.rod = rod;
    }

    RepairPlan.Numbers cavity(Length depth, Span extent) {
        double d = mm(depth);
        Cavity cavity = new Cavity(d, constants.includedDegrees(), constants.rootRadius());
        double length = mm(extent.wraps() ? joint.length().minus(extent.from()).plus(extent.to()) : extent.extent());
        return numbers(d, cavity.width(), cavity.area(), length, cavity.volume(length, constants.runOut()));
    }

    /** What brings a fillet up to its size: the difference of the triangles, at least one whole bead. */
    Optional<RepairPlan.Numbers> addedToFillet(Length actual, Span along) {
        if (!joint.isFillet() || joint.size().isEmpty() || !joint.size().get().isOver(actual)) {
            return Optional.empty();
        }
        double wanted = mm(joint.size().get());
        double is = mm(actual);
        double area = (wanted * wanted - is * is)
                / 2
                * Math.sin(Math.toRadians(joint.dihedral().degrees().doubleValue()));
        double length = mm(along.extent());
        double atLeast = Math.max(area, beadArea());
        return Optional.of(numbers(wanted - is, wanted, atLeast, length, atLeast * length));
    }

    private RepairPlan.Numbers numbers(double depth, double width, double area, double length, double volume) {
        double grams = volume * constants.density() / 1000;
        double perRod = perRod();
        int rods = (int) Math.ceil(grams / perRod - 1e-9);
        int beads = (int) Math.max(1, Math.ceil(area / beadArea() - 1e-9));
        return new RepairPlan.Numbers(
                depth,
                width,
                area,
                length,
                volume,
                grams,
                rod,
                EIGHTH.shownWithUnit(),
                rods,
                beads,
                rods * constants.burnSeconds() / 60);
    }

    private double perRod() {
        return RodTable.deposit(rod, EIGHTH).orElseThrow().grams();
    }

    /** The cross-section that one rod lays over its run. */
    double beadArea() {
        return perRod() / (constants.density() / 1000 * constants.runLength());
    }

    static double mm(Length length) {
        return length.approximateNanometres() / Unit.MILLIMETRE.nanometres();
    }
}
