package mensor.server.disposition;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** The contractor's decision on one rejected finding of a signed look. */
@Entity
@Table(name = "disposition")
class DispositionEntity {
    @Id
    private UUID id;

    private UUID inspectionId;
    private String finding;
    private String decision;
    private String note;
    private String documentNo;
    private String documentBy;
    private LocalDate documentDate;
    private UUID decidedBy;
    private Instant decidedAt;

    @Version
    private Long version;

    protected DispositionEntity() {}

    DispositionEntity(UUID inspectionId, String finding) {
        this.id = UUID.randomUUID();
        this.inspectionId = inspectionId;
        this.finding = finding;
    }

    void decide(Dispositions.Decision d, UUID by, Instant at) {
        decision = d.decision();
        note = d.note();
        documentNo = d.documentNo();
        documentBy = d.documentBy();
        documentDate = d.documentDate();
        decidedBy = by;
        decidedAt = at;
    }

    String finding() {
        return finding;
    }

    String decision() {
        return decision;
    }

    String note() {
        return note;
    }

    String documentNo() {
        return documentNo;
    }

    String documentBy() {
        return documentBy;
    }

    LocalDate documentDate() {
        return documentDate;
    }

    UUID decidedBy() {
        return decidedBy;
    }

    Instant decidedAt() {
        return decidedAt;
    }

    Long version() {
        return version;
    }

    UUID inspectionId() {
        return inspectionId;
    }
}
