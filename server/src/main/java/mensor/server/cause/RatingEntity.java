package mensor.server.cause;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** How well a weld is made, by the rubric; for teaching. */
@Entity
@Audited
@Table(name = "rating")
class RatingEntity {
    @Id
    private UUID inspectionId;

    private String points;
    private String firstReason;
    private String secondReason;
    private UUID ratedBy;
    private Instant ratedAt;

    @Version
    private Long version;

    protected RatingEntity() {}

    RatingEntity(UUID inspectionId) {
        this.inspectionId = inspectionId;
    }

    void set(String newPoints, String first, String second, UUID by, Instant at) {
        points = newPoints;
        firstReason = first;
        secondReason = second;
        ratedBy = by;
        ratedAt = at;
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
