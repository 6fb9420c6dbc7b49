package mensor.judge;

import java.util.List;
import mensor.criteria.Rule;
import mensor.criteria.WindowSum;
import mensor.inspection.Inspection;
import mensor.inspection.Porosity;
import mensor.length.Length;
import mensor.length.Span;

/** Pores from a diameter up against sums of diameters in windows; every visible pore is taken as a piping one. */
final class PorosityCheck {
    private final Inspection inspection;
    private final Rule.PoreSums rule;

    PorosityCheck(Inspection inspection, Rule.PoreSums rule) {
        this.inspection = inspection;
        this.rule = rule;
    }

    void judge(Finding.Builder finding) {
        List<Occurrence<Porosity>> found = Occurrence.indications(inspection, Porosity.class);
        List<Occurrence<Porosity>> counted = found.stream()
                .filter(f -> !f.what().diameter().isUnder(rule.countedFrom()))
                .toList();
        finding.trace("every visible pore is taken as a piping pore; those of "
                + rule.countedFrom().shownWithUnit() + " and over count: "
                + counted.stream().mapToLong(f -> f.what().count()).sum() + " of "
                + found.stream().mapToLong(f -> f.what().count()).sum());
        List<PoreWindow.Pores> pores = counted.stream()
                .map(f -> new PoreWindow.Pores(
                        f.what().span(),
                        f.what().diameter().in(inspection.units()),
                        f.what().count()))
                .toList();
        WindowSum tightest = null;
        PoreWindow.Sum tightestSum = null;
        for (WindowSum limit : rule.sums()) {
            PoreWindow window = new PoreWindow(inspection.joint().ruler(), pores, limit.window());
            PoreWindow.Sum least = window.atLeast();
            PoreWindow.Sum most = window.atMost();
            boolean sure = least.total().compareTo(most.total()) == 0;
            finding.trace("worst " + limit.window().shownWithUnit() + ", "
                    + inspection.joint().shown(most.span()) + ": "
                    + (sure ? "" : "between " + least.total().shown() + " and ")
                    + most.total().shownWithUnit() + "; " + limit.sum().shownWithUnit() + " allowed");
            if (least.total().isOver(limit.sum())) {
                decide(finding, limit, least, counted).reject(Why.PORE_SUM_OVER.of(sumIn(least, limit), limit.sum()));
                return;
            }
            if (most.total().isOver(limit.sum()) && finding.isOpen()) {
                decide(finding, limit, most, counted)
                        .incomplete(
                                Why.PORE_SUM_UNSURE.of(least.total(), most.total(), limit.window()),
                                Ask.Kind.MARK_PORES_NEAR.of(most.span()));
            }
            if (tightest == null
                    || limit.sum().minus(most.total()).isUnder(tightest.sum().minus(tightestSum.total()))) {
                tightest = limit;
                tightestSum = most;
            }
        }
        if (finding.isOpen()) {
            decide(finding, tightest, tightestSum, counted.isEmpty() ? found : counted)
                    .accept(
                            counted.isEmpty()
                                    ? Why.NO_PORE_COUNTED.of(rule.countedFrom())
                                    : Why.PORE_SUM_WITHIN.of(sumIn(tightestSum, tightest), tightest.sum()));
        }
    }

    private static String sumIn(PoreWindow.Sum sum, WindowSum limit) {
        return "pores add up to " + sum.total().shownWithUnit() + " in "
                + limit.window().shownWithUnit() + " at " + sum.span().shown();
    }

    private Finding.Builder decide(
            Finding.Builder finding, WindowSum limit, PoreWindow.Sum sum, List<Occurrence<Porosity>> counted) {
        Length total = sum.total().in(inspection.units());
        return finding.measured(total.shownWithUnit() + " in " + limit.window().shown())
                .allowed(limit.sum().shownWithUnit() + " in any "
                        + limit.window().shown())
                .margin(limit.sum().minus(total))
                .numbers(Finding.Numbers.atMost(total, limit.sum()))
                .span(sum.span())
                .indications(counted.stream()
                        .filter(f -> touches(sum.span(), f.what().span()))
                        .map(Occurrence::index)
                        .toList());
    }

    private boolean touches(Span window, Span pores) {
        var ruler = inspection.joint().ruler();
        return !ruler.straight(List.of(window))
                .intersect(ruler.straight(List.of(pores)))
                .isEmpty();
    }
}
