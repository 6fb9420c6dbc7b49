package mensor.server.testpiece;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** A drill that a learner is to do by a day. */
@Entity
@Audited
@Table(name = "handout")
class HandoutEntity {
    @Id
    private UUID id;

    private String drill;
    private String welder;
    private LocalDate due;
    private UUID givenBy;
    private Instant givenAt;
    private boolean withdrawn;

    @Version
    private Long version;

    protected HandoutEntity() {}

    HandoutEntity(String drill, String welder, LocalDate due, UUID by, Instant at) {
        this.id = UUID.randomUUID();
        this.drill = drill;
        this.welder = welder;
        this.due = due;
        this.givenBy = by;
        this.givenAt = at;
    }

    void setWithdrawn(boolean off) {
        withdrawn = off;
    }

    UUID id() {
        return id;
    }

    String drill() {
        return drill;
    }

    String welder() {
        return welder;
    }

    LocalDate due() {
        return due;
    }

    UUID givenBy() {
        return givenBy;
    }

    Instant givenAt() {
        return givenAt;
    }
}
