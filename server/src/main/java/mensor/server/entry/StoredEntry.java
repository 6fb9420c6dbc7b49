package mensor.server.entry;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.Transient;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import mensor.server.web.Refusal;
import org.hibernate.envers.Audited;
import org.springframework.data.domain.Persistable;

/** One thing recorded, under the id that the browser made for it. Deleting is a mark that undo takes off. */
@MappedSuperclass
@Audited
public abstract class StoredEntry implements Persistable<UUID> {
    /** Letters of one entry: far more than an inspector writes of one place. */
    private static final int LONGEST = 100_000;

    @Id
    private UUID id;

    private int sequence;

    @Column(length = LONGEST)
    private String content;

    private UUID enteredBy;
    private Instant enteredAt;
    private boolean withdrawn;
    private String withdrawnWhy;

    @Version
    private long version;

    @Transient
    private boolean fresh;

    protected StoredEntry() {}

    protected StoredEntry(UUID id, int sequence, String content, UUID by, Instant at) {
        this.id = id;
        this.sequence = sequence;
        this.content = checked(content);
        this.enteredBy = by;
        this.enteredAt = at;
        this.fresh = true;
    }

    private static String checked(String content) {
        if (content.length() > LONGEST) {
            throw Refusal.invalid("content", "one entry has up to 100,000 letters; this has " + content.length());
        }
        return content;
    }

    public void change(String newContent, UUID by, Instant at) {
        content = checked(newContent);
        enteredBy = by;
        enteredAt = at;
    }

    public void withdraw(String why) {
        withdrawn = true;
        withdrawnWhy = why;
    }

    public void restore() {
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

    public int sequence() {
        return sequence;
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
