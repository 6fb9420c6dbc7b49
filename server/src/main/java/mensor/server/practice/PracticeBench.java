package mensor.server.practice;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.drawing.StripDrawing;
import mensor.exchange.EntryDocument;
import mensor.exchange.UnreadableInput;
import mensor.inspection.Conditions;
import mensor.inspection.Cover;
import mensor.inspection.Criterion;
import mensor.inspection.Entry;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.judge.Finding;
import mensor.judge.Judge;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.line.EntryLine;
import mensor.practice.PracticeFlaw;
import mensor.practice.PracticeScore;
import mensor.practice.PracticeScore.Outcome;
import mensor.practice.PracticeSetting;
import mensor.practice.SimulatedPracticeWeld;
import mensor.server.practice.ExerciseContent.RecordedLine;
import mensor.server.practice.ExerciseContent.StoredEntry;
import mensor.server.practice.ExerciseView.OutcomeView;
import mensor.server.practice.ExerciseView.PracticeFindingView;
import mensor.server.practice.ExerciseView.SolutionView;
import mensor.server.web.Refusal;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import tools.jackson.databind.json.JsonMapper;

/** A made-up weld with what was recorded of it: judged as any weld is, and held against its truth. */
final class PracticeBench {
    private static final double UNSEEN_FROM = 4;

    private final PracticeSetting setting;
    private final SimulatedPracticeWeld weld;
    private final ExerciseContent content;
    private final Joint joint;
    private final CriteriaBook book;
    private final Inspection recorded;
    private final Evaluation evaluation;

    PracticeBench(ExerciseEntity e, JsonMapper json) {
        this(e, json.readValue(e.content(), ExerciseContent.class), json);
    }

    PracticeBench(ExerciseEntity e, ExerciseContent content, JsonMapper json) {
        this.setting = json.readValue(e.setting(), SettingForm.class).read();
        this.weld = new SimulatedPracticeWeld(setting, e.seed());
        this.content = content;
        this.joint = weld.joint();
        this.book = CriteriaBooks.find(setting.criteria()).orElseThrow();
        this.recorded = inspection();
        Judge.check(recorded, book);
        this.evaluation = Judge.evaluate(recorded, book);
    }

    private Inspection inspection() {
        List<Reading> readings = new ArrayList<>();
        List<Indication> indications = new ArrayList<>();
        Set<Criterion> clear = EnumSet.noneOf(Criterion.class);
        List<Cover> covered = new ArrayList<>();
        for (RecordedLine line : content.lines()) {
            for (StoredEntry stored : line.entries()) {
                entry(stored, setting.units()).answer(new Entry.Cases<Void>() {
                    @Override
                    public Void read(Entry.Read entry) {
                        readings.add(entry.reading());
                        return null;
                    }

                    @Override
                    public Void seen(Entry.Seen entry) {
                        indications.add(entry.indication());
                        return null;
                    }

                    @Override
                    public Void noneSeen(Entry.NoneSeen entry) {
                        clear.add(entry.criterion());
                        return null;
                    }

                    @Override
                    public Void covered(Entry.Covered entry) {
                        covered.add(entry.cover());
                        return null;
                    }
                });
            }
        }
        indications.forEach(i -> clear.remove(i.criterion())); // what was seen takes back its none seen
        return new Inspection(
                joint,
                setting.units(),
                Conditions.READY,
                clear,
                false,
                covered,
                readings,
                indications,
                List.of(),
                false,
                mensor.weld.WeldingRecord.NONE);
    }

    private static Entry entry(StoredEntry stored, Unit unit) {
        return EntryDocument.stored(stored.content()).entry(stored.sort(), unit);
    }

    /** @throws Refusal in the entry line's own words */
    static RecordedLine understood(UUID id, String line, PracticeSetting setting, Joint joint) {
        EntryLine.Parse p = new EntryLine(joint).read(line, "");
        if (!p.isWhole()) {
            throw Refusal.invalid(
                    "line",
                    p.problem()
                            .orElse(
                                    p.expects().isEmpty()
                                            ? "not understood"
                                            : "the line is not finished: " + String.join(", ", p.expects())));
        }
        try {
            List<StoredEntry> entries = new ArrayList<>();
            for (EntryLine.TypedEntry t : p.entries()) {
                StoredEntry stored = new StoredEntry(
                        t.sort(), EntryDocument.typed(t.fields()).canonical());
                entry(stored, setting.units());
                entries.add(stored);
            }
            return new RecordedLine(id, line, entries);
        } catch (UnreadableInput e) {
            throw Refusal.invalid("line", e.problem());
        } catch (InvalidField e) {
            throw Refusal.invalid("line", e.problem());
        }
    }

    PracticeSetting setting() {
        return setting;
    }

    SimulatedPracticeWeld weld() {
        return weld;
    }

    ExerciseContent content() {
        return content;
    }

    Joint joint() {
        return joint;
    }

    Evaluation evaluation() {
        return evaluation;
    }

    CriteriaBook book() {
        return book;
    }

    StripDrawing strip() {
        return StripDrawing.of(recorded, evaluation);
    }

    Evaluation truth() {
        return Judge.evaluate(weld.truth(), book);
    }

    PracticeScore score() {
        return PracticeScore.of(weld.flaws(), recorded, weld.wantedLeg());
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
                StripDrawing.of(weld.truth(), truth),
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
                    why.add(f.criterion().title() + ": truly " + f.verdict().id() + " ("
                            + f.reason().words() + "), recorded " + g.verdict().id());
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
        return setting.units() == Unit.INCH
                ? String.format(Locale.ROOT, "%.3f in", mm / 25.4)
                : String.format(Locale.ROOT, "%.1f mm", mm);
    }

    String shown(double mm, int finer) {
        return setting.units()
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
        seen.add(new double[] {weld.length(), weld.length()});
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
            return "Practice on " + f.kind().title() + " alone at level " + setting.level()
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
        return setting.level() < PracticeSetting.MOST_LEVEL
                ? "All found and nothing called: go up to level " + (setting.level() + 1) + "."
                : "All found at the highest level: come back in a month, eyes go stale.";
    }

    String code() {
        return book.title();
    }

    /** In words: 5/16 fillet, tee, 8 in. */
    String title() {
        return joint.size()
                        .map(s -> s.shown() + " fillet, tee")
                        .orElse("butt, " + joint.thinner().thickness().shown() + " plate")
                + ", " + joint.length().shownWithUnit();
    }

    List<String> todo() {
        return evaluation.todo().stream().map(t -> t.ask()).distinct().collect(Collectors.toList());
    }
}
