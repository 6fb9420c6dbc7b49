package mensor.server.welding;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import mensor.server.entry.StoredEntry;
import org.hibernate.envers.Audited;

/** One thing recorded before the last look: at fit-up, of a pass, while the passes went in, or of the rods. */
@Entity
@Audited
@Table(name = "welding_entry")
public class WeldingEntry extends StoredEntry {
    /** A fit-up reading, an answer at fit-up, a pass, an answer in process, a can of low-hydrogen rods. */
    public enum Kind {
        FIT_UP,
        FIT_UP_ANSWER,
        PASS,
        PROCESS,
        RODS;

        /** Changes what the joint asks, so that it stands once something was signed. */
        boolean isFitUp() {
            return this == FIT_UP || this == FIT_UP_ANSWER;
        }
    }

    private UUID jointId;

    @Enumerated(EnumType.STRING)
    private Kind kind;

    protected WeldingEntry() {}

    WeldingEntry(UUID id, UUID jointId, int sequence, Kind kind, String content, UUID by, Instant at) {
        super(id, sequence, content, by, at);
        this.jointId = jointId;
        this.kind = kind;
    }

    public UUID jointId() {
        return jointId;
    }

    public Kind kind() {
        return kind;
    }
}
