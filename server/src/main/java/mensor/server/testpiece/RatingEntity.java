package mensor.server.testpiece;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** How well a weld is made in the eyes of one rater, by the rubric; for teaching. */
@Entity
@Audited
@Table(name = "rating")
class RatingEntity {
    @Id
    private UUID id;

    private UUID inspectionId;
    private UUID pieceId;

    private String points;

    @Column(length = 8000)
    private String parts;

    private String firstReason;
    private String secondReason;
    private UUID ratedBy;
    private Instant ratedAt;

    @Version
    private Long version;

    protected RatingEntity() {}

    RatingEntity(UUID inspectionId, UUID pieceId, UUID by) {
        this.id = UUID.randomUUID();
        this.inspectionId = inspectionId;
        this.pieceId = pieceId;
        this.ratedBy = by;
    }

    void set(String newPoints, String newParts, String first, String second, Instant at) {
        points = newPoints;
        parts = newParts;
        firstReason = first;
        secondReason = second;
        ratedAt = at;
    }

    UUID pieceId() {
        return pieceId;
    }

    /** The rubric as it was when it was rated; absent of ratings by the usual one from before a shop could have its own. */
    String parts() {
        return parts;
    }

    String points() {
        return points;
    }

    String firstReason() {
        return firstReason;
    }

    String secondReason() {
        return secondReason;
    }

    UUID ratedBy() {
        return ratedBy;
    }

    Instant ratedAt() {
        return ratedAt;
    }
}
