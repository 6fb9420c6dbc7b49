package mensor.server.joint;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mensor.criteria.CriteriaBooks;
import mensor.criteria.Rule;
import mensor.exchange.InspectionParts;
import mensor.inspection.Criterion;
import mensor.length.Unit;
import mensor.server.job.JobEntity;
import mensor.server.procedure.ProcedureEntity;
import mensor.server.record.Signatures;
import mensor.weld.Joint;
import mensor.weld.Named;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;

/** A joint as stored: its document in the format's shape, and the columns that lists are made of. */
@Entity
@Audited
@Table(name = "joint")
public class JointEntity {
    /** What each weld has for itself: two joints that differ in these alone are of one design. */
    private static final List<String> OWN = List.of("mark", "weldNo", "side", "datum", "gaps", "rootOpening");

    @Id
    private UUID id;

    private UUID jobId;
    private String lot;
    private String criteria;
    private String units;
    private String mark;
    private String weldNo;
    private String side;
    private String welder;
    private String wps;
    private UUID procedureId;
    private String drawing;
    private String drawingRev;
    private Instant weldedAt;
    private Integer delayHours;

    /** Until it was judged then; not a change of the joint. */
    @NotAudited
    private Instant waitEndsAt;

    private String design;
    private String inWords;

    @Column(name = "position")
    private String weldingPosition;

    @Lob
    private String document;

    @Lob
    private String welding;

    @Lob
    private String fittedGaps;

    private Instant createdAt;
    private UUID createdBy;

    @Version
    private long version;

    protected JointEntity() {}

    JointEntity(UUID id, Instant createdAt, UUID createdBy) {
        this.id = id;
        this.createdAt = createdAt;
        this.createdBy = createdBy;
        this.welding = "{}";
    }

    final void set(NewJoint form, JobEntity job, Optional<ProcedureEntity> procedure, Joint joint, String newDocument) {
        this.jobId = job.id();
        this.criteria = job.criteria();
        this.units = job.units();
        this.lot = form.lot() == null ? "" : form.lot().strip();
        this.welder = blankToNull(form.welder());
        this.wps = procedure.map(p -> p.number() + " rev " + p.revision()).orElse(blankToNull(form.wps()));
        this.procedureId = procedure.map(ProcedureEntity::id).orElse(null);
        this.drawing = blankToNull(form.drawing());
        this.drawingRev = blankToNull(form.drawingRev());
        this.weldedAt = form.weldedAt() == null ? weldedAt : form.weldedAt();
        this.mark = joint.mark();
        this.weldNo = joint.weldNo().orElse(null);
        this.side = joint.side().map(Named::id).orElse(null);
        this.inWords = joint.inWords();
        this.weldingPosition = joint.position().map(Named::id).orElse(null);
        this.document = newDocument;
        this.delayHours = delayHours(joint);
        this.waitEndsAt = readyAt().orElse(null);
        this.design = Signatures.sha256(criteria + units + InspectionParts.without(newDocument, OWN));
    }

    private Integer delayHours(Joint joint) {
        if (!joint.delayed().orElse(false)) {
            return null;
        }
        return CriteriaBooks.find(criteria).stream()
                .flatMap(b -> b.rule(Criterion.READINESS, joint, unit()).leaves())
                .filter(Rule.Readiness.class::isInstance)
                .map(r -> ((Rule.Readiness) r).delayHours())
                .findFirst()
                .orElse(null);
    }

    private static String blankToNull(String s) {
        return s == null || s.isBlank() ? null : s.strip();
    }

    public UUID id() {
        return id;
    }

    public UUID jobId() {
        return jobId;
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

    /** When the book's wait after welding is over; empty where it asks none, or the welding date is not known. */
    public Optional<Instant> readyAt() {
        return weldedAt == null || delayHours == null
                ? Optional.empty()
                : Optional.of(weldedAt.plus(Duration.ofHours(delayHours)));
    }

    public UUID procedureId() {
        return procedureId;
    }

    public String drawing() {
        return drawing;
    }

    public String drawingRev() {
        return drawingRev;
    }

    /** When it was last welded; absent where nobody said. */
    public Instant weldedAt() {
        return weldedAt;
    }

    public void setWeldedAt(Instant at) {
        weldedAt = at;
        waitEndsAt = readyAt().orElse(null);
    }

    /** The same for all joints that differ in their mark and place alone. */
    public String design() {
        return design;
    }

    /** The openings as read at fit-up; null where the fit-up was not read. */
    public void setFittedGaps(String json) {
        fittedGaps = json;
    }

    /** The joint's document with the openings as read at fit-up, where they were read. */
    public String asFitted() {
        return fittedGaps == null ? document : InspectionParts.withGaps(document, fittedGaps);
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
