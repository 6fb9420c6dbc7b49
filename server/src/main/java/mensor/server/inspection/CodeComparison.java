package mensor.server.inspection;

import java.util.ArrayList;
import java.util.List;
import mensor.criteria.CriteriaBook;
import mensor.inspection.Inspection;
import mensor.judge.Judge;
import mensor.length.Unit;
import mensor.server.criteria.CriteriaChecks;
import mensor.server.web.Refusal;
import mensor.weld.InvalidField;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The same inspection held against several books at once: for a changed contract, a metric client, a test coupon. It is read on the
 * bench and stored nowhere; the contract's limits and the Engineer's documents belong to the contract's book alone.
 */
@Component
class CodeComparison {
    private final EvaluationViews views;
    private final Bench bench;

    CodeComparison(EvaluationViews views, Bench bench) {
        this.views = views;
        this.bench = bench;
    }

    /**
     * @param asOfToday the contract's own code as it stands here now, beside what was signed
     * @param refused why the code does not judge this joint; the rest is empty then
     */
    record CodeColumn(
            String id,
            String title,
            String edition,
            boolean asOfToday,
            @Nullable String refused,
            String verdict,
            List<BenchView.FindingView> findings) {}

    List<CodeColumn> of(Bench.State o, List<String> bookIds) {
        if (bookIds.isEmpty()) {
            throw Refusal.invalid("codes", "name a code to compare with");
        }
        List<CodeColumn> columns = new ArrayList<>();
        for (String id : bookIds.stream().distinct().toList()) {
            columns.add(column(o, CriteriaChecks.get(id)));
        }
        return columns;
    }

    private CodeColumn column(Bench.State o, CriteriaBook book) {
        Inspection inspection = o.judged().inspection();
        if (book.id().equals(o.joint().criteria())) {
            InspectionResult today = o.inspection().isSigned() ? bench.judgedToday(o) : o.judged();
            return views.column(book, today, today.evaluation(), o.inspection().isSigned());
        }
        Unit unit = book.hasColumn(inspection.units()) ? inspection.units() : other(inspection.units());
        try {
            return views.column(book, o.judged(), Judge.evaluate(inspection.by(unit), book), false);
        } catch (InvalidField e) {
            return new CodeColumn(
                    book.id(), book.title(), book.edition(), false, e.problem(), "not-applicable", List.of());
        }
    }

    private static Unit other(Unit u) {
        return u == Unit.INCH ? Unit.MILLIMETRE : Unit.INCH;
    }
}
