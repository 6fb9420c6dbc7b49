package mensor.server.cause;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** One thing that was changed because of a cause, and what the next weld showed. */
@Entity
@Audited
@Table(name = "trial")
class TrialEntity {
    @Id
    private UUID id;

    private UUID inspectionId;
    private UUID jointId;
    private String welder;
    private String cause;
    private String trouble;
    private String words;
    private UUID changedBy;
    private Instant changedAt;
    private String nextMark;

    @Enumerated(EnumType.STRING)
    private Outcome showed;

    private String note;
    private UUID showedBy;
    private Instant showedAt;

    @Version
    private Long version;

    protected TrialEntity() {}

    TrialEntity(UUID id, UUID inspectionId, UUID jointId, String welder, UUID changedBy, Instant changedAt) {
        this.id = id;
        this.inspectionId = inspectionId;
        this.jointId = jointId;
        this.welder = welder;
        this.changedBy = changedBy;
        this.changedAt = changedAt;
    }

    void changed(String newCause, String newTrouble, String newWords) {
        cause = newCause;
        trouble = newTrouble;
        words = newWords;
    }

    void showed(String mark, Outcome what, String newNote, UUID by, Instant at) {
        nextMark = mark;
        showed = what;
        note = newNote;
        showedBy = by;
        showedAt = at;
    }

    UUID id() {
        return id;
    }

    UUID inspectionId() {
        return inspectionId;
    }

    UUID jointId() {
        return jointId;
    }

    String cause() {
        return cause;
    }

    String trouble() {
        return trouble;
    }

    String words() {
        return words;
    }

    UUID changedBy() {
        return changedBy;
    }

    Instant changedAt() {
        return changedAt;
    }

    String nextMark() {
        return nextMark;
    }

    Outcome showed() {
        return showed;
    }

    String note() {
        return note;
    }
}
