package mensor.judge;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.criteria.Measure;
import mensor.criteria.Rule;
import mensor.criteria.ShortRun;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.Undercut;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import mensor.weld.Toe;

/**
 * Depths, heights and differences of one kind, each against a bound that may grow with the width of the face, and that may
 * hold for short imperfections alone. A depth or a width that was not measured is judged at every value that it could have.
 */
final class AtMostCheck {
    private final Inspection inspection;
    private final Rule.AtMost rule;
    private final Unit unit;
    private final LimitedItems recorded;

    AtMostCheck(Inspection inspection, Rule.AtMost rule) {
        this.inspection = inspection;
        this.rule = rule;
        this.unit = inspection.units();
        this.recorded = new LimitedItems(inspection, rule);
    }

    /** Judges what was recorded; leaves the finding open where nothing was that could decide. */
    void judge(Finding.Builder finding) {
        List<LimitedItem> items = recorded.all();
        if (!items.isEmpty()) {
            finding.confidence(rule.confidence());
            finding.traceEach(items, this::line);
            List<LimitedItem> over = items.stream().filter(LimitedItem::rejects).toList();
            Optional<ShortSum> sum =
                    rule.shortRun().filter(r -> anyShort(items)).map(r -> new ShortSum(r, items));
            sum.ifPresent(s -> s.trace(finding));
            if (!over.isEmpty()) {
                reject(finding, over);
            } else if (sum.map(ShortSum::rejects).orElse(false)) {
                sum.get().reject(finding);
            } else {
                settle(finding, items, sum);
            }
        }
        if (rule.measure() == Measure.CONVEXITY) {
            computedConvexity(finding);
        }
    }

    private static boolean anyShort(List<LimitedItem> items) {
        return items.stream().anyMatch(i -> i.bound().onlyShort() && i.isSomething());
    }

    private String line(LimitedItem i) {
        String what = rule.measure().title() + " " + i.depth().map(this::shown).orElse("of no known depth") + " at "
                + i.place();
        return what + "; allowed " + allowed(i);
    }

    private String allowed(LimitedItem i) {
        if (i.bound().isNone()) {
            return "none";
        }
        Optional<RealLength> most = i.perhaps();
        boolean sure = most.isPresent() && most.get().compareTo(i.surely()) == 0;
        String value = sure ? shown(i.surely()) : "over " + shown(i.surely()) + " by the width, which was not read";
        String how = i.bound().reckoned().isBlank() ? "" : " (" + i.bound().reckoned() + ")";
        return value + how + (i.bound().onlyShort() ? ", over short lengths only" : "");
    }

    private String shown(RealLength l) {
        return l.shownWithUnit(unit);
    }

    private Finding.Builder number(Finding.Builder finding, LimitedItem i, RealLength limit) {
        if (i.depth().isPresent()) {
            Length depth = i.depth().get().rounded().in(unit);
            Length most = limit.rounded().in(unit);
            finding.measured(shown(i.depth().get()))
                    .allowed(i.bound().isNone() ? "none" : shown(limit))
                    .margin(most.minus(depth))
                    .numbers(Finding.Numbers.atMost(depth, most));
        } else {
            finding.measured(rule.measure().title()).allowed(i.bound().isNone() ? "none" : shown(limit));
        }
        return decide(finding, List.of(i)).span(i.span());
    }

    private static Finding.Builder decide(Finding.Builder finding, List<LimitedItem> items) {
        return finding.indications(items.stream()
                        .flatMapToInt(i -> i.indication().stream())
                        .boxed()
                        .toList())
                .readings(items.stream()
                        .flatMapToInt(i -> i.reading().stream())
                        .boxed()
                        .toList());
    }

    private void reject(Finding.Builder finding, List<LimitedItem> over) {
        LimitedItem worst = over.get(0);
        for (LimitedItem i : over) {
            worst = excess(i).isOver(excess(worst)) ? i : worst;
        }
        RealLength limit = worst.perhaps().orElse(worst.bound().base());
        decide(number(finding, worst, limit), over)
                .reject(Why.OVER_LIMIT.of(
                        named(worst), worst.place(), worst.bound().isNone() ? "none" : shown(limit)));
    }

    /** The measure with its value, where it is known. */
    private String named(LimitedItem i) {
        return rule.measure().title() + i.depth().map(d -> " " + shown(d)).orElse("");
    }

    private static RealLength excess(LimitedItem i) {
        RealLength limit = i.perhaps().orElse(i.bound().base());
        return i.depth().map(d -> d.minus(limit)).orElse(limit.minus(limit));
    }

    private void settle(Finding.Builder finding, List<LimitedItem> items, Optional<ShortSum> sum) {
        for (LimitedItem i : items) {
            if (i.depth().isEmpty()) {
                number(finding, i, i.surely())
                        .incomplete(
                                Why.NOT_MEASURED.of(rule.measure().title(), i.place()),
                                Ask.Kind.MEASURE.of(rule.measure().title(), i.place()));
                return;
            }
            if (!i.accepts()) {
                String width = rule.measure() == Measure.EXCESS_PENETRATION ? "width of the root" : "width of the face";
                number(finding, i, i.surely())
                        .incomplete(
                                Why.DEPENDS_ON_WIDTH.of(named(i), i.place(), width),
                                Ask.Kind.READ_WIDTH.of(width, i.place()));
                return;
            }
        }
        if (sum.map(ShortSum::isOpen).orElse(false)) {
            sum.get().incomplete(finding);
            return;
        }
        if (onlyRejects()) {
            return;
        }
        LimitedItem tightest = items.get(0);
        for (LimitedItem i : items) {
            RealLength left = i.surely().minus(i.depth().orElseThrow());
            finding.nearLimit(GaugeLimit.isNear(left.rounded(), i.division()));
            if (GaugeLimit.isTooCoarse(i.surely().rounded(), i.division())) {
                number(finding, i, i.surely())
                        .incomplete(
                                GaugeLimit.tooCoarse(
                                        i.division().orElseThrow(),
                                        i.surely().rounded().in(unit)),
                                GaugeLimit.finerGauge(rule.measure().title(), i.place()));
                return;
            }
            tightest = left.isUnder(tightest.surely().minus(tightest.depth().orElseThrow())) ? i : tightest;
        }
        decide(number(finding, tightest, tightest.surely()), items)
                .accept(
                        tightest.bound().isNone()
                                ? Why.NOTHING_OF_MEASURE.of(named(tightest), tightest.place())
                                : Why.WITHIN_LIMIT.of(named(tightest), tightest.place(), shown(tightest.surely())));
    }

    /** Legs, throats and gaps can break these limits; that they do not tells nothing of what was not inspected. */
    private boolean onlyRejects() {
        return switch (rule.measure()) {
            case LEG_DIFFERENCE, THROAT_OVER, GAP -> true;
            default -> false;
        };
    }

    /** Convexity that was not read: throat and legs at 90° prompt a reading, or accept where nothing else was read. */
    private void computedConvexity(Finding.Builder finding) {
        if (!inspection.joint().dihedral().isSquare()
                || !finding.isOpen() && finding.build().verdict() != mensor.inspection.Verdict.ACCEPT) {
            return;
        }
        for (Occurrence<Reading.Station> f : recorded.stations()) {
            Reading.Station s = f.what();
            if (s.convexity().isPresent()
                    || s.legA().isEmpty()
                    || s.legB().isEmpty()
                    || s.throat().isEmpty()) {
                continue;
            }
            LimitedItem computed = recorded.reading(f, ConvexityCheck.computedConvexity(s));
            finding.trace("computed from throat and legs: " + line(computed)).confidence(rule.confidence());
            if (!computed.accepts()) {
                number(finding, computed, computed.surely())
                        .incomplete(
                                Why.TOO_CONVEX_HINTED.of(computed.place()),
                                Ask.Kind.READ_CONVEXITY.of(computed.place()));
                return;
            }
            if (finding.isOpen()) {
                number(finding, computed, computed.surely()).accept(Why.NOT_TOO_CONVEX.of());
            }
        }
    }

    /** The length of what is allowed only as a short imperfection, in the worst window. */
    private final class ShortSum {
        private final ShortRun run;
        private final Length allowed;
        private final List<LimitedItem> items;
        private WorstWindow surely;
        private WorstWindow perhaps;

        ShortSum(ShortRun run, List<LimitedItem> all) {
            this.run = run;
            this.allowed = ShortSums.allowed(run, inspection.joint());
            this.items = all.stream()
                    .filter(i -> i.bound().onlyShort() && i.isSomething())
                    .toList();
            Map<Toe, List<Span>> byToe = new EnumMap<>(Toe.class);
            for (LimitedItem i : items) {
                if (i.indication().isPresent()) {
                    byToe.computeIfAbsent(toe(i), t -> new ArrayList<>()).add(i.span());
                }
            }
            List<SpanSet> lanes = byToe.values().stream()
                    .map(spans -> inspection.joint().ruler().straight(spans))
                    .toList();
            UndersizePortion between = betweenReadings(lanes);
            if (inspection.undercutPerToe() && rule.measure() == Measure.UNDERCUT) {
                for (SpanSet lane : lanes) {
                    surely = worse(surely, window(List.of(lane)));
                }
                perhaps = surely;
            } else {
                surely = window(joined(lanes, between.atLeast()));
                perhaps = window(joined(lanes, between.atMost()));
            }
        }

        private WorstWindow worse(WorstWindow a, WorstWindow b) {
            return a == null || b.sum().isOver(a.sum()) ? b : a;
        }

        private WorstWindow window(List<SpanSet> lanes) {
            return new WorstWindow(inspection.joint().ruler(), lanes, run.window());
        }

        /** Between a stretch that was marked and readings that are low nothing counts twice. */
        private List<SpanSet> joined(List<SpanSet> lanes, SpanSet more) {
            if (more.isEmpty()) {
                return lanes;
            }
            SpanSet all = more;
            for (SpanSet lane : lanes) {
                all = all.union(lane);
            }
            return List.of(all);
        }

        private Toe toe(LimitedItem i) {
            return inspection.indications().get(i.indication().getAsInt()) instanceof Undercut u ? u.toe() : Toe.ROOT;
        }

        /** The height read at a station, below zero where it counts. */
        private Optional<Length> height(Reading.Station s) {
            return switch (rule.measure()) {
                case UNDERFILL -> s.reinforcement();
                case ROOT_CONCAVITY -> s.rootReinforcement();
                default -> Optional.empty();
            };
        }

        private UndersizePortion betweenReadings(List<SpanSet> lanes) {
            SpanSet known = SpanSet.of(List.of());
            for (SpanSet lane : lanes) {
                known = known.union(lane);
            }
            List<UndersizePortion.Station> stations = recorded.stations().stream()
                    .flatMap(f -> height(f.what())
                            .map(h -> new UndersizePortion.Station(
                                    inspection.joint().ruler().place(f.what().at()), h.isNegative()))
                            .stream())
                    .toList();
            return new UndersizePortion(
                    inspection.joint().ruler(), ShortSums.welded(inspection.joint()), known, stations);
        }

        void trace(Finding.Builder finding) {
            boolean sure = surely.sum().compareTo(perhaps.sum()) == 0;
            finding.trace("lengths that add up: " + (sure ? "" : "at least " + shown(surely.sum()) + ", at most ")
                    + shown(perhaps.sum()) + " in the worst " + shown(run.window()) + " at "
                    + perhaps.span().shown() + "; " + shown(allowed) + " allowed");
        }

        private String shown(Length l) {
            return l.in(unit).shownWithUnit();
        }

        boolean rejects() {
            return surely.sum().isOver(allowed);
        }

        boolean isOpen() {
            return !rejects() && perhaps.sum().isOver(allowed);
        }

        private Finding.Builder number(Finding.Builder finding, WorstWindow w) {
            finding.measured(shown(w.sum()) + " in " + shown(run.window()))
                    .allowed(shown(allowed) + " in any " + shown(run.window()))
                    .margin(allowed.minus(w.sum()))
                    .numbers(Finding.Numbers.atMost(w.sum().in(unit), allowed.in(unit)))
                    .span(w.span());
            return decide(finding, items);
        }

        void reject(Finding.Builder finding) {
            number(finding, surely)
                    .reject(Why.SUM_OVER_LIMIT.of(
                            rule.measure().title(),
                            shown(surely.sum()),
                            surely.span(),
                            shown(allowed),
                            shown(run.window())));
        }

        void incomplete(Finding.Builder finding) {
            number(finding, perhaps)
                    .incomplete(
                            Why.SUM_UNSURE.of(
                                    shown(surely.sum()),
                                    shown(perhaps.sum()),
                                    rule.measure().title(),
                                    shown(allowed),
                                    shown(run.window())),
                            Ask.Kind.MARK_EXTENT.of(rule.measure().title(), perhaps.span()));
        }
    }
}
