package mensor.server.procedure;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import mensor.exchange.ProcedureFile;
import mensor.weld.Procedure;
import org.hibernate.Length;
import org.hibernate.envers.Audited;

/** A welding procedure in one revision, stored as its document. */
@Entity
@Audited
@Table(name = "wps")
class ProcedureEntity implements StoredProcedure {
    @Id
    private UUID id;

    private String number;
    private String revision;

    @Column(length = Length.LONG32)
    private String document;

    private Instant createdAt;
    private UUID createdBy;

    @Version
    private long version;

    protected ProcedureEntity() {}

    ProcedureEntity(UUID id, Instant createdAt, UUID createdBy) {
        this.id = id;
        this.createdAt = createdAt;
        this.createdBy = createdBy;
    }

    void set(Procedure procedure, String newDocument) {
        number = procedure.number();
        revision = procedure.revision();
        document = newDocument;
    }

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public String number() {
        return number;
    }

    @Override
    public String revision() {
        return revision;
    }

    @Override
    public String document() {
        return document;
    }

    @Override
    public Instant createdAt() {
        return createdAt;
    }

    @Override
    public long version() {
        return version;
    }

    @Override
    public Procedure read() {
        return ProcedureFile.read(document);
    }
}
