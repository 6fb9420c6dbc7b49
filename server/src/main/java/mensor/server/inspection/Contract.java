package mensor.server.inspection;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Optional;
import mensor.inspection.Entry;
import mensor.inspection.Gauge;
import mensor.judge.Guard;
import mensor.length.Length;
import mensor.server.contract.DeviationForm;
import mensor.server.gauge.GaugeForm;
import mensor.server.job.ContractTerms;
import mensor.server.web.AllOptional;

/**
 * All that stands beside the code for one inspection: the job's terms, the Engineer's documents of the weld, the gauges that its
 * entries name, and those of them that the quality manager waived. A signed inspection keeps the one that it was signed with.
 */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record Contract(
        ContractTerms terms, List<DeviationForm> deviations, List<GaugeForm> gauges, List<String> waived) {
    public static final Contract NONE = new Contract(ContractTerms.NONE, List.of(), List.of(), List.of());

    /** Read from a record, where what is empty was left out. */
    public Contract filled() {
        return new Contract(
                terms == null ? ContractTerms.NONE : terms,
                deviations == null ? List.of() : deviations,
                gauges == null ? List.of() : gauges,
                waived == null ? List.of() : waived);
    }

    /** What holds for the weld whoever inspects it, and with whatever gauge. */
    public Contract ofTheWeld() {
        return new Contract(terms, deviations, List.of(), List.of());
    }

    public Optional<GaugeForm> gauge(String name) {
        return gauges.stream().filter(g -> g.name().equals(name)).findFirst();
    }

    /** The smallest division of the gauge. */
    Optional<Length> division(String gauge) {
        return gauge(gauge).map(GaugeForm::gauge).flatMap(Gauge::division);
    }

    /** What the gauge and its people cannot tell apart, where a study measured it. */
    Optional<Length> blur(String gauge) {
        return gauge(gauge).map(GaugeForm::gauge).flatMap(Gauge::blur);
    }

    /** Whether what a reading names as its gauge scans: by its kind in the register, else by its name. */
    public boolean isScanner(Optional<String> gauge) {
        return word(gauge).filter(Gauge::scans).isPresent();
    }

    private Optional<String> word(Optional<String> gauge) {
        return gauge.flatMap(this::gauge).map(GaugeForm::kind).or(() -> gauge);
    }

    private boolean statesUncertainty(Optional<String> gauge) {
        return word(gauge).filter(Gauge::statesUncertainty).isPresent();
    }

    /** How far each entry may be off: as a study measured its gauge, else by its own division, else by its gauge's. */
    List<Optional<Length>> uncertainties(List<Entry> entries) {
        return entries.stream()
                .map(e -> statesUncertainty(e.gauge()) && e.division().isPresent()
                        ? e.division().map(Guard::ofScan)
                        : uncertainty(e.gauge(), e.division()))
                .toList();
    }

    /**
     * The standard uncertainty of what was read.
     *
     * @param named the gauge that the entry names
     * @param own the division that it gives
     */
    public Optional<Length> uncertainty(Optional<String> named, Optional<Length> own) {
        Optional<Gauge> gauge = named.flatMap(this::gauge).map(GaugeForm::gauge);
        Optional<Length> certificate = gauge.flatMap(Gauge::uncertainty);
        return gauge.flatMap(Gauge::measured)
                .map(u -> Guard.measured(u, certificate))
                .or(() -> Guard.uncertainty(own.or(() -> gauge.flatMap(Gauge::division)), certificate));
    }
}
