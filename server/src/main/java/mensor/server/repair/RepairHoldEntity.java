package mensor.server.repair;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import mensor.repair.HoldKind;
import mensor.server.inspection.ShownInWorklist;
import mensor.weld.Named;
import org.hibernate.envers.Audited;

/** Something that waits for the Engineer's document; what released it, or why it does not hold. */
@Entity
@Audited
@Table(name = "repair_hold")
class RepairHoldEntity implements ShownInWorklist {
    @Id
    private UUID id;

    private UUID defectId;
    private int cycle;
    private String kind;
    private Instant raisedAt;
    private String documentNo;
    private String documentBy;
    private LocalDate documentDate;
    private String fileName;
    private String fileSha256;
    private String deniedWhy;
    private UUID releasedBy;
    private Instant releasedAt;
    private boolean dropped;

    @Version
    private long version;

    protected RepairHoldEntity() {}

    RepairHoldEntity(DefectEntity defect, HoldKind kind, Instant at) {
        this.id = UUID.randomUUID();
        this.defectId = defect.id();
        this.cycle = defect.cycle();
        this.kind = kind.id();
        this.raisedAt = at;
    }

    /** The Engineer's word: a number, a name, a day and the document itself. */
    record Document(String number, String engineer, LocalDate date, String fileName, String fileSha256) {}

    void release(Document d, UUID by, Instant at) {
        documentNo = d.number();
        documentBy = d.engineer();
        documentDate = d.date();
        fileName = d.fileName();
        fileSha256 = d.fileSha256();
        releasedBy = by;
        releasedAt = at;
    }

    void deny(String why, UUID by, Instant at) {
        deniedWhy = why;
        releasedBy = by;
        releasedAt = at;
    }

    /** What was decided since no longer asks for it. */
    void drop() {
        dropped = true;
    }

    UUID id() {
        return id;
    }

    @Override
    public UUID defectId() {
        return defectId;
    }

    int cycle() {
        return cycle;
    }

    HoldKind kind() {
        return Named.find(HoldKind.class, kind).orElseThrow();
    }

    Instant raisedAt() {
        return raisedAt;
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

    String fileName() {
        return fileName;
    }

    String fileSha256() {
        return fileSha256;
    }

    String deniedWhy() {
        return deniedWhy;
    }

    UUID releasedBy() {
        return releasedBy;
    }

    Instant releasedAt() {
        return releasedAt;
    }

    boolean isOpen() {
        return releasedAt == null && !dropped;
    }

    boolean isDropped() {
        return dropped;
    }
}
