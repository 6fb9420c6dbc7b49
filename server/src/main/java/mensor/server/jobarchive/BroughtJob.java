package mensor.server.jobarchive;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** A job that came in an archive: who brought it, when, from which file, with how many signed records of which installations. */
@Entity
@Audited
@Table(name = "brought_job")
class BroughtJob {
    @Id
    private UUID id;

    private UUID job;
    private String name;
    private String archiveSha256;
    private int records;
    private String origins;
    private UUID broughtBy;
    private Instant broughtAt;

    @Version
    private Long version;

    protected BroughtJob() {}

    BroughtJob(UUID job, String name, String archiveSha256, int records, String origins, UUID by, Instant at) {
        this.id = UUID.randomUUID();
        this.job = job;
        this.name = name;
        this.archiveSha256 = archiveSha256;
        this.records = records;
        this.origins = origins;
        this.broughtBy = by;
        this.broughtAt = at;
    }

    /** For the journal of seals. */
    Map<String, Object> line() {
        return Map.of(
                "format",
                "mensor-brought/1",
                "job",
                name,
                "file",
                archiveSha256,
                "records",
                records,
                "signedElsewhere",
                origins,
                "by",
                broughtBy.toString(),
                "at",
                broughtAt.toString());
    }
}
