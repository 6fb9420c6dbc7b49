package mensor.server.inspection;

import java.util.UUID;

/** What is kept of a defect and tells where its weld stands on the worklist: a change of it makes the weld's row anew. */
public interface ShownInWorklist {
    UUID defectId();
}
