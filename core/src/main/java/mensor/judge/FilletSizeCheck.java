package mensor.judge;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.criteria.Rule;
import mensor.judge.FilletSizes.At;
import mensor.judge.FilletSizes.Blade;
import mensor.judge.FilletSizes.Enlarged;
import mensor.judge.FilletSizes.Marked;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import mensor.look.Criterion;
import mensor.look.Inspection;
import mensor.weld.Gap;
import mensor.weld.Joint;

/**
 * The leg size of a fillet, in the drawing's meaning: how far under a single reading may lie, how much of the length may
 * be under at all, what a fit-up gap adds, and whether enough was read to accept it.
 */
final class FilletSizeCheck {
    private final Inspection inspection;
    private final Joint joint;
    private final Rule.FilletSize rule;
    private final Unit unit;
    private final Ruler ruler;
    private final FilletSizes sizes;
    private final RealLength size;
    private final Length underrun;
    private final List<Enlarged> enlarged;
    private final List<At> stations;
    private final List<Blade> blades;
    private final List<Marked> marked;

    /** Something measured that is under the least allowed there. */
    private record Short(
            boolean indication, int index, Span span, RealLength measured, RealLength wanted, RealLength least) {
        RealLength by() {
            return least.minus(measured);
        }
    }

    FilletSizeCheck(Inspection inspection, Rule.FilletSize rule) {
        this.inspection = inspection;
        this.joint = inspection.joint();
        this.rule = rule;
        this.unit = inspection.units();
        this.ruler = joint.ruler();
        this.sizes = new FilletSizes(inspection, rule);
        this.size = sizes.size();
        this.underrun = sizes.underrun();
        this.enlarged = sizes.enlarged();
        this.stations = sizes.stations();
        this.blades = sizes.blades();
        this.marked = sizes.marked();
    }

    void judge(Finding.Builder finding) {
        traceWanted(finding);
        finding.allowed(size.shownWithUnit(unit) + ", up to " + underrun.shown() + " under on at most "
                + tenth().shownWithUnit());
        List<Short> tooSmall = tooSmall(underrun);
        Portion portion = new Portion();
        portion.trace(finding);
        List<Gap> openings = openingsOver();
        boolean refer = !openings.isEmpty() && mayBeReferred(openings);
        if (!tooSmall.isEmpty()) {
            rejectTooSmall(finding, tooSmall);
        } else if (portion.rejects()) {
            portion.decide(finding)
                    .reject("at least " + portion.atLeast.shown() + " of "
                            + joint.weldedLength().in(unit).shownWithUnit() + " is under size; "
                            + tenth().shownWithUnit() + " (10%) allowed");
        } else if (!openings.isEmpty() && !refer) {
            Gap gap = openings.get(0);
            Length most = rule.openings().orElseThrow().most();
            finding.atMost(gap.opening().in(unit), most)
                    .span(gap.span())
                    .reject("the fit-up opening of " + gap.opening().shownWithUnit() + " at "
                            + gap.span().shown() + " is over "
                            + most.shownWithUnit());
        } else {
            incompletes(finding, portion, refer ? openings : List.of());
            if (finding.isOpen()) {
                accept(finding, portion);
            }
        }
    }

    /** For the contract's own underrun: rejects what is further under, else wants the evidence that the size wants. */
    void judgeUnderrun(Finding.Builder finding, Length most) {
        finding.allowed("at most " + most.shownWithUnit() + " under");
        List<Short> tooSmall = tooSmall(most);
        if (!tooSmall.isEmpty()) {
            rejectTooSmall(finding, tooSmall);
            return;
        }
        List<String> missing = missingEvidence();
        if (stations.isEmpty() && blades.isEmpty() && marked.isEmpty()) {
            finding.incomplete("not measured yet", missing.get(0));
        } else if (!missing.isEmpty()) {
            finding.incomplete("not enough was read", missing.get(0));
        } else {
            measuredLeast().ifPresent(l -> finding.measured(l.section().size().shownWithUnit(unit)));
            finding.accept("no reading is further under the size than the contract allows");
        }
    }

    private Length tenth() {
        return joint.weldedLength().dividedBy(rule.portionDivisor()).in(unit);
    }

    private void traceWanted(Finding.Builder finding) {
        joint.throat()
                .ifPresent(
                        t -> finding.trace("drawn throat " + t.shownWithUnit() + " = leg " + size.shownWithUnit(unit)));
        finding.trace("size wanted " + size.shownWithUnit(unit) + "; a reading may be under by "
                + underrun.shownWithUnit() + ", along at most 10% of the length");
        for (Enlarged e : enlarged) {
            for (Span s : e.where().spans()) {
                finding.trace("fit-up opening " + e.opening().shown() + " at " + s.shown() + ": wanted there "
                        + size.in(unit).shown() + " + " + e.opening().shown() + " = "
                        + e.wanted().shownWithUnit(unit));
            }
        }
        if (sizes.isDemonstrated()) {
            finding.trace("the throat over the fit-up gap is demonstrated: "
                    + inspection.cover(Criterion.SIZE).orElseThrow().by());
        }
        for (Span zone : sizes.noUnderrun().spans()) {
            finding.trace("no underrun within " + rule.noUnderrunFlanges() + " flange widths of the girder's end: "
                    + zone.shown());
        }
        finding.traceEach(stations, this::line);
    }

    private String line(At at) {
        String against = at.isLow() ? " under " : " against ";
        return "at " + at.station().at().shown() + ": " + at.section().how() + " → "
                + at.section().size().in(unit).shown() + against
                + at.wanted().in(unit).shown()
                + (at.section().isWhole() ? "" : " (can only reject)")
                + (at.section().isFaceAssumed() ? "; face taken as flat" : "");
    }

    /** Every station and mark that is under what is wanted there by more than the underrun. */
    private List<Short> tooSmall(Length allowedUnderrun) {
        List<Short> found = new ArrayList<>();
        RealLength under = RealLength.of(allowedUnderrun);
        for (At at : stations) {
            RealLength least = sizes.isUnderrunBarred(at.place())
                    ? at.wanted()
                    : at.wanted().minus(under);
            if (at.isLow() && at.section().size().isUnder(least)) {
                found.add(new Short(
                        false, at.index(), at.station().span(), at.section().size(), at.wanted(), least));
            }
        }
        for (Marked m : marked) {
            if (m.nominal() || m.where().isEmpty()) {
                continue;
            }
            RealLength wanted = sizes.wantedEverywhere(m.where());
            RealLength least = sizes.isUnderrunBarred(m.where()) ? wanted : wanted.minus(under);
            if (m.least().isUnder(least)) {
                found.add(new Short(true, m.index(), m.what().span(), m.least(), wanted, least));
            }
        }
        return found;
    }

    private void rejectTooSmall(Finding.Builder finding, List<Short> tooSmall) {
        Short worst = tooSmall.get(0);
        for (Short s : tooSmall) {
            worst = s.by().isOver(worst.by()) ? s : worst;
        }
        Length measured = worst.measured().rounded().in(unit);
        Length least = worst.least().rounded().in(unit);
        boolean barred = worst.least().compareTo(worst.wanted()) == 0;
        finding.measured(worst.measured().shownWithUnit(unit))
                .margin(measured.minus(least))
                .numbers(Finding.Numbers.atLeast(measured, least))
                .span(worst.span())
                .indications(tooSmall.stream()
                        .filter(Short::indication)
                        .map(Short::index)
                        .toList())
                .readings(tooSmall.stream()
                        .filter(s -> !s.indication())
                        .map(Short::index)
                        .toList())
                .allowed("at least " + worst.least().shownWithUnit(unit))
                .reject(worst.measured().shownWithUnit(unit) + " at "
                        + worst.span().shown() + "; " + worst.wanted().in(unit).shown() + " wanted, "
                        + (barred
                                ? "no underrun allowed there"
                                : worst.least().in(unit).shown() + " is the least at any place"));
    }

    private List<Gap> openingsOver() {
        if (sizes.isDemonstrated() || rule.openings().isEmpty()) {
            return List.of();
        }
        return joint.gaps().stream()
                .filter(g -> g.opening().isOver(rule.openings().get().most()))
                .sorted((a, b) -> b.opening().compareTo(a.opening()))
                .toList();
    }

    /** Thick parts that cannot be closed may have a greater opening, by referral. */
    private boolean mayBeReferred(List<Gap> openings) {
        Rule.Openings o = rule.openings().orElseThrow();
        boolean thick = joint.members().stream().noneMatch(m -> m.thickness().isUnder(o.thickParts()));
        return thick && !openings.get(0).opening().isOver(o.thick());
    }

    private void incompletes(Finding.Builder finding, Portion portion, List<Gap> referred) {
        for (Gap g : referred) {
            finding.span(g.span())
                    .incomplete(
                            "the fit-up opening of " + g.opening().shownWithUnit() + " on thick parts is referred",
                            "refer the opening at " + g.span().shown() + ", or have the throat demonstrated");
        }
        for (At at : stations) {
            if (at.nominal()) {
                finding.readings(List.of(at.index()))
                        .span(at.station().span())
                        .incomplete(
                                at.section().governing().shownWithUnit() + " at "
                                        + at.station().at().shown()
                                        + " is the other system's name for the size wanted",
                                "read the size at " + at.station().at().shown() + " again in the drawing's units");
            }
        }
        for (Marked m : marked) {
            boolean gapUnsure = enlarged.stream()
                    .anyMatch(e -> !m.where().intersect(e.where()).isEmpty()
                            && m.least().isUnder(e.wanted().minus(RealLength.of(underrun)))
                            && !m.where().minus(e.where()).isEmpty());
            if (m.nominal() || gapUnsure) {
                finding.indications(List.of(m.index()))
                        .span(m.what().span())
                        .incomplete(
                                m.nominal()
                                        ? m.what().least().shownWithUnit()
                                                + " is the other system's name for the size wanted"
                                        : "the least size of the stretch may lie over the fit-up gap",
                                m.nominal()
                                        ? "read the size at " + m.what().span().shown()
                                                + " again in the drawing's units"
                                        : "read the size over the gap within "
                                                + m.what().span().shown());
            }
        }
        if (portion.isOpen()) {
            portion.decide(finding)
                    .incomplete(
                            "between " + portion.atLeast.shown() + " and "
                                    + portion.atMost.shownWithUnit() + " may be under size; "
                                    + tenth().shownWithUnit() + " allowed",
                            "slide the blade and mark where it falls under "
                                    + size.in(unit).shown() + " near " + portion.firstUnsure());
        }
        if (stations.isEmpty() && blades.isEmpty() && marked.isEmpty()) {
            finding.incomplete("not measured yet", missingEvidence().get(0));
            return;
        }
        for (String line : missingEvidence()) {
            finding.incomplete("not enough was read to accept the size", line);
        }
    }

    private List<String> missingEvidence() {
        List<Length> places = stations.stream()
                .filter(a -> a.section().isWhole())
                .map(At::place)
                .toList();
        SpanSet marks = SpanSet.of(
                marked.stream().flatMap(m -> m.where().spans().stream()).toList());
        SpanSet goes = sizes.bladesOf(size);
        List<String> missing = new ArrayList<>(
                new SizeEvidenceCheck(rule.evidence(), ruler, goes.union(marks), places).missing(joint.segments()));
        for (Enlarged e : enlarged) {
            boolean read = e.where().isEmpty()
                    || places.stream().anyMatch(e.where()::covers)
                    || !sizes.bladesOf(e.wanted()).intersect(e.where()).isEmpty()
                    || e.where().minus(marks).isEmpty();
            if (!read) {
                missing.add("read the size over the fit-up gap at "
                        + e.where().spans().get(0).shown() + ": " + e.wanted().shownWithUnit(unit)
                        + " is wanted there");
            }
        }
        return missing;
    }

    private Optional<At> measuredLeast() {
        At least = null;
        for (At at : stations) {
            if (least == null || at.section().size().isUnder(least.section().size())) {
                least = at;
            }
        }
        return Optional.ofNullable(least);
    }

    private void accept(Finding.Builder finding, Portion portion) {
        for (At at : stations) {
            RealLength limit = at.isLow() ? at.wanted().minus(RealLength.of(underrun)) : at.wanted();
            finding.nearLimit(GaugeLimit.isNear(
                    at.section().size().minus(limit).rounded(), at.station().division()));
        }
        for (Blade b : blades) {
            finding.nearLimit(GaugeLimit.isNear(
                    b.atLeast().minus(size).rounded(),
                    inspection.readings().get(b.index()).division()));
        }
        finding.readings(stations.stream().map(At::index).toList())
                .indications(marked.stream().map(Marked::index).toList());
        if (portion.atMost.isPositive()) {
            portion.decide(finding)
                    .accept((portion.isExact() ? "" : "at most ") + portion.atMost.shownWithUnit()
                            + " is under size, within 10% of the length, none by more than " + underrun.shown());
            return;
        }
        Optional<At> least = measuredLeast();
        if (least.isPresent()) {
            At at = least.get();
            Length measured = at.section().size().rounded().in(unit);
            Length wanted = at.wanted().rounded().in(unit);
            finding.measured("least " + at.section().size().shownWithUnit(unit))
                    .margin(measured.minus(wanted))
                    .numbers(Finding.Numbers.atLeast(measured, wanted))
                    .span(at.station().span())
                    .accept("nothing under " + at.wanted().shownWithUnit(unit) + "; least "
                            + at.section().size().in(unit).shown() + " at "
                            + at.station().at().shown());
        } else {
            finding.measured("blade goes").accept("the blade goes along the weld");
        }
    }

    /** What is under size: known exactly where it was marked, bounded between low and good stations. */
    private final class Portion {
        private final SpanSet surely;
        private final SpanSet perhaps;
        private final Length atLeast;
        private final Length atMost;

        Portion() {
            SpanSet marks = SpanSet.of(marked.stream()
                    .filter(m -> !m.nominal())
                    .flatMap(m -> m.where().spans().stream())
                    .toList());
            SpanSet exact = lowMarks(sizes.welded(), size);
            UndersizePortion base = new UndersizePortion(
                    ruler, sizes.welded(), marks.union(sizes.bladesOf(size)), stationsAgainst(size, stations));
            SpanSet least = exact.union(base.atLeast());
            SpanSet most = exact.union(base.atMost());
            for (Enlarged e : enlarged) {
                List<At> here = stations.stream()
                        .filter(a -> e.where().covers(a.place()))
                        .toList();
                UndersizePortion overGap = new UndersizePortion(
                        ruler, e.where(), marks.union(sizes.bladesOf(e.wanted())), stationsAgainst(e.wanted(), here));
                SpanSet low = lowMarks(e.where(), e.wanted());
                least = least.union(low).union(overGap.atLeast());
                most = most.union(low).union(overGap.atMost());
            }
            surely = least;
            perhaps = most;
            atLeast = least.total(unit);
            atMost = most.total(unit);
        }

        private SpanSet lowMarks(SpanSet where, RealLength wanted) {
            return SpanSet.of(marked.stream()
                            .filter(m -> !m.nominal() && m.least().isUnder(wanted))
                            .flatMap(m -> m.where().spans().stream())
                            .toList())
                    .intersect(where);
        }

        /** Low and good stations; one that only could reject is no good station, one to be read again is neither. */
        private List<UndersizePortion.Station> stationsAgainst(RealLength wanted, List<At> of) {
            return of.stream()
                    .filter(a -> !a.nominal())
                    .filter(a -> a.section().isWhole() || a.section().size().isUnder(wanted))
                    .map(a -> new UndersizePortion.Station(
                            a.place(), a.section().size().isUnder(wanted)))
                    .toList();
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

        String firstUnsure() {
            List<Span> unsure = perhaps.minus(surely).spans();
            return unsure.isEmpty() ? "the low readings" : unsure.get(0).shown();
        }

        void trace(Finding.Builder finding) {
            for (Span s : surely.spans()) {
                finding.trace("under size for sure: " + s.shown());
            }
            for (Span s : perhaps.minus(surely).spans()) {
                finding.trace("may be under size: " + s.shown());
            }
            if (atMost.isPositive()) {
                finding.trace("under size: at least " + atLeast.shownWithUnit() + ", at most " + atMost.shownWithUnit()
                        + "; 10% of " + joint.weldedLength().in(unit).shownWithUnit() + " is "
                        + tenth().shownWithUnit());
            }
        }

        Finding.Builder decide(Finding.Builder finding) {
            Length decisive = rejects() ? atLeast : atMost;
            SpanSet places = rejects() ? surely : perhaps;
            if (!places.isEmpty()) {
                finding.span(new Span(
                        places.spans().get(0).from(),
                        places.spans().get(places.spans().size() - 1).to()));
            }
            finding.indications(marked.stream()
                            .filter(m -> m.least().isUnder(size)
                                    || enlarged.stream()
                                            .anyMatch(e -> !m.where()
                                                            .intersect(e.where())
                                                            .isEmpty()
                                                    && m.least().isUnder(e.wanted())))
                            .map(Marked::index)
                            .toList())
                    .readings(stations.stream().filter(At::isLow).map(At::index).toList());
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
}
