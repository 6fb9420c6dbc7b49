package mensor.server.cause;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import mensor.cause.CauseClass;
import mensor.cause.Surroundings;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.weld.Named;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was changed because of a cause, one thing at a time, and what the next weld showed. */
@Service
public class Trials {
    private final TrialRepository trials;
    private final Joints joints;
    private final People people;
    private final Clock clock;

    Trials(TrialRepository trials, Joints joints, People people, Clock clock) {
        this.trials = trials;
        this.joints = joints;
        this.people = people;
        this.clock = clock;
    }

    /** @param trouble what the weld had, in the tracer's words */
    @AllOptional
    public record TrialForm(String cause, String trouble, String words) {}

    @AllOptional
    public record OutcomeForm(String nextMark, Outcome showed, String note) {}

    /** @param after the weld whose trouble led to it */
    public record TrialView(
            UUID id,
            String cause,
            String trouble,
            String words,
            String after,
            String by,
            Instant at,
            @Nullable String nextMark,
            @Nullable Outcome showed,
            @Nullable String note) {}

    /** What was tried on this weld, and what its welder tried on others. */
    @Transactional(readOnly = true)
    List<TrialView> around(StoredJoint joint) {
        List<TrialEntity> found = joint.welder() == null
                ? trials.findByJointIdOrderByChangedAt(joint.id())
                : trials.findByWelderOrderByChangedAt(joint.welder());
        return found.stream().map(this::view).toList();
    }

    private TrialView view(TrialEntity t) {
        return new TrialView(
                t.id(),
                t.cause(),
                t.trouble(),
                t.words(),
                joints.find(t.jointId()).map(StoredJoint::mark).orElse(""),
                people.nameOf(t.changedBy()),
                t.changedAt(),
                t.nextMark(),
                t.showed(),
                t.note());
    }

    /** What came of it, as evidence for or against its cause where the same trouble shows again. */
    static List<Surroundings.Tried> asEvidence(List<TrialView> trials) {
        return trials.stream()
                .filter(t -> t.showed() != null)
                .map(t -> new Surroundings.Tried(
                        Named.find(CauseClass.class, t.cause()).orElseThrow(),
                        t.trouble(),
                        t.showed() == Outcome.BETTER,
                        t.words() + ", after " + t.after() + ": " + t.nextMark() + " was "
                                + switch (t.showed()) {
                                    case BETTER -> "better";
                                    case SAME -> "no better";
                                    case WORSE -> "worse";
                                }))
                .toList();
    }

    @Transactional
    public void changed(Actor actor, UUID inspectionId, StoredJoint joint, UUID id, TrialForm form) {
        checkMay(actor);
        if (Named.find(CauseClass.class, String.valueOf(form.cause())).isEmpty()) {
            throw Refusal.invalid("cause", "one of " + Named.list(CauseClass.class) + " is required");
        }
        checkLine("trouble", form.trouble(), 60, "what the weld had");
        checkLine("words", form.words(), 500, "what was changed, one thing");
        TrialEntity trial = trials.findById(id)
                .orElseGet(() ->
                        new TrialEntity(id, inspectionId, joint.id(), joint.welder(), actor.id(), clock.instant()));
        if (!trial.inspectionId().equals(inspectionId)) {
            throw Refusal.conflict("that id belongs to another weld's change");
        }
        if (trial.showed() != null) {
            throw Refusal.conflict("what it led to is noted already; note a new change");
        }
        trial.changed(form.cause(), form.trouble().strip(), form.words().strip());
        trials.save(trial);
    }

    @Transactional
    public void showed(Actor actor, UUID id, OutcomeForm form) {
        checkMay(actor);
        TrialEntity trial = trials.findById(id).orElseThrow(() -> Refusal.notFound("there is no such change"));
        checkLine("nextMark", form.nextMark(), 120, "the mark of the weld that was made with it");
        if (form.showed() == null) {
            throw Refusal.invalid("showed", "better, the same or worse?");
        }
        if (form.note() != null && form.note().length() > 500) {
            throw Refusal.invalid("note", "up to 500 letters");
        }
        trial.showed(form.nextMark().strip(), form.showed(), form.note(), actor.id(), clock.instant());
    }

    private static void checkMay(Actor actor) {
        if (actor.seesSignedOnly()) {
            throw Refusal.forbidden("a viewer records nothing");
        }
    }

    static void checkLine(String field, String value, int longest, String wanted) {
        if (value == null || value.isBlank() || value.length() > longest) {
            throw Refusal.invalid(field, wanted + ", in up to " + longest + " letters");
        }
    }
}
