package mensor.server.inspection;

import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** What an inspection asks of its scans: answered by the room that keeps them. */
public interface InspectionScans {
    /** Each scan that stands, in words for the signed record: its file's sum, the sum of what was measured, by which version. */
    List<String> sums(UUID inspection);

    /** What scans that stand measured, as entries, and nobody took over. */
    List<Bench.NewEntry> unanswered(Bench.State o);

    /** The name of one that is not measured yet. */
    Optional<String> waiting(UUID inspection);

    /** The scans of a record that is amended stand in the revision too. */
    void carryOver(UUID from, UUID to);
}
