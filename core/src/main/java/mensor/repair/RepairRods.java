package mensor.repair;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.weld.Joint;
import mensor.weld.Pass;
import mensor.weld.PassKind;
import mensor.weld.RodTable;

/**
 * The rods that a repair is welded with: those of the weld, by its record. The root of a weld from one side is put in again
 * with the rod that made it; all else with the rod of the last layers. A weld whose rod nobody recorded has none here.
 */
final class RepairRods {
    /** A rod by its class, as thick as it was. */
    record Rod(String electrode, Length diameter) {
        String words() {
            return diameter.shownWithUnit() + " " + electrode;
        }
    }

    private static final Length USUAL_DIAMETER = Length.inches(1, 8);

    private final List<Pass> laid;
    private final boolean openRoot;

    RepairRods(Joint joint, List<Pass> passes) {
        this.laid = passes.stream()
                .filter(p -> p.isStick() && p.electrode().isPresent())
                .toList();
        this.openRoot = !joint.isFillet()
                && joint.oneSided()
                && joint.backing().filter(b -> b).isEmpty();
    }

    boolean isKnown() {
        return !laid.isEmpty();
    }

    boolean isOpenRoot() {
        return openRoot;
    }

    /** Of the root pass, as far as one is recorded as such; else of the first. */
    Optional<Rod> root() {
        return laid.stream()
                .min(Comparator.comparingInt(
                        p -> p.kind().filter(k -> k == PassKind.ROOT).isPresent() ? 0 : 1))
                .map(RepairRods::rod);
    }

    /** Of the last layers. */
    Optional<Rod> fill() {
        return laid.stream().reduce((a, b) -> rank(b) >= rank(a) ? b : a).map(RepairRods::rod);
    }

    /** The rod that a place takes first. */
    Optional<Rod> of(boolean rootPlace) {
        return rootPlace && openRoot ? root() : fill();
    }

    /** Whether every rod that is used there is of low hydrogen, as far as their classes are known. */
    boolean isLowHydrogen(boolean rootPlace) {
        Optional<Rod> first = of(rootPlace);
        Optional<Rod> then = fill();
        return isLow(first) && isLow(then);
    }

    private static boolean isLow(Optional<Rod> rod) {
        return rod.flatMap(r -> RodTable.isLowHydrogen(r.electrode())).orElse(false);
    }

    private static int rank(Pass p) {
        return p.kind().map(PassKind::ordinal).orElse(PassKind.FILL.ordinal());
    }

    private static Rod rod(Pass p) {
        return new Rod(p.electrode().orElseThrow(), p.diameter().orElse(USUAL_DIAMETER));
    }
}
