package mensor.server.testpiece;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** A test piece; what is said of it is kept as its form, and beside it what it is found by. */
@Entity
@Audited
@Table(name = "piece")
class PieceEntity {
    @Id
    private UUID id;

    private String number;
    private String welder;
    private String drill;
    private LocalDate made;
    private UUID jointId;
    private UUID previousId;

    @Column(length = 10_000)
    private String content;

    private boolean withdrawn;
    private UUID recordedBy;
    private Instant recordedAt;

    @Version
    private Long version;

    protected PieceEntity() {}

    PieceEntity(UUID id, UUID by, Instant at) {
        this.id = id;
        this.recordedBy = by;
        this.recordedAt = at;
    }

    void set(PieceForm form, String newContent) {
        number = form.number();
        welder = form.welder();
        drill = form.drill();
        made = form.made();
        previousId = form.previous();
        content = newContent;
    }

    void setJoint(UUID joint) {
        jointId = joint;
    }

    void setWithdrawn(boolean off) {
        withdrawn = off;
    }

    UUID id() {
        return id;
    }

    String welder() {
        return welder;
    }

    UUID jointId() {
        return jointId;
    }

    String content() {
        return content;
    }

    boolean isWithdrawn() {
        return withdrawn;
    }

    Instant recordedAt() {
        return recordedAt;
    }

    Long version() {
        return version;
    }
}
