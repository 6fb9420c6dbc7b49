package mensor.server.testpiece;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.springframework.data.domain.Persistable;

/** A specimen of a joint or coupon with what it showed. */
@Entity
@Audited
@Table(name = "specimen")
class SpecimenEntity implements Persistable<UUID> {
    @Id
    private UUID id;

    private UUID jointId;
    private UUID pieceId;
    private String specimen;

    @Column(length = 10_000)
    private String content;

    private String picture;
    private boolean withdrawn;
    private UUID recordedBy;
    private Instant recordedAt;

    protected SpecimenEntity() {}

    SpecimenEntity(
            UUID id, UUID jointId, UUID pieceId, String specimen, String content, UUID recordedBy, Instant recordedAt) {
        this.id = id;
        this.jointId = jointId;
        this.pieceId = pieceId;
        this.specimen = specimen;
        this.content = content;
        this.recordedBy = recordedBy;
        this.recordedAt = recordedAt;
    }

    void setPicture(String sha256) {
        picture = sha256;
    }

    String picture() {
        return picture;
    }

    void setWithdrawn(boolean off) {
        withdrawn = off;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return true;
    }

    UUID jointId() {
        return jointId;
    }

    UUID pieceId() {
        return pieceId;
    }

    String specimen() {
        return specimen;
    }

    String content() {
        return content;
    }

    boolean isWithdrawn() {
        return withdrawn;
    }

    UUID recordedBy() {
        return recordedBy;
    }

    Instant recordedAt() {
        return recordedAt;
    }
}
