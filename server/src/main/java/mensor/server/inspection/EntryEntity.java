package mensor.server.inspection;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import mensor.server.entry.Entry;

/** One thing put down during a look. */
@Entity
@Table(name = "entry")
public class EntryEntity extends Entry {
    /** A reading, an indication, "looked, none seen", or what covers what cannot be seen. */
    public enum Kind {
        READING,
        INDICATION,
        CLEAR,
        COVER
    }

    private UUID inspectionId;

    @Enumerated(EnumType.STRING)
    private Kind kind;

    protected EntryEntity() {}

    EntryEntity(UUID id, UUID inspectionId, int sequence, Kind kind, String content, UUID by, Instant at) {
        super(id, sequence, content, by, at);
        this.inspectionId = inspectionId;
        this.kind = kind;
    }

    public UUID inspectionId() {
        return inspectionId;
    }

    public Kind kind() {
        return kind;
    }
}
