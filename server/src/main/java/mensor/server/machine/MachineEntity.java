package mensor.server.machine;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** A machine of the register; what it says of itself is kept as its form. */
@Entity
@Audited
@Table(name = "machine")
class MachineEntity {
    @Id
    private UUID id;

    private String name;

    @Column(length = 4000)
    private String content;

    @Version
    private Long version;

    protected MachineEntity() {}

    MachineEntity(UUID id) {
        this.id = id;
    }

    void set(String newName, String newContent) {
        name = newName;
        content = newContent;
    }

    UUID id() {
        return id;
    }

    String content() {
        return content;
    }

    Long version() {
        return version;
    }
}
