package mensor.server.inspection;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import mensor.inspection.Entry;
import mensor.length.Unit;
import org.jspecify.annotations.Nullable;

/**
 * A weld on the bench that stands in no job: one to practice on, or one that several people judge in a study. The room that
 * hands it out keeps its entries.
 *
 * @param person who inspects it
 * @param handedIn nothing of it can be changed any more
 * @param criteria the code's id
 * @param contract what holds for it beside the code
 * @param joint in the format's shape
 * @param job what stands where the job would
 */
public record MadeUpWeld(
        UUID id,
        UUID person,
        boolean handedIn,
        long version,
        String criteria,
        Contract contract,
        Unit unit,
        String joint,
        String mark,
        String job,
        List<Kept> entries) {

    /**
     * An entry as it is kept.
     *
     * @param content as the format writes it
     * @param why it was taken off; absent where it stands
     */
    public record Kept(
            UUID id,
            Entry.Sort kind,
            String content,
            Instant at,
            @Nullable String why,
            long version) {}
}
