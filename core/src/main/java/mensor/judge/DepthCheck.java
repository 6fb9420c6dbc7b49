package mensor.judge;

import java.util.List;
import java.util.Optional;
import mensor.inspection.Indication;
import mensor.inspection.Reading;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;

/** Depths, heights or offsets against one limit: the greatest excess decides. */
final class DepthCheck {
    private DepthCheck() {}

    /** A measured depth and where it comes from. */
    record Measured(boolean reading, int index, Span span, Length depth, Optional<Length> division) {
        static Measured of(Occurrence<? extends Indication> f) {
            return new Measured(
                    false,
                    f.index(),
                    f.what().span(),
                    f.what().depth().orElseThrow(),
                    f.what().division());
        }

        Measured ofDepth(Length other) {
            return new Measured(reading, index, span, other, division);
        }

        static Measured ofReading(Occurrence<Reading.Station> f, Length depth) {
            return new Measured(
                    true, f.index(), f.what().span(), depth, f.what().division());
        }
    }

    /** Judges a list that is not empty. */
    static void atMost(Finding.Builder finding, List<Measured> measured, Length limit, Unit unit, String what) {
        Measured worst = measured.get(0);
        Measured coarse = null;
        for (Measured m : measured) {
            worst = m.depth().isOver(worst.depth()) ? m : worst;
            boolean accepted = !m.depth().isOver(limit);
            if (accepted && GaugeLimit.isTooCoarse(limit, m.division())) {
                coarse = m;
            }
            finding.nearLimit(accepted && GaugeLimit.isNear(limit.minus(m.depth()), m.division()));
        }
        boolean over = worst.depth().isOver(limit);
        if (!over && coarse != null) {
            worst = coarse; // it decides, so the numbers are its own
        }
        List<Measured> deciding =
                over ? measured.stream().filter(m -> m.depth().isOver(limit)).toList() : measured;
        String text = what + " " + worst.depth().in(unit).shownWithUnit();
        finding.atMost(worst.depth().in(unit), limit.in(unit))
                .span(worst.span())
                .indications(deciding.stream()
                        .filter(m -> !m.reading())
                        .map(Measured::index)
                        .toList())
                .readings(deciding.stream()
                        .filter(Measured::reading)
                        .map(Measured::index)
                        .toList());
        if (over) {
            finding.reject(Why.OVER_LIMIT.of(text, worst.span(), limit.in(unit)));
        } else if (coarse != null) {
            finding.incomplete(
                    GaugeLimit.tooCoarse(coarse.division().orElseThrow(), limit.in(unit)),
                    GaugeLimit.finerGauge(what, coarse.span().shown()));
        } else {
            finding.accept(Why.WITHIN_LIMIT.of(text, worst.span(), limit.in(unit)));
        }
    }
}
