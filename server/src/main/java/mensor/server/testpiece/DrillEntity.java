package mensor.server.testpiece;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.hibernate.envers.Audited;

/** A drill that the school wrote, or one that ships as the school has changed it; as its file. */
@Entity
@Audited
@Table(name = "drill")
class DrillEntity {
    @Id
    private String id;

    @Column(length = 20_000)
    private String content;

    private boolean withdrawn;

    @Version
    private Long version;

    protected DrillEntity() {}

    DrillEntity(String id) {
        this.id = id;
    }

    void set(String newContent) {
        content = newContent;
        withdrawn = false;
    }

    void setWithdrawn(boolean off) {
        withdrawn = off;
    }

    String id() {
        return id;
    }

    String content() {
        return content;
    }

    boolean isWithdrawn() {
        return withdrawn;
    }
}
