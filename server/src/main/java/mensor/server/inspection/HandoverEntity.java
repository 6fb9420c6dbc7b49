package mensor.server.inspection;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** A part-done look passed on at the end of a shift. */
@Entity
@Audited
@Table(name = "handover")
class HandoverEntity {
    @Id
    private UUID id;

    private UUID inspectionId;
    private UUID fromPerson;
    private UUID toPerson;
    private String note;
    private String fromPlace;
    private String toPlace;

    @Column(name = "at")
    private Instant at;

    @Version
    private Long version;

    protected HandoverEntity() {}

    HandoverEntity(UUID inspectionId, UUID from, UUID to, String note, String fromPlace, String toPlace, Instant at) {
        this.fromPlace = fromPlace;
        this.toPlace = toPlace;
        this.id = UUID.randomUUID();
        this.inspectionId = inspectionId;
        this.fromPerson = from;
        this.toPerson = to;
        this.note = note;
        this.at = at;
    }

    public UUID from() {
        return fromPerson;
    }

    public UUID to() {
        return toPerson;
    }

    public String note() {
        return note;
    }

    /** Where the stretch that was inspected begins and ends, as typed; absent where nothing was said. */
    public String fromPlace() {
        return fromPlace;
    }

    public String toPlace() {
        return toPlace;
    }

    public Instant at() {
        return at;
    }
}
