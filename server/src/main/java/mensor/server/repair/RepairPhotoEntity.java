package mensor.server.repair;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** A picture taken during a repair. */
@Entity
@Audited
@Table(name = "repair_photo")
class RepairPhotoEntity {
    @Id
    private UUID id;

    private UUID defectId;
    private int cycle;
    private String sha256;
    private UUID takenBy;
    private Instant addedAt;

    protected RepairPhotoEntity() {}

    RepairPhotoEntity(UUID id, DefectEntity defect, String sha256, UUID by, Instant at) {
        this.id = id;
        this.defectId = defect.id();
        this.cycle = defect.cycle();
        this.sha256 = sha256;
        this.takenBy = by;
        this.addedAt = at;
    }

    UUID id() {
        return id;
    }

    UUID defectId() {
        return defectId;
    }

    int cycle() {
        return cycle;
    }

    String sha256() {
        return sha256;
    }

    UUID takenBy() {
        return takenBy;
    }

    Instant addedAt() {
        return addedAt;
    }
}
