package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mensor.criteria.Confidence;
import mensor.criteria.Rule;
import mensor.inspection.Criterion;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.Underfill;
import mensor.inspection.Undersize;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.weld.Joint;
import mensor.weld.Penetration;

/** The face and the size of a groove: how high it stands, how far below it lies, underfill, and a throat that was read. */
final class GrooveFaceCheck {
    private final Inspection inspection;

    GrooveFaceCheck(Inspection inspection) {
        this.inspection = inspection;
    }

    /** Judges the heights that were read and the underfill that was seen; leaves the finding open where nothing was. */
    void height(Finding.Builder finding, Rule.FaceHeight rule) {
        finding.trace(rule.reckoned()).confidence(rule.confidence());
        List<DepthCheck.Measured> above = new ArrayList<>();
        for (DepthCheck.Measured m : read(Reading.Station::reinforcement)) {
            finding.trace(
                    "reinforcement " + shown(m.depth()) + " at " + m.span().shown());
            if (!m.depth().isNegative()) {
                above.add(m);
            }
        }
        Finding.Builder high = finding.fresh();
        if (!above.isEmpty()) {
            DepthCheck.atMost(high, above, rule.most(), inspection.units(), "reinforcement");
        }
        Finding.Builder low = finding.fresh();
        below(low, rule.below());
        new WorstPart(finding).add("", high.build()).add("", low.build()).settle();
    }

    /** How far the face lies below the surface: underfill that was seen, and heights that were read below zero. */
    private void below(Finding.Builder finding, Length most) {
        List<DepthCheck.Measured> known = new ArrayList<>();
        List<Occurrence<Underfill>> unknown = new ArrayList<>();
        for (Occurrence<Underfill> f : Occurrence.indications(inspection, Underfill.class)) {
            if (f.what().depth().isPresent()) {
                known.add(DepthCheck.Measured.of(f));
            } else {
                unknown.add(f);
            }
        }
        for (DepthCheck.Measured m : read(Reading.Station::reinforcement)) {
            if (m.depth().isNegative()) {
                known.add(m.ofDepth(m.depth().negate()));
            }
        }
        if (!known.isEmpty()) {
            DepthCheck.atMost(finding, known, most, inspection.units(), "face below the surface by");
        }
        boolean rejects = !finding.isOpen() && finding.build().verdict() == Verdict.REJECT;
        if (unknown.isEmpty() || rejects) {
            return;
        }
        Span first = unknown.get(0).what().span();
        finding.indications(Occurrence.indices(unknown))
                .span(first)
                .measured("underfill")
                .allowed(most.isZero() ? "none" : shown(most))
                .noNumbers();
        if (most.isZero()) {
            finding.reject(Why.UNDERFILL.of(first));
        } else {
            finding.incomplete(Why.UNDERFILL_NOT_MEASURED.of(first, shown(most)), Ask.Kind.MEASURE_UNDERFILL.of(first));
        }
    }

    /** As above, where the height has no limit: the convexity that was read, if the code limits that. */
    void convexity(Finding.Builder finding, Rule.GrooveFace rule) {
        finding.confidence(rule.confidence());
        Finding.Builder low = finding.fresh();
        below(low, Length.zero(inspection.units()));
        Finding.Builder stout = finding.fresh();
        List<DepthCheck.Measured> read = read(Reading.Station::convexity);
        if (rule.convexity().isPresent() && !read.isEmpty()) {
            DepthCheck.atMost(stout, read, rule.convexity().get(), inspection.units(), "convexity");
        }
        Finding.Builder hollow = finding.fresh();
        rule.convexity().ifPresent(most -> concavity(hollow, most));
        new WorstPart(finding)
                .add("", stout.build())
                .add("", low.build())
                .add("", hollow.build())
                .settle();
    }

    /** The code's word on a hollow face of such a groove is not remembered surely: over the convexity it is asked about. */
    private void concavity(Finding.Builder finding, Length most) {
        List<DepthCheck.Measured> read = read(Reading.Station::concavity);
        if (read.isEmpty()) {
            return;
        }
        DepthCheck.atMost(finding, read, most, inspection.units(), "concavity");
        if (finding.build().verdict() == Verdict.REJECT) {
            DepthCheck.Measured worst = read.get(0);
            for (DepthCheck.Measured m : read) {
                worst = m.depth().isOver(worst.depth()) ? m : worst;
            }
            finding.confidence(Confidence.LOW)
                    .incomplete(
                            Why.CONCAVITY_BY_COPY.of(worst.depth().in(inspection.units()), worst.span(), most),
                            Ask.Kind.CHECK_COPY.of(worst.span()));
        }
    }

    private List<DepthCheck.Measured> read(Function<Reading.Station, Optional<Length>> measure) {
        return Occurrence.readings(inspection, Reading.Station.class).stream()
                .flatMap(f -> measure.apply(f.what()).map(d -> DepthCheck.Measured.ofReading(f, d)).stream())
                .toList();
    }

    /** An undersize stretch rejects; a partial penetration's throat, where it is read, is at least the drawing's. */
    void size(Finding.Builder finding, Rule.GrooveSize rule) {
        Joint joint = inspection.joint();
        List<Occurrence<Undersize>> undersize = Occurrence.indications(inspection, Undersize.class);
        if (!undersize.isEmpty()) {
            finding.measured("undersize")
                    .allowed("none")
                    .span(undersize.get(0).what().span())
                    .indications(Occurrence.indices(undersize))
                    .reject(Why.GROOVE_UNDERSIZE.of(undersize.get(0).what().span()));
            return;
        }
        List<DepthCheck.Measured> read = read(Reading.Station::throat);
        if (joint.penetration().filter(Penetration.PARTIAL::equals).isEmpty() || read.isEmpty()) {
            finding.notApplicable(Why.SIZE_OF_FILLETS_AND_THROATS.of());
            return;
        }
        if (joint.throat().isEmpty()) {
            finding.incomplete(Why.THROAT_UNKNOWN.of(), Ask.Kind.GIVE_THROAT.of());
            return;
        }
        SpanSet welded = ShortSums.welded(joint);
        List<DepthCheck.Measured> on = read.stream()
                .filter(m -> joint.ruler().isOn(welded, m.span().from()))
                .toList();
        if (!on.isEmpty()) {
            throats(finding, rule, on);
        }
        if (finding.isOpen() || finding.build().verdict() != Verdict.REJECT) {
            read.stream()
                    .filter(m -> !on.contains(m))
                    .forEach(m -> FilletSizeCheck.offTheWeld(finding.readings(List.of(m.index())), m.span()));
        }
    }

    private void throats(Finding.Builder finding, Rule.GrooveSize rule, List<DepthCheck.Measured> read) {
        Joint joint = inspection.joint();
        Length wanted = joint.throat().orElseThrow().in(inspection.units());
        List<DepthCheck.Measured> low =
                read.stream().filter(m -> m.depth().isUnder(wanted)).toList();
        List<DepthCheck.Measured> tooLow =
                low.stream().filter(m -> !isNominal(m.depth(), wanted)).toList();
        DepthCheck.Measured least = null;
        for (DepthCheck.Measured m : tooLow.isEmpty() ? low.isEmpty() ? read : low : tooLow) {
            least = least == null || m.depth().isUnder(least.depth()) ? m : least;
        }
        Length throat = least.depth().in(wanted.unit());
        finding.measured(throat.shownWithUnit())
                .allowed("at least " + wanted.shownWithUnit())
                .margin(throat.minus(wanted))
                .numbers(Finding.Numbers.atLeast(throat, wanted))
                .span(least.span())
                .readings(read.stream().map(DepthCheck.Measured::index).toList());
        if (!tooLow.isEmpty()) {
            finding.readings(tooLow.stream().map(DepthCheck.Measured::index).toList())
                    .reject(Why.THROAT_UNDER.of(throat, least.span(), wanted));
            return;
        }
        if (!low.isEmpty()) {
            finding.incomplete(
                    Why.OTHER_SYSTEM_THROAT.of(least.depth(), least.span()),
                    Ask.Kind.READ_THROAT_IN_UNITS.of(least.span()));
            return;
        }
        List<Length> places =
                read.stream().map(m -> joint.ruler().place(m.span().from())).toList();
        List<Ask> missing = new SizeEvidenceCheck(
                        rule.evidence(), joint.ruler(), inspection.coveredStretches(Criterion.SIZE), places)
                .missing(joint.segments());
        for (Ask line : missing) {
            finding.incomplete(Why.THROAT_NOT_READ_ENOUGH.of(), line);
        }
        if (missing.isEmpty()) {
            finding.accept(Why.THROAT_KEPT.of(wanted));
        }
    }

    private boolean isNominal(Length read, Length wanted) {
        return read.unit() != inspection.units()
                && SectionSize.nominalPair(read).filter(p -> !p.isUnder(wanted)).isPresent();
    }

    private String shown(Length l) {
        return l.in(inspection.units()).shownWithUnit();
    }
}
