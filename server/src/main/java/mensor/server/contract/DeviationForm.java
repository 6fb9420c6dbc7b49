package mensor.server.contract;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.time.LocalDate;
import java.util.Optional;
import mensor.inspection.Criterion;
import mensor.inspection.Deviation;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.server.web.AllOptional;
import mensor.weld.Named;

/**
 * What the Engineer allowed on one weld: of which criterion, where and how much, and by which document.
 *
 * @param max absent where the document allows what was seen as it is
 * @param document its number
 */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_NULL)
public record DeviationForm(
        String criterion,
        String from,
        String to,
        String max,
        String document,
        String engineer,
        LocalDate date,
        String note) {

    /** As the core judges it; its fields were checked when it was recorded. */
    public Deviation read(Unit unit) {
        return new Deviation(
                Named.find(Criterion.class, criterion).orElseThrow(),
                from == null
                        ? Optional.empty()
                        : Optional.of(new Span(Length.parse(from, unit), Length.parse(to, unit))),
                Optional.ofNullable(max).map(m -> Length.parse(m, unit)),
                document,
                engineer,
                date,
                note == null ? "" : note);
    }
}
