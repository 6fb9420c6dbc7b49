package mensor.server.gauge;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.look.Gauge;

/** A gauge of the register, lengths as typed. */
@Entity
@Table(name = "gauge")
public class GaugeEntity {
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
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    public Long version() {
        return version;
    }

    GaugeForm form() {
        return new GaugeForm(name, kind, division, range, serial, due, foundOut);
    }

    Gauge gauge() {
        return new Gauge(
                name,
                kind,
                Optional.ofNullable(division).map(d -> Length.parse(d, Unit.INCH)),
                Optional.ofNullable(range).map(r -> Length.parse(r, Unit.INCH)),
                serial,
                Optional.ofNullable(due),
                Optional.ofNullable(foundOut));
    }
}
