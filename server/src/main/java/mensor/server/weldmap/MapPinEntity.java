package mensor.server.weldmap;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** Where a weld is on a sheet: shares of the sheet's width and height. */
@Entity
@Table(name = "map_pin")
class MapPinEntity implements Persistable<UUID> {
    @Id
    private UUID id;

    private UUID sheetId;
    private UUID jointId;
    private double x;
    private double y;
    private boolean changedNear;

    @jakarta.persistence.Transient
    private boolean fresh;

    protected MapPinEntity() {}

    MapPinEntity(UUID sheetId, UUID jointId, double x, double y, boolean changedNear) {
        this.id = UUID.randomUUID();
        this.sheetId = sheetId;
        this.jointId = jointId;
        this.x = x;
        this.y = y;
        this.changedNear = changedNear;
        this.fresh = true;
    }

    /** Put there by a hand: nothing is left to be asked. */
    void put(double newX, double newY) {
        x = newX;
        y = newY;
        changedNear = false;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return fresh;
    }

    UUID sheetId() {
        return sheetId;
    }

    UUID jointId() {
        return jointId;
    }

    double x() {
        return x;
    }

    double y() {
        return y;
    }

    boolean changedNear() {
        return changedNear;
    }
}
