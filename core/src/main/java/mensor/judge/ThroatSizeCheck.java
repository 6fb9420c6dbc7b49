package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.criteria.Rule;
import mensor.inspection.Criterion;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.Undersize;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import mensor.weld.Joint;

/**
 * A fillet by its throat: how far under the nominal one a place may lie, along how much of a window as a short imperfection,
 * and whether enough was read to accept it.
 */
final class ThroatSizeCheck {
    private final Inspection inspection;
    private final Joint joint;
    private final Rule.ThroatSize rule;
    private final Unit unit;
    private final Ruler ruler;
    private final List<At> stations = new ArrayList<>();
    private final List<At> off = new ArrayList<>();
    private final List<Marked> marked = new ArrayList<>();
    private final SpanSet marks;
    private final SpanSet goes;
    private final boolean bladeTried;

    private record At(int index, Reading.Station station, Length place, SectionThroat section, boolean nominal) {}

    private record Marked(int index, Span span, SpanSet where, RealLength throat, boolean nominal) {}

    /** A place under the nominal throat. */
    private record Low(boolean indication, int index, Span span, RealLength throat) {}

    ThroatSizeCheck(Inspection inspection, Rule.ThroatSize rule) {
        this.inspection = inspection;
        this.joint = inspection.joint();
        this.rule = rule;
        this.unit = inspection.units();
        this.ruler = joint.ruler();
        SpanSet welded = ShortSums.welded(joint);
        SectionThroat.Reader sections = new SectionThroat.Reader(joint);
        for (Occurrence<Reading.Station> f : Occurrence.readings(inspection, Reading.Station.class)) {
            Length place = ruler.place(f.what().at());
            boolean onWeld = ruler.isOn(welded, f.what().at());
            sections.of(f.what())
                    .ifPresent(t -> (onWeld ? stations : off)
                            .add(new At(f.index(), f.what(), place, t, isNominal(f.what(), t))));
        }
        List<Span> blades = new ArrayList<>();
        for (Occurrence<Reading.Blade> f : Occurrence.readings(inspection, Reading.Blade.class)) {
            RealLength size = RealLength.of(f.what().atLeast());
            RealLength throat =
                    joint.throat().isPresent() ? size : joint.dihedral().throatOf(size, joint.legs());
            if (!throat.isUnder(rule.nominal())) {
                blades.addAll(ruler.straight(List.of(f.what().span())).spans());
            }
        }
        bladeTried = !Occurrence.readings(inspection, Reading.Blade.class).isEmpty();
        goes = SpanSet.of(blades);
        for (Occurrence<Undersize> f : Occurrence.indications(inspection, Undersize.class)) {
            Length read = f.what().least();
            boolean nominal = read.unit() != unit
                    && SectionSize.nominalPair(read)
                            .filter(p -> !throatOf(p).isUnder(rule.nominal()))
                            .isPresent()
                    && throatOf(read).isUnder(rule.nominal());
            marked.add(new Marked(
                    f.index(), f.what().span(), ruler.on(welded, f.what().span()), throatOf(read), nominal));
        }
        marks = SpanSet.of(
                marked.stream().flatMap(m -> m.where().spans().stream()).toList());
    }

    private boolean isNominal(Reading.Station s, SectionThroat t) {
        return t.throat().isUnder(rule.nominal())
                && SectionThroat.nominal(joint, s, unit)
                        .filter(p -> !p.isUnder(rule.nominal()))
                        .isPresent();
    }

    private RealLength throatOf(Length least) {
        RealLength l = RealLength.of(least);
        return joint.throat().isPresent() ? l : joint.dihedral().throatOf(l, joint.sizeMeans());
    }

    private String shown(RealLength l) {
        return l.shownWithUnit(unit);
    }

    void judge(Finding.Builder finding) {
        RealLength least = rule.nominal().minus(rule.under().base());
        String under = rule.under().isNone() ? "no place under it" : "short imperfections down to " + shown(least);
        finding.allowed("throat " + shown(rule.nominal()) + ", " + under)
                .trace("nominal throat " + shown(rule.nominal())
                        + (rule.under().isNone()
                                ? "; no place under it"
                                : "; under it by at most " + shown(rule.under().base()) + " ("
                                        + rule.under().reckoned() + ")"));
        finding.traceEach(stations, this::line);
        List<Low> low = low();
        List<Low> tooLow = low.stream().filter(l -> l.throat().isUnder(least)).toList();
        SpanSet exact = SpanSet.of(marked.stream()
                .filter(m -> !m.nominal() && m.throat().isUnder(rule.nominal()))
                .flatMap(m -> m.where().spans().stream())
                .toList());
        UndersizePortion between =
                new UndersizePortion(ruler, ShortSums.welded(joint), marks.union(goes), againstNominal());
        Length allowed = ShortSums.allowed(rule.shortRun(), joint);
        WorstWindow surely = window(exact.union(between.atLeast()));
        WorstWindow perhaps = window(exact.union(between.atMost()));
        if (!low.isEmpty() && !rule.under().isNone()) {
            finding.trace("under the nominal throat: at least "
                    + surely.sum().in(unit).shown() + ", at most "
                    + perhaps.sum().in(unit).shownWithUnit() + " in the worst "
                    + rule.shortRun().window().shownWithUnit() + "; " + allowed.shownWithUnit() + " allowed");
        }
        if (!tooLow.isEmpty()) {
            rejectLow(finding, tooLow, least);
        } else if (surely.sum().isOver(allowed)) {
            sum(finding, surely, allowed, low)
                    .reject(Why.UNDER_THROAT_ALONG.of(
                            surely.sum().in(unit),
                            surely.span(),
                            allowed,
                            rule.shortRun().window()));
        } else {
            incompletes(finding, surely, perhaps, allowed, low);
            if (finding.isOpen()) {
                accept(finding, perhaps, allowed, low);
            }
        }
    }

    private String line(At a) {
        return "at " + a.station().at().shown() + ": " + a.section().how() + " → throat "
                + a.section().throat().in(unit).shown()
                + (a.section().isWhole() ? "" : " at most (can only reject)")
                + (a.section().isFaceAssumed() ? "; face taken as flat" : "");
    }

    private WorstWindow window(SpanSet low) {
        return new WorstWindow(ruler, List.of(low), rule.shortRun().window());
    }

    private List<Low> low() {
        List<Low> low = new ArrayList<>();
        for (At a : stations) {
            if (!a.nominal() && a.section().throat().isUnder(rule.nominal())) {
                low.add(new Low(
                        false, a.index(), a.station().span(), a.section().throat()));
            }
        }
        for (Marked m : marked) {
            if (!m.nominal() && m.throat().isUnder(rule.nominal())) {
                low.add(new Low(true, m.index(), m.span(), m.throat()));
            }
        }
        return low;
    }

    private List<UndersizePortion.Station> againstNominal() {
        return stations.stream()
                .filter(a -> !a.nominal())
                .filter(a -> a.section().isWhole() || a.section().throat().isUnder(rule.nominal()))
                .map(a -> new UndersizePortion.Station(
                        a.place(), a.section().throat().isUnder(rule.nominal())))
                .toList();
    }

    private void rejectLow(Finding.Builder finding, List<Low> tooLow, RealLength least) {
        Low worst = tooLow.get(0);
        for (Low l : tooLow) {
            worst = l.throat().isUnder(worst.throat()) ? l : worst;
        }
        decide(number(finding, worst, least), tooLow)
                .reject(Why.THROAT_UNDER_LEAST.of(
                        shown(worst.throat()), worst.span(), shown(rule.nominal()), shown(least)));
    }

    private Finding.Builder number(Finding.Builder finding, Low l, RealLength least) {
        Length measured = l.throat().rounded().in(unit);
        Length wanted = least.rounded().in(unit);
        return finding.measured("throat " + shown(l.throat()))
                .allowed("at least " + shown(least))
                .margin(measured.minus(wanted))
                .numbers(Finding.Numbers.atLeast(measured, wanted))
                .span(l.span());
    }

    private static Finding.Builder decide(Finding.Builder finding, List<Low> low) {
        return finding.indications(
                        low.stream().filter(Low::indication).map(Low::index).toList())
                .readings(low.stream()
                        .filter(l -> !l.indication())
                        .map(Low::index)
                        .toList());
    }

    private Finding.Builder sum(Finding.Builder finding, WorstWindow w, Length allowed, List<Low> low) {
        finding.measured(w.sum().in(unit).shownWithUnit() + " under the throat")
                .margin(allowed.minus(w.sum()))
                .numbers(Finding.Numbers.atMost(w.sum().in(unit), allowed.in(unit)))
                .span(w.span());
        return decide(finding, low);
    }

    private void incompletes(
            Finding.Builder finding, WorstWindow surely, WorstWindow perhaps, Length allowed, List<Low> low) {
        for (At a : stations) {
            if (a.nominal()) {
                finding.readings(List.of(a.index()))
                        .span(a.station().span())
                        .incomplete(
                                Why.OTHER_SYSTEM_NAME.of(
                                        a.section().how(), a.station().at()),
                                Ask.Kind.READ_SIZE_IN_UNITS.of(a.station().at()));
            }
        }
        for (Marked m : marked) {
            if (m.nominal()) {
                finding.indications(List.of(m.index()))
                        .span(m.span())
                        .incomplete(Why.OTHER_SYSTEM_NAME_LEAST_SIZE.of(), Ask.Kind.READ_SIZE_IN_UNITS.of(m.span()));
            }
        }
        off.forEach(a -> FilletSizeCheck.offTheWeld(
                finding.readings(List.of(a.index())), a.station().span()));
        marked.stream()
                .filter(m -> m.where().isEmpty())
                .forEach(m -> FilletSizeCheck.offTheWeld(finding.indications(List.of(m.index())), m.span()));
        if (perhaps.sum().isOver(allowed)) {
            sum(finding, perhaps, allowed, low)
                    .incomplete(
                            Why.THROAT_PORTION_UNSURE.of(
                                    surely.sum().in(unit),
                                    perhaps.sum().in(unit),
                                    allowed,
                                    rule.shortRun().window()),
                            Ask.Kind.MARK_THROAT.of(rule.nominal().in(unit), perhaps.span()));
        }
        List<Length> places = stations.stream()
                .filter(a -> a.section().isWhole())
                .map(At::place)
                .toList();
        List<Ask> missing = new SizeEvidenceCheck(
                        rule.evidence(),
                        ruler,
                        goes.union(marks).union(inspection.coveredStretches(Criterion.SIZE)),
                        places)
                .missing(joint.segments());
        boolean nothing = stations.isEmpty() && marked.isEmpty() && !bladeTried;
        for (Ask line : nothing && !missing.isEmpty() ? missing.subList(0, 1) : missing) {
            finding.incomplete(nothing ? Why.SIZE_NOT_MEASURED.of() : Why.SIZE_NOT_READ_ENOUGH.of(), line);
        }
    }

    private void accept(Finding.Builder finding, WorstWindow perhaps, Length allowed, List<Low> low) {
        for (At a : stations) {
            RealLength limit = a.section().throat().isUnder(rule.nominal())
                    ? rule.nominal().minus(rule.under().base())
                    : rule.nominal();
            finding.nearLimit(GaugeLimit.isNear(
                    a.section().throat().minus(limit).rounded(), a.station().division()));
        }
        if (perhaps.sum().isPositive()) {
            sum(finding, perhaps, allowed, low)
                    .accept(Why.UNDER_THROAT_SHORT.of(perhaps.sum().in(unit)));
            return;
        }
        Optional<At> least = stations.stream()
                .filter(a -> !a.nominal())
                .min((a, b) -> a.section().throat().compareTo(b.section().throat()));
        finding.readings(stations.stream().map(At::index).toList())
                .indications(marked.stream().map(Marked::index).toList());
        if (least.isPresent()) {
            At a = least.get();
            number(
                            finding,
                            new Low(
                                    false,
                                    a.index(),
                                    a.station().span(),
                                    a.section().throat()),
                            a.section().throat().isUnder(rule.nominal())
                                    ? rule.nominal().minus(rule.under().base())
                                    : rule.nominal())
                    .accept(Why.THROAT_SIZE_KEPT.of(
                            shown(rule.nominal()),
                            a.section().throat().in(unit),
                            a.station().at()));
        } else {
            finding.measured("blade goes").accept(Why.BLADE_GOES.of());
        }
    }
}
