package mensor.server.welding;

import java.util.UUID;

/** What a weld's inspections say of its welding record; answered by the inspections' room. */
public interface WeldInspections {
    WeldingViews.InspectionState inspectionsAt(UUID joint);

    boolean isSigned(UUID joint);

    /** What was recorded of the welding changed: open inspections are judged anew. */
    void rejudgeOpen(UUID joint);
}
