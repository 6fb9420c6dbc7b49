package mensor.server.record;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** An installation whose signatures the quality manager takes as verified, by its key's fingerprint. */
@Entity
@Audited
@Table(name = "trusted_installation")
class TrustedInstallation {
    @Id
    private UUID id;

    private String fingerprint;
    private String name;
    private UUID trustedBy;
    private Instant trustedAt;

    @Version
    private Long version;

    protected TrustedInstallation() {}

    TrustedInstallation(String fingerprint, String name, UUID by, Instant at) {
        this.id = UUID.randomUUID();
        this.fingerprint = fingerprint;
        this.name = name;
        this.trustedBy = by;
        this.trustedAt = at;
    }

    UUID id() {
        return id;
    }

    String fingerprint() {
        return fingerprint;
    }

    String name() {
        return name;
    }

    UUID trustedBy() {
        return trustedBy;
    }

    Instant trustedAt() {
        return trustedAt;
    }
}
