package mensor.server.inspection;

import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.photo.Photos;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Inspections begun: the first of a joint, the owner's own, the one after a repair, and revisions. */
@Service
public class NewInspections {
    private final Bench bench;
    private final InspectionRepository inspections;
    private final EntryRepository entries;
    private final Joints joints;
    private final Photos photos;
    private final InspectionScans scans;
    private final InspectionJudge judging;
    private final JsonMapper json;
    private final Clock clock;

    NewInspections(
            Bench bench,
            InspectionRepository inspections,
            EntryRepository entries,
            Joints joints,
            Photos photos,
            InspectionScans scans,
            InspectionJudge judging,
            JsonMapper json,
            Clock clock) {
        this.bench = bench;
        this.inspections = inspections;
        this.entries = entries;
        this.joints = joints;
        this.photos = photos;
        this.scans = scans;
        this.judging = judging;
        this.json = json;
        this.clock = clock;
    }

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
        if (!actor.inspects()) {
            throw Refusal.forbidden("only an inspector inspects");
        }
        StoredJoint joint = joints.forChange(jointId); // of two who begin at once the second finds the first's
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
        if (!actor.inspects()) {
            throw Refusal.forbidden("only an inspector re-inspects");
        }
        InspectionEntity before = inspections.findForChangeById(rejected).orElseThrow(Bench::unknown);
        boolean latest = inspections.findByJointIdOrderByCycleDescRevisionDesc(before.jointId()).stream()
                .noneMatch(i -> i.capacity().equals(before.capacity()) && i.isAfter(before));
        if (!before.isSigned() || !latest) {
            throw Refusal.conflict("an inspection after this one is begun already; it is on the worklist");
        }
        InspectionEntity again = before.again(json.writeValueAsString(repaired), clock.instant());
        again.setHolder(actor.id());
        InspectionEntity next = inspections.save(again); // what is kept is the answer, not what was given
        bench.judged(next);
        return next;
    }

    /** A new revision of a signed inspection, with its entries, to be changed and signed anew; the old one stays as it is. */
    @Transactional
    public Bench.State amend(Actor actor, UUID inspectionId, String reason) {
        if (!actor.inspects()) {
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
        InspectionEntity amended = old.amended(reason.strip(), clock.instant());
        amended.setHolder(actor.id());
        amended.setConditions(old.conditions());
        InspectionEntity next = inspections.save(amended); // what is kept is the answer, not what was given
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
        scans.carryOver(old.id(), next.id());
        return bench.judged(next);
    }
}
