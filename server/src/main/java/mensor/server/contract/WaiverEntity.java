package mensor.server.contract;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** A gauge past its calibration that may stand in one inspection. */
@Entity
@Audited
@Table(name = "gauge_waiver")
class WaiverEntity {
    @Id
    private UUID id;

    private UUID inspectionId;
    private String gauge;
    private String reason;
    private UUID waivedBy;
    private Instant waivedAt;

    protected WaiverEntity() {}

    WaiverEntity(UUID inspectionId, String gauge, String reason, UUID waivedBy, Instant waivedAt) {
        this.id = UUID.randomUUID();
        this.inspectionId = inspectionId;
        this.gauge = gauge;
        this.reason = reason;
        this.waivedBy = waivedBy;
        this.waivedAt = waivedAt;
    }

    String gauge() {
        return gauge;
    }

    String reason() {
        return reason;
    }

    UUID waivedBy() {
        return waivedBy;
    }

    Instant waivedAt() {
        return waivedAt;
    }
}
