package mensor.server.joint;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import mensor.length.Unit;
import mensor.weld.Joint;
import mensor.weld.Named;

/** A joint as stored: its document in the format's shape, and the columns that lists are made of. */
@Entity
@Table(name = "joint")
public class JointEntity {
    @Id
    private UUID id;

    private String job;
    private String lot;
    private String criteria;
    private String units;
    private String mark;
    private String weldNo;
    private String side;
    private String welder;
    private String wps;
    private String inWords;

    @Column(name = "position")
    private String weldingPosition;

    @Lob
    private String document;

    @Lob
    private String welding;

    private Instant createdAt;
    private UUID createdBy;

    @Version
    private long version;

    protected JointEntity() {}

    JointEntity(UUID id, NewJoint form, Joint joint, String document, Instant createdAt, UUID createdBy) {
        this.id = id;
        this.createdAt = createdAt;
        this.createdBy = createdBy;
        this.welding = "{}";
        set(form, joint, document);
    }

    final void set(NewJoint form, Joint joint, String document) {
        this.job = form.job().strip();
        this.lot = form.lot() == null ? "" : form.lot().strip();
        this.criteria = form.criteria();
        this.units = form.units();
        this.welder = blankToNull(form.welder());
        this.wps = blankToNull(form.wps());
        this.mark = joint.mark();
        this.weldNo = joint.weldNo().orElse(null);
        this.side = joint.side().map(Named::id).orElse(null);
        this.inWords = joint.inWords();
        this.weldingPosition = joint.position().map(Named::id).orElse(null);
        this.document = document;
    }

    private static String blankToNull(String s) {
        return s == null || s.isBlank() ? null : s.strip();
    }

    public UUID id() {
        return id;
    }

    public String job() {
        return job;
    }

    public String lot() {
        return lot;
    }

    public String criteria() {
        return criteria;
    }

    public String units() {
        return units;
    }

    public Unit unit() {
        return units.equals(Unit.INCH.symbol()) ? Unit.INCH : Unit.MILLIMETRE;
    }

    public String mark() {
        return mark;
    }

    public String weldNo() {
        return weldNo;
    }

    public String side() {
        return side;
    }

    public String welder() {
        return welder;
    }

    public String wps() {
        return wps;
    }

    public String inWords() {
        return inWords;
    }

    public String position() {
        return weldingPosition;
    }

    public String document() {
        return document;
    }

    public String welding() {
        return welding;
    }

    void setWelding(String json) {
        welding = json;
    }

    public long version() {
        return version;
    }
}
