package mensor.server.contract;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import mensor.exchange.InspectionParts;
import mensor.exchange.UnreadableInput;
import mensor.inspection.Criterion;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Span;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.web.Refusal;
import mensor.server.web.Refusal.FieldProblem;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.Named;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The Engineer's deviations of a weld. He rarely signs in: the welding engineer or the quality manager records his document. */
@Service
public class Deviations {
    private final DeviationRepository deviations;
    private final People people;
    private final JsonMapper json;
    private final Clock clock;

    Deviations(DeviationRepository deviations, People people, JsonMapper json, Clock clock) {
        this.deviations = deviations;
        this.people = people;
        this.json = json;
        this.clock = clock;
    }

    /** A deviation that stands. */
    public record DeviationView(UUID id, DeviationForm form, String recordedBy, Instant recordedAt) {}

    @Transactional(readOnly = true)
    public List<DeviationView> standing(UUID jointId) {
        return deviations.findByJointIdOrderByRecordedAt(jointId).stream()
                .filter(d -> !d.isWithdrawn())
                .map(d -> new DeviationView(
                        d.id(),
                        json.readValue(d.content(), DeviationForm.class),
                        people.nameOf(d.recordedBy()),
                        d.recordedAt()))
                .toList();
    }

    @Transactional
    public void record(Actor actor, StoredJoint joint, DeviationForm form) {
        requireRole(actor);
        check(joint, form);
        deviations.save(new DeviationEntity(joint.id(), json.writeValueAsString(form), actor.id(), clock.instant()));
    }

    @Transactional
    public void withdraw(Actor actor, UUID jointId, UUID id, String why) {
        requireRole(actor);
        if (why == null || why.isBlank() || why.length() > 200) {
            throw Refusal.invalid("why", "say in a line why the document no longer holds");
        }
        deviations
                .findById(id)
                .filter(d -> d.jointId().equals(jointId))
                .orElseThrow(() -> Refusal.notFound("there is no such deviation of this weld"))
                .withdraw(why.strip());
    }

    private static void requireRole(Actor actor) {
        if (!actor.recordsEngineer()) {
            throw Refusal.forbidden(
                    "the Engineer's documents are recorded by the welding engineer or the quality manager");
        }
    }

    private void check(StoredJoint joint, DeviationForm form) {
        List<FieldProblem> problems = new ArrayList<>();
        Criterion criterion = form.criterion() == null
                ? null
                : Named.find(Criterion.class, form.criterion()).orElse(null);
        if (criterion == null || criterion == Criterion.READINESS) {
            problems.add(new FieldProblem("criterion", "choose what the document allows"));
        } else if (criterion == Criterion.SIZE) {
            problems.add(new FieldProblem(
                    "criterion",
                    "a smaller size is a changed drawing: change the size at set-up, with the drawing's revision"));
        }
        need(problems, "document", form.document(), "the number of the Engineer's document");
        need(problems, "engineer", form.engineer(), "the name of the Engineer");
        if (form.date() == null || form.date().isAfter(LocalDate.now(clock))) {
            problems.add(new FieldProblem("date", "the day on the document, not in the future"));
        }
        if (form.note() != null && form.note().length() > 500) {
            problems.add(new FieldProblem("note", "at most 500 letters"));
        }
        try {
            if (form.max() != null && !Length.parse(form.max(), joint.unit()).isPositive()) {
                problems.add(new FieldProblem("max", "must be over zero"));
            }
        } catch (LengthFormatException e) {
            problems.add(new FieldProblem("max", e.getMessage()));
        }
        where(problems, joint, form);
        if (!problems.isEmpty()) {
            throw Refusal.invalid(problems);
        }
    }

    private static void where(List<FieldProblem> problems, StoredJoint joint, DeviationForm form) {
        if (form.from() == null && form.to() == null) {
            return;
        }
        if (form.from() == null || form.to() == null) {
            problems.add(new FieldProblem(form.from() == null ? "from" : "to", "say from where to where, or neither"));
            return;
        }
        try {
            Joint weld = InspectionParts.readJoint(joint.document(), joint.unit());
            weld.checkWithin(
                    "", new Span(Length.parse(form.from(), joint.unit()), Length.parse(form.to(), joint.unit())));
        } catch (InvalidField e) {
            problems.add(new FieldProblem(e.field().replaceFirst("^\\.", ""), e.problem()));
        } catch (LengthFormatException e) {
            problems.add(new FieldProblem("from", e.getMessage()));
        } catch (UnreadableInput e) {
            problems.add(new FieldProblem("from", e.problem()));
        }
    }

    private static void need(List<FieldProblem> problems, String field, String value, String wanted) {
        if (value == null || value.isBlank() || value.length() > 120) {
            problems.add(new FieldProblem(field, wanted + ", up to 120 letters"));
        }
    }
}
