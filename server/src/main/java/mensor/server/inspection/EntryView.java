package mensor.server.inspection;

import java.time.Instant;
import java.util.UUID;
import mensor.exchange.EntryDocument;
import mensor.inspection.Entry;
import org.jspecify.annotations.Nullable;

/** An entry as the browser gets it. */
public record EntryView(
        UUID id,
        Entry.Sort kind,
        EntryDocument content,
        String by,
        Instant at,
        boolean withdrawn,
        @Nullable String withdrawnWhy,
        long version) {
    static EntryView of(EntryEntity e, String by) {
        return new EntryView(
                e.id(), e.kind(), e.document(), by, e.enteredAt(), e.isWithdrawn(), e.withdrawnWhy(), e.version());
    }
}
