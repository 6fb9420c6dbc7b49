package mensor.server.inspection;

import java.util.List;
import java.util.UUID;
import mensor.exchange.EntryDocument;
import mensor.exchange.InspectionParts;
import mensor.exchange.UnreadableInput;
import mensor.inspection.Entry;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Span;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import mensor.server.welding.WeldingViews;
import mensor.weld.InvalidField;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Inspections opened with all that belongs to them, locked for a change, and judged. */
@Service
public class Bench {
    private final InspectionRepository inspections;
    private final EntryRepository entries;
    private final HandoverRepository handovers;
    private final Joints joints;
    private final InspectionJudge judging;

    Bench(
            InspectionRepository inspections,
            EntryRepository entries,
            HandoverRepository handovers,
            Joints joints,
            InspectionJudge judging) {
        this.inspections = inspections;
        this.entries = entries;
        this.handovers = handovers;
        this.joints = joints;
        this.judging = judging;
    }

    /** An inspection with all that belongs to it. */
    public record State(
            StoredJoint joint,
            StoredInspection inspection,
            List<EntryEntity> entries,
            InspectionResult judged,
            List<HandoverEntity> handovers) {}

    /** One thing recorded, its id in the address; {@code version} is the one that it changes. */
    public record EntryForm(Entry.Sort kind, EntryDocument content, Long version) {}

    /** One of several things recorded at once. */
    public record NewEntry(UUID id, Entry.Sort kind, EntryDocument content) {}

    @Transactional(readOnly = true)
    public State open(Actor actor, UUID id) {
        return opened(checkSees(actor, id));
    }

    /** The joint of an inspection, as fitted up. */
    @Transactional(readOnly = true)
    public StoredJoint joint(Actor actor, UUID id) {
        return joints.find(checkSees(actor, id).jointId()).orElseThrow(Bench::unknown);
    }

    /** An inspection as it stands, for what the application does by itself. */
    @Transactional(readOnly = true)
    public State openAsItStands(UUID id) {
        return opened(inspections.findById(id).orElseThrow(Bench::unknown));
    }

    /** An opened inspection judged by the present tables, whatever was signed. */
    InspectionResult judgedToday(State o) {
        return judging.today(o.joint(), o.inspection(), o.entries());
    }

    /** Which version of an inspection stands: cheap enough to be asked every second. */
    @Transactional(readOnly = true)
    public long version(Actor actor, UUID id) {
        return checkSees(actor, id).version();
    }

    /** The look, where the person may see it. */
    InspectionEntity checkSees(Actor actor, UUID id) {
        InspectionEntity inspection = inspections.findById(id).orElseThrow(Bench::unknown);
        if (actor.seesSignedOnly() && inspection.state() != StoredInspection.State.SIGNED) {
            throw Refusal.forbidden("a viewer sees signed records only; this inspection is not signed yet");
        }
        return inspection;
    }

    State opened(InspectionEntity inspection) {
        StoredJoint joint = joints.get(inspection.jointId());
        List<EntryEntity> all = entries.findByInspectionIdOrderBySequence(inspection.id());
        return new State(
                joint,
                inspection,
                all,
                judging.of(joint, inspection, all),
                handovers.findByInspectionIdOrderByAt(inspection.id()));
    }

    static Refusal unknown() {
        return Refusal.notFound("there is no such inspection");
    }

    /** The inspection, locked for this change; refused where it is signed or the person does not look. */
    InspectionEntity forChange(Actor actor, UUID id) {
        if (!actor.inspects()) {
            throw Refusal.forbidden("only an inspector records an inspection");
        }
        InspectionEntity inspection = inspections.findForChangeById(id).orElseThrow(Bench::unknown);
        if (inspection.state() == StoredInspection.State.SIGNED) {
            throw Refusal.conflict("this inspection is signed; a change is a new revision (amend it)");
        }
        return inspection;
    }

    /** As {@link #forChange}, for a room that keeps something beside the entries. */
    @Transactional
    public StoredInspection lockForChange(Actor actor, UUID id) {
        return forChange(actor, id);
    }

    /** Judges what stands now; what cannot be read as the format says is refused and rolled back. */
    State judged(InspectionEntity inspection) {
        entries.flush();
        try {
            State opened = opened(inspection);
            inspection.judged(opened.judged().evaluation());
            inspection.changed();
            inspections.flush();
            return opened;
        } catch (UnreadableInput e) {
            throw InspectionResult.refusal(e);
        } catch (InvalidField e) {
            throw InspectionResult.refusal(e);
        }
    }

    /** All looks at a joint, the newest first. */
    @Transactional(readOnly = true)
    public List<StoredInspection> ofJoint(UUID jointId) {
        return List.copyOf(inspections.findByJointIdOrderByCycleDescRevisionDesc(jointId));
    }

    /** Whether somebody signed an inspection at this joint. */
    @Transactional(readOnly = true)
    public boolean isSigned(UUID jointId) {
        return inspections.findByJointIdOrderByCycleDescRevisionDesc(jointId).stream()
                .anyMatch(InspectionEntity::isSigned);
    }

    /** Signed rejects, the newest revision of each inspection, of which no defect is kept. */
    @Transactional(readOnly = true)
    public List<UUID> rejectedWithoutDefects() {
        return inspections.rejectedWithoutDefects();
    }

    /** What a weld's welding record shows of its inspections. */
    @Transactional(readOnly = true)
    public WeldingViews.InspectionState inspectionsAt(UUID jointId) {
        List<InspectionEntity> all = inspections.findByJointIdOrderByCycleDescRevisionDesc(jointId);
        return new WeldingViews.InspectionState(
                all.stream().anyMatch(InspectionEntity::isSigned),
                all.isEmpty() ? null : all.get(0).id());
    }

    /** Refuses a place or a stretch, as typed, that does not lie on the weld. */
    void checkOnWeld(InspectionEntity inspection, String field, String from, String to) {
        StoredJoint joint = joints.get(inspection.jointId());
        try {
            InspectionParts.readJoint(joint.document(), joint.unit())
                    .checkWithin("", new Span(Length.parse(from, joint.unit()), Length.parse(to, joint.unit())));
        } catch (InvalidField e) {
            String end = e.field().replaceFirst("^\\.", "");
            throw Refusal.invalid(end.isEmpty() || from.equals(to) ? field : end, e.problem());
        } catch (LengthFormatException e) {
            throw Refusal.invalid(field, e.getMessage());
        }
    }
}
