package mensor.weld;

import java.util.List;
import java.util.OptionalDouble;
import mensor.length.Length;

/**
 * What else was seen of a pass, where somebody noted it.
 *
 * @param workAngle across the weld, degrees from the first member; 45 is even on a tee
 * @param travelAngle along it, degrees from upright: over zero dragged, below it pushed
 * @param cover how much of the bead before lies under it, percent
 * @param hotStart in percent as the machine shows it: of its scale, or of the amps that are set, which may be over 100
 * @param ampsAtArc by a meter at the arc; they stand for the machine's display
 * @param restarts where a rod was begun anew
 * @param angles as seen at single places, around a pipe at 6:00, 3:00, 9:00 and 12:00
 */
public record PassDetail(
        OptionalDouble workAngle,
        OptionalDouble travelAngle,
        OptionalDouble cover,
        OptionalDouble hotStart,
        OptionalDouble ampsAtArc,
        List<Length> restarts,
        List<PassChange> changes,
        List<SeenAngles> angles) {
    public static final PassDetail NONE = new PassDetail(
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            List.of(),
            List.of(),
            List.of());

    public PassDetail {
        restarts = List.copyOf(restarts);
        changes = List.copyOf(changes);
        angles = List.copyOf(angles);
    }

    /** How the rod was held at a place; signs as of the pass's own. */
    public record SeenAngles(Length at, OptionalDouble work, OptionalDouble travel) {}

    /** Something that was changed while the pass went on: at which place, from what to what. */
    public record PassChange(Length at, Changed what, String from, String to) {}

    public enum Changed implements Named {
        AMPS("amps"),
        ARC_LENGTH("arc-length"),
        ARC_FORCE("arc-force"),
        TRAVEL("travel"),
        WORK_ANGLE("work-angle"),
        TRAVEL_ANGLE("travel-angle"),
        TECHNIQUE("technique"),
        ROD("rod");

        private final String id;

        Changed(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }
}
