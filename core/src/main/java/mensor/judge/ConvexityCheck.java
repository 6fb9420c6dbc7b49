package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.criteria.Confidence;
import mensor.criteria.Rule;
import mensor.criteria.WidthStep;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.Underfill;
import mensor.length.Length;
import mensor.length.RealLength;

/**
 * The profile of a fillet: convexity by the width of the face, or of one bead; no underfill. Convexity that was read
 * judges; one computed from throat and legs only prompts a reading, or accepts.
 */
final class ConvexityCheck {
    private final Inspection inspection;
    private final Rule.ConvexityByWidth rule;

    ConvexityCheck(Inspection inspection, Rule.ConvexityByWidth rule) {
        this.inspection = inspection;
        this.rule = rule;
    }

    /** A convexity limit that may hold, and how sure it is. */
    private record Allowed(Length convexity, Confidence confidence) {}

    private record Judged(int index, Reading.Station station, Length convexity, List<Allowed> allowed) {
        Length least() {
            return allowed.get(0).convexity();
        }

        Length most() {
            return allowed.get(allowed.size() - 1).convexity();
        }
    }

    /** Judges what was read and seen; leaves the finding open where nothing was. */
    void judge(Finding.Builder finding) {
        List<Occurrence<Underfill>> underfill = Occurrence.indications(inspection, Underfill.class);
        List<Judged> read = new ArrayList<>();
        for (Occurrence<Reading.Station> f : Occurrence.readings(inspection, Reading.Station.class)) {
            f.what().convexity().ifPresent(c -> read.add(judged(f, c)));
        }
        finding.traceEach(read, this::line);
        List<Integer> filledTooLittle = underfill.stream()
                .filter(f -> f.what().depth().map(Length::isPositive).orElse(true))
                .map(Occurrence::index)
                .toList();
        if (!filledTooLittle.isEmpty()) {
            Underfill first = (Underfill) inspection.indications().get(filledTooLittle.get(0));
            finding.indications(filledTooLittle)
                    .span(first.span())
                    .measured(first.depth()
                            .map(d -> d.in(inspection.units()).shownWithUnit())
                            .orElse("underfill"))
                    .allowed("none")
                    .reject(Why.UNDERFILL.of(first.span()));
            return;
        }
        if (decideByReadings(finding, read)) {
            return;
        }
        decideByComputation(finding, !read.isEmpty());
        if (finding.isOpen() && !underfill.isEmpty()) {
            finding.indications(Occurrence.indices(underfill)).accept(Why.NOTHING_THERE.of("underfill of depth 0"));
        }
    }

    /** True where a reading rejects or leaves the profile incomplete. */
    private boolean decideByReadings(Finding.Builder finding, List<Judged> read) {
        Judged tightest = null;
        for (Judged j : read) {
            if (tightest == null
                    || j.most().minus(j.convexity()).isUnder(tightest.most().minus(tightest.convexity()))) {
                tightest = j;
            }
        }
        if (tightest == null) {
            return false;
        }
        List<Integer> over = read.stream()
                .filter(j -> j.convexity().isOver(j.most()))
                .map(Judged::index)
                .toList();
        confidence(finding, tightest);
        if (!over.isEmpty()) {
            number(finding, tightest, tightest.most())
                    .readings(over)
                    .reject(Why.CONVEXITY_OVER.of(
                            tightest.convexity(), tightest.station().at(), tightest.most()));
            return true;
        }
        for (Judged j : read) {
            if (j.convexity().isOver(j.least())) {
                number(finding, j, j.least())
                        .incomplete(
                                Why.CONVEXITY_WANTS_WIDTH.of(
                                        j.convexity(), j.station().at()),
                                Ask.Kind.READ_FACE_WIDTH.of(j.station().at()));
                return true;
            }
        }
        for (Judged j : read) {
            finding.nearLimit(
                    GaugeLimit.isNear(j.most().minus(j.convexity()), j.station().division()));
            if (GaugeLimit.isTooCoarse(j.most(), j.station().division())) {
                number(finding, j, j.most())
                        .incomplete(
                                Why.GAUGE_COARSER_THAN_LIMIT.of(),
                                Ask.Kind.READ_CONVEXITY_FINER.of(j.station().at()));
                return true;
            }
        }
        number(finding, tightest, tightest.most())
                .readings(read.stream().map(Judged::index).toList())
                .accept(Why.CONVEXITY_WITHIN.of(
                        tightest.convexity(), tightest.station().at(), tightest.most()));
        return false;
    }

    private void confidence(Finding.Builder finding, Judged j) {
        j.allowed().forEach(a -> finding.confidence(a.confidence()));
    }

    private Finding.Builder number(Finding.Builder finding, Judged j, Length limit) {
        return finding.atMost(j.convexity().in(inspection.units()), limit)
                .readings(List.of(j.index()))
                .span(j.station().span());
    }

    private String line(Judged j) {
        String width =
                width(j.station()).map(w -> "face " + w.shown() + " wide").orElse("face width not read");
        String allowed = j.allowed().size() == 1
                ? j.most().shownWithUnit()
                : j.least().shown() + " to " + j.most().shownWithUnit();
        return "at " + j.station().at().shown() + ": convexity " + j.convexity().shownWithUnit() + ", " + width
                + ", allowed " + allowed;
    }

    private Judged judged(Occurrence<Reading.Station> f, Length convexity) {
        return new Judged(f.index(), f.what(), convexity, allowed(f.what()));
    }

    /** The width of the face or bead as read, else the chord of the legs. */
    private Optional<RealLength> width(Reading.Station station) {
        if (station.faceWidth().isPresent()) {
            return station.faceWidth().map(RealLength::of);
        }
        if (station.legA().isPresent() && station.legB().isPresent()) {
            return Optional.of(SectionSize.chord(inspection.joint(), station));
        }
        return Optional.empty();
    }

    /** The limit at a station where the width of its face is known. */
    Optional<Length> onlyLimit(Reading.Station station) {
        List<Allowed> allowed = allowed(station);
        return allowed.size() == 1 ? Optional.of(allowed.get(0).convexity()) : Optional.empty();
    }

    /** The limits that may hold, rising: one where the width is known. */
    private List<Allowed> allowed(Reading.Station station) {
        Optional<RealLength> width = width(station);
        return rule.steps().stream()
                .filter(s -> width.isEmpty() || s == stepFor(width.get()))
                .map(this::withAlternative)
                .toList();
    }

    private WidthStep stepFor(RealLength width) {
        for (WidthStep s : rule.steps()) {
            if (s.width().isEmpty()) {
                return s;
            }
            RealLength to = RealLength.of(s.width().get());
            if (width.isUnder(to) || s.widthIncluded() && !width.isOver(to)) {
                return s;
            }
        }
        throw new IllegalStateException("the last step of a convexity table has no width");
    }

    private Allowed withAlternative(WidthStep step) {
        if (rule.orElse().isEmpty() || !rule.orElse().get().isOver(step.convexity())) {
            Confidence used =
                    rule.orElse().isPresent() ? step.confidence().lower(rule.orElseConfidence()) : step.confidence();
            return new Allowed(step.convexity(), used);
        }
        return new Allowed(
                rule.orElse().get().in(inspection.units()), step.confidence().lower(rule.orElseConfidence()));
    }

    /** Where no convexity was read: throat and legs at 90° tell whether it must be; a reading elsewhere has accepted. */
    private void decideByComputation(Finding.Builder finding, boolean acceptedByReading) {
        if (!inspection.joint().dihedral().isSquare()) {
            return;
        }
        Occurrence<Reading.Station> highest = null;
        RealLength highestLeft = null;
        Judged highestJudged = null;
        for (Occurrence<Reading.Station> f : Occurrence.readings(inspection, Reading.Station.class)) {
            Reading.Station s = f.what();
            if (s.convexity().isPresent()
                    || s.legA().isEmpty()
                    || s.legB().isEmpty()
                    || s.throat().isEmpty()) {
                continue;
            }
            RealLength computed = computedConvexity(s);
            Judged j = judged(f, computed.rounded());
            RealLength left = RealLength.of(j.most()).minus(computed);
            finding.trace("at " + s.at().shown() + ": convexity computed from throat "
                    + s.throat().get().shown() + " and legs "
                    + s.legA().get().shown() + ", " + s.legB().get().shown() + " = " + computed.shown() + "; "
                    + j.most().shownWithUnit() + " allowed");
            if (highestLeft == null || left.isUnder(highestLeft)) {
                highest = f;
                highestLeft = left;
                highestJudged = j;
            }
        }
        boolean prompts = highest != null && highestLeft.signum() < 0;
        if (highest == null || acceptedByReading && !prompts) {
            return;
        }
        confidence(finding, highestJudged);
        RealLength computed = computedConvexity(highest.what());
        finding.measured(computed.signum() < 0 ? "no convexity (computed)" : computed.shown() + " (computed)")
                .allowed(highestJudged.most().shownWithUnit());
        String at = highest.what().at().shown();
        finding.readings(List.of(highest.index())).span(highest.what().span());
        if (prompts) {
            finding.incomplete(Why.TOO_CONVEX_HINTED.of(at), Ask.Kind.READ_CONVEXITY.of(at));
        } else {
            finding.accept(Why.NOT_TOO_CONVEX.of());
        }
    }

    /** throat − √2·ab/(a+b): a throat gauge reads along the bisector of a 90° corner. */
    static RealLength computedConvexity(Reading.Station s) {
        RealLength a = RealLength.of(s.legA().orElseThrow());
        RealLength b = RealLength.of(s.legB().orElseThrow());
        RealLength flat = a.times(b.over(a.plus(b))).times(RealLength.root(java.math.BigDecimal.valueOf(2)));
        return RealLength.of(s.throat().orElseThrow()).minus(flat);
    }
}
