package mensor.server.inspection;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/** An entry as the browser gets it. */
public record EntryView(
        UUID id,
        EntryEntity.Kind kind,
        EntryContent content,
        String by,
        Instant at,
        boolean withdrawn,
        @Nullable String withdrawnWhy,
        long version) {
    static EntryView of(EntryEntity e, JsonMapper json, String by) {
        return new EntryView(
                e.id(), e.kind(), e.said(json), by, e.enteredAt(), e.isWithdrawn(), e.withdrawnWhy(), e.version());
    }
}
