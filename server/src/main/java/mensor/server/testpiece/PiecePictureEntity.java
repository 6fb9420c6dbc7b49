package mensor.server.testpiece;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** A picture of a test piece. */
@Entity
@Audited
@Table(name = "piece_picture")
class PiecePictureEntity {
    @Id
    private UUID id;

    private UUID pieceId;
    private String sha256;
    private UUID addedBy;
    private Instant addedAt;
    private boolean withdrawn;

    protected PiecePictureEntity() {}

    PiecePictureEntity(UUID id, UUID pieceId, String sha256, UUID by, Instant at) {
        this.id = id;
        this.pieceId = pieceId;
        this.sha256 = sha256;
        this.addedBy = by;
        this.addedAt = at;
    }

    void setWithdrawn(boolean off) {
        withdrawn = off;
    }

    UUID id() {
        return id;
    }

    UUID pieceId() {
        return pieceId;
    }

    String sha256() {
        return sha256;
    }

    boolean isWithdrawn() {
        return withdrawn;
    }
}
