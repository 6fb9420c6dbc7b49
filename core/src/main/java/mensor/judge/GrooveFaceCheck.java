package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mensor.criteria.Rule;
import mensor.length.Length;
import mensor.look.Indication;
import mensor.look.Inspection;
import mensor.look.Reading;
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
        if (underfill(finding, rule.below())) {
            return;
        }
        List<DepthCheck.Measured> above = new ArrayList<>();
        DepthCheck.Measured lowest = null;
        for (DepthCheck.Measured m : read(Reading.Station::reinforcement)) {
            finding.trace(
                    "reinforcement " + shown(m.depth()) + " at " + m.span().shown());
            lowest = lowest == null || m.depth().isUnder(lowest.depth()) ? m : lowest;
            if (!m.depth().isNegative()) {
                above.add(m);
            }
        }
        if (lowest == null) {
            return;
        }
        Length under = lowest.depth().isNegative() ? lowest.depth().negate() : Length.zero(inspection.units());
        if (under.isOver(rule.below())) {
            finding.measured(shown(lowest.depth()))
                    .allowed(
                            rule.below().isZero()
                                    ? "not below the surface"
                                    : "at most " + shown(rule.below()) + " below the surface")
                    .span(lowest.span())
                    .readings(List.of(lowest.index()))
                    .reject("the face lies " + shown(under) + " below the surface at "
                            + lowest.span().shown());
        } else if (above.isEmpty()) {
            finding.measured(shown(lowest.depth()))
                    .allowed("at most " + shown(rule.below()) + " below the surface")
                    .span(lowest.span())
                    .readings(List.of(lowest.index()))
                    .accept("the face lies " + shown(under) + " below the surface at "
                            + lowest.span().shown() + ", within " + shown(rule.below()));
        } else {
            DepthCheck.atMost(finding, above, rule.most(), inspection.units(), "reinforcement");
        }
    }

    /** As above, where the height has no limit: the convexity that was read, if the book limits that. */
    void convexity(Finding.Builder finding, Rule.GrooveFace rule) {
        finding.confidence(rule.confidence());
        if (underfill(finding, Length.zero(inspection.units()))) {
            return;
        }
        List<DepthCheck.Measured> read = read(Reading.Station::convexity);
        if (rule.convexity().isPresent() && !read.isEmpty()) {
            DepthCheck.atMost(finding, read, rule.convexity().get(), inspection.units(), "convexity");
        }
    }

    private List<DepthCheck.Measured> read(Function<Reading.Station, Optional<Length>> measure) {
        return Found.readings(inspection, Reading.Station.class).stream()
                .flatMap(f -> measure.apply(f.what()).map(d -> DepthCheck.Measured.ofReading(f, d)).stream())
                .toList();
    }

    /** Whether underfill rejects; one no deeper than {@code below} is named and decides nothing. */
    private boolean underfill(Finding.Builder finding, Length below) {
        List<Found<Indication.Underfill>> found = Found.indications(inspection, Indication.Underfill.class);
        List<Found<Indication.Underfill>> real = found.stream()
                .filter(f -> f.what().depth().map(d -> d.isOver(below)).orElse(true))
                .toList();
        if (real.isEmpty()) {
            if (!found.isEmpty()) {
                finding.indications(Found.indices(found)).accept("underfill no deeper than " + shown(below));
            }
            return false;
        }
        Indication.Underfill first = real.get(0).what();
        finding.indications(Found.indices(real))
                .span(first.span())
                .measured(first.depth().map(this::shown).orElse("underfill"))
                .allowed(below.isZero() ? "none" : shown(below))
                .reject("underfill at " + first.span().shown() + "; "
                        + (below.isZero() ? "none is allowed" : shown(below) + " allowed"));
        return true;
    }

    /** An undersize stretch rejects; a partial penetration's throat, where it is read, is at least the drawing's. */
    void size(Finding.Builder finding) {
        Joint joint = inspection.joint();
        List<Found<Indication.Undersize>> undersize = Found.indications(inspection, Indication.Undersize.class);
        if (!undersize.isEmpty()) {
            finding.measured("undersize")
                    .allowed("none")
                    .span(undersize.get(0).what().span())
                    .indications(Found.indices(undersize))
                    .reject("undersize at " + undersize.get(0).what().span().shown() + "; a groove has no underrun");
            return;
        }
        List<DepthCheck.Measured> read = read(Reading.Station::throat);
        if (joint.penetration().filter(Penetration.PARTIAL::equals).isEmpty() || read.isEmpty()) {
            finding.notApplicable("a size is judged on fillets, and where a partial penetration's throat was read");
            return;
        }
        if (joint.throat().isEmpty()) {
            finding.incomplete("the drawing's throat is not known", "give the throat that the drawing asks");
            return;
        }
        Length wanted = joint.throat().get();
        DepthCheck.Measured least = read.get(0);
        for (DepthCheck.Measured m : read) {
            least = m.depth().isUnder(least.depth()) ? m : least;
        }
        Length throat = least.depth().in(wanted.unit());
        finding.measured(throat.shownWithUnit())
                .allowed("at least " + wanted.shownWithUnit())
                .margin(throat.minus(wanted))
                .numbers(Finding.Numbers.atLeast(throat, wanted))
                .span(least.span())
                .readings(read.stream().map(DepthCheck.Measured::index).toList());
        if (throat.isUnder(wanted)) {
            finding.reject("throat " + throat.shownWithUnit() + " at "
                    + least.span().shown() + "; " + wanted.shownWithUnit() + " wanted, no underrun allowed");
        } else {
            finding.accept("throat at least " + wanted.shownWithUnit() + " where it was read");
        }
    }

    private String shown(Length l) {
        return l.in(inspection.units()).shownWithUnit();
    }
}
