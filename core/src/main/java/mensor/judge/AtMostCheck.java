package mensor.judge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import mensor.criteria.Rule;
import mensor.criteria.Rule.Measure;
import mensor.inspection.BurnThrough;
import mensor.inspection.Crater;
import mensor.inspection.IncompletePenetration;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.MeltThrough;
import mensor.inspection.Overlap;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.inspection.RootConcavity;
import mensor.inspection.Undercut;
import mensor.inspection.Underfill;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import mensor.weld.Gap;
import mensor.weld.Toe;

/**
 * Depths, heights and differences of one kind, each against a bound that may grow with the width of the face, and that may
 * hold for short imperfections alone. A depth or a width that was not measured is judged at every value that it could have.
 */
final class AtMostCheck {
    private final Inspection inspection;
    private final Rule.AtMost rule;
    private final Unit unit;
    private final boolean byWidth;
    private Optional<RealLength> smallestWidth;

    /** One of them. Without a depth it is there, of no known depth. */
    private record Item(
            boolean reading,
            int index,
            Span span,
            Optional<RealLength> depth,
            Optional<RealLength> width,
            Optional<Length> division,
            Rule.Bound bound) {
        boolean isSomething() {
            return depth.map(d -> d.signum() > 0).orElse(true);
        }

        /** The least that its bound could be. */
        RealLength surely() {
            return width.map(bound::at).orElse(bound.base());
        }

        /** The most that its bound could be; empty where nothing holds it. */
        Optional<RealLength> perhaps() {
            return width.isPresent() ? width.map(bound::at) : bound.greatest();
        }

        boolean rejects() {
            if (bound.isNone()) {
                return isSomething();
            }
            return depth.isPresent()
                    && perhaps().map(p -> depth.get().isOver(p)).orElse(false);
        }

        boolean accepts() {
            return depth.isPresent() && !depth.get().isOver(surely());
        }

        String place() {
            return span.shown();
        }
    }

    AtMostCheck(Inspection inspection, Rule.AtMost rule) {
        this.inspection = inspection;
        this.rule = rule;
        this.unit = inspection.units();
        this.byWidth = rule.bound().ofWidth().signum() != 0;
    }

    /** Judges what was recorded; leaves the finding open where nothing was that could decide. */
    void judge(Finding.Builder finding) {
        List<Item> items = items();
        if (!items.isEmpty()) {
            finding.confidence(rule.confidence());
            finding.traceEach(items, this::line);
            List<Item> over = items.stream().filter(Item::rejects).toList();
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

    private static boolean anyShort(List<Item> items) {
        return items.stream().anyMatch(i -> i.bound().onlyShort() && i.isSomething());
    }

    private String line(Item i) {
        String what = rule.measure().title() + " " + i.depth().map(this::shown).orElse("of no known depth") + " at "
                + i.place();
        return what + "; allowed " + allowed(i);
    }

    private String allowed(Item i) {
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

    private Finding.Builder number(Finding.Builder finding, Item i, RealLength limit) {
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

    private static Finding.Builder decide(Finding.Builder finding, List<Item> items) {
        return finding.indications(items.stream()
                        .filter(i -> !i.reading())
                        .map(Item::index)
                        .toList())
                .readings(items.stream().filter(Item::reading).map(Item::index).toList());
    }

    private void reject(Finding.Builder finding, List<Item> over) {
        Item worst = over.get(0);
        for (Item i : over) {
            worst = excess(i).isOver(excess(worst)) ? i : worst;
        }
        RealLength limit = worst.perhaps().orElse(worst.bound().base());
        decide(number(finding, worst, limit), over)
                .reject(Why.OVER_LIMIT.of(
                        named(worst), worst.place(), worst.bound().isNone() ? "none" : shown(limit)));
    }

    /** The measure with its value, where it is known. */
    private String named(Item i) {
        return rule.measure().title() + i.depth().map(d -> " " + shown(d)).orElse("");
    }

    private static RealLength excess(Item i) {
        RealLength limit = i.perhaps().orElse(i.bound().base());
        return i.depth().map(d -> d.minus(limit)).orElse(limit.minus(limit));
    }

    private void settle(Finding.Builder finding, List<Item> items, Optional<ShortSum> sum) {
        for (Item i : items) {
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
        Item tightest = items.get(0);
        for (Item i : items) {
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

    /** Legs, throats and gaps can break these limits; that they do not tells nothing of what was not looked at. */
    private boolean onlyRejects() {
        return switch (rule.measure()) {
            case LEG_DIFFERENCE, THROAT_OVER, GAP -> true;
            default -> false;
        };
    }

    private List<Item> items() {
        return switch (rule.measure()) {
            case PORE -> seen(Porosity.class);
            case CRATER -> seen(Crater.class);
            case OVERLAP -> seen(Overlap.class);
            case UNDERCUT, ROOT_UNDERCUT -> undercuts();
            case INCOMPLETE_PENETRATION -> seen(IncompletePenetration.class);
            case BURN_THROUGH -> seen(BurnThrough.class);
            case EXCESS_PENETRATION ->
                both(seen(MeltThrough.class), read(s -> s.rootReinforcement().filter(h -> !h.isNegative())));
            case ROOT_CONCAVITY ->
                both(
                        seen(RootConcavity.class),
                        read(s ->
                                s.rootReinforcement().filter(Length::isNegative).map(Length::negate)));
            case UNDERFILL ->
                both(
                        seen(Underfill.class),
                        read(s -> s.reinforcement().filter(Length::isNegative).map(Length::negate)));
            case REINFORCEMENT -> read(s -> s.reinforcement().filter(h -> !h.isNegative()));
            case CONVEXITY -> read(Reading.Station::convexity);
            case LEG_DIFFERENCE ->
                read(s -> s.legA().flatMap(a -> s.legB().map(b -> a.max(b).minus(a.min(b)))));
            case THROAT_OVER -> throats();
            case GAP -> gaps();
        };
    }

    private static List<Item> both(List<Item> a, List<Item> b) {
        List<Item> all = new ArrayList<>(a);
        all.addAll(b);
        return all;
    }

    private List<Item> seen(Class<? extends Indication> kind) {
        return Occurrence.indications(inspection, kind).stream()
                .map(f -> indication(f, f.what().depth(), rule.bound()))
                .toList();
    }

    private Item indication(Occurrence<? extends Indication> f, Optional<Length> depth, Rule.Bound bound) {
        return new Item(
                false,
                f.index(),
                f.what().span(),
                depth.map(RealLength::of),
                smallestWidth(),
                f.what().division(),
                bound);
    }

    private List<Item> undercuts() {
        return Occurrence.indications(inspection, Undercut.class).stream()
                .filter(f -> rule.bounds().containsKey(f.what().toe()))
                .map(f -> indication(
                        f,
                        Optional.of(f.what().deep()),
                        rule.bounds().get(f.what().toe())))
                .toList();
    }

    private List<Item> read(Function<Reading.Station, Optional<Length>> measure) {
        return stations().stream()
                .flatMap(f -> measure.apply(f.what()).map(d -> reading(f, RealLength.of(d))).stream())
                .toList();
    }

    private Item reading(Occurrence<Reading.Station> f, RealLength depth) {
        return new Item(
                true,
                f.index(),
                f.what().span(),
                Optional.of(depth),
                byWidth ? width(f.what()) : Optional.empty(),
                f.what().division(),
                rule.bound());
    }

    private List<Occurrence<Reading.Station>> stations() {
        return Occurrence.readings(inspection, Reading.Station.class);
    }

    private List<Item> throats() {
        RealLength nominal = inspection.joint().nominalThroat().orElseThrow();
        SectionThroat.Reader sections = new SectionThroat.Reader(inspection.joint());
        return stations().stream()
                .flatMap(f ->
                        sections
                                .of(f.what())
                                .filter(SectionThroat::isWhole)
                                .map(t -> reading(f, t.throat().minus(nominal)))
                                .stream())
                .toList();
    }

    private List<Item> gaps() {
        List<Item> gaps = new ArrayList<>();
        for (Gap g : inspection.joint().gaps()) {
            gaps.add(new Item(
                    true,
                    -1,
                    g.span(),
                    Optional.of(RealLength.of(g.opening())),
                    Optional.empty(),
                    Optional.empty(),
                    rule.bound()));
        }
        return gaps;
    }

    /** The width that the reading gives: of the root, or of the face, of a fillet else from toe to toe. */
    private Optional<RealLength> width(Reading.Station s) {
        if (rule.measure() == Measure.EXCESS_PENETRATION) {
            return s.rootWidth().map(RealLength::of);
        }
        boolean legs = inspection.joint().isFillet()
                && s.legA().isPresent()
                && s.legB().isPresent();
        return s.faceWidth()
                .map(RealLength::of)
                .or(() -> legs ? Optional.of(SectionSize.chord(inspection.joint(), s)) : Optional.empty());
    }

    /** An indication has no width of its own: the smallest one read stands for it. */
    private Optional<RealLength> smallestWidth() {
        if (smallestWidth == null) {
            smallestWidth = byWidth
                    ? stations().stream().flatMap(f -> width(f.what()).stream()).min(Comparator.naturalOrder())
                    : Optional.empty();
        }
        return smallestWidth;
    }

    /** Convexity that was not read: throat and legs at 90° prompt a reading, or accept where nothing else was read. */
    private void computedConvexity(Finding.Builder finding) {
        if (!inspection.joint().dihedral().isSquare()
                || !finding.isOpen() && finding.build().verdict() != mensor.inspection.Verdict.ACCEPT) {
            return;
        }
        for (Occurrence<Reading.Station> f : stations()) {
            Reading.Station s = f.what();
            if (s.convexity().isPresent()
                    || s.legA().isEmpty()
                    || s.legB().isEmpty()
                    || s.throat().isEmpty()) {
                continue;
            }
            Item computed = reading(f, ConvexityCheck.computedConvexity(s));
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
        private final Rule.ShortRun run;
        private final Length allowed;
        private final List<Item> items;
        private WorstWindow surely;
        private WorstWindow perhaps;

        ShortSum(Rule.ShortRun run, List<Item> all) {
            this.run = run;
            this.allowed = ShortSums.allowed(run, inspection.joint());
            this.items = all.stream()
                    .filter(i -> i.bound().onlyShort() && i.isSomething())
                    .toList();
            Map<Toe, List<Span>> byToe = new EnumMap<>(Toe.class);
            for (Item i : items) {
                if (!i.reading()) {
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

        private Toe toe(Item i) {
            return inspection.indications().get(i.index()) instanceof Undercut u ? u.toe() : Toe.ROOT;
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
            List<UndersizePortion.Station> stations = stations().stream()
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
