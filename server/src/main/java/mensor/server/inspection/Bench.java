package mensor.server.inspection;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.exchange.EntryDocument;
import mensor.exchange.InspectionParts;
import mensor.exchange.UnreadableInput;
import mensor.inspection.Entry;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.server.job.TermsChange;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.photo.Photos;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.server.welding.WeldingViews;
import mensor.weld.InvalidField;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The inspector's work on one inspection: entries, conditions, hand-over. Each change is judged before it is stored. */
@Service
public class Bench {
    private final InspectionRepository inspections;
    private final EntryRepository entries;
    private final HandoverRepository handovers;
    private final Joints joints;
    private final People people;
    private final InspectionJudge judging;
    private final Photos photos;
    private final NoneSeen noneSeen;
    private final TypedEntries typed;
    private final EntityManager entityManager;
    private final JsonMapper json;
    private final Clock clock;

    Bench(
            InspectionRepository inspections,
            EntryRepository entries,
            HandoverRepository handovers,
            Joints joints,
            People people,
            InspectionJudge judging,
            Photos photos,
            NoneSeen noneSeen,
            TypedEntries typed,
            EntityManager entityManager,
            JsonMapper json,
            Clock clock) {
        this.inspections = inspections;
        this.entries = entries;
        this.handovers = handovers;
        this.joints = joints;
        this.people = people;
        this.judging = judging;
        this.photos = photos;
        this.noneSeen = noneSeen;
        this.typed = typed;
        this.entityManager = entityManager;
        this.json = json;
        this.clock = clock;
    }

    /** An inspection with all that belongs to it. */
    public record State(
            StoredJoint joint,
            StoredInspection inspection,
            List<EntryEntity> entries,
            InspectionResult judged,
            List<HandoverEntity> handovers) {}

    /** One of several things recorded at once. */
    public record NewEntry(UUID id, Entry.Sort kind, EntryDocument content) {}

    /** The fabricator's first look at a joint. */
    @Transactional
    public StoredInspection begin(StoredJoint joint) {
        InspectionEntity inspection = InspectionEntity.first(joint.id(), StoredInspection.QC, clock.instant());
        inspection.judged(judging.of(joint, inspection, List.of()).evaluation());
        return inspections.save(inspection);
    }

    /** Beginning the inspections of many joints: a joint like one before is judged like it. */
    public final class InspectionStarts {
        private final Map<String, InspectionEntity> byDesign = new HashMap<>();

        /** The first inspection, not stored yet. */
        public StoredInspection of(StoredJoint joint) {
            InspectionEntity inspection = InspectionEntity.first(joint.id(), StoredInspection.QC, clock.instant());
            InspectionEntity like = byDesign.get(joint.design());
            if (like == null) {
                inspection.judged(judging.of(joint, inspection, List.of()).evaluation());
                byDesign.put(joint.design(), inspection);
            } else {
                inspection.judgedAs(like);
            }
            return inspection;
        }
    }

    public InspectionStarts beginning() {
        return new InspectionStarts();
    }

    /** The owner's own look at a weld, beside the fabricator's: a record of its own. */
    @Transactional
    public StoredInspection beginVerification(Actor actor, UUID jointId) {
        if (!actor.role().inspects()) {
            throw Refusal.forbidden("only an inspector inspects");
        }
        StoredJoint joint = joints.get(jointId);
        boolean there = inspections.findByJointIdOrderByCycleDescRevisionDesc(jointId).stream()
                .anyMatch(i -> i.capacity().equals(StoredInspection.VERIFICATION));
        if (there) {
            throw Refusal.conflict("a verification of this weld is begun already; it is on the worklist");
        }
        InspectionEntity inspection = InspectionEntity.first(jointId, StoredInspection.VERIFICATION, clock.instant());
        inspection.judged(judging.of(joint, inspection, List.of()).evaluation());
        return inspections.save(inspection);
    }

    /**
     * Begins the inspection after a repair; who may, and whether all is ready, is for the caller to know.
     *
     * @param repaired since the inspection that rejected
     */
    @Transactional
    public StoredInspection beginAgain(Actor actor, UUID rejected, RepairSummary repaired) {
        if (!actor.role().inspects()) {
            throw Refusal.forbidden("only an inspector re-inspects");
        }
        InspectionEntity before = inspections.findForChangeById(rejected).orElseThrow(Bench::unknown);
        boolean latest = inspections.findByJointIdOrderByCycleDescRevisionDesc(before.jointId()).stream()
                .noneMatch(i -> i.capacity().equals(before.capacity()) && i.isAfter(before));
        if (!before.isSigned() || !latest) {
            throw Refusal.conflict("an inspection after this one is begun already; it is on the worklist");
        }
        InspectionEntity next = before.again(json.writeValueAsString(repaired), clock.instant());
        next.setHolder(actor.id());
        inspections.save(next);
        judged(next);
        return next;
    }

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
        if (actor.role().seesSignedOnly() && inspection.state() != StoredInspection.State.SIGNED) {
            throw Refusal.forbidden("a viewer sees signed records only; this inspection is not signed yet");
        }
        return inspection;
    }

    private State opened(InspectionEntity inspection) {
        StoredJoint joint = joints.get(inspection.jointId());
        List<EntryEntity> all = entries.findByInspectionIdOrderBySequence(inspection.id());
        return new State(
                joint,
                inspection,
                all,
                judging.of(joint, inspection, all),
                handovers.findByInspectionIdOrderByAt(inspection.id()));
    }

    private static Refusal unknown() {
        return Refusal.notFound("there is no such inspection");
    }

    /** The inspection, locked for this change; refused where it is signed or the person does not look. */
    InspectionEntity forChange(Actor actor, UUID id) {
        if (!actor.role().inspects()) {
            throw Refusal.forbidden("only an inspector records an inspection");
        }
        InspectionEntity inspection = inspections.findForChangeById(id).orElseThrow(Bench::unknown);
        if (inspection.state() == StoredInspection.State.SIGNED) {
            throw Refusal.conflict("this inspection is signed; a change is a new revision (amend it)");
        }
        return inspection;
    }

    /**
     * Records one entry under the browser's id. The same again changes nothing; other content changes the entry, if
     * {@code version} is the one that stands.
     */
    @Transactional
    public State put(Actor actor, UUID inspectionId, NewEntry entry, Long version) {
        InspectionEntity inspection = forChange(actor, inspectionId);
        put(actor, inspection, entry, version);
        return judged(inspection);
    }

    /** Several at once, as one confirmation after the inspection: all or none. */
    @Transactional
    public State putAll(Actor actor, UUID inspectionId, List<NewEntry> several) {
        InspectionEntity inspection = forChange(actor, inspectionId);
        several.forEach(e -> put(actor, inspection, e, null));
        return judged(inspection);
    }

    private void put(Actor actor, InspectionEntity inspection, NewEntry entry, Long version) {
        Entry said = said(inspection, entry);
        String content = entry.content().canonical();
        Instant now = clock.instant();
        EntryEntity standing = entries.findById(entry.id()).orElse(null);
        if (standing == null) {
            if (inspection.holder() == null) {
                inspection.setHolder(actor.id());
            }
            entries.save(new EntryEntity(
                    entry.id(), inspection.id(), inspection.nextSequence(), entry.kind(), content, actor.id(), now));
        } else {
            if (!standing.inspectionId().equals(inspection.id()) || standing.kind() != entry.kind()) {
                throw Refusal.conflict("that id belongs to another entry");
            }
            if (standing.content().equals(content)) {
                return;
            }
            if (version == null || version != standing.version()) {
                throw stale(standing);
            }
            standing.change(content, actor.id(), now);
        }
        noneSeen.agree(inspection, said);
    }

    private Entry said(InspectionEntity inspection, NewEntry entry) {
        if (entry.id() == null || entry.kind() == null || entry.content() == null) {
            throw Refusal.invalid("content", "an entry needs its id, its kind and what it says");
        }
        Unit unit = joints.get(inspection.jointId()).unit();
        try {
            Entry said = entry.content().entry(entry.kind(), unit);
            said.gauge().filter(g -> g.length() > 60).ifPresent(g -> {
                throw Refusal.invalid("gauge", "a gauge's name has up to 60 letters");
            });
            return said;
        } catch (UnreadableInput e) {
            throw InspectionResult.refusal(e);
        }
    }

    private Refusal stale(EntryEntity standing) {
        return Refusal.stale(
                people.nameOf(standing.enteredBy()) + " changed this entry meanwhile",
                EntryView.of(standing, people.nameOf(standing.enteredBy())));
    }

    /** Takes an entry off; the mark stays, and undo brings it back. */
    @Transactional
    public State withdraw(Actor actor, UUID inspectionId, UUID entryId, long version) {
        InspectionEntity inspection = forChange(actor, inspectionId);
        EntryEntity entry = entry(inspection, entryId);
        if (!entry.isWithdrawn()) {
            if (version != entry.version()) {
                throw stale(entry);
            }
            entry.withdraw("taken off by " + actor.name());
        }
        return judged(inspection);
    }

    @Transactional
    public State restore(Actor actor, UUID inspectionId, UUID entryId) {
        InspectionEntity inspection = forChange(actor, inspectionId);
        EntryEntity entry = entry(inspection, entryId);
        if (entry.isWithdrawn()) {
            entry.restore();
            StoredJoint joint = joints.get(inspection.jointId());
            noneSeen.agree(inspection, typed.of(entry, joint.unit()));
        }
        return judged(inspection);
    }

    /** A picture at a place of the weld or of one entry. */
    @Transactional
    public State photo(Actor actor, UUID inspectionId, UUID photoId, Photos.Place place, byte[] sent) {
        InspectionEntity inspection = forChange(actor, inspectionId);
        if ((place.entry() == null) == (place.at() == null)) {
            throw Refusal.invalid("at", "a picture shows a place of the weld, or one entry");
        }
        if (place.entry() != null) {
            entry(inspection, place.entry());
        } else {
            checkOnWeld(inspection, "at", place.at(), place.at());
        }
        photos.put(actor, inspectionId, photoId, place, sent);
        return judged(inspection);
    }

    @Transactional
    public State photoOff(Actor actor, UUID inspectionId, UUID photoId, boolean off) {
        InspectionEntity inspection = forChange(actor, inspectionId);
        photos.setWithdrawn(inspectionId, photoId, off);
        return judged(inspection);
    }

    private EntryEntity entry(InspectionEntity inspection, UUID entryId) {
        return entries.findById(entryId)
                .filter(e -> e.inspectionId().equals(inspection.id()))
                .orElseThrow(() -> Refusal.notFound("there is no such entry"));
    }

    /** Answers whether the weld is ready: what is not answered here stays as it was. */
    @Transactional
    public State conditions(Actor actor, UUID inspectionId, ConditionsForm form) {
        InspectionEntity inspection = forChange(actor, inspectionId);
        ConditionsForm before = json.readValue(inspection.conditions(), ConditionsForm.class);
        inspection.setConditions(InspectionParts.canonical(json.writeValueAsString(form.over(before))));
        return judged(inspection);
    }

    @Transactional
    public State handOver(Actor actor, UUID inspectionId, UUID to, String note, InspectedStretch inspected) {
        InspectionEntity inspection = forChange(actor, inspectionId);
        checkInspected(inspection, inspected);
        if (to == null) {
            throw Refusal.invalid("to", "to whom?");
        }
        Actor next = people.get(to);
        if (!next.role().inspects()) {
            throw Refusal.invalid("to", next.name() + " is no inspector");
        }
        if (next.id().equals(inspection.holder())) {
            throw Refusal.invalid("to", next.name() + " has it in hand already");
        }
        handovers.save(new HandoverEntity(
                inspection.id(), actor.id(), next.id(), note, inspected.from(), inspected.to(), clock.instant()));
        inspection.setHolder(next.id());
        return judged(inspection);
    }

    /** The stretch that somebody inspected before handing over; absent where nothing is said. */
    @AllOptional
    public record InspectedStretch(String from, String to) {
        static final InspectedStretch NOT_SAID = new InspectedStretch(null, null);
    }

    private void checkInspected(InspectionEntity inspection, InspectedStretch inspected) {
        if (inspected.from() == null && inspected.to() == null) {
            return;
        }
        if (inspected.from() == null || inspected.to() == null) {
            throw Refusal.invalid(inspected.from() == null ? "from" : "to", "say from where to where you inspected");
        }
        checkOnWeld(inspection, "from", inspected.from(), inspected.to());
    }

    private void checkOnWeld(InspectionEntity inspection, String field, String from, String to) {
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

    /** A new revision of a signed inspection, with its entries, to be changed and signed anew; the old one stays as it is. */
    @Transactional
    public State amend(Actor actor, UUID inspectionId, String reason) {
        if (!actor.role().inspects()) {
            throw Refusal.forbidden("only an inspector amends an inspection");
        }
        if (reason == null || reason.isBlank() || reason.length() > 500) {
            throw Refusal.invalid("reason", "say in a line why the record is amended");
        }
        InspectionEntity old = inspections.findForChangeById(inspectionId).orElseThrow(Bench::unknown);
        if (old.state() != StoredInspection.State.SIGNED) {
            throw Refusal.conflict("this inspection is not signed; change it as it is");
        }
        InspectionEntity latest = inspections.findByJointIdOrderByCycleDescRevisionDesc(old.jointId()).stream()
                .filter(i -> i.capacity().equals(old.capacity()))
                .findFirst()
                .orElseThrow();
        if (!latest.id().equals(old.id())) {
            throw Refusal.conflict(
                    latest.cycle() > old.cycle()
                            ? "the re-inspection (" + latest.stage() + ") stands already; amend that one"
                            : "revision " + latest.revision() + " stands already; amend that one");
        }
        InspectionEntity next = old.amended(reason.strip(), clock.instant());
        next.setHolder(actor.id());
        next.setConditions(old.conditions());
        inspections.save(next);
        Map<UUID, UUID> carried = new HashMap<>();
        for (EntryEntity e : entries.findByInspectionIdOrderBySequence(old.id())) {
            if (!e.isWithdrawn()) {
                carried.put(e.id(), UUID.randomUUID());
                entries.save(new EntryEntity(
                        carried.get(e.id()),
                        next.id(),
                        next.nextSequence(),
                        e.kind(),
                        e.content(),
                        e.enteredBy(),
                        e.enteredAt()));
            }
        }
        entries.flush();
        photos.carryOver(old.id(), next.id(), carried);
        return judged(next);
    }

    /** Judges what stands now; what cannot be read as the format says is refused and rolled back. */
    private State judged(InspectionEntity inspection) {
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

    /**
     * What holds beside the code changed in a job: all its open inspections are judged anew, those that nobody touched once
     * for all that are alike. Each is locked first, so that an entry that comes in meanwhile is judged with the others.
     */
    @Transactional
    public void rejudgeJob(UUID jobId) {
        Map<String, InspectionEntity> byDesign = new HashMap<>();
        for (OpenInspection open : inspections.openOf(jobId)) {
            InspectionEntity like = open.untouched() ? byDesign.get(open.design()) : null;
            boolean done =
                    like != null && inspections.judgedAs(open.id(), like.verdict(), like.rejects(), like.todos()) == 1;
            if (done) {
                continue;
            }
            InspectionEntity i = inspections.findForChangeById(open.id()).orElseThrow();
            if (!i.isSigned()) {
                judged(i);
            }
            if (open.untouched() && i.entryCount() == 0) {
                byDesign.put(open.design(), i);
            }
        }
    }

    @EventListener
    @Transactional
    public void termsChanged(TermsChange changed) {
        rejudgeJob(changed.jobId());
    }

    /** What was recorded of the joint's welding record changed: its open inspections are judged anew, signed ones stand. */
    @Transactional
    public void rejudgeOpen(UUID jointId) {
        inspections.findByJointIdOrderByCycleDescRevisionDesc(jointId).stream()
                .filter(i -> !i.isSigned())
                .peek(i -> entityManager.refresh(i, LockModeType.PESSIMISTIC_WRITE))
                .filter(i -> !i.isSigned())
                .forEach(this::judged);
    }

    /** A wait after welding ended: an open inspection that comes to something else by it is stored so, and no other is touched. */
    @Transactional
    public void waitOver(UUID jointId) {
        for (InspectionEntity i : inspections.findByJointIdOrderByCycleDescRevisionDesc(jointId)) {
            if (!i.isSigned() && !i.comesTo(opened(i).judged().evaluation())) {
                judged(i);
            }
        }
    }

    /** The joint changed: its open inspection is judged anew; entries that no longer lie on the weld refuse the change. */
    @Transactional
    public void rejudge(UUID jointId) {
        List<InspectionEntity> all = new ArrayList<>(inspections.findByJointIdOrderByCycleDescRevisionDesc(jointId));
        if (all.stream().anyMatch(i -> i.state() == StoredInspection.State.SIGNED)) {
            throw Refusal.conflict("something was signed on this joint; it can no longer be changed");
        }
        all.forEach(this::judged);
    }
}
