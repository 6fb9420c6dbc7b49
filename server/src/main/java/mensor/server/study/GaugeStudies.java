package mensor.server.study;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mensor.length.Length;
import mensor.server.gauge.GaugeForm;
import mensor.server.gauge.Gauges;
import mensor.server.gauge.StoredGauge;
import mensor.server.study.GaugeStudyView.BiasView;
import mensor.server.study.GaugeStudyView.SpreadView;
import mensor.study.GaugeBias;
import mensor.study.GaugeReadings;
import mensor.study.GaugeStudy;
import org.springframework.stereotype.Component;

/** What the readings of a gauge study come to, and what of it the register takes. */
@Component
class GaugeStudies {
    private static final String POOLED = "analysis of variance, interaction pooled";
    private static final String KEPT = "analysis of variance, interaction kept";

    private final Gauges gauges;

    GaugeStudies(Gauges gauges) {
        this.gauges = gauges;
    }

    GaugeStudyView view(StudyEntity study, GaugeReadings g) {
        Optional<? extends StoredGauge> gauge = gauges.byName(g.gauge());
        GaugeStudy spread = g.study();
        List<SpreadView> results = new ArrayList<>();
        results.add(result(spread.pooled() ? POOLED : KEPT, spread, g));
        results.add(result(spread.pooled() ? KEPT : POOLED, GaugeStudy.anova(g.readings(), !spread.pooled()), g));
        GaugeStudy.ranges(g.readings()).ifPresent(r -> results.add(result("average and range", r, g)));
        return new GaugeStudyView(
                said(g, spread),
                g.gauge(),
                gauge.map(StoredGauge::id).orElse(null),
                g.quantity(),
                g.units().symbol(),
                g.tolerance().isPresent() ? g.tolerance().getAsDouble() : null,
                g.people(),
                g.parts(),
                g.references().map(GaugeStudies::list).orElse(null),
                Arrays.stream(g.readings())
                        .map(a -> Arrays.stream(a).map(GaugeStudies::list).toList())
                        .toList(),
                results,
                g.bias().map(GaugeStudies::bias).orElse(null),
                uncertainty(g, gauge.map(StoredGauge::form)),
                gauge.map(StoredGauge::form)
                        .filter(f -> words(study).equals(f.measuredBy()))
                        .isPresent());
    }

    private static List<Double> list(double[] values) {
        return Arrays.stream(values).boxed().toList();
    }

    private static SpreadView result(String method, GaugeStudy s, GaugeReadings g) {
        return new SpreadView(
                method,
                s.ev(),
                s.av(),
                s.grr(),
                s.pv(),
                s.total(),
                s.percent(),
                g.tolerance().isPresent() ? s.percentOf(g.tolerance().getAsDouble()) : null,
                s.grr() == 0 ? null : s.categories(),
                s.interaction().orElse(null),
                s.pooled(),
                s.bounds().map(GaugeStudy.Bounds::low).orElse(null),
                s.bounds().map(GaugeStudy.Bounds::high).orElse(null),
                s.words());
    }

    private static BiasView bias(GaugeBias b) {
        return new BiasView(
                b.mean(),
                b.meanChance(),
                b.isBiased(),
                b.intercept(),
                b.slope(),
                b.slopeChance(),
                b.isSloped(),
                list(b.parts()));
    }

    static String said(GaugeReadings g, GaugeStudy s) {
        return String.format(
                Locale.ROOT,
                "Gauge and people make up %.1f %% of the spread: %s. %s",
                s.percent(),
                s.words(),
                s.grr() == 0
                        ? "All readings of a part are the same: the division hides the spread."
                        : s.categories() < 2
                                ? "They cannot tell one part from another."
                                : "They tell " + s.categories() + " groups of parts apart.");
    }

    /** The division of a gauge that is not in the register is not known. */
    double uncertainty(GaugeReadings g, Optional<GaugeForm> gauge) {
        double division = gauge.flatMap(f -> f.gauge().division())
                .map(d -> d.approximateNanometres() / (double) g.units().nanometres())
                .orElse(0.0);
        return g.uncertainty(division);
    }

    /** As it stands with the gauge. */
    static String words(StudyEntity study) {
        return "study " + study.title() + " (" + study.id().toString().substring(0, 8) + ")";
    }

    /** To the ten-thousandth of a millimeter, up. */
    static String length(double standard, GaugeReadings g) {
        double mm = standard * g.units().nanometres() / 1e6;
        Length l = Length.parse(
                java.math.BigDecimal.valueOf(Math.max(mm, 1e-4))
                                .setScale(4, java.math.RoundingMode.UP)
                                .toPlainString()
                        + " mm",
                g.units());
        return l.decimal().replace(" mm", "mm");
    }
}
