package mensor.server.practice;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.drawing.StripDrawing;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.judge.Finding;
import mensor.judge.Judge;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.practice.PracticeFlaw;
import mensor.practice.PracticeScore;
import mensor.practice.PracticeScore.Outcome;
import mensor.practice.PracticeSetting;
import mensor.practice.SimulatedPracticeWeld;
import mensor.server.inspection.MadeUpBench;
import mensor.server.inspection.MadeUpWeld;
import mensor.server.practice.ExerciseView.OutcomeView;
import mensor.server.practice.ExerciseView.PracticeFindingView;
import mensor.server.practice.ExerciseView.SolutionView;
import mensor.weld.Joint;

/** A weld of an exercise with what was recorded of it: judged as any weld is, and a made-up one held against its truth. */
final class PracticeBench {
    private static final double UNSEEN_FROM = 4;

    private final Optional<MadeUp> madeUp;
    private final ExerciseContent content;
    private final MadeUpWeld asHandedOut;
    private final Joint joint;
    private final Inspection recorded;
    private final Evaluation evaluation;

    /** Of which everything is known. */
    record MadeUp(PracticeSetting setting, SimulatedPracticeWeld weld) {
        Evaluation truth() {
            return Judge.evaluate(
                    weld.truth(), CriteriaBooks.find(setting.criteria()).orElseThrow());
        }
    }

    /** @throws mensor.weld.InvalidField where the code does not judge such a weld, or not with this recorded */
    PracticeBench(Optional<MadeUp> madeUp, ExerciseContent content, MadeUpWeld weld, MadeUpBench benches) {
        this.madeUp = madeUp;
        this.content = content;
        this.asHandedOut = weld;
        MadeUpBench.Judged judged = benches.judged(weld);
        this.recorded = judged.inspection();
        this.joint = recorded.joint();
        this.evaluation = judged.evaluation();
    }

    /** Empty for a real weld. */
    Optional<MadeUp> madeUp() {
        return madeUp;
    }

    /** Of one that is no part of a study of real welds. */
    PracticeSetting setting() {
        return madeUp.orElseThrow().setting();
    }

    SimulatedPracticeWeld weld() {
        return madeUp.orElseThrow().weld();
    }

    /** As the ordinary bench takes it. */
    MadeUpWeld asHandedOut() {
        return asHandedOut;
    }

    ExerciseContent content() {
        return content;
    }

    Joint joint() {
        return joint;
    }

    double length() {
        return StripDrawing.mm(joint.length());
    }

    Evaluation evaluation() {
        return evaluation;
    }

    CriteriaBook book() {
        return evaluation.book();
    }

    Evaluation truth() {
        return madeUp.orElseThrow().truth();
    }

    PracticeScore score() {
        return PracticeScore.of(weld().flaws(), recorded, weld().wantedLeg());
    }

    static List<PracticeFindingView> findings(Evaluation e) {
        return e.findings().stream()
                .map(f -> new PracticeFindingView(
                        f.id().equals(f.criterion().id()) ? f.criterion().title() : f.id(),
                        f.verdict().id(),
                        f.reason().words(),
                        f.measured(),
                        f.allowed()))
                .toList();
    }

    SolutionView solution() {
        Evaluation truth = truth();
        PracticeScore score = score();
        return new SolutionView(
                truth.verdict().id(),
                truth.verdict() == evaluation.verdict(),
                why(truth),
                score.outcomes().stream().map(this::outcome).toList(),
                score.called().stream()
                        .map(i -> words(recorded.indications().get(i)))
                        .toList(),
                unseen(),
                next(score),
                StripDrawing.of(weld().truth(), truth),
                findings(truth));
    }

    private List<String> why(Evaluation truth) {
        List<String> why = new ArrayList<>();
        Set<String> left = new LinkedHashSet<>();
        for (Finding f : truth.findings()) {
            for (Finding g : evaluation.findings()) {
                if (!g.id().equals(f.id()) || g.verdict() == f.verdict()) {
                    continue;
                }
                if (g.verdict() == Verdict.INCOMPLETE && f.verdict() == Verdict.ACCEPT) {
                    left.add(f.criterion().title().toLowerCase(Locale.ROOT));
                } else {
                    why.add(f.criterion().title() + ": truly " + f.verdict().id() + ", recorded "
                            + g.verdict().id());
                }
            }
        }
        if (!left.isEmpty()) {
            why.add("Not inspected to the end: " + String.join(", ", left) + ".");
        }
        return why;
    }

    private OutcomeView outcome(Outcome o) {
        PracticeFlaw f = o.flaw();
        return new OutcomeView(
                f.kind().title() + f.toe().map(t -> ", " + joint.toeName(t)).orElse(""),
                stretch(f.from(), f.to()),
                f.kind().sizeWords() + " " + sized(f.size()),
                o.found(),
                o.sized().isPresent() ? sized(o.sized().getAsDouble()) : null,
                o.off().isPresent() ? off(o.off().getAsDouble()) : null,
                (f.from() + f.to()) / 2);
    }

    private String off(double mm) {
        return Math.abs(mm) < 0.1 ? "right" : sized(Math.abs(mm)) + (mm > 0 ? " too much" : " too little");
    }

    private String sized(double mm) {
        return asHandedOut.unit() == Unit.INCH
                ? String.format(Locale.ROOT, "%.3f in", mm / 25.4)
                : String.format(Locale.ROOT, "%.1f mm", mm);
    }

    String shown(double mm, int finer) {
        return asHandedOut
                .unit()
                .pick(
                        Length.inches(Math.round(mm / 25.4 * 8 * finer), 8L * finer),
                        Length.millimetres(String.valueOf(Math.round(mm))))
                .shown();
    }

    private String stretch(double from, double to) {
        String a = shown(from, 1);
        String b = shown(to, 1);
        return a.equals(b) ? a : a + "–" + b;
    }

    private String words(Indication i) {
        return i.kind().title().toLowerCase(Locale.ROOT) + " at " + i.span().shown();
    }

    private List<String> unseen() {
        List<String> unseen = new ArrayList<>();
        double at = 0;
        List<double[]> seen = new ArrayList<>(content.seen());
        seen.add(new double[] {length(), length()});
        for (double[] s : seen) {
            if (s[0] - at > UNSEEN_FROM) {
                unseen.add(stretch(at, s[0]));
            }
            at = Math.max(at, s[1]);
        }
        return unseen;
    }

    /** What to practice next, by what went wrong here. */
    private String next(PracticeScore score) {
        if (!score.missed().isEmpty()) {
            PracticeFlaw f = score.missed().stream()
                    .max((a, b) -> Double.compare(a.size(), b.size()))
                    .orElseThrow();
            return "Practice on " + f.kind().title() + " alone at level "
                    + setting().level()
                    + ": the largest you missed was " + sized(f.size())
                    + ". Move the lamp low along it, from both sides.";
        }
        if (!score.called().isEmpty()) {
            return "You called what is not there: practice with more dirt, and hold a gauge before you record.";
        }
        double worst = score.outcomes().stream()
                .filter(o -> o.off().isPresent())
                .mapToDouble(o -> Math.abs(o.off().getAsDouble()))
                .max()
                .orElse(0);
        if (worst > 0.4) {
            return "All found, one size off by " + sized(worst) + ": read twice, seat the gauge anew between.";
        }
        return setting().level() < PracticeSetting.MOST_LEVEL
                ? "All found and nothing called: go up to level " + (setting().level() + 1) + "."
                : "All found at the highest level: come back in a month, eyes go stale.";
    }

    String code() {
        return book().title();
    }

    /** In words: 5/16 fillet, tee, 8 in. */
    String title() {
        return joint.size()
                        .map(s -> s.shown() + " fillet, tee")
                        .orElse("butt, " + joint.thinner().thickness().shown() + " plate")
                + ", " + joint.length().shownWithUnit();
    }
}
