package mensor.server.welding;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import mensor.server.entry.StoredEntry;
import org.hibernate.envers.Audited;

/** One thing recorded before the final inspection: at fit-up, of a pass, while the passes went in, or of the rods. */
@Entity
@Audited
@Table(name = "welding_entry")
class WeldingEntry extends StoredEntry {
    private UUID jointId;

    @Enumerated(EnumType.STRING)
    private WeldingEntryKind kind;

    protected WeldingEntry() {}

    WeldingEntry(UUID id, UUID jointId, int sequence, WeldingEntryKind kind, String content, UUID by, Instant at) {
        super(id, sequence, content, by, at);
        this.jointId = jointId;
        this.kind = kind;
    }

    public UUID jointId() {
        return jointId;
    }

    public WeldingEntryKind kind() {
        return kind;
    }
}
