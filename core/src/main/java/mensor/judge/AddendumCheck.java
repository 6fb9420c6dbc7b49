package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import mensor.criteria.CriteriaBook;
import mensor.criteria.Rule;
import mensor.criteria.SizeEvidence;
import mensor.inspection.Addendum;
import mensor.inspection.ArcStrike;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.inspection.Spatter;
import mensor.inspection.Undercut;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.weld.Toe;

/** One of the contract's own limits: a finding of its own, incomplete where nothing that it needs was read or cleared. */
final class AddendumCheck {
    private final Inspection inspection;
    private final CriteriaBook book;
    private final Addendum addendum;
    private final Finding.Builder finding;

    AddendumCheck(Inspection inspection, CriteriaBook book, Addendum addendum, Finding.Builder finding) {
        this.inspection = inspection;
        this.book = book;
        this.addendum = addendum;
        this.finding = finding;
    }

    Finding judge() {
        switch (addendum.kind()) {
            case UNDERCUT_DEPTH -> depths(toes(), "undercut");
            case UNDERCUT_EXCEPTION_OFF -> exceptionOff();
            case POROSITY_DIAMETER -> depths(seen(Porosity.class), "pore");
            case POROSITY_NONE ->
                none(
                        seen(Porosity.class).stream()
                                .filter(m -> m.depth().isPositive())
                                .toList(),
                        "pores");
            case ARC_STRIKE_NONE -> none(places(ArcStrike.class), "arc strikes");
            case SPATTER_NONE -> none(places(Spatter.class), "spatter");
            case REINFORCEMENT_MAX -> reinforcement();
            case CONVEXITY_MAX -> convexity();
            case BEAD_WIDTH_MAX -> depthsRead(Reading.Station::faceWidth, "bead width", "read the bead width");
            case SIZE_UNDERRUN -> underrun();
            case MELT_THROUGH_MAX -> root(RootCheck.meltThrough(inspection), "melt-through");
            case ROOT_CONCAVITY_MAX -> root(RootCheck.concavity(inspection), "root concavity");
        }
        if (finding.isOpen()) {
            NothingRecorded.answer(inspection, addendum.kind().criterion(), finding);
        }
        return finding.build();
    }

    private Length max() {
        return addendum.max().orElseThrow().in(inspection.units());
    }

    private <T extends Indication> List<DepthCheck.Measured> seen(Class<T> kind) {
        return Occurrence.indications(inspection, kind).stream()
                .map(DepthCheck.Measured::of)
                .toList();
    }

    private List<DepthCheck.Measured> toes() {
        return Occurrence.indications(inspection, Undercut.class).stream()
                .filter(f -> f.what().toe() != Toe.ROOT)
                .map(DepthCheck.Measured::of)
                .toList();
    }

    private <T extends Indication> List<DepthCheck.Measured> places(Class<T> kind) {
        List<DepthCheck.Measured> places = new ArrayList<>();
        for (Occurrence<T> f : Occurrence.indications(inspection, kind)) {
            places.add(new DepthCheck.Measured(
                    false, f.index(), f.what().span(), Length.zero(inspection.units()), java.util.Optional.empty()));
        }
        return places;
    }

    private void depths(List<DepthCheck.Measured> measured, String what) {
        finding.allowed(max().shownWithUnit());
        if (!measured.isEmpty()) {
            DepthCheck.atMost(finding, measured, max(), inspection.units(), what);
        }
    }

    private void none(List<DepthCheck.Measured> found, String what) {
        finding.allowed("none");
        if (!found.isEmpty()) {
            finding.measured(found.size() + " recorded")
                    .span(found.get(0).span())
                    .indications(found.stream().map(DepthCheck.Measured::index).toList())
                    .reject(Why.NONE_BY_CONTRACT.of(what, found.get(0).span()));
        }
    }

    private void depthsRead(Function<Reading.Station, java.util.Optional<Length>> measure, String what, String ask) {
        List<DepthCheck.Measured> read = read(measure);
        depths(read, what);
        if (read.isEmpty()) {
            finding.incomplete(Why.NOT_READ.of(), Ask.Kind.READ_BY_CONTRACT.of(ask));
        }
    }

    private List<DepthCheck.Measured> read(Function<Reading.Station, java.util.Optional<Length>> measure) {
        return Occurrence.readings(inspection, Reading.Station.class).stream()
                .filter(f -> measure.apply(f.what()).isPresent())
                .map(f ->
                        DepthCheck.Measured.ofReading(f, measure.apply(f.what()).get()))
                .toList();
    }

    private void exceptionOff() {
        boolean excepts = book.rule(Criterion.UNDERCUT, inspection.joint(), inspection.units())
                        instanceof Rule.Undercut u
                && u.depths().values().stream().anyMatch(d -> d.exception().isPresent());
        List<Occurrence<Undercut>> found = Occurrence.indications(inspection, Undercut.class).stream()
                .filter(f -> f.what().toe() != Toe.ROOT)
                .toList();
        if (!excepts) {
            if (!found.isEmpty()) {
                finding.indications(Occurrence.indices(found)).accept(Why.NO_EXCEPTION_TO_TAKE_AWAY.of());
            }
            return;
        }
        Rule.Undercut rule = (Rule.Undercut) book.rule(Criterion.UNDERCUT, inspection.joint(), inspection.units());
        List<Occurrence<Undercut>> over = found.stream()
                .filter(f ->
                        f.what().deep().isOver(rule.depths().get(f.what().toe()).anyLength()))
                .toList();
        finding.allowed("no accumulated exception");
        if (!over.isEmpty()) {
            Undercut first = over.get(0).what();
            Length limit = rule.depths().get(first.toe()).anyLength();
            finding.atMost(first.deep().in(inspection.units()), limit)
                    .span(first.span())
                    .indications(Occurrence.indices(over))
                    .reject(Why.EXCEPTION_TAKEN_AWAY.of(first.deep(), first.span(), limit));
        } else if (!found.isEmpty()) {
            finding.indications(Occurrence.indices(found)).accept(Why.EXCEPTION_NOT_NEEDED.of());
        }
    }

    private void reinforcement() {
        List<DepthCheck.Measured> read = read(Reading.Station::reinforcement);
        if (read.isEmpty() && inspection.joint().isFillet()) {
            finding.notApplicable(Why.FILLET_HAS_NO_REINFORCEMENT.of());
        } else {
            depths(read, "reinforcement");
        }
    }

    private void convexity() {
        depths(read(Reading.Station::convexity), "convexity");
        if (!finding.isOpen() || !inspection.joint().dihedral().isSquare()) {
            return;
        }
        for (Occurrence<Reading.Station> f : Occurrence.readings(inspection, Reading.Station.class)) {
            Reading.Station s = f.what();
            if (s.legA().isEmpty() || s.legB().isEmpty() || s.throat().isEmpty()) {
                continue;
            }
            var computed = ConvexityCheck.computedConvexity(s);
            finding.readings(List.of(f.index())).span(s.span());
            if (computed.isOver(RealLength.of(max()))) {
                finding.incomplete(Why.CONVEXITY_HINTED.of(s.at(), computed), Ask.Kind.READ_CONVEXITY.of(s.at()));
                return;
            }
            finding.accept(Why.CONVEXITY_WITHIN_CONTRACT.of());
        }
    }

    private void underrun() {
        if (!inspection.joint().isFillet()) {
            finding.notApplicable(Why.SIZE_OF_FILLETS_ONLY.of());
            return;
        }
        Rule booksRule = book.rule(Criterion.SIZE, inspection.joint(), inspection.units());
        boolean byThroat = booksRule.leaves().anyMatch(Rule.ThroatSize.class::isInstance)
                && inspection.joint().throat().isPresent();
        RealLength most = RealLength.of(max());
        // where a throat is drawn and judged, the contract's number is of the throat; sizes are compared as legs
        RealLength asLeg = byThroat
                ? inspection.joint().dihedral().legOf(most, inspection.joint().sizeMeans())
                : most;
        new FilletSizeCheck(inspection, legs(booksRule)).judgeUnderrun(finding, max(), asLeg);
    }

    private void root(List<DepthCheck.Measured> found, String what) {
        if (!inspection.joint().oneSided() && !RootCheck.isRecorded(inspection)) {
            finding.notApplicable(Why.ROOT_NOT_ONE_SIDED.of());
            return;
        }
        depths(found, what);
    }

    /** A book that judges throats has no rule for legs: theirs are read as the contract's, with that book's evidence. */
    private Rule.FilletSize legs(Rule rule) {
        return rule.leaves()
                .filter(Rule.FilletSize.class::isInstance)
                .map(Rule.FilletSize.class::cast)
                .findFirst()
                .orElseGet(() -> Rule.FilletSize.legsAlone(
                        Length.zero(inspection.units()),
                        inspection.units().pick(SizeEvidence.inches(), SizeEvidence.millimetres())));
    }
}
