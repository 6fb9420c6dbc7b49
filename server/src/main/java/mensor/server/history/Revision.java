package mensor.server.history;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.envers.RevisionEntity;
import org.hibernate.envers.RevisionNumber;
import org.hibernate.envers.RevisionTimestamp;

/** When something changed, and by whom; by nobody where the application did it by itself. */
@Entity
@Table(name = "revinfo")
@RevisionEntity(ChangeAuthor.class)
class Revision {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @RevisionNumber
    private long rev;

    @RevisionTimestamp
    private long revtstmp;

    private UUID person;

    void by(UUID who) {
        person = who;
    }
}
