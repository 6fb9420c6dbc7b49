package mensor.server.repair;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import mensor.repair.RepairState;
import mensor.weld.Named;
import org.hibernate.envers.Audited;

/** What was recorded when a repair went on by one state; a step taken back stays with the reason. */
@Entity
@Audited
@Table(name = "repair_step")
class RepairStepEntity {
    @Id
    private UUID id;

    private UUID defectId;
    private int cycle;
    private String state;

    @Column(length = 10_000)
    private String content;

    @Column(length = 10_000)
    private String warnings;

    private UUID recordedBy;
    private Instant recordedAt;
    private String withdrawnWhy;

    @Version
    private long version;

    protected RepairStepEntity() {}

    RepairStepEntity(DefectEntity defect, RepairState state, String content, String warnings, UUID by, Instant at) {
        this.id = UUID.randomUUID();
        this.defectId = defect.id();
        this.cycle = defect.cycle();
        this.state = state.id();
        this.content = content;
        this.warnings = warnings;
        this.recordedBy = by;
        this.recordedAt = at;
    }

    void withdraw(String why) {
        withdrawnWhy = why;
    }

    UUID id() {
        return id;
    }

    UUID defectId() {
        return defectId;
    }

    int cycle() {
        return cycle;
    }

    RepairState state() {
        return Named.find(RepairState.class, state).orElseThrow();
    }

    String content() {
        return content;
    }

    /** A JSON list. */
    String warnings() {
        return warnings;
    }

    UUID recordedBy() {
        return recordedBy;
    }

    Instant recordedAt() {
        return recordedAt;
    }

    String withdrawnWhy() {
        return withdrawnWhy;
    }

    boolean stands() {
        return withdrawnWhy == null;
    }
}
