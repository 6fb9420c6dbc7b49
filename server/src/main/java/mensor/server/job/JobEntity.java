package mensor.server.job;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import mensor.length.Unit;
import org.hibernate.Length;
import org.hibernate.envers.Audited;

/** A job: the code and units that its welds are judged by, and what else holds for all of them. */
@Entity
@Audited
@Table(name = "job")
class JobEntity implements StoredJob {
    @Id
    private UUID id;

    private String name;
    private String criteria;
    private String units;

    @Column(length = Length.LONG32)
    private String document;

    private Instant createdAt;
    private UUID createdBy;

    @Version
    private long version;

    protected JobEntity() {}

    JobEntity(UUID id, Instant createdAt, UUID createdBy) {
        this.id = id;
        this.createdAt = createdAt;
        this.createdBy = createdBy;
    }

    void set(String newName, String newCriteria, String newUnits, String newDocument) {
        name = newName;
        criteria = newCriteria;
        units = newUnits;
        document = newDocument;
    }

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public String criteria() {
        return criteria;
    }

    @Override
    public String units() {
        return units;
    }

    @Override
    public Unit unit() {
        return units.equals(Unit.INCH.symbol()) ? Unit.INCH : Unit.MILLIMETRE;
    }

    @Override
    public String document() {
        return document;
    }

    @Override
    public long version() {
        return version;
    }
}
