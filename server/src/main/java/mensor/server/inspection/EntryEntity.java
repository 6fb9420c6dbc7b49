package mensor.server.inspection;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** One thing put down during a look, under the id that the browser made for it. Deleting is a mark that undo takes off. */
@Entity
@Table(name = "entry")
public class EntryEntity implements Persistable<UUID> {
    /** A reading, an indication, "looked, none seen", or what covers what cannot be seen. */
    public enum Kind {
        READING,
        INDICATION,
        CLEAR,
        COVER
    }

    @Id
    private UUID id;

    private UUID inspectionId;
    private int sequence;

    @Enumerated(EnumType.STRING)
    private Kind kind;

    @Lob
    private String content;

    private UUID enteredBy;
    private Instant enteredAt;
    private boolean withdrawn;
    private String withdrawnWhy;

    @Version
    private long version;

    @Transient
    private boolean fresh;

    protected EntryEntity() {}

    EntryEntity(UUID id, UUID inspectionId, int sequence, Kind kind, String content, UUID by, Instant at) {
        this.id = id;
        this.inspectionId = inspectionId;
        this.sequence = sequence;
        this.kind = kind;
        this.content = content;
        this.enteredBy = by;
        this.enteredAt = at;
        this.fresh = true;
    }

    void change(String newContent, UUID by, Instant at) {
        content = newContent;
        enteredBy = by;
        enteredAt = at;
    }

    void withdraw(String why) {
        withdrawn = true;
        withdrawnWhy = why;
    }

    void restore() {
        withdrawn = false;
        withdrawnWhy = null;
    }

    public UUID id() {
        return id;
    }

    @Override
    public UUID getId() {
        return id;
    }

    /** The id is the browser's own, so that "new" cannot be told from it. */
    @Override
    public boolean isNew() {
        return fresh;
    }

    public UUID inspectionId() {
        return inspectionId;
    }

    public int sequence() {
        return sequence;
    }

    public Kind kind() {
        return kind;
    }

    public String content() {
        return content;
    }

    public UUID enteredBy() {
        return enteredBy;
    }

    public Instant enteredAt() {
        return enteredAt;
    }

    public boolean isWithdrawn() {
        return withdrawn;
    }

    public String withdrawnWhy() {
        return withdrawnWhy;
    }

    public long version() {
        return version;
    }
}
