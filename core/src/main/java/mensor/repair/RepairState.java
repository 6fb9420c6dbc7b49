package mensor.repair;

import java.util.List;
import java.util.Optional;
import mensor.weld.Named;

/** Where the repair of one place stands. Each state is reached from the one before it on its route, and none is skipped. */
public enum RepairState implements Named {
    OPEN("open", "Open"),
    EXTENT_KNOWN("extent-known", "Extent known"),
    EXCAVATED("excavated", "Excavated"),
    CAVITY_ACCEPTED("cavity-accepted", "Cavity accepted"),
    WELDED("welded", "Welded"),
    READY("ready-to-inspect", "Ready to inspect"),
    CLOSED("closed", "Closed");

    private static final List<RepairState> WELDING =
            List.of(OPEN, EXTENT_KNOWN, EXCAVATED, CAVITY_ACCEPTED, WELDED, READY, CLOSED);
    private static final List<RepairState> GRINDING =
            List.of(OPEN, EXTENT_KNOWN, EXCAVATED, CAVITY_ACCEPTED, READY, CLOSED);
    private static final List<RepairState> BY_DOCUMENT = List.of(OPEN, CLOSED);

    private final String id;
    private final String title;

    RepairState(String id, String title) {
        this.id = id;
        this.title = title;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    /** The states that a place goes through, by what was decided; a place that is referred stays open. */
    public static List<RepairState> route(Disposition disposition) {
        return switch (disposition) {
            case REMOVE_AND_REWELD, REPLACE, ADD_METAL, WELD_AS_DRAWN -> WELDING;
            case BLEND, TAKE_OFF -> GRINDING;
            case ACCEPT_AS_IS -> BY_DOCUMENT;
            case REFER -> List.of(OPEN);
        };
    }

    /** What is recorded next; empty where nothing is: it waits for an inspection, for a document, or is closed. */
    public Optional<RepairState> next(Disposition disposition) {
        List<RepairState> route = route(disposition);
        int at = route.indexOf(this);
        if (at < 0 || at + 1 >= route.size() || route.get(at + 1) == CLOSED) {
            return Optional.empty();
        }
        return Optional.of(route.get(at + 1));
    }
}
