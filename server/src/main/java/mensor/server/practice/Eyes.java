package mensor.server.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import mensor.practice.FlawKind;
import mensor.practice.PracticeScore;
import mensor.practice.PracticeScore.Outcome;
import mensor.rejectrate.Interval;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.people.Role;
import mensor.server.practice.EyeView.CurvePointView;
import mensor.server.practice.EyeView.DetectionTrialView;
import mensor.server.practice.EyeView.EyeKindView;
import mensor.server.practice.EyeView.EyePersonView;
import mensor.server.web.Refusal;
import mensor.study.DetectionCurve;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How far an eye can be trusted, by what was handed in: one's own, or for those who train and manage each person's and everybody's together. */
@Service
public class Eyes {
    private static final int MOST = 400;
    private static final int CURVE_POINTS = 41;
    private static final double NINE_IN_TEN = 0.9;

    private final ExerciseRepository exercises;
    private final StudyPlaces studies;
    private final People people;
    private final PracticeBenches benches;

    Eyes(ExerciseRepository exercises, StudyPlaces studies, People people, PracticeBenches benches) {
        this.exercises = exercises;
        this.studies = studies;
        this.people = people;
        this.benches = benches;
    }

    /** @param person whose; absent for everybody together */
    @Transactional(readOnly = true)
    public EyeView of(Actor actor, @Nullable UUID person) {
        boolean sees = actor.is(Role.QUALITY_MANAGER, Role.INSTRUCTOR);
        if (!sees && !actor.id().equals(person)) {
            throw Refusal.forbidden("somebody else's eye is for an instructor and the quality manager to see");
        }
        List<ExerciseEntity> all = (person == null
                        ? exercises.findByHandedAtIsNotNullOrderByHandedAt()
                        : exercises.findByPersonIdAndHandedAtIsNotNullOrderByHandedAt(person))
                .stream().filter(e -> e.weld() == null && studies.isOver(e)).toList();
        List<ExerciseEntity> latest = all.subList(Math.max(0, all.size() - MOST), all.size());
        Map<FlawKind, List<Outcome>> outcomes = new EnumMap<>(FlawKind.class);
        int right = 0;
        int called = 0;
        for (ExerciseEntity e : latest) {
            PracticeBench b = benches.of(e);
            PracticeScore score = b.score();
            called += score.called().size();
            right += b.truth().verdict() == b.evaluation().verdict() ? 1 : 0;
            score.outcomes()
                    .forEach(o -> outcomes.computeIfAbsent(o.flaw().kind(), k -> new ArrayList<>())
                            .add(o));
        }
        int welds = latest.size();
        Optional<Interval> share = welds == 0 ? Optional.empty() : Optional.of(Interval.wilson(right, welds));
        return new EyeView(
                person == null ? "everybody" : people.nameOf(person),
                welds,
                right,
                share.map(Interval::low).orElse(0.0),
                share.map(Interval::high).orElse(1.0),
                welds == 0 ? 0 : (double) called / welds,
                outcomes.entrySet().stream()
                        .map(k -> kind(k.getKey(), k.getValue()))
                        .toList(),
                sees ? who() : List.of());
    }

    private List<EyePersonView> who() {
        return exercises.findByHandedAtIsNotNullOrderByHandedAt().stream()
                .map(ExerciseEntity::personId)
                .distinct()
                .map(id -> new EyePersonView(id, people.nameOf(id)))
                .sorted(Comparator.comparing(EyePersonView::name))
                .toList();
    }

    private static EyeKindView kind(FlawKind kind, List<Outcome> all) {
        List<DetectionCurve.Trial> trials = all.stream()
                .map(o -> new DetectionCurve.Trial(o.flaw().size(), o.found()))
                .toList();
        DetectionCurve.Fit fit = DetectionCurve.of(trials);
        OptionalDouble a90 = fit.curve().map(c -> c.size(NINE_IN_TEN)).orElse(OptionalDouble.empty());
        OptionalDouble surely = fit.curve().map(c -> c.surely(NINE_IN_TEN)).orElse(OptionalDouble.empty());
        double[] off = all.stream()
                .map(Outcome::off)
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .toArray();
        double mean = java.util.Arrays.stream(off).average().orElse(0);
        double squares =
                java.util.Arrays.stream(off).map(v -> (v - mean) * (v - mean)).sum();
        int found = (int) all.stream().filter(Outcome::found).count();
        return new EyeKindView(
                kind.id(),
                kind.title(),
                all.size(),
                found,
                said(kind, all.size(), found, fit, a90, surely),
                a90.isPresent() ? a90.getAsDouble() : null,
                surely.isPresent() ? surely.getAsDouble() : null,
                trials.stream()
                        .map(t -> new DetectionTrialView(t.size(), t.found()))
                        .toList(),
                fit.curve().map(c -> curve(c, trials)).orElse(List.of()),
                off.length,
                off.length == 0 ? null : mean,
                off.length < 2 ? null : Math.sqrt(squares / (off.length - 1)));
    }

    private static List<CurvePointView> curve(DetectionCurve c, List<DetectionCurve.Trial> trials) {
        double most =
                trials.stream().mapToDouble(DetectionCurve.Trial::size).max().orElse(1) * 1.1;
        List<CurvePointView> points = new ArrayList<>();
        for (int i = 0; i < CURVE_POINTS; i++) {
            double size = most * i / (CURVE_POINTS - 1);
            points.add(new CurvePointView(size, c.found(size)));
        }
        return points;
    }

    private static String said(
            FlawKind kind, int trials, int found, DetectionCurve.Fit fit, OptionalDouble a90, OptionalDouble surely) {
        String counted = found + " of " + trials + " found";
        if (fit.curve().isEmpty()) {
            return counted + "; no curve: " + fit.problem();
        }
        if (a90.isEmpty()) {
            return counted + "; larger ones are not found more often: no size can be named";
        }
        if (a90.getAsDouble() <= 0) {
            return counted + "; nine in ten are found at every size that came up";
        }
        return String.format(
                Locale.ROOT,
                "9 of 10 %ss of %.1f mm (%.3f in) are found%s",
                kind.title(),
                a90.getAsDouble(),
                a90.getAsDouble() / 25.4,
                surely.isPresent()
                        ? String.format(Locale.ROOT, "; with 95 %% confidence, of %.1f mm", surely.getAsDouble())
                        : "; so few trials set no bound with 95 % confidence");
    }

    /** Everybody's curve of a kind; empty where none can be laid. */
    Optional<DetectionCurve> curve(Actor actor, FlawKind kind) {
        List<DetectionCurve.Trial> trials = of(actor, null).kinds().stream()
                .filter(k -> k.id().equals(kind.id()))
                .flatMap(k -> k.all().stream())
                .map(t -> new DetectionCurve.Trial(t.size(), t.found()))
                .toList();
        return DetectionCurve.of(trials).curve();
    }
}
