package mensor.judge;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import mensor.criteria.Rule;
import mensor.judge.FilletSizes.At;
import mensor.judge.FilletSizes.GapStretch;
import mensor.judge.FilletSizes.Marked;
import mensor.length.GreatestAlong;
import mensor.length.GreatestAlong.Piece;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import mensor.weld.Joint;

/**
 * The undersize portion of a fillet: known exactly where it was marked, bounded between low and good stations. Over a
 * fit-up gap a place is under size against what the gap asks; the run of a station that is low only against that ends at
 * the gap's ends.
 */
final class FilletPortion {
    private final Joint joint;
    private final Rule.FilletSize rule;
    private final Unit unit;
    private final FilletSizes sizes;
    private final List<At> stations;
    private final SpanSet marks;
    private final SpanSet surely;
    private final SpanSet perhaps;
    private final Length atLeast;
    private final Length atMost;

    FilletPortion(Joint joint, Rule.FilletSize rule, Unit unit, FilletSizes sizes) {
        this.joint = joint;
        this.rule = rule;
        this.unit = unit;
        this.sizes = sizes;
        this.stations = sizes.stations().stream()
                .filter(a -> !a.nominal())
                .sorted(Comparator.comparing(At::place))
                .toList();
        List<Marked> exact = sizes.marked().stream().filter(m -> !m.nominal()).toList();
        marks = SpanSet.of(
                exact.stream().flatMap(m -> m.where().spans().stream()).toList());
        Ruler ruler = joint.ruler();
        // the least of the marks that overlap is the greatest by the order turned round
        GreatestAlong<RealLength> least = new GreatestAlong<>(
                exact.stream()
                        .flatMap(m -> m.where().spans().stream().map(s -> new Piece<>(s, m.least())))
                        .toList(),
                Comparator.reverseOrder());
        List<Span> low = new ArrayList<>();
        least.pieces().stream().filter(p -> p.value().isUnder(sizes.size())).forEach(p -> low.add(p.span()));
        UndersizePortion base = new UndersizePortion(
                ruler, sizes.welded(), marks.union(sizes.bladesOf(sizes.size())), against(sizes.size(), stations));
        List<Span> atLeastThere = new ArrayList<>(base.atLeast().spans());
        List<Span> atMostThere = new ArrayList<>(base.atMost().spans());
        for (GapStretch e : sizes.enlarged()) {
            SpanSet known = marksWithin(e.where()).union(sizes.bladesOf(e.wanted(), e.where()));
            UndersizePortion overGap =
                    new UndersizePortion(ruler, e.where(), known, against(e.wanted(), within(e.where(), ruler)));
            atLeastThere.addAll(overGap.atLeast().spans());
            atMostThere.addAll(overGap.atMost().spans());
            for (Span s : e.where().spans()) {
                least.touching(s).stream()
                        .filter(p -> p.value().isUnder(e.wanted()))
                        .forEach(p -> low.add(new Span(
                                p.span().from().max(s.from()), p.span().to().min(s.to()))));
            }
        }
        atLeastThere.addAll(low);
        atMostThere.addAll(low);
        surely = SpanSet.of(atLeastThere);
        perhaps = SpanSet.of(atMostThere);
        atLeast = surely.total(unit);
        atMost = perhaps.total(unit);
    }

    private SpanSet marksWithin(SpanSet where) {
        return SpanSet.of(where.spans().stream()
                .flatMap(s -> marks.within(s).spans().stream())
                .toList());
    }

    /** Stations on some stretches, out of all of them in order. */
    private List<At> within(SpanSet where, Ruler ruler) {
        List<At> here = new ArrayList<>();
        for (Span s : where.spans()) {
            for (int i = firstFrom(s.from());
                    i < stations.size() && !stations.get(i).place().isOver(s.to());
                    i++) {
                here.add(stations.get(i));
            }
            boolean endsAtDatum = ruler.closed() && s.to().compareTo(ruler.length()) == 0;
            for (int i = 0;
                    endsAtDatum
                            && i < stations.size()
                            && stations.get(i).place().isZero();
                    i++) {
                here.add(stations.get(i));
            }
        }
        return here;
    }

    private int firstFrom(Length place) {
        int low = 0;
        int high = stations.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (stations.get(middle).place().isUnder(place)) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /** Low and good stations; one that only could reject is no good station. */
    private static List<UndersizePortion.Station> against(RealLength wanted, List<At> of) {
        return of.stream()
                .filter(a -> a.section().isWhole() || a.section().size().isUnder(wanted))
                .map(a -> new UndersizePortion.Station(
                        a.place(), a.section().size().isUnder(wanted)))
                .toList();
    }

    /** What is surely under size, summed. */
    Length atLeast() {
        return atLeast;
    }

    /** What may be under size, summed. */
    Length atMost() {
        return atMost;
    }

    /** Surely under size near a girder's end. */
    SpanSet surelyBarred() {
        return withLength(surely.intersect(sizes.noUnderrun()));
    }

    /** Perhaps under size near a girder's end; where that zone only touches a good station nothing is. */
    SpanSet perhapsBarred() {
        return withLength(perhaps.intersect(sizes.noUnderrun()));
    }

    private static SpanSet withLength(SpanSet set) {
        return SpanSet.of(
                set.spans().stream().filter(s -> s.extent().isPositive()).toList());
    }

    boolean rejects() {
        return atLeast.times(rule.portionDivisor()).isOver(joint.weldedLength());
    }

    boolean isOpen() {
        return !rejects() && atMost.times(rule.portionDivisor()).isOver(joint.weldedLength());
    }

    boolean isExact() {
        return atLeast.compareTo(atMost) == 0;
    }

    private Length tenth() {
        return joint.weldedLength().dividedBy(rule.portionDivisor()).in(unit);
    }

    String firstUnsure() {
        List<Span> unsure = perhaps.minus(surely).spans();
        return unsure.isEmpty() ? "the low readings" : unsure.get(0).shown();
    }

    void trace(Finding.Builder finding) {
        finding.traceEach(surely.spans(), s -> "under size for sure: " + s.shown());
        finding.traceEach(perhaps.minus(surely).spans(), s -> "may be under size: " + s.shown());
        if (atMost.isPositive()) {
            finding.trace("under size: at least " + atLeast.shownWithUnit() + ", at most " + atMost.shownWithUnit()
                    + "; 10% of " + joint.weldedLength().in(unit).shownWithUnit() + " is "
                    + tenth().shownWithUnit());
        }
    }

    /** The numbers of the portion, and what makes it up. */
    Finding.Builder decide(Finding.Builder finding) {
        Length decisive = rejects() ? atLeast : atMost;
        SpanSet places = rejects() ? surely : perhaps;
        if (!places.isEmpty()) {
            finding.span(new Span(
                    places.spans().get(0).from(),
                    places.spans().get(places.spans().size() - 1).to()));
        }
        finding.indications(sizes.marked().stream()
                        .filter(sizes::isLow)
                        .map(Marked::index)
                        .toList())
                .readings(sizes.stations().stream()
                        .filter(At::isLow)
                        .map(At::index)
                        .toList());
        String bounds = isExact() ? atMost.shownWithUnit() : atLeast.shown() + " to " + atMost.shownWithUnit();
        return finding.measured(bounds + " under size (" + percent(decisive) + ")")
                .margin(tenth().minus(decisive))
                .numbers(Finding.Numbers.atMost(decisive.in(unit), tenth()));
    }

    private String percent(Length part) {
        var share = part.exactNanometres().divide(joint.weldedLength().exactNanometres());
        BigDecimal percent = new BigDecimal(share.getNumerator())
                .multiply(BigDecimal.valueOf(100))
                .divide(new BigDecimal(share.getDenominator()), 1, RoundingMode.HALF_UP);
        return percent.stripTrailingZeros().toPlainString() + "%";
    }
}
