package mensor.server.study;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A study of a gauge or of people.
 *
 * @param kind gauge or agreement
 * @param said what it comes to, in one sentence
 */
public record StudyView(
        UUID id,
        String kind,
        String title,
        String said,
        String by,
        Instant at,
        boolean withdrawn,
        long version,
        @Nullable GaugeStudyView gauge,
        @Nullable AgreementView agreement) {

    /** Of the list of studies. */
    public record StudyRowView(
            UUID id, String kind, String title, String said, String by, Instant at, boolean withdrawn) {}
}
