package mensor.server.practice;

import java.util.UUID;
import mensor.length.Unit;
import mensor.server.inspection.Contract;
import org.jspecify.annotations.Nullable;

/**
 * A weld of the shop that several people judge in a study, as it was when the study began. What it truly has nobody knows.
 *
 * @param inspection whose pictures and scans are shown
 * @param joint in the format's shape
 * @param units in or mm
 * @param contract what its job and the Engineer said beside the code; absent in studies that began before it was kept
 */
record RealWeld(
        UUID inspection,
        String criteria,
        String units,
        String joint,
        @Nullable Contract contract) {
    Contract besideTheCode() {
        return contract == null ? Contract.NONE : contract.filled();
    }

    Unit unit() {
        return units.equals(Unit.INCH.symbol()) ? Unit.INCH : Unit.MILLIMETRE;
    }
}
