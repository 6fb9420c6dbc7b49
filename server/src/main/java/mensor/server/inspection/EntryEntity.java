package mensor.server.inspection;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import mensor.exchange.EntryDocument;
import mensor.inspection.Entry;
import mensor.server.entry.StoredEntry;
import org.hibernate.envers.Audited;

/** One thing recorded during an inspection. */
@Entity
@Audited
@Table(name = "entry")
class EntryEntity extends StoredEntry {
    private UUID inspectionId;

    @Enumerated(EnumType.STRING)
    private Entry.Sort kind;

    protected EntryEntity() {}

    EntryEntity(UUID id, UUID inspectionId, int sequence, Entry.Sort kind, String content, UUID by, Instant at) {
        super(id, sequence, content, by, at);
        this.inspectionId = inspectionId;
        this.kind = kind;
    }

    /** The content in the fields of the format. */
    EntryDocument document() {
        return EntryDocument.stored(content());
    }

    public UUID inspectionId() {
        return inspectionId;
    }

    public Entry.Sort kind() {
        return kind;
    }
}
