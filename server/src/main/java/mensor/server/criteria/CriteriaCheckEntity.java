package mensor.server.criteria;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.Length;
import org.hibernate.envers.Audited;

/** Who held a criteria book against the shop's own copy, and what differed. */
@Entity
@Audited
@Table(name = "criteria_check")
class CriteriaCheckEntity {
    @Id
    private UUID id;

    private String book;
    private String bookEdition;
    private String copyEdition;
    private LocalDate checkedOn;
    private String checkedBy;

    @Column(length = Length.LONG32)
    private String differed;

    private UUID recordedBy;
    private Instant recordedAt;

    protected CriteriaCheckEntity() {}

    CriteriaCheckEntity(
            String book, String bookEdition, CriteriaCheckForm form, String differed, UUID recordedBy, Instant at) {
        this.id = UUID.randomUUID();
        this.book = book;
        this.bookEdition = bookEdition;
        this.copyEdition = form.copyEdition().strip();
        this.checkedOn = form.checkedOn();
        this.checkedBy = form.checkedBy().strip();
        this.differed = differed;
        this.recordedBy = recordedBy;
        this.recordedAt = at;
    }

    String bookEdition() {
        return bookEdition;
    }

    String copyEdition() {
        return copyEdition;
    }

    LocalDate checkedOn() {
        return checkedOn;
    }

    String checkedBy() {
        return checkedBy;
    }

    String differed() {
        return differed;
    }

    UUID recordedBy() {
        return recordedBy;
    }

    Instant recordedAt() {
        return recordedAt;
    }
}
