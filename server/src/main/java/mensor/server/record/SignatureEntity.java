package mensor.server.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.Length;

/** A signed inspection, frozen: its canonical JSON and the sum over it. */
@Entity
@Table(name = "signature")
class SignatureEntity {
    @Id
    private UUID id;

    private UUID inspectionId;
    private UUID jobId;
    private int place;
    private String verdict;
    private UUID personId;
    private String signedName;
    private String certificate;
    private String capacity;
    private Instant signedAt;

    @Column(length = Length.LONG32)
    private String canonical;

    private String sha256;

    @Column(length = Length.LONG32)
    private String shown;

    /** Where it was signed, if not here: a key's fingerprint, or {@link SignedElsewhere#UNSEALED}. */
    private String origin;

    /** The other installation's seal over it, a line of {@code mensor-seal/1}. */
    private String originSeal;

    @Version
    private Long version;

    protected SignatureEntity() {}

    SignatureEntity(Signatures.SignatureContent content, String sha256) {
        this.id = UUID.randomUUID();
        this.inspectionId = content.inspectionId();
        this.jobId = content.jobId();
        this.place = content.place();
        this.verdict = content.verdict();
        this.personId = content.signer().personId();
        this.signedName = content.signer().name();
        this.certificate = content.signer().certificate();
        this.capacity = content.signer().capacity();
        this.signedAt = content.at();
        this.canonical = content.canonical();
        this.sha256 = sha256;
        this.shown = content.shown();
    }

    UUID inspectionId() {
        return inspectionId;
    }

    UUID personId() {
        return personId;
    }

    /** In the order of the job's signatures, from 1. */
    int place() {
        return place;
    }

    String canonical() {
        return canonical;
    }

    String shown() {
        return shown;
    }

    /** For a record that was signed before this was kept. */
    void keepShown(String json) {
        shown = json;
    }

    String sha256() {
        return sha256;
    }

    /** Absent where it was signed here. */
    String origin() {
        return origin;
    }

    String originSeal() {
        return originSeal;
    }

    SignatureView view(SignedElsewhere elsewhere) {
        return new SignatureView(
                verdict,
                signedName,
                certificate,
                capacity,
                signedAt,
                sha256,
                elsewhere == null ? null : elsewhere.words());
    }
}
