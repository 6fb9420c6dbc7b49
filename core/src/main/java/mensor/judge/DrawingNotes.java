package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.inspection.Inspection;
import mensor.weld.Joint;
import mensor.weld.RodTable;
import mensor.weld.SizeNumbers;
import mensor.weld.Steel;

/**
 * What a drawing or a record asks though the code does not want it: a fillet under the least size for the thickness, over the
 * largest along a lapped edge, or shorter than four times its size; a rod without low hydrogen on a steel that wants it.
 * Notes, never verdicts.
 */
final class DrawingNotes {
    private DrawingNotes() {}

    static List<String> of(Inspection inspection, boolean cyclic) {
        Joint joint = inspection.joint();
        List<String> notes = new ArrayList<>();
        SizeNumbers.structural(joint, cyclic, lowHydrogen(inspection)).stream()
                .filter(SizeNumbers.GoverningNumber::broken)
                .map(n -> "Drawing, a note and no verdict: " + n.title() + " " + n.value() + " (" + n.how()
                        + "; medium confidence).")
                .forEach(notes::add);
        boolean wantsLow = joint.steel() != Steel.A36_TYPE && joint.steel() != Steel.UNKNOWN;
        if (wantsLow && lowHydrogen(inspection).filter(low -> !low).isPresent()) {
            notes.add("Rods, a note and no verdict: a rod without low hydrogen is recorded on "
                    + joint.grade().orElseThrow() + ", which wants low-hydrogen rods (medium confidence).");
        }
        return notes;
    }

    /** True where every rod recorded is of low hydrogen, false where one is known not to be; else not known. */
    private static Optional<Boolean> lowHydrogen(Inspection inspection) {
        List<Optional<Boolean>> rods = inspection.welding().passes().stream()
                .filter(p -> p.isStick() && p.electrode().isPresent())
                .map(p -> RodTable.isLowHydrogen(p.electrode().orElseThrow()))
                .toList();
        if (rods.stream().anyMatch(r -> r.filter(low -> !low).isPresent())) {
            return Optional.of(false);
        }
        return rods.isEmpty() || rods.contains(Optional.<Boolean>empty()) ? Optional.empty() : Optional.of(true);
    }
}
