package mensor.server.joint;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
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
import mensor.server.job.StoredJob;
import mensor.server.procedure.StoredProcedure;
import mensor.server.record.Signatures;
import mensor.weld.Joint;
import mensor.weld.Named;
import org.hibernate.Length;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;

/** A joint as stored: its document in the format's shape, and the columns that lists are made of. */
@Entity
@Audited
@Table(name = "joint")
class JointEntity implements StoredJoint {
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

    @Column(length = Length.LONG32)
    private String document;

    @Column(length = Length.LONG32)
    private String welding;

    @Column(length = Length.LONG32)
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

    final void set(NewJoint form, StoredJob job, Optional<StoredProcedure> procedure, Joint joint, String newDocument) {
        this.jobId = job.id();
        this.criteria = job.criteria();
        this.units = job.units();
        this.lot = form.lot() == null ? "" : form.lot().strip();
        this.welder = blankToNull(form.welder());
        this.wps = procedure.map(p -> p.number() + " rev " + p.revision()).orElse(blankToNull(form.wps()));
        this.procedureId = procedure.map(StoredProcedure::id).orElse(null);
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
        if (!joint.isDelayed()) {
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

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public UUID jobId() {
        return jobId;
    }

    @Override
    public String lot() {
        return lot;
    }

    @Override
    public String criteria() {
        return criteria;
    }

    @Override
    public String units() {
        return units;
    }

    @Override
    public Unit unit() {
        return units.equals(Unit.INCH.symbol()) ? Unit.INCH : Unit.MILLIMETRE;
    }

    @Override
    public String mark() {
        return mark;
    }

    @Override
    public String weldNo() {
        return weldNo;
    }

    @Override
    public String side() {
        return side;
    }

    @Override
    public String welder() {
        return welder;
    }

    @Override
    public Optional<Instant> readyAt() {
        return weldedAt == null || delayHours == null
                ? Optional.empty()
                : Optional.of(weldedAt.plus(Duration.ofHours(delayHours)));
    }

    @Override
    public UUID procedureId() {
        return procedureId;
    }

    @Override
    public String drawing() {
        return drawing;
    }

    @Override
    public String drawingRev() {
        return drawingRev;
    }

    @Override
    public Instant weldedAt() {
        return weldedAt;
    }

    public void setWeldedAt(Instant at) {
        weldedAt = at;
        waitEndsAt = readyAt().orElse(null);
    }

    @Override
    public String design() {
        return design;
    }

    /** The openings as read at fit-up; null where the fit-up was not read. */
    public void setFittedGaps(String json) {
        fittedGaps = json;
    }

    @Override
    public String asFitted() {
        return fittedGaps == null ? document : InspectionParts.withGaps(document, fittedGaps);
    }

    @Override
    public String wps() {
        return wps;
    }

    @Override
    public String inWords() {
        return inWords;
    }

    @Override
    public String position() {
        return weldingPosition;
    }

    @Override
    public String document() {
        return document;
    }

    @Override
    public String welding() {
        return welding;
    }

    void setWelding(String json) {
        welding = json;
    }

    @Override
    public long version() {
        return version;
    }
}
