package mensor.weld;

import java.util.List;
import java.util.Optional;

/**
 * The work and travel angle that a position asks for, around a fixed pipe by the thirds of each half (common practice, no source; the procedure goes
 * first).
 *
 * @param where from and to on the clock; empty where it is the same all along
 */
public record PlannedAngles(Optional<String> where, String work, String travel) {
    private static final String DRAG = "drag 5–15°";
    private static final String PUSH_UP = "uphill: push 0–10°";
    private static final String EVEN = "45°, lower on the thicker member";
    /** Beads that are stacked beside each other from the lower side up. */
    private static final String ROW = "first bead of a layer low, the next square, the last high";

    private static final String SQUARE = "square to the plates";

    /** @param kind of the pass: overhead the later beads of a fillet stand steeper */
    public static List<PlannedAngles> of(Joint joint, PassKind kind) {
        boolean round = joint.closed()
                || joint.clock().isPresent()
                || joint.connection() == Connection.PIPE_BUTT
                || joint.connection() == Connection.TUBE_TO_PLATE;
        return joint.position().map(p -> of(p, kind, round)).orElse(List.of());
    }

    private static List<PlannedAngles> of(Position position, PassKind kind, boolean round) {
        return switch (position) {
            case FLAT_FILLET, HORIZONTAL_FILLET -> all(EVEN, DRAG);
            case VERTICAL_FILLET -> all(EVEN, PUSH_UP);
            case OVERHEAD_FILLET -> all(overhead(kind), DRAG);
            case FLAT_GROOVE, OVERHEAD_GROOVE -> all(SQUARE, DRAG);
            case HORIZONTAL_GROOVE -> all("10–15° up into the bead", DRAG);
            case VERTICAL_GROOVE -> all(SQUARE, PUSH_UP);
            case PIPE_FIXED_HORIZONTAL_FILLET, PIPE_FIXED_INCLINED_FILLET ->
                round ? around(overhead(kind), EVEN) : all(EVEN, PUSH_UP);
            case PIPE_FIXED_HORIZONTAL ->
                round ? around("square to the pipe", "square to the pipe") : all(SQUARE, PUSH_UP);
            case PIPE_FIXED_INCLINED -> {
                String row = kind == PassKind.ROOT ? "square to the pipe" : ROW;
                yield round ? around(row, row) : all(kind == PassKind.ROOT ? SQUARE : ROW, PUSH_UP);
            }
        };
    }

    private static String overhead(PassKind kind) {
        return kind == PassKind.ROOT ? "45°" : "50–55°";
    }

    private static List<PlannedAngles> all(String work, String travel) {
        return List.of(new PlannedAngles(Optional.empty(), work, travel));
    }

    private static List<PlannedAngles> around(String below, String elsewhere) {
        return List.of(
                new PlannedAngles(Optional.of("6 to 4 and 6 to 8"), below, PUSH_UP),
                new PlannedAngles(Optional.of("4 to 2 and 8 to 10"), elsewhere, PUSH_UP),
                new PlannedAngles(Optional.of("2 to 12 and 10 to 12"), elsewhere, DRAG));
    }

    /** For people, on one line. */
    public String shown() {
        return where.map(w -> w + ": ").orElse("") + "work " + work + "; " + travel;
    }
}
