package mensor.server.study;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** A study as its file says it; taking it off is a mark. */
@Entity
@Audited
@Table(name = "study")
class StudyEntity {
    @Id
    private UUID id;

    private String kind;
    private String title;

    @Column(length = Studies.LONGEST)
    private String content;

    private UUID recordedBy;
    private Instant recordedAt;
    private boolean withdrawn;

    @Version
    private Long version;

    protected StudyEntity() {}

    StudyEntity(UUID id, UUID by, Instant at) {
        this.id = id;
        this.recordedBy = by;
        this.recordedAt = at;
    }

    void set(String newKind, String newTitle, String newContent) {
        kind = newKind;
        title = newTitle;
        content = newContent;
    }

    void setWithdrawn(boolean off) {
        withdrawn = off;
    }

    UUID id() {
        return id;
    }

    String kind() {
        return kind;
    }

    String title() {
        return title;
    }

    String content() {
        return content;
    }

    UUID recordedBy() {
        return recordedBy;
    }

    Instant recordedAt() {
        return recordedAt;
    }

    boolean isWithdrawn() {
        return withdrawn;
    }

    long version() {
        return version;
    }
}
