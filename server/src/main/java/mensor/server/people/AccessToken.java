package mensor.server.people;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;

/** What a script shows in place of a sign-in: it acts as its person, within its scopes, up to a day. */
@Entity
@Audited
@Table(name = "access_token")
class AccessToken {
    @Id
    private UUID id;

    private UUID personId;
    private String name;

    @Convert(converter = TokenScope.Column.class)
    private List<TokenScope> scopes;

    @NotAudited
    private String hash;

    @NotAudited
    private Instant madeAt;

    private LocalDate endsOn;

    @NotAudited
    private Instant lastUsed;

    private Instant revokedAt;
    private UUID revokedBy;

    @Version
    private long version;

    protected AccessToken() {}

    AccessToken(UUID personId, String name, List<TokenScope> scopes, String hash, Instant madeAt, LocalDate endsOn) {
        this.id = UUID.randomUUID();
        this.personId = personId;
        this.name = name;
        this.scopes = List.copyOf(scopes);
        this.hash = hash;
        this.madeAt = madeAt;
        this.endsOn = endsOn;
    }

    boolean holds(LocalDate day) {
        return revokedAt == null && !day.isAfter(endsOn);
    }

    void revoke(UUID by, Instant at) {
        if (revokedAt == null) {
            revokedAt = at;
            revokedBy = by;
        }
    }

    UUID id() {
        return id;
    }

    UUID personId() {
        return personId;
    }

    String name() {
        return name;
    }

    List<TokenScope> scopes() {
        return scopes;
    }

    Instant madeAt() {
        return madeAt;
    }

    LocalDate endsOn() {
        return endsOn;
    }

    Instant lastUsed() {
        return lastUsed;
    }

    Instant revokedAt() {
        return revokedAt;
    }
}
