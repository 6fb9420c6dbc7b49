package mensor.server.people;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;

/** Somebody who signs in. */
@Entity
@Audited
class Person {
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
    private String mail;

    @NotAudited
    private String passwordHash;

    private boolean active;

    /** Sessions begun under an older number are over. */
    @NotAudited
    private int sessionNumber;

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

    void certify(String newCertificate, LocalDate until, LocalDate eyes, String newCapacity, String newMail) {
        certificate = newCertificate;
        certificateUntil = until;
        eyeTestUntil = eyes;
        capacity = newCapacity;
        mail = newMail;
    }

    /** Where notices go; absent: nowhere. */
    public String mail() {
        return mail;
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

    int sessionNumber() {
        return sessionNumber;
    }

    /** Whoever is signed in as this person no longer is. */
    void endSessions() {
        sessionNumber++;
    }

    void changePassword(String newHash) {
        passwordHash = newHash;
        endSessions();
    }

    /** Somebody who left signs in no more; what they signed stays. */
    void setActive(boolean nowActive) {
        active = nowActive;
        if (!active) {
            endSessions();
        }
    }
}
