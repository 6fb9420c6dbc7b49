package mensor.server.photo;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** A picture's place in an inspection; taking it off is a mark that undo takes back. */
@Entity
@Audited
@Table(name = "photo")
class PhotoEntity implements StoredPhoto {
    @Id
    private UUID id;

    private UUID inspectionId;
    private UUID entryId;
    private String place;
    private String sha256;
    private UUID takenBy;
    private Instant addedAt;
    private boolean withdrawn;

    protected PhotoEntity() {}

    PhotoEntity(UUID id, UUID inspectionId, UUID entryId, String place, String sha256, UUID takenBy, Instant addedAt) {
        this.id = id;
        this.inspectionId = inspectionId;
        this.entryId = entryId;
        this.place = place;
        this.sha256 = sha256;
        this.takenBy = takenBy;
        this.addedAt = addedAt;
    }

    /** The same picture in another inspection. */
    PhotoEntity in(UUID otherInspection, UUID otherEntry) {
        return new PhotoEntity(UUID.randomUUID(), otherInspection, otherEntry, place, sha256, takenBy, addedAt);
    }

    void setWithdrawn(boolean off) {
        withdrawn = off;
    }

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public UUID inspectionId() {
        return inspectionId;
    }

    @Override
    public UUID entryId() {
        return entryId;
    }

    @Override
    public String place() {
        return place;
    }

    @Override
    public String sha256() {
        return sha256;
    }

    @Override
    public UUID takenBy() {
        return takenBy;
    }

    @Override
    public Instant addedAt() {
        return addedAt;
    }

    @Override
    public boolean isWithdrawn() {
        return withdrawn;
    }
}
