package mensor.server.contract;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.Length;
import org.hibernate.envers.Audited;

/** A deviation as it was recorded; one that was recorded wrongly is withdrawn with the reason, never changed. */
@Entity
@Audited
@Table(name = "deviation")
class DeviationEntity {
    @Id
    private UUID id;

    private UUID jointId;

    @Column(length = Length.LONG32)
    private String content;

    private UUID recordedBy;
    private Instant recordedAt;
    private String withdrawnWhy;

    protected DeviationEntity() {}

    DeviationEntity(UUID jointId, String content, UUID recordedBy, Instant recordedAt) {
        this.id = UUID.randomUUID();
        this.jointId = jointId;
        this.content = content;
        this.recordedBy = recordedBy;
        this.recordedAt = recordedAt;
    }

    UUID id() {
        return id;
    }

    UUID jointId() {
        return jointId;
    }

    String content() {
        return content;
    }

    UUID recordedBy() {
        return recordedBy;
    }

    Instant recordedAt() {
        return recordedAt;
    }

    boolean isWithdrawn() {
        return withdrawnWhy != null;
    }

    void withdraw(String why) {
        withdrawnWhy = why;
    }
}
