package mensor.server.practice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.DoubleUnaryOperator;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.drawing.StripDrawing;
import mensor.length.Length;
import mensor.practice.FlawKind;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.practice.RisksView.CriterionRiskView;
import mensor.server.study.GaugeStudyView;
import mensor.server.study.GaugeStudyView.SpreadView;
import mensor.server.study.Studies;
import mensor.server.study.StudyView;
import mensor.server.web.Refusal;
import mensor.study.DecisionRisk;
import mensor.study.DetectionCurve;
import mensor.study.ReadingsEnough;
import mensor.weld.Joint;
import mensor.weld.Named;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What share of bad welds is signed as good, and of good ones as bad, with the gauge of a study and the eyes of the shop (JCGM 106). */
@Component
class Risks {
    private static final double TENTH = 0.10;
    private static final double SURE = 0.95;
    private static final double MM_PER_INCH = 25.4;

    private final Studies studies;
    private final Eyes eyes;

    Risks(Studies studies, Eyes eyes) {
        this.studies = studies;
        this.eyes = eyes;
    }

    /**
     * What is asked, in the study's units.
     *
     * @param limit the most that is allowed, or the least
     * @param least the limit is the least
     * @param wanted what is missing is counted from this by the eye: the size of the weld; only of a least limit
     * @param mean of the true values; absent for that of the study's parts
     * @param sd of the true values; absent for the study's
     * @param guard in standard uncertainties
     * @param kind of flaw whose detection curve goes in; absent where all is seen
     */
    record AskedRisk(
            double limit,
            boolean least,
            double wanted,
            @Nullable Double mean,
            @Nullable Double sd,
            double guard,
            @Nullable String kind) {}

    RiskView of(Actor actor, UUID study, AskedRisk asked) {
        checkSees(actor);
        GaugeStudyView g = studies.open(study).gauge();
        if (g == null) {
            throw Refusal.conflict("a gauge study is required");
        }
        return of(actor, g, asked);
    }

    private static void checkSees(Actor actor) {
        if (!actor.is(Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden("what is signed wrongly is for the quality manager to see");
        }
    }

    private RiskView of(Actor actor, GaugeStudyView g, AskedRisk asked) {
        SpreadView spread = g.results().get(0);
        double m = asked.mean() != null
                ? asked.mean()
                : g.readings().stream()
                        .flatMap(r -> r.stream())
                        .flatMap(r -> r.stream())
                        .mapToDouble(Double::doubleValue)
                        .average()
                        .orElseThrow();
        double s = asked.sd() != null ? asked.sd() : spread.pv();
        double limit = asked.limit();
        double guard = asked.guard();
        if (!(s > 0) || !(g.uncertainty() > 0) || !(guard >= 0 && guard <= 5) || !Double.isFinite(limit)) {
            throw Refusal.invalid(
                    "sd", "true values that spread, a gauge that does, and a guard of 0 to 5 are required");
        }
        double inMm = g.units().equals("in") ? MM_PER_INCH : 1;
        Optional<DetectionCurve> curve = asked.kind() == null ? Optional.empty() : curve(actor, asked.kind());
        // a least limit is a most one seen in a mirror; what the eye finds there is how much is missing
        double side = asked.least() ? -1 : 1;
        DoubleUnaryOperator found = curve.<DoubleUnaryOperator>map(c ->
                        x -> c.found(Math.max(0, asked.least() ? asked.wanted() + x : x) * inMm))
                .orElse(x -> 1);
        double accepted = limit - side * guard * g.uncertainty();
        DecisionRisk risk = DecisionRisk.of(side * m, s, g.uncertainty(), side * limit, side * accepted, found);
        double[] reach = {
            spread.low() == null ? g.uncertainty() : spread.low(),
            spread.high() == null ? g.uncertainty() : spread.high()
        };
        DecisionRisk[] ends = Arrays.stream(reach)
                .mapToObj(u -> DecisionRisk.of(side * m, s, u, side * limit, side * accepted, found))
                .toArray(DecisionRisk[]::new);
        return new RiskView(
                said(risk, asked.least()),
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
                asked.kind() == null
                        ? null
                        : curve.isPresent()
                                ? "by everybody's detection curve"
                                : "no detection curve of this kind yet: taken as if all were seen",
                ReadingsEnough.of(TENTH, SURE));
    }

    /** Each criterion of a joint that has a limit in numbers, with the newest study of a gauge that reads it. */
    RisksView byCriterion(Actor actor, TypicalJoint typical, double guard) {
        checkSees(actor);
        CriteriaBook book = CriteriaBooks.find(typical.criteria())
                .orElseThrow(() -> Refusal.invalid("criteria", "there are no such criteria"));
        Joint joint = typical.read(book);
        List<CriterionRiskView> rows = new ArrayList<>();
        for (ReadCriterion c : ReadCriterion.values()) {
            Optional<Length> limit = book.loosest(c.kind(), joint, typical.unit())
                    .filter(l -> l.isPositive())
                    .map(l -> c.isLeast() ? joint.size().orElseThrow().minus(l) : l);
            if (limit.isPresent()) {
                rows.add(row(actor, c, limit.get(), joint.size().orElse(limit.get()), guard));
            }
        }
        return new RisksView(joint.inWords(), book.title(), rows);
    }

    private CriterionRiskView row(Actor actor, ReadCriterion c, Length limit, Length wanted, double guard) {
        String shown = (c.isLeast() ? "at least " : "at most ") + limit.shownWithUnit();
        Optional<StudyView> study = studies.newestOf(c::reads);
        if (study.isEmpty()) {
            return new CriterionRiskView(
                    c.title(), shown, null, "no gauge study of " + c.word() + " yet: nothing can be said", null);
        }
        GaugeStudyView g = study.get().gauge();
        RiskView risk = of(
                actor,
                g,
                new AskedRisk(
                        in(g, limit),
                        c.isLeast(),
                        in(g, wanted),
                        null,
                        null,
                        guard,
                        c.eye().map(FlawKind::id).orElse(null)));
        return new CriterionRiskView(c.title(), shown, study.get().title() + ": " + g.gauge(), null, risk);
    }

    private static double in(GaugeStudyView g, Length length) {
        double mm = StripDrawing.mm(length);
        return g.units().equals("in") ? mm / MM_PER_INCH : mm;
    }

    private Optional<DetectionCurve> curve(Actor actor, String kind) {
        FlawKind k = Named.find(FlawKind.class, kind)
                .orElseThrow(() -> Refusal.invalid("kind", "no kind of flaw is called " + kind));
        return eyes.curve(actor, k);
    }

    private static String said(DecisionRisk r, boolean least) {
        return String.format(
                Locale.ROOT,
                "Of 1000 places %.0f are truly %s the limit; %.1f of them are signed as good, and %.1f good ones as bad.",
                1000 * r.bad(),
                least ? "under" : "over",
                1000 * r.consumers(),
                1000 * r.producers());
    }
}
