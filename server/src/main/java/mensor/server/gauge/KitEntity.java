package mensor.server.gauge;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.Length;
import org.hibernate.envers.Audited;

/** The gauges that an inspector carries on a day: their ids, separated by commas. */
@Entity
@Audited
@Table(name = "kit")
class KitEntity {
    @Id
    private UUID id;

    private UUID personId;
    private LocalDate kitDay;

    @Column(length = Length.LONG32)
    private String gauges;

    @Version
    private Long version;

    protected KitEntity() {}

    KitEntity(UUID personId, LocalDate day) {
        this.id = UUID.randomUUID();
        this.personId = personId;
        this.kitDay = day;
    }

    void setGauges(String ids) {
        gauges = ids;
    }

    String gauges() {
        return gauges;
    }
}
