package mensor.server.disposition;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What was decided on one rejected finding, or that nothing was yet; with what suits it. */
public record DispositionView(
        String finding,
        String title,
        String reason,
        @Nullable String decision,
        @Nullable String decisionTitle,
        @Nullable String note,
        @Nullable String documentNo,
        @Nullable String documentBy,
        @Nullable LocalDate documentDate,
        @Nullable String by,
        @Nullable Instant at,
        Long version,
        List<Choice> choices,
        String why) {

    /** A disposition that suits the finding. */
    public record Choice(String id, String title, boolean needsDocument) {}
}
