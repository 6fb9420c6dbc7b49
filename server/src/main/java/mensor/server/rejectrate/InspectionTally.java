package mensor.server.rejectrate;

import jakarta.persistence.CascadeType;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OneToMany;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/** What one signed inspection adds to the rates, as its weld stood at the signature. */
@Entity
@Table(name = "inspection_tally")
class InspectionTally {
    @Id
    private UUID inspectionId;

    private UUID jointId;
    private String welder;
    private String procedure;
    private String position;
    private String electrode;
    private double lengthMm;
    private int places;
    private Instant signedAt;

    @OneToMany(cascade = CascadeType.ALL, orphanRemoval = true)
    @JoinColumn(name = "inspection_id", nullable = false, updatable = false)
    private List<PlaceTally> troubles = new ArrayList<>();

    protected InspectionTally() {}

    InspectionTally(UUID inspectionId, UUID jointId, double lengthMm, Instant signedAt) {
        this.inspectionId = inspectionId;
        this.jointId = jointId;
        this.lengthMm = lengthMm;
        this.signedAt = signedAt;
    }

    void made(String byWelder, String byProcedure, String inPosition, String withElectrode) {
        welder = byWelder;
        procedure = byProcedure;
        position = inPosition;
        electrode = withElectrode;
    }

    void found(String trouble, String cause, int count) {
        troubles.add(new PlaceTally(trouble, cause, count));
        places += count;
    }
}
