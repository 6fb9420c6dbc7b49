package mensor.server.people;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;

/** Somebody who signs in. */
@Entity
@Audited
class Person {
    /** After so many wrong passwords each further one doubles the wait. */
    private static final int FREE_TRIES = 3;

    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);

    @Id
    private UUID id;

    private String login;
    private String name;

    @Convert(converter = RolesColumn.class)
    private List<Role> roles;

    private String certificate;
    private LocalDate certificateUntil;
    private LocalDate eyeTestUntil;
    private String capacity;

    @NotAudited
    private String passwordHash;

    private boolean active;

    @NotAudited
    private int wrongTries;

    @NotAudited
    private Instant lockedUntil;

    @Version
    private long version;

    protected Person() {}

    Person(UUID id, String login, String name, List<Role> roles, String certificate, String passwordHash) {
        this.id = id;
        this.login = login;
        this.name = name;
        this.roles = List.copyOf(roles);
        this.certificate = certificate;
        this.passwordHash = passwordHash;
        this.active = true;
    }

    public UUID id() {
        return id;
    }

    public String login() {
        return login;
    }

    public String name() {
        return name;
    }

    public List<Role> roles() {
        return roles;
    }

    void hold(List<Role> newRoles) {
        roles = List.copyOf(newRoles);
    }

    public String certificate() {
        return certificate;
    }

    /** The last day on which the certificate holds; absent where nothing is known. */
    public LocalDate certificateUntil() {
        return certificateUntil;
    }

    public LocalDate eyeTestUntil() {
        return eyeTestUntil;
    }

    /** {@code QC} or {@code verification}; absent: both. */
    public String capacity() {
        return capacity;
    }

    void certify(String newCertificate, LocalDate until, LocalDate eyes, String newCapacity) {
        certificate = newCertificate;
        certificateUntil = until;
        eyeTestUntil = eyes;
        capacity = newCapacity;
    }

    long version() {
        return version;
    }

    String passwordHash() {
        return passwordHash;
    }

    boolean isActive() {
        return active;
    }

    /** How long the next try must wait; zero where it need not. */
    Duration wait(Instant now) {
        return lockedUntil == null || !lockedUntil.isAfter(now) ? Duration.ZERO : Duration.between(now, lockedUntil);
    }

    void wrongPassword(Instant now) {
        wrongTries++;
        if (wrongTries >= FREE_TRIES) {
            Duration wait = Duration.ofSeconds(1L << Math.min(wrongTries - FREE_TRIES, 12));
            lockedUntil = now.plus(wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait);
        }
    }

    void rightPassword() {
        wrongTries = 0;
        lockedUntil = null;
    }
}
