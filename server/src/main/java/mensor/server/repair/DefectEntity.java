package mensor.server.repair;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.inspection.IndicationKind;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.repair.Disposition;
import mensor.repair.RepairState;
import mensor.server.inspection.ShownInWorklist;
import mensor.weld.Named;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;

/** A rejected place with its non-conformance number, from the signed reject to its closing. */
@Entity
@Audited
@Table(name = "defect")
class DefectEntity implements ShownInWorklist {
    @Id
    private UUID id;

    private UUID jobId;
    private UUID jointId;
    private String capacity;
    private int number;
    private UUID inspectionId;
    private UUID firstInspectionId;
    private int placeIndex;
    private String finding;
    private String criterion;
    private String kind;

    @Column(length = 10_000)
    private String entries;

    private String placeFrom;
    private String placeTo;
    private String words;
    private Instant raisedAt;
    private UUID raisedBy;
    private String notified;
    private Instant notifiedAt;
    private UUID notifiedBy;
    private int cycle;
    private String state;
    private String disposition;
    private String note;
    private boolean cutsApart;
    private UUID decidedBy;
    private Instant decidedAt;
    private String closedWhy;
    private Instant closedAt;

    @NotAudited
    private int changes;

    @Version
    private long version;

    protected DefectEntity() {}

    /** What one inspection says of a rejected place. */
    record Raised(
            UUID inspection,
            int index,
            String finding,
            String criterion,
            String kind,
            List<UUID> entries,
            String from,
            String to,
            String words) {}

    DefectEntity(UUID jobId, UUID jointId, String capacity, int number, Raised raised, UUID by, Instant at) {
        this.id = UUID.randomUUID();
        this.jobId = jobId;
        this.jointId = jointId;
        this.capacity = capacity;
        this.number = number;
        this.firstInspectionId = raised.inspection();
        this.raisedAt = at;
        this.raisedBy = by;
        this.cycle = 1;
        this.state = RepairState.OPEN.id();
        seenIn(raised);
    }

    /** The same place as another inspection put it down. */
    final void seenIn(Raised raised) {
        inspectionId = raised.inspection();
        placeIndex = raised.index();
        finding = raised.finding();
        criterion = raised.criterion();
        kind = raised.kind();
        entries = raised.entries().stream().map(UUID::toString).collect(Collectors.joining(" "));
        placeFrom = raised.from();
        placeTo = raised.to();
        words = raised.words().length() > 1000 ? raised.words().substring(0, 1000) : raised.words();
        changes++;
    }

    /** Rejected again after its repair: the next cycle begins. */
    void rejectedAgain(Raised raised) {
        seenIn(raised);
        cycle++;
        state = RepairState.OPEN.id();
        disposition = null;
        note = null;
        cutsApart = false;
        decidedBy = null;
        decidedAt = null;
        closedWhy = null;
        closedAt = null;
    }

    /** Another defect of a place that was repaired before: it is in the same cycle. */
    void inCycle(int other) {
        cycle = other;
    }

    void decide(Disposition chosen, String why, boolean cuts, UUID by, Instant at) {
        disposition = chosen.id();
        note = why;
        cutsApart = cuts;
        decidedBy = by;
        decidedAt = at;
        changes++;
    }

    void notified(String whom, UUID by, Instant at) {
        notified = whom;
        notifiedBy = by;
        notifiedAt = at;
        changes++;
    }

    void reach(RepairState reached) {
        state = reached.id();
        changes++;
    }

    void close(String why, Instant at) {
        state = RepairState.CLOSED.id();
        closedWhy = why;
        closedAt = at;
        changes++;
    }

    /** Something that belongs to it changed: whoever shows it re-inspects. */
    void touched() {
        changes++;
    }

    UUID id() {
        return id;
    }

    @Override
    public UUID defectId() {
        return id;
    }

    UUID jobId() {
        return jobId;
    }

    UUID jointId() {
        return jointId;
    }

    String capacity() {
        return capacity;
    }

    String number() {
        return numbered(number);
    }

    static String numbered(int number) {
        return "NC-" + number;
    }

    int count() {
        return number;
    }

    /** The look that rejected it last. */
    UUID inspectionId() {
        return inspectionId;
    }

    UUID firstInspectionId() {
        return firstInspectionId;
    }

    /** Its place among the places of the inspection that rejected it last. */
    int placeIndex() {
        return placeIndex;
    }

    String finding() {
        return finding;
    }

    String criterion() {
        return criterion;
    }

    String kind() {
        return kind;
    }

    /** What was seen; absent where a reading or a size was rejected. */
    Optional<IndicationKind> indicationKind() {
        return Named.find(IndicationKind.class, kind);
    }

    List<UUID> entries() {
        return entries.isEmpty()
                ? List.of()
                : Arrays.stream(entries.split(" ")).map(UUID::fromString).toList();
    }

    Optional<Span> place(Unit unit) {
        return placeFrom == null
                ? Optional.empty()
                : Optional.of(new Span(Length.parse(placeFrom, unit), Length.parse(placeTo, unit)));
    }

    String words() {
        return words;
    }

    Instant raisedAt() {
        return raisedAt;
    }

    UUID raisedBy() {
        return raisedBy;
    }

    String notified() {
        return notified;
    }

    Instant notifiedAt() {
        return notifiedAt;
    }

    UUID notifiedBy() {
        return notifiedBy;
    }

    /** The repair that is planned: 1 is the first. */
    int cycle() {
        return cycle;
    }

    RepairState state() {
        return Named.find(RepairState.class, state).orElseThrow();
    }

    boolean isClosed() {
        return state() == RepairState.CLOSED;
    }

    /** The Engineer's document accepts it as it is. */
    boolean isAcceptedAsIs() {
        return isClosed()
                && disposition().filter(Disposition.ACCEPT_AS_IS::equals).isPresent();
    }

    Optional<Disposition> disposition() {
        return disposition == null ? Optional.empty() : Named.find(Disposition.class, disposition);
    }

    String note() {
        return note;
    }

    boolean cutsApart() {
        return cutsApart;
    }

    UUID decidedBy() {
        return decidedBy;
    }

    Instant decidedAt() {
        return decidedAt;
    }

    String closedWhy() {
        return closedWhy;
    }

    Instant closedAt() {
        return closedAt;
    }

    long version() {
        return version;
    }
}
