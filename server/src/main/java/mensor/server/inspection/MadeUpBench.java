package mensor.server.inspection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import mensor.drawing.SectionDrawing;
import mensor.drawing.StripDrawing;
import mensor.exchange.InspectionParts;
import mensor.exchange.UnreadableInput;
import mensor.inspection.Inspection;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.server.people.People;
import mensor.server.web.Refusal;
import mensor.server.welding.WeldingRecords;
import mensor.server.welding.WeldingViews;
import mensor.weld.InvalidField;
import org.springframework.stereotype.Component;

/**
 * The ordinary bench for a weld that stands in no job: its entries are read, kept apart from "none seen" and judged as any
 * inspection's are, and nothing of it is stored here.
 */
@Component
public class MadeUpBench {
    /** What stands where an inspection's stage and side would. */
    public static final String PRACTICE = "practice";

    private final InspectionJudge judging;
    private final NoneSeen noneSeen;
    private final TypedEntries typed;
    private final EvaluationViews evaluations;
    private final WeldingViews weldings;
    private final People people;
    private final JointViews joints;
    private final java.time.Clock clock;

    MadeUpBench(
            InspectionJudge judging,
            NoneSeen noneSeen,
            TypedEntries typed,
            EvaluationViews evaluations,
            WeldingViews weldings,
            People people,
            JointViews joints,
            java.time.Clock clock) {
        this.judging = judging;
        this.noneSeen = noneSeen;
        this.typed = typed;
        this.evaluations = evaluations;
        this.weldings = weldings;
        this.people = people;
        this.joints = joints;
        this.clock = clock;
    }

    /** What was recorded, and what it comes to. */
    public record Judged(Inspection inspection, Evaluation evaluation) {}

    public Judged judged(MadeUpWeld weld) {
        InspectionResult result = result(weld);
        return new Judged(result.inspection(), result.evaluation());
    }

    private InspectionResult result(MadeUpWeld weld) {
        return judging.alone(joint(weld), weld.contract(), ConditionsForm.READY, List.copyOf(entities(weld)));
    }

    private static MadeUpJoint joint(MadeUpWeld weld) {
        return new MadeUpJoint(weld, InspectionParts.readJoint(weld.joint(), weld.unit()));
    }

    private static List<MadeUpEntry> entities(MadeUpWeld weld) {
        return new ArrayList<>(IntStream.range(0, weld.entries().size())
                .mapToObj(i -> new MadeUpEntry(weld.entries().get(i), weld.id(), i + 1, weld.person()))
                .toList());
    }

    /** The entries with these ones, by the rules of any inspection: the same again changes nothing, a "none seen" gives way. */
    public List<MadeUpWeld.Kept> with(MadeUpWeld weld, List<Bench.NewEntry> several, Long version) {
        return changed(weld, all -> several.forEach(e -> put(weld, all, e, version)));
    }

    public List<MadeUpWeld.Kept> without(MadeUpWeld weld, UUID entry, long version) {
        return changed(weld, all -> {
            MadeUpEntry e = entry(all, entry);
            if (!e.isWithdrawn()) {
                if (version != e.version()) {
                    throw stale(e);
                }
                e.withdraw("taken off by " + people.nameOf(weld.person()));
            }
        });
    }

    public List<MadeUpWeld.Kept> restored(MadeUpWeld weld, UUID entry) {
        return changed(weld, all -> {
            MadeUpEntry e = entry(all, entry);
            if (e.isWithdrawn()) {
                e.restore();
                noneSeen.agree(kept(all), weld.unit(), typed.of(e, weld.unit()));
            }
        });
    }

    /** @throws Refusal where what would stand then cannot be judged */
    private List<MadeUpWeld.Kept> changed(MadeUpWeld weld, Consumer<List<MadeUpEntry>> how) {
        List<MadeUpEntry> all = entities(weld);
        how.accept(all);
        try {
            judging.alone(joint(weld), weld.contract(), ConditionsForm.READY, List.copyOf(all));
        } catch (UnreadableInput e) {
            throw InspectionResult.refusal(e);
        } catch (InvalidField e) {
            throw InspectionResult.refusal(e);
        }
        return all.stream().map(MadeUpEntry::kept).toList();
    }

    private void put(MadeUpWeld weld, List<MadeUpEntry> all, Bench.NewEntry entry, Long version) {
        ReadEntry read = ReadEntry.of(entry, () -> joint(weld).joint(), weld.unit());
        Optional<MadeUpEntry> standing =
                all.stream().filter(e -> e.id().equals(entry.id())).findFirst();
        if (standing.isEmpty()) {
            MadeUpWeld.Kept fresh =
                    new MadeUpWeld.Kept(entry.id(), entry.kind(), read.content(), clock.instant(), null, 0);
            all.add(new MadeUpEntry(fresh, weld.id(), all.size() + 1, weld.person()));
        } else {
            MadeUpEntry e = standing.get();
            if (e.kind() != entry.kind()) {
                throw Refusal.conflict("that id belongs to another entry");
            }
            if (e.content().equals(read.content())) {
                return;
            }
            if (version == null || version != e.version()) {
                throw stale(e);
            }
            e.change(read.content(), weld.person(), clock.instant());
        }
        noneSeen.agree(kept(all), weld.unit(), read.said());
    }

    private static NoneSeen.Kept kept(List<MadeUpEntry> all) {
        return sort -> all.stream()
                .filter(e -> e.kind() == sort)
                .sorted(Comparator.comparingInt(MadeUpEntry::sequence))
                .toList();
    }

    private static MadeUpEntry entry(List<MadeUpEntry> all, UUID id) {
        return all.stream()
                .filter(e -> e.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("there is no such entry"));
    }

    private Refusal stale(MadeUpEntry e) {
        String by = people.nameOf(e.enteredBy());
        return Refusal.stale("this entry was changed meanwhile", EntryView.of(e, by));
    }

    /** What lines mean, before they are recorded. */
    public static List<EntryLines.LineView> read(MadeUpWeld weld, EntryLines.LinesForm form) {
        return EntryLines.read(joint(weld).joint(), weld.unit(), form);
    }

    /** All that the bench shows. */
    public BenchView view(MadeUpWeld weld) {
        MadeUpJoint stored = joint(weld);
        InspectionResult result = result(weld);
        String person = people.nameOf(weld.person());
        return new BenchView(
                weld.id(),
                UUID.randomUUID().toString(),
                weld.version(),
                PRACTICE,
                PRACTICE,
                1,
                null,
                null,
                weld.handedIn() ? StoredInspection.State.SIGNED : StoredInspection.State.OPEN,
                person,
                joints.joint(weld.job(), stored, stored.joint(), result),
                ConditionsForm.READY,
                entities(weld).stream().map(e -> EntryView.of(e, person)).toList(),
                evaluations.of(result),
                StripDrawing.of(result.inspection(), result.evaluation()),
                result.sections(),
                SectionDrawing.asDrawn(stored.joint()),
                List.of(),
                List.of(),
                null,
                RepairStanding.Standing.NONE,
                null,
                weldings.of(WeldingRecords.none(stored), new WeldingViews.InspectionState(weld.handedIn(), null)),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                JointViews.contract(weld.contract().terms()),
                List.of(),
                List.of(),
                List.of(),
                weld.handedIn() ? List.of() : GuideSteps.of(result),
                null,
                next(weld, result.evaluation()));
    }

    private static String next(MadeUpWeld weld, Evaluation evaluation) {
        if (weld.handedIn()) {
            return "See what was truly there";
        }
        return evaluation.verdict() == Verdict.INCOMPLETE ? "Inspect what is left" : "Sign as practice";
    }
}
