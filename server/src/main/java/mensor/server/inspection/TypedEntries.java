package mensor.server.inspection;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import mensor.exchange.EntryDocument;
import mensor.inspection.Entry;
import mensor.length.Unit;
import org.springframework.stereotype.Component;

/**
 * Stored entries as what they say. The entries of open inspections are needed again with each key at the bench; they cannot
 * be changed, so what was read once serves all.
 */
@Component
class TypedEntries {
    /** As many as a few long welds have. */
    private static final int MOST = 20_000;

    private final Cache<Said, Entry> read =
            Caffeine.newBuilder().maximumSize(MOST).build();

    private record Said(Entry.Sort sort, Unit unit, String content) {}

    /** @throws mensor.exchange.UnreadableInput as the format refuses it */
    Entry of(EntryEntity e, Unit unit) {
        return read.get(
                new Said(e.kind(), unit, e.content()),
                s -> EntryDocument.stored(s.content()).entry(s.sort(), s.unit()));
    }
}
