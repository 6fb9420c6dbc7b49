package mensor.server.repair;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** What the welding of a repair took, beside what was estimated before; absent is not known. */
@Entity
@Table(name = "repair_metal")
class RepairMetalEntity {
    @Id
    private UUID stepId;

    private UUID defectId;
    private int cycle;
    private Double estimatedGrams;
    private Double estimatedMinutes;
    private Double grams;
    private Double minutes;

    protected RepairMetalEntity() {}

    RepairMetalEntity(RepairStepEntity step) {
        this.stepId = step.id();
        this.defectId = step.defectId();
        this.cycle = step.cycle();
    }

    void estimated(double metal, double arcMinutes) {
        estimatedGrams = metal;
        estimatedMinutes = arcMinutes;
    }

    void took(Double metal, Integer workMinutes) {
        grams = metal;
        minutes = workMinutes == null ? null : workMinutes.doubleValue();
    }
}
