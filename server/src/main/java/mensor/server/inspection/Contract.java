package mensor.server.inspection;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mensor.judge.Guard;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.look.Gauge;
import mensor.server.contract.DeviationForm;
import mensor.server.gauge.GaugeForm;
import mensor.server.job.ContractTerms;
import mensor.server.web.AllOptional;

/**
 * All that stands beside the book for one look: the job's terms, the Engineer's documents of the weld, the gauges that its
 * entries name, and those of them that the quality manager waived. A signed look keeps the one that it was signed with.
 */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record Contract(
        ContractTerms terms, List<DeviationForm> deviations, List<GaugeForm> gauges, List<String> waived) {
    static final Contract NONE = new Contract(ContractTerms.NONE, List.of(), List.of(), List.of());

    /** Read from a record, where what is empty was left out. */
    Contract filled() {
        return new Contract(
                terms == null ? ContractTerms.NONE : terms,
                deviations == null ? List.of() : deviations,
                gauges == null ? List.of() : gauges,
                waived == null ? List.of() : waived);
    }

    Optional<GaugeForm> gauge(String name) {
        return gauges.stream().filter(g -> g.name().equals(name)).findFirst();
    }

    /** The smallest division of the gauge, as typed. */
    Optional<String> division(String gauge) {
        return gauge(gauge).map(GaugeForm::gauge).flatMap(Gauge::division).map(Length::toString);
    }

    List<Optional<Length>> uncertainties(List<EntryContent> entries, Unit unit) {
        Function<EntryContent, Optional<Length>> of = e -> {
            Optional<Gauge> gauge =
                    Optional.ofNullable(e.gauge()).flatMap(this::gauge).map(GaugeForm::gauge);
            Optional<Length> division = Optional.ofNullable(e.division())
                    .map(d -> Length.parse(d, unit))
                    .or(() -> gauge.flatMap(Gauge::division));
            return Guard.uncertainty(division, gauge.flatMap(Gauge::uncertainty));
        };
        return entries.stream().map(of).toList();
    }
}
