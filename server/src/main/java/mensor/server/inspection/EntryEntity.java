package mensor.server.inspection;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import mensor.exchange.Remembered;
import mensor.server.entry.Entry;
import org.hibernate.envers.Audited;
import tools.jackson.databind.json.JsonMapper;

/** One thing put down during a look. */
@Entity
@Audited
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

    /** What contents say, for the looks that are open: the same text is read again with each key of the bench. */
    private static final Remembered<String, EntryContent> READ = new Remembered<>(20_000);

    protected EntryEntity() {}

    EntryEntity(UUID id, UUID inspectionId, int sequence, Kind kind, String content, UUID by, Instant at) {
        super(id, sequence, content, by, at);
        this.inspectionId = inspectionId;
        this.kind = kind;
    }

    /** The content as fields. */
    EntryContent said(JsonMapper json) {
        return READ.get(content(), () -> json.readValue(content(), EntryContent.class));
    }

    public UUID inspectionId() {
        return inspectionId;
    }

    public Kind kind() {
        return kind;
    }
}
