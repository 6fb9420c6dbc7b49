package mensor.server.inspection;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.weld.Named;
import org.hibernate.Length;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;

/** One look at one joint at one stage: the sum of its entries, and the verdict they came to last. */
@Entity
@Audited
@Table(name = "inspection")
class InspectionEntity implements StoredInspection {
    @Id
    private UUID id;

    private UUID jointId;
    private String stage;
    private String capacity;
    private int revision;
    private UUID amends;
    private String reason;

    @Enumerated(EnumType.STRING)
    private State state;

    private UUID holder;
    private Instant startedAt;

    @Column(length = Length.LONG32)
    private String conditions;

    @NotAudited
    @Column(length = Length.LONG32)
    private String contract;

    @NotAudited
    private String verdict;

    /** Made from the signature's origin: absent where it was signed here, or is open. */
    @NotAudited
    private String signedElsewhere;

    @NotAudited
    private int rejects;

    @NotAudited
    private int todos;

    @NotAudited
    private int entryCount;

    @NotAudited
    private int changes;

    private int cycle;
    private UUID follows;

    @Column(length = 100_000)
    private String repaired;

    @Version
    private long version;

    protected InspectionEntity() {}

    InspectionEntity(UUID jointId, String capacity, int revision, UUID amends, String reason, Instant startedAt) {
        this.id = UUID.randomUUID();
        this.jointId = jointId;
        this.capacity = capacity;
        this.stage = "final";
        this.revision = revision;
        this.amends = amends;
        this.reason = reason;
        this.state = State.OPEN;
        this.startedAt = startedAt;
        this.conditions = "{}";
        this.verdict = Verdict.INCOMPLETE.id();
    }

    static InspectionEntity first(UUID jointId, String capacity, Instant at) {
        return new InspectionEntity(jointId, capacity, 1, null, null, at);
    }

    /** The next revision of this one. */
    InspectionEntity amended(String why, Instant at) {
        InspectionEntity next = new InspectionEntity(jointId, capacity, revision + 1, id, why, at);
        next.stage = stage;
        next.cycle = cycle;
        next.follows = follows;
        next.repaired = repaired;
        return next;
    }

    /** The look after what was rejected here was repaired. */
    InspectionEntity again(String repairedSince, Instant at) {
        InspectionEntity next = new InspectionEntity(jointId, capacity, 1, null, null, at);
        next.cycle = cycle + 1;
        next.stage = "repair " + next.cycle;
        next.follows = id;
        next.repaired = repairedSince;
        return next;
    }

    void judged(Evaluation evaluation) {
        verdict = evaluation.verdict().id();
        rejects = evaluation.rejected().size();
        todos = evaluation.todo().size();
    }

    /** Whether it was stored as coming to this. */
    boolean comesTo(Evaluation evaluation) {
        return verdict.equals(evaluation.verdict().id())
                && rejects == evaluation.rejected().size()
                && todos == evaluation.todo().size();
    }

    /** Something of this inspection changed, whatever the verdict: whoever shows it re-inspects. */
    void changed() {
        changes++;
    }

    /** As an inspection like it came out, for many that are set up at once. */
    void judgedAs(InspectionEntity like) {
        verdict = like.verdict;
        rejects = like.rejects;
        todos = like.todos;
    }

    int nextSequence() {
        return ++entryCount;
    }

    void setConditions(String json) {
        conditions = json;
    }

    void setHolder(UUID person) {
        holder = person;
    }

    /** @param contractThen what stood beside the code */
    /** What stood beside the code, as it is signed. */
    void keepContract(String then) {
        contract = then;
    }

    void sign() {
        state = State.SIGNED;
    }

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public UUID jointId() {
        return jointId;
    }

    @Override
    public String stage() {
        return stage;
    }

    @Override
    public String capacity() {
        return capacity;
    }

    @Override
    public int revision() {
        return revision;
    }

    @Override
    public UUID amends() {
        return amends;
    }

    @Override
    public String reason() {
        return reason;
    }

    @Override
    public int cycle() {
        return cycle;
    }

    @Override
    public UUID follows() {
        return follows;
    }

    @Override
    public String repaired() {
        return repaired;
    }

    @Override
    public boolean isAfter(StoredInspection other) {
        return cycle != other.cycle() ? cycle > other.cycle() : revision > other.revision();
    }

    @Override
    public State state() {
        return state;
    }

    @Override
    public boolean isSignedElsewhere() {
        return signedElsewhere != null;
    }

    @Override
    public boolean isSigned() {
        return state == State.SIGNED;
    }

    @Override
    public UUID holder() {
        return holder;
    }

    @Override
    public String conditions() {
        return conditions;
    }

    @Override
    public String contract() {
        return contract;
    }

    @Override
    public String verdict() {
        return verdict;
    }

    @Override
    public Verdict result() {
        return Named.find(Verdict.class, verdict).orElseThrow();
    }

    @Override
    public int rejects() {
        return rejects;
    }

    @Override
    public int todos() {
        return todos;
    }

    @Override
    public int entryCount() {
        return entryCount;
    }

    @Override
    public long version() {
        return version;
    }
}
