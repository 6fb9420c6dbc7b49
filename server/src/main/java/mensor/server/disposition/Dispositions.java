package mensor.server.disposition;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.judge.Evaluation;
import mensor.judge.Finding;
import mensor.repair.Disposition;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.web.AllOptional;
import mensor.server.web.Refused;
import mensor.weld.Named;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The contractor's decisions on the rejected findings of a signed look. */
@Service
public class Dispositions {
    private final DispositionRepository dispositions;
    private final People people;
    private final Clock clock;

    Dispositions(DispositionRepository dispositions, People people, Clock clock) {
        this.dispositions = dispositions;
        this.people = people;
        this.clock = clock;
    }

    /**
     * What the contractor decides on a finding; the document is the Engineer's word, where it is needed.
     *
     * @param version of the decision that this one replaces, absent for the first
     */
    @AllOptional
    public record Decision(
            String decision, String note, String documentNo, String documentBy, LocalDate documentDate, Long version) {}

    /** One row for each rejected finding of a signed reject. */
    @Transactional(readOnly = true)
    public List<DispositionView> of(UUID inspectionId, boolean signed, Evaluation evaluation) {
        if (!signed) {
            return List.of();
        }
        Map<String, DispositionEntity> decided = new HashMap<>();
        dispositions.findByInspectionId(inspectionId).forEach(d -> decided.put(d.finding(), d));
        List<DispositionView> views = new ArrayList<>();
        for (Finding f : evaluation.rejected()) {
            views.add(view(f, decided.get(f.id())));
        }
        return views;
    }

    /** How many decisions stand on each of the inspections. */
    @Transactional(readOnly = true)
    public Map<UUID, Integer> counts() {
        Map<UUID, Integer> counts = new HashMap<>();
        dispositions.findAll().forEach(d -> counts.merge(d.inspectionId(), 1, Integer::sum));
        return counts;
    }

    private DispositionView view(Finding f, DispositionEntity d) {
        List<DispositionView.Choice> choices = Disposition.suiting(f.criterion()).stream()
                .map(c -> new DispositionView.Choice(c.id(), c.title(), c.needsEngineersDocument()))
                .toList();
        String why = Disposition.why(f.criterion());
        if (d == null) {
            return new DispositionView(
                    f.id(),
                    f.criterion().title(),
                    f.reason(),
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    choices,
                    why);
        }
        return new DispositionView(
                f.id(),
                f.criterion().title(),
                f.reason(),
                d.decision(),
                Named.find(Disposition.class, d.decision())
                        .map(Disposition::title)
                        .orElse(d.decision()),
                d.note(),
                d.documentNo(),
                d.documentBy(),
                d.documentDate(),
                people.nameOf(d.decidedBy()),
                d.decidedAt(),
                d.version(),
                choices,
                why);
    }

    @Transactional
    public void decide(
            Actor actor, UUID inspectionId, boolean signed, Evaluation evaluation, String findingId, Decision given) {
        Disposition chosen = given.decision() == null
                ? null
                : Named.find(Disposition.class, given.decision()).orElse(null);
        if (chosen == null) {
            throw Refused.invalid("decision", "one of " + Named.list(Disposition.class) + " is wanted");
        }
        boolean may = chosen.needsEngineersDocument()
                ? actor.role().recordsEngineer()
                : actor.role().disposes();
        if (!may) {
            throw Refused.forbidden(
                    chosen.needsEngineersDocument()
                            ? "the Engineer's document is recorded by the welding engineer or the quality manager"
                            : "the repair lead or the welding engineer disposes, not the " + words(actor));
        }
        if (!signed) {
            throw Refused.conflict("the reject is not signed yet");
        }
        Finding finding = evaluation.rejected().stream()
                .filter(f -> f.id().equals(findingId))
                .findFirst()
                .orElseThrow(() -> Refused.notFound("no such finding rejects on this look"));
        if (!Disposition.suiting(finding.criterion()).contains(chosen)) {
            throw Refused.invalid(
                    "decision",
                    chosen.title().toLowerCase(java.util.Locale.ROOT) + " does not suit "
                            + finding.criterion().id() + ": " + Disposition.why(finding.criterion()));
        }
        Decision checked = withDocument(chosen, given);
        DispositionEntity standing = dispositions
                .findByInspectionIdAndFinding(inspectionId, findingId)
                .orElse(null);
        if (standing == null) {
            standing = new DispositionEntity(inspectionId, findingId);
        } else if (given.version() == null || !given.version().equals(standing.version())) {
            throw Refused.stale(
                    people.nameOf(standing.decidedBy()) + " decided this meanwhile", view(finding, standing));
        }
        standing.decide(checked, actor.id(), clock.instant());
        dispositions.saveAndFlush(standing);
    }

    private static String words(Actor actor) {
        return actor.role().name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
    }

    private static Decision withDocument(Disposition chosen, Decision d) {
        if (!chosen.needsEngineersDocument()) {
            return new Decision(d.decision(), cut(d.note()), null, null, null, d.version());
        }
        List<Refused.FieldProblem> missing = new ArrayList<>();
        if (d.documentNo() == null || d.documentNo().isBlank()) {
            missing.add(new Refused.FieldProblem("documentNo", "the number of the Engineer's document is wanted"));
        }
        if (d.documentBy() == null || d.documentBy().isBlank()) {
            missing.add(new Refused.FieldProblem("documentBy", "the Engineer's name is wanted"));
        }
        if (d.documentDate() == null) {
            missing.add(new Refused.FieldProblem("documentDate", "the document's date is wanted"));
        }
        if (!missing.isEmpty()) {
            throw Refused.invalid(missing);
        }
        return new Decision(
                d.decision(),
                cut(d.note()),
                d.documentNo().strip(),
                d.documentBy().strip(),
                d.documentDate(),
                d.version());
    }

    private static String cut(String note) {
        if (note != null && note.length() > 500) {
            throw Refused.invalid("note", "at most 500 letters");
        }
        return note;
    }
}
