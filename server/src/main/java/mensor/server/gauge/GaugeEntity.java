package mensor.server.gauge;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.UUID;
import mensor.inspection.Gauge;
import org.hibernate.envers.Audited;

/** A gauge of the register, lengths as typed. */
@Entity
@Audited
@Table(name = "gauge")
class GaugeEntity implements StoredGauge {
    @Id
    private UUID id;

    private String name;
    private String kind;
    private String division;

    @Column(name = "reach")
    private String range;

    private String serial;
    private LocalDate due;
    private LocalDate foundOut;
    private String uncertainty;
    private String measured;
    private String measuredBy;

    @Version
    private Long version;

    protected GaugeEntity() {}

    GaugeEntity(UUID id) {
        this.id = id;
    }

    void set(GaugeForm form) {
        name = form.name().strip();
        kind = form.kind().strip();
        division = form.division();
        range = form.range();
        serial = form.serial() == null ? "" : form.serial().strip();
        due = form.due();
        foundOut = form.foundOut();
        uncertainty = form.uncertainty();
    }

    /** What a study found of it; both absent where its division is to stand again. */
    void setMeasured(String standardUncertainty, String study) {
        measured = standardUncertainty;
        measuredBy = study;
    }

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public Long version() {
        return version;
    }

    @Override
    public GaugeForm form() {
        return new GaugeForm(name, kind, division, range, serial, due, foundOut, uncertainty, measured, measuredBy);
    }

    Gauge gauge() {
        return form().gauge();
    }
}
