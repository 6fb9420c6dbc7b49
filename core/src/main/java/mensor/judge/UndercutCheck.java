package mensor.judge;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.criteria.Rule;
import mensor.criteria.ToeDepth;
import mensor.inspection.Inspection;
import mensor.inspection.Undercut;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import mensor.weld.Toe;

/**
 * Undercut against a depth that may have any length and a greater one that may add up along a short length in any window.
 * Both toes add up in one window (the careful reading), unless the inspection plan chose each toe alone.
 */
final class UndercutCheck {
    private final Inspection inspection;
    private final Rule.Undercut rule;
    private final List<Occurrence<Undercut>> found;
    private final Unit unit;

    UndercutCheck(Inspection inspection, Rule.Undercut rule) {
        this.inspection = inspection;
        this.rule = rule;
        this.unit = inspection.units();
        this.found = Occurrence.indications(inspection, Undercut.class).stream()
                .filter(f -> rule.depths().containsKey(f.what().toe()))
                .toList();
    }

    boolean hasAny() {
        return !found.isEmpty();
    }

    /** Judges what was recorded; there is at least one undercut. */
    void judge(Finding.Builder finding) {
        finding.traceEach(found, f -> line(f.what()));
        List<Occurrence<Undercut>> tooDeep = new ArrayList<>();
        List<Occurrence<Undercut>> counted = new ArrayList<>();
        List<Occurrence<Undercut>> tooCoarse = new ArrayList<>();
        Length deepestLimit = null;
        Occurrence<Undercut> deepest = null;
        for (Occurrence<Undercut> f : found) {
            Length depth = f.what().deep();
            boolean shallow = !depth.isOver(rule.depths().get(f.what().toe()).anyLength());
            Length limit = limit(f.what());
            if (depth.isOver(limit)) {
                tooDeep.add(f);
            } else {
                if (!shallow) {
                    counted.add(f);
                }
                if (GaugeLimit.isTooCoarse(limit, f.what().division())) {
                    tooCoarse.add(f);
                }
                finding.nearLimit(GaugeLimit.isNear(limit.minus(depth), f.what().division()));
            }
            if (deepest == null
                    || depth.minus(limit).isOver(deepest.what().deep().minus(deepestLimit))) {
                deepest = f;
                deepestLimit = limit;
            }
        }
        WindowsByToe windows = new WindowsByToe(counted);
        traceWindows(finding, windows);
        if (!tooDeep.isEmpty()) {
            rejectDepth(finding, tooDeep);
        } else if (windows.governing().sum().isOver(rule.accumulated())) {
            rejectSum(finding, windows, counted);
        } else {
            accept(finding, windows, counted, deepest, deepestLimit);
            if (!tooCoarse.isEmpty()) {
                Undercut first = tooCoarse.get(0).what();
                Length division = first.division().orElseThrow();
                Length limit = limit(first);
                finding.atMost(first.deep().in(unit), limit)
                        .span(first.span())
                        .indications(Occurrence.indices(tooCoarse))
                        .incomplete(
                                GaugeLimit.tooCoarse(division, limit),
                                GaugeLimit.finerGauge("undercut", first.span().shown()));
            }
        }
    }

    private String line(Undercut u) {
        return name(u.toe()) + " " + inspection.joint().shown(u.span()) + ": "
                + u.deep().shownWithUnit() + " deep; member "
                + inspection.thicknessAt(u.toe()).shownWithUnit() + ", limit " + limits(u.toe());
    }

    private String limits(Toe toe) {
        ToeDepth d = rule.depths().get(toe);
        return d.anyLength().shownWithUnit()
                + d.exception()
                        .map(e -> ", up to " + e.shown() + " for "
                                + rule.accumulated().shownWithUnit() + " in any "
                                + rule.window().shown())
                        .orElse(" at any length");
    }

    private String name(Toe toe) {
        return inspection.joint().toeName(toe);
    }

    private void traceWindows(Finding.Builder finding, WindowsByToe windows) {
        if (windows.lanes.isEmpty()) {
            return;
        }
        windows.byToe.forEach((toe, w) -> finding.trace(name(toe) + " alone: worst "
                + rule.window().shownWithUnit() + " at " + inspection.joint().shown(w.span()) + " holds "
                + w.sum().in(unit).shownWithUnit() + " over the any-length depth"));
        finding.trace((inspection.undercutPerToe()
                        ? "each toe by itself, as agreed in the inspection plan: "
                        : "both toes together (the careful reading): ")
                + windows.governing().sum().in(unit).shownWithUnit() + " in "
                + inspection.joint().shown(windows.governing().span()) + ", "
                + rule.accumulated().shownWithUnit() + " allowed in any "
                + rule.window().shownWithUnit());
        if (inspection.joint().length().isUnder(rule.window())) {
            finding.trace("the weld is shorter than " + rule.window().shownWithUnit()
                    + ": one window, with the full allowance");
        }
    }

    private void rejectDepth(Finding.Builder finding, List<Occurrence<Undercut>> tooDeep) {
        Occurrence<Undercut> worst = tooDeep.get(0);
        for (Occurrence<Undercut> f : tooDeep) {
            worst = excess(f.what()).isOver(excess(worst.what())) ? f : worst;
        }
        Undercut u = worst.what();
        Length limit = most(u.toe());
        finding.atMost(u.deep().in(unit), limit)
                .span(u.span())
                .indications(Occurrence.indices(tooDeep))
                .reject(Why.UNDERCUT_TOO_DEEP.of(name(u.toe()), u.span(), u.deep(), limit));
    }

    /** The depth that it is held against: that of any length, or the exception's where it is deeper. */
    private Length limit(Undercut u) {
        ToeDepth d = rule.depths().get(u.toe());
        return u.deep().isOver(d.anyLength()) ? most(u.toe()) : d.anyLength();
    }

    private Length most(Toe toe) {
        ToeDepth d = rule.depths().get(toe);
        return d.exception().orElse(d.anyLength());
    }

    private Length excess(Undercut u) {
        return u.deep().minus(most(u.toe()));
    }

    private void rejectSum(Finding.Builder finding, WindowsByToe windows, List<Occurrence<Undercut>> counted) {
        WorstWindow w = windows.governing();
        SpanSet window = inspection.joint().ruler().straight(List.of(w.span()));
        List<Integer> inWindow = counted.stream()
                .filter(f -> windows.governs(f.what().toe()))
                .filter(f -> inspection.joint().ruler().straight(f.what().span()).stream()
                        .anyMatch(s -> window.intersect(SpanSet.of(List.of(s)))
                                .total(unit)
                                .isPositive()))
                .map(Occurrence::index)
                .toList();
        boolean perToeAccepts = !inspection.undercutPerToe()
                && windows.byToe.values().stream().noneMatch(x -> x.sum().isOver(rule.accumulated()));
        Why why = perToeAccepts ? Why.UNDERCUT_SUM_OVER_CAREFUL : Why.UNDERCUT_SUM_OVER;
        finding.measured(sumText(w))
                .allowed(rule.accumulated().shownWithUnit() + " in any "
                        + rule.window().shown())
                .margin(rule.accumulated().minus(w.sum()))
                .numbers(Finding.Numbers.atMost(w.sum().in(unit), rule.accumulated()))
                .span(w.span())
                .indications(inWindow)
                .reject(why.of(sumText(w), w.span(), rule.accumulated()));
    }

    private String sumText(WorstWindow w) {
        String over = rule.depths().values().stream()
                .filter(d -> d.exception().isPresent())
                .findFirst()
                .map(d -> d.anyLength().shown())
                .orElse("0");
        return w.sum().in(unit).shownWithUnit() + " over " + over;
    }

    private void accept(
            Finding.Builder finding,
            WindowsByToe windows,
            List<Occurrence<Undercut>> counted,
            Occurrence<Undercut> deepest,
            Length deepestLimit) {
        if (counted.isEmpty()) {
            finding.atMost(deepest.what().deep().in(unit), deepestLimit)
                    .span(deepest.what().span())
                    .indications(List.of(deepest.index()))
                    .accept(Why.DEEPEST_UNDERCUT.of(
                            deepest.what().deep(),
                            name(deepest.what().toe()),
                            deepest.what().span()));
            return;
        }
        WorstWindow w = windows.governing();
        finding.measured(sumText(w))
                .allowed(rule.accumulated().shownWithUnit() + " in any "
                        + rule.window().shown())
                .margin(rule.accumulated().minus(w.sum()))
                .numbers(Finding.Numbers.atMost(w.sum().in(unit), rule.accumulated()))
                .span(w.span())
                .indications(Occurrence.indices(counted))
                .accept(Why.UNDERCUT_SUM_WITHIN.of(sumText(w), w.span(), rule.accumulated()));
    }

    /** The worst window of each toe and of both together. */
    private final class WindowsByToe {
        private final Map<Toe, SpanSet> lanes = new EnumMap<>(Toe.class);
        private final Map<Toe, WorstWindow> byToe = new EnumMap<>(Toe.class);
        private final WorstWindow together;

        WindowsByToe(List<Occurrence<Undercut>> counted) {
            for (Toe toe : rule.depths().keySet()) {
                List<Span> spans = counted.stream()
                        .filter(f -> f.what().toe() == toe)
                        .map(f -> f.what().span())
                        .toList();
                if (!spans.isEmpty()) {
                    lanes.put(toe, inspection.joint().ruler().straight(spans));
                }
            }
            lanes.forEach((toe, lane) -> byToe.put(toe, window(List.of(lane))));
            together = window(lanes.values());
        }

        private WorstWindow window(Collection<SpanSet> of) {
            return new WorstWindow(inspection.joint().ruler(), List.copyOf(of), rule.window());
        }

        /** The window that decides: of both toes, or of the worse toe where each is taken by itself. */
        WorstWindow governing() {
            return worstToe().map(byToe::get).orElse(together);
        }

        boolean governs(Toe toe) {
            return worstToe().map(t -> t == toe).orElse(true);
        }

        private Optional<Toe> worstToe() {
            if (!inspection.undercutPerToe()) {
                return Optional.empty();
            }
            Toe worst = null;
            for (Toe t : byToe.keySet()) {
                if (worst == null || byToe.get(t).sum().isOver(byToe.get(worst).sum())) {
                    worst = t;
                }
            }
            return Optional.ofNullable(worst);
        }
    }
}
