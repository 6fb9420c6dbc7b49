package mensor.server.practice;

import java.util.UUID;
import mensor.length.Unit;

/**
 * A weld of the shop that several people judge in a study, as it was when the study began. What it truly has nobody knows.
 *
 * @param inspection whose pictures and scans are shown
 * @param joint in the format's shape
 * @param units in or mm
 */
record RealWeld(UUID inspection, String criteria, String units, String joint) {
    Unit unit() {
        return units.equals(Unit.INCH.symbol()) ? Unit.INCH : Unit.MILLIMETRE;
    }
}
