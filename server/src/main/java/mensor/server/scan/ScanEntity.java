package mensor.server.scan;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** A scan of a weld in an inspection: its file, and what was measured from it. Taking it off is a mark. */
@Entity
@Audited
@Table(name = "scan")
class ScanEntity {
    /** How far it is. */
    enum State {
        WAITING,
        MEASURED,
        FAILED
    }

    @Id
    private UUID id;

    private UUID inspectionId;
    private String name;
    private String sha256;
    private long bytes;
    private UUID gaugeId;
    private UUID workId;
    private UUID drawnAs;

    @Enumerated(EnumType.STRING)
    private State state;

    private String failure;
    private String measured;
    private String measuredSha256;
    private String measuredBy;
    private UUID addedBy;
    private Instant addedAt;
    private boolean withdrawn;

    protected ScanEntity() {}

    ScanEntity(UUID id, UUID inspectionId, String name, ScanStore.Kept kept, UUID gaugeId, UUID by, Instant at) {
        this.id = id;
        this.drawnAs = id;
        this.inspectionId = inspectionId;
        this.name = name;
        this.sha256 = kept.sha256();
        this.bytes = kept.bytes();
        this.gaugeId = gaugeId;
        this.state = State.WAITING;
        this.addedBy = by;
        this.addedAt = at;
    }

    /** The same scan in another inspection. */
    ScanEntity in(UUID otherInspection) {
        ScanEntity same = new ScanEntity(
                UUID.randomUUID(), otherInspection, name, new ScanStore.Kept(sha256, bytes), gaugeId, addedBy, addedAt);
        same.drawnAs = drawnAs;
        same.workId = workId;
        same.state = state;
        same.failure = failure;
        same.measured = measured;
        same.measuredSha256 = measuredSha256;
        same.measuredBy = measuredBy;
        return same;
    }

    void measureBy(UUID work) {
        workId = work;
        state = State.WAITING;
        failure = null;
    }

    void measured(String document, String sum, String version) {
        state = State.MEASURED;
        measured = document;
        measuredSha256 = sum;
        measuredBy = version;
    }

    void failed(String why) {
        state = State.FAILED;
        failure = why.length() > 500 ? why.substring(0, 500) : why;
    }

    void setWithdrawn(boolean off) {
        withdrawn = off;
    }

    void setGauge(UUID gauge) {
        gaugeId = gauge;
    }

    UUID id() {
        return id;
    }

    UUID inspectionId() {
        return inspectionId;
    }

    String name() {
        return name;
    }

    String sha256() {
        return sha256;
    }

    long bytes() {
        return bytes;
    }

    UUID gaugeId() {
        return gaugeId;
    }

    UUID workId() {
        return workId;
    }

    /** The name of the files that it is drawn from. */
    UUID drawnAs() {
        return drawnAs;
    }

    State state() {
        return state;
    }

    String failure() {
        return failure;
    }

    String measured() {
        return measured;
    }

    String measuredSha256() {
        return measuredSha256;
    }

    String measuredBy() {
        return measuredBy;
    }

    UUID addedBy() {
        return addedBy;
    }

    Instant addedAt() {
        return addedAt;
    }

    boolean isWithdrawn() {
        return withdrawn;
    }
}
