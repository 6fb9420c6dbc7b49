package mensor.server.weldmap;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A job's drawings with its welds.
 *
 * @param sheets those that stand, by name
 * @param welds all of the job, pinned or not
 */
public record MapView(String job, List<MapSheetView> sheets, List<MapWeldView> welds) {

    /**
     * @param width points
     * @param before the revisions that it replaced, the newest first
     */
    public record MapSheetView(
            UUID id, String name, String revision, int width, int height, List<String> before, List<PinView> pins) {}

    /**
     * @param x share of the sheet's width
     * @param y share of its height
     * @param changedNear the drawing changed there with the revision, and nobody looked yet
     */
    public record PinView(UUID joint, double x, double y, boolean changedNear) {}

    /** A weld of the job with where it stands. */
    public record MapWeldView(
            UUID joint,
            UUID inspection,
            String mark,
            @Nullable String weldNo,
            @Nullable String side,
            String inWords,
            WeldState state,
            String next) {}

    /** Where a weld stands, as the map shows it. */
    public enum WeldState {
        NOT_INSPECTED,
        OPEN,
        ACCEPT,
        REJECT,
        IN_REPAIR,
        HOLD
    }
}
