package mensor.server.practice;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.DoubleUnaryOperator;
import mensor.practice.FlawKind;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.study.GaugeStudyView;
import mensor.server.study.GaugeStudyView.SpreadView;
import mensor.server.study.Studies;
import mensor.server.web.Refusal;
import mensor.study.DecisionRisk;
import mensor.study.DetectionCurve;
import mensor.study.ReadingsEnough;
import mensor.weld.Named;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What share of bad welds is signed as good, and of good ones as bad, with the gauge of a study and the eyes of the shop (JCGM 106). */
@Component
class Risks {
    private static final double TENTH = 0.10;
    private static final double SURE = 0.95;

    private final Studies studies;
    private final Eyes eyes;

    Risks(Studies studies, Eyes eyes) {
        this.studies = studies;
        this.eyes = eyes;
    }

    /**
     * In the study's units.
     *
     * @param limit the most that is allowed
     * @param mean of the true values; absent for that of the study's parts
     * @param sd of the true values; absent for the study's
     * @param guard in standard uncertainties
     * @param kind of flaw whose detection curve goes in; absent where all is seen
     */
    RiskView of(
            Actor actor,
            UUID study,
            double limit,
            @Nullable Double mean,
            @Nullable Double sd,
            double guard,
            @Nullable String kind) {
        if (!actor.is(Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden("what is signed wrongly is for the quality manager to see");
        }
        GaugeStudyView g = studies.open(study).gauge();
        if (g == null) {
            throw Refusal.conflict("a gauge study is required");
        }
        SpreadView spread = g.results().get(0);
        double m = mean != null
                ? mean
                : g.readings().stream()
                        .flatMap(r -> r.stream())
                        .flatMap(r -> r.stream())
                        .mapToDouble(Double::doubleValue)
                        .average()
                        .orElseThrow();
        double s = sd != null ? sd : spread.pv();
        if (!(s > 0) || !(g.uncertainty() > 0) || !(guard >= 0 && guard <= 5) || !Double.isFinite(limit)) {
            throw Refusal.invalid(
                    "sd", "true values that spread, a gauge that does, and a guard of 0 to 5 are required");
        }
        double inMm = g.units().equals("in") ? 25.4 : 1;
        Optional<DetectionCurve> curve = kind == null ? Optional.empty() : curve(actor, kind);
        DoubleUnaryOperator found = curve.<DoubleUnaryOperator>map(c -> x -> c.found(Math.max(0, x) * inMm))
                .orElse(x -> 1);
        double accepted = limit - guard * g.uncertainty();
        DecisionRisk risk = DecisionRisk.of(m, s, g.uncertainty(), limit, accepted, found);
        double[] reach = {
            spread.low() == null ? g.uncertainty() : spread.low(),
            spread.high() == null ? g.uncertainty() : spread.high()
        };
        DecisionRisk[] ends = Arrays.stream(reach)
                .mapToObj(u -> DecisionRisk.of(m, s, u, limit, accepted, found))
                .toArray(DecisionRisk[]::new);
        return new RiskView(
                said(risk),
                m,
                s,
                g.uncertainty(),
                limit,
                accepted,
                risk.bad(),
                risk.consumers(),
                Math.min(ends[0].consumers(), ends[1].consumers()),
                Math.max(ends[0].consumers(), ends[1].consumers()),
                risk.producers(),
                Math.min(ends[0].producers(), ends[1].producers()),
                Math.max(ends[0].producers(), ends[1].producers()),
                kind == null
                        ? null
                        : curve.isPresent()
                                ? "by everybody's detection curve"
                                : "no detection curve of this kind yet: taken as if all were seen",
                ReadingsEnough.of(TENTH, SURE));
    }

    private Optional<DetectionCurve> curve(Actor actor, String kind) {
        FlawKind k = Named.find(FlawKind.class, kind)
                .orElseThrow(() -> Refusal.invalid("kind", "no kind of flaw is called " + kind));
        return eyes.curve(actor, k);
    }

    private static String said(DecisionRisk r) {
        return String.format(
                Locale.ROOT,
                "Of 1000 places %.0f are truly over the limit; %.1f of them are signed as good, and %.1f good ones as bad.",
                1000 * r.bad(),
                1000 * r.consumers(),
                1000 * r.producers());
    }
}
