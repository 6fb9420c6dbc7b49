package mensor.server.inspection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import mensor.criteria.CriteriaBook;
import mensor.judge.Ask;
import mensor.judge.Evaluation;
import mensor.judge.Finding;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import mensor.server.criteria.CriteriaChecks;
import mensor.server.gauge.Gauges;
import org.springframework.stereotype.Component;

/** What the screens show of an evaluation: each finding with its entries, its share of the limit, and a finer gauge. */
@Component
class EvaluationViews {
    private final Gauges gauges;
    private final CriteriaChecks checks;

    EvaluationViews(Gauges gauges, CriteriaChecks checks) {
        this.gauges = gauges;
        this.checks = checks;
    }

    BenchView.EvaluationView of(InspectionResult judged) {
        Evaluation e = judged.evaluation();
        return new BenchView.EvaluationView(
                e.verdict().id(),
                e.rejected().size(),
                e.findings().stream().map(f -> finding(f, judged)).toList(),
                e.todo().stream()
                        .map(t -> new BenchView.TodoView(
                                t.id(), t.criterion().id(), t.criterion().title(), t.ask(), t.clearable()))
                        .toList(),
                notes(judged));
    }

    /** The names of the gauges at hand. */
    List<String> gauges(InspectionResult judged) {
        return gauges.names(judged.conditions().gaugeIds());
    }

    /** The core's notes, and where the contract or the shop's own copy of the code say otherwise. */
    private List<String> notes(InspectionResult judged) {
        List<String> notes = new ArrayList<>(judged.contractNotes());
        if (judged.asSigned().isEmpty()) {
            notes.addAll(checks.differing(judged.evaluation().book()));
        }
        notes.addAll(judged.evaluation().notes());
        return notes;
    }

    /** Another book's verdict of the same inspection: read on the bench, never part of the record. */
    CodeComparison.CodeColumn column(CriteriaBook book, InspectionResult judged, Evaluation e, boolean asOfToday) {
        return new CodeComparison.CodeColumn(
                book.id(),
                book.title(),
                book.edition(),
                asOfToday,
                null,
                e.verdict().id(),
                e.findings().stream().map(f -> finding(f, judged)).toList());
    }

    private BenchView.FindingView finding(Finding f, InspectionResult judged) {
        Stream<UUID> indications =
                f.indications().stream().map(n -> judged.indications().get(n).id());
        Stream<UUID> readings =
                f.readings().stream().map(n -> judged.readings().get(n).id());
        return new BenchView.FindingView(
                f.id(),
                f.criterion().id(),
                f.id().equals(f.criterion().id())
                        ? f.criterion().title()
                        : f.criterion().title() + " (contract)",
                f.verdict().id(),
                f.measured(),
                f.allowed(),
                f.margin(),
                share(f),
                f.span().map(judged.inspection().joint()::shown).orElse(null),
                Stream.concat(indications, readings).toList(),
                f.citation().shown(),
                f.confidence().id(),
                f.reason().words(),
                f.trace(),
                f.nearLimit(),
                finer(f, judged));
    }

    /** A gauge of the register, in calibration, with a finer division than what was used; null where none is wanted. */
    private String finer(Finding f, InspectionResult judged) {
        boolean wanted = f.nearLimit() || f.asks().stream().anyMatch(Ask::needsFinerGauge);
        if (!wanted) {
            return null;
        }
        Optional<Length> used = Stream.concat(
                        f.indications().stream()
                                .map(n ->
                                        judged.inspection().indications().get(n).division()),
                        f.readings().stream()
                                .map(n -> judged.inspection().readings().get(n).division()))
                .flatMap(Optional::stream)
                .min(Comparator.naturalOrder());
        return gauges.finerThan(used).orElse(null);
    }

    /** How much of the allowed value is used up, for the bar beside a finding; null where no single number decides. */
    private static Double share(Finding f) {
        if (f.numbers().isEmpty()) {
            return null;
        }
        try {
            double measured = nanometres(f.numbers().get().measured());
            double allowed = nanometres(f.numbers().get().allowed());
            boolean lowerLimit = f.numbers().get().isLeast();
            double most = lowerLimit ? measured : allowed;
            double value = lowerLimit ? allowed : measured;
            return most == 0 ? null : value / most;
        } catch (LengthFormatException e) {
            return null;
        }
    }

    private static double nanometres(String decimal) {
        return Length.parse(decimal, Unit.INCH).approximateNanometres();
    }
}
