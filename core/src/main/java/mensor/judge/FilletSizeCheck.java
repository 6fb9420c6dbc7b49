package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import mensor.criteria.Openings;
import mensor.criteria.Rule;
import mensor.inspection.Criterion;
import mensor.inspection.Inspection;
import mensor.judge.FilletSizes.At;
import mensor.judge.FilletSizes.Blade;
import mensor.judge.FilletSizes.GapStretch;
import mensor.judge.FilletSizes.Marked;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import mensor.weld.Gap;
import mensor.weld.Joint;

/**
 * The leg size of a fillet, in the drawing's meaning: how far under a single reading may lie, how much of the length may
 * be under at all, what a fit-up gap adds, and whether enough was read to accept it.
 */
final class FilletSizeCheck {
    /** Of hundreds of openings nobody reads every line. */
    private static final int MOST_OPENINGS = 30;

    private final Inspection inspection;
    private final Joint joint;
    private final Rule.FilletSize rule;
    private final Unit unit;
    private final Ruler ruler;
    private final FilletSizes sizes;
    private final RealLength size;
    private final Length underrun;
    private final List<GapStretch> enlarged;
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
        List<Short> tooSmall = tooSmall(RealLength.of(underrun));
        FilletPortion portion = new FilletPortion(joint, rule, unit, sizes);
        portion.trace(finding);
        List<Gap> openings = openingsOver();
        boolean refer = !openings.isEmpty() && mayBeReferred(openings);
        if (!tooSmall.isEmpty()) {
            rejectTooSmall(finding, tooSmall);
        } else if (!portion.surelyBarred().isEmpty()) {
            portion.decide(finding)
                    .span(portion.surelyBarred().spans().get(0))
                    .reject(Why.UNDERRUN_BARRED.of(
                            portion.surelyBarred().spans().get(0)));
        } else if (portion.rejects()) {
            portion.decide(finding)
                    .reject(Why.UNDERSIZE_PORTION_OVER.of(
                            portion.atLeast(), joint.weldedLength().in(unit), tenth()));
        } else if (!openings.isEmpty() && !refer) {
            Gap gap = openings.get(0);
            Length most = rule.openings().orElseThrow().most();
            finding.atMost(gap.opening().in(unit), most)
                    .span(gap.span())
                    .reject(Why.OPENING_OVER.of(gap.opening(), gap.span(), most));
        } else {
            incompletes(finding, portion, refer ? openings : List.of());
            if (finding.isOpen()) {
                accept(finding, portion);
            }
        }
    }

    /**
     * For the contract's own underrun, as its number and as a leg in the drawing's meaning: rejects what is further under, else wants
     * the evidence that the size wants.
     */
    void judgeUnderrun(Finding.Builder finding, Length most, RealLength asLeg) {
        finding.allowed("at most " + most.shownWithUnit() + " under");
        List<Short> tooSmall = tooSmall(asLeg);
        if (!tooSmall.isEmpty()) {
            rejectTooSmall(finding, tooSmall);
            return;
        }
        List<Ask> missing = missingEvidence();
        offTheWeld(finding);
        barred(finding, new FilletPortion(joint, rule, unit, sizes));
        if (!finding.isOpen()) {
            return;
        }
        if (stations.isEmpty() && blades.isEmpty() && marked.isEmpty()) {
            finding.incomplete(Why.SIZE_NOT_MEASURED.of(), first(missing));
        } else if (!missing.isEmpty()) {
            finding.incomplete(Why.SIZE_READ_TOO_LITTLE.of(), missing.get(0));
        } else {
            measuredLeast().ifPresent(l -> finding.measured(l.section().size().shownWithUnit(unit)));
            finding.accept(Why.SIZE_WITHIN_CONTRACT.of());
        }
    }

    /** What covers stretches replaces the readings there, never all. */
    private Ask first(List<Ask> missing) {
        return missing.isEmpty() ? Ask.Kind.READ_STRETCH.of(ruler.whole()) : missing.get(0);
    }

    private Length tenth() {
        return joint.weldedLength().dividedBy(rule.portionDivisor()).in(unit);
    }

    private void traceWanted(Finding.Builder finding) {
        joint.throat()
                .ifPresent(t -> finding.trace(
                        "drawn throat " + t.in(unit).shownWithUnit() + " = leg " + size.shownWithUnit(unit)));
        finding.trace("size required " + size.shownWithUnit(unit) + "; a reading may be under by "
                + underrun.shownWithUnit() + ", along at most 10% of the length");
        List<GapStretch> shown = enlarged.size() > MOST_OPENINGS ? enlarged.subList(0, MOST_OPENINGS) : enlarged;
        for (GapStretch e : shown) {
            for (Span s : e.where().spans()) {
                finding.trace("fit-up opening " + e.opening().shown() + " at " + s.shown() + ": required there "
                        + size.in(unit).shown() + " + " + e.opening().shown() + " = "
                        + e.wanted().shownWithUnit(unit));
            }
        }
        if (shown.size() < enlarged.size()) {
            finding.trace("and " + (enlarged.size() - shown.size()) + " more openings");
        }
        if (sizes.isDemonstrated()) {
            finding.trace("the throat over the fit-up gap is demonstrated: "
                    + inspection.coveredBy(Criterion.SIZE).orElseThrow());
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
    private List<Short> tooSmall(RealLength under) {
        List<Short> found = new ArrayList<>();
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
            if (!m.nominal()) {
                shortest(m, under).ifPresent(found::add);
            }
        }
        return found;
    }

    /** The part of a marked stretch that is furthest under what it may be, where one is. */
    private Optional<Short> shortest(Marked m, RealLength under) {
        Short worst = null;
        for (FilletSizes.Part p : sizes.parts(m)) {
            RealLength least = p.underrunBarred() ? p.wanted() : p.wanted().minus(under);
            if (m.least().isUnder(least) && (worst == null || least.isOver(worst.least()))) {
                worst = new Short(true, m.index(), m.what().span(), m.least(), p.wanted(), least);
            }
        }
        return Optional.ofNullable(worst);
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
                .reject(Why.UNDERSIZE.of(
                        worst.measured().shownWithUnit(unit),
                        worst.span(),
                        worst.wanted().in(unit),
                        barred ? noUnderrun() : worst.least().in(unit).shown() + " is the least at any place"));
    }

    private String noUnderrun() {
        Length continuous = rule.underrunOf(size);
        return FilletSizes.isUnderrunWithheld(inspection) && continuous.isPositive()
                ? "an intermittent weld has no underrun on the careful reading; continuous welds may be under by "
                        + continuous.shown() + ": agree the reading"
                : "no underrun allowed there";
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
        Openings o = rule.openings().orElseThrow();
        boolean thick = joint.members().stream().noneMatch(m -> m.thickness().isUnder(o.thickParts()));
        return thick && !openings.get(0).opening().isOver(o.thick());
    }

    private void incompletes(Finding.Builder finding, FilletPortion portion, List<Gap> referred) {
        for (Gap g : referred) {
            finding.span(g.span())
                    .incomplete(Why.OPENING_REFERRED.of(g.opening()), Ask.Kind.REFER_OPENING.of(g.span()));
        }
        for (At at : stations) {
            if (at.nominal()) {
                finding.readings(List.of(at.index()))
                        .span(at.station().span())
                        .incomplete(
                                Why.OTHER_SYSTEM_NAME.of(
                                        at.section().governing(), at.station().at()),
                                Ask.Kind.READ_SIZE_IN_UNITS.of(at.station().at()));
            }
        }
        for (Marked m : marked) {
            if (m.nominal()) {
                finding.indications(List.of(m.index()))
                        .span(m.what().span())
                        .incomplete(
                                Why.OTHER_SYSTEM_NAME_LEAST.of(m.what().least()),
                                Ask.Kind.READ_SIZE_IN_UNITS.of(m.what().span()));
            }
        }
        offTheWeld(finding);
        barred(finding, portion);
        if (portion.isOpen()) {
            portion.decide(finding)
                    .incomplete(
                            Why.PORTION_UNSURE.of(portion.atLeast(), portion.atMost(), tenth()),
                            Ask.Kind.MARK_BLADE.of(size.in(unit), portion.firstUnsure()));
        }
        if (stations.isEmpty() && blades.isEmpty() && marked.isEmpty()) {
            finding.incomplete(Why.SIZE_NOT_MEASURED.of(), first(missingEvidence()));
            return;
        }
        for (Ask line : missingEvidence()) {
            finding.incomplete(Why.SIZE_NOT_READ_ENOUGH.of(), line);
        }
    }

    /** What was read where the drawing has no weld speaks for no size. */
    private void offTheWeld(Finding.Builder finding) {
        for (At at : sizes.stationsOff()) {
            offTheWeld(finding.readings(List.of(at.index())), at.station().span());
        }
        for (Marked m : marked) {
            if (m.isOffWeld()) {
                offTheWeld(finding.indications(List.of(m.index())), m.what().span());
            }
        }
    }

    static void offTheWeld(Finding.Builder finding, Span where) {
        finding.span(where).incomplete(Why.OFF_THE_WELD.of(where), Ask.Kind.CORRECT_PLACE.of(where));
    }

    /** Between a good and a low station the weld may be under size near a girder's end, where it must not be at all. */
    private void barred(Finding.Builder finding, FilletPortion portion) {
        for (Span near : portion.perhapsBarred().spans()) {
            finding.span(near)
                    .incomplete(Why.MAYBE_UNDERSIZE_WHERE_BARRED.of(near), Ask.Kind.READ_SIZE_NEAR_GIRDER_END.of(near));
        }
    }

    private List<Ask> missingEvidence() {
        TreeSet<Length> places = new TreeSet<>();
        stations.stream().filter(a -> a.section().isWhole()).forEach(a -> places.add(a.place()));
        SpanSet marks = SpanSet.of(
                marked.stream().flatMap(m -> m.where().spans().stream()).toList());
        SpanSet goes = sizes.bladesOf(size);
        List<Ask> missing = new ArrayList<>(new SizeEvidenceCheck(
                        rule.evidence(), ruler, goes.union(marks).union(sizes.coveredAlong()), List.copyOf(places))
                .missing(joint.segments()));
        for (GapStretch e : enlarged) {
            for (Span s : e.where().spans()) {
                boolean read = holdsOne(places, s)
                        || !sizes.bladesOf(e.wanted(), SpanSet.of(List.of(s))).isEmpty()
                        || SpanSet.of(List.of(s)).minus(marks.within(s)).isEmpty();
                if (!read) {
                    missing.add(Ask.Kind.READ_OVER_GAP.of(s, e.wanted().shownWithUnit(unit)));
                }
            }
        }
        return missing;
    }

    private boolean holdsOne(TreeSet<Length> places, Span s) {
        Length next = places.ceiling(s.from());
        boolean atDatum = ruler.closed()
                && s.to().compareTo(ruler.length()) == 0
                && !places.isEmpty()
                && places.first().isZero();
        return next != null && !next.isOver(s.to()) || atDatum;
    }

    private static RealLength left(At at) {
        return at.section().size().minus(at.wanted());
    }

    /** The station that is nearest to, or furthest under, what is wanted at its place. */
    private Optional<At> measuredLeast() {
        At least = null;
        for (At at : stations) {
            boolean tighter = least == null || left(at).isUnder(left(least));
            least = tighter ? at : least;
        }
        return Optional.ofNullable(least);
    }

    private void accept(Finding.Builder finding, FilletPortion portion) {
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
        if (portion.atMost().isPositive()) {
            portion.decide(finding)
                    .accept(Why.PORTION_WITHIN.of(portion.isExact() ? "" : "at most ", portion.atMost(), underrun));
            return;
        }
        Optional<At> least = measuredLeast();
        if (least.isPresent()) {
            At at = least.get();
            RealLength limit = at.isLow() ? at.wanted().minus(RealLength.of(underrun)) : at.wanted();
            Length measured = at.section().size().rounded().in(unit);
            Length allowed = limit.rounded().in(unit);
            String where = at.section().size().in(unit).shown() + " at "
                    + at.station().at().shown();
            finding.measured("least " + at.section().size().shownWithUnit(unit))
                    .margin(measured.minus(allowed))
                    .numbers(Finding.Numbers.atLeast(measured, allowed))
                    .span(at.station().span())
                    .accept(
                            at.isLow()
                                    ? Why.BLADE_GOES_LEAST.of(where, limit.shownWithUnit(unit))
                                    : Why.NOTHING_UNDER.of(at.wanted().shownWithUnit(unit), where));
        } else {
            finding.measured("blade goes").accept(Why.BLADE_GOES.of());
        }
    }
}
