package mensor.server.welder;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.hibernate.Length;
import org.hibernate.envers.Audited;

/** A welder by stamp, with the tests that were passed. */
@Entity
@Audited
@Table(name = "welder")
class WelderEntity {
    @Id
    private String stamp;

    private String name;

    @Column(length = Length.LONG32)
    private String qualifications;

    @Version
    private Long version;

    protected WelderEntity() {}

    WelderEntity(String stamp) {
        this.stamp = stamp;
    }

    void set(String newName, String newQualifications) {
        name = newName;
        qualifications = newQualifications;
    }

    public String stamp() {
        return stamp;
    }

    public String name() {
        return name;
    }

    public String qualifications() {
        return qualifications;
    }

    public Long version() {
        return version;
    }
}
