package mensor.server.inspection;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import mensor.server.job.Jobs;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.record.Signatures;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Whose hands inspected a weld and whose repaired it. A job keeps them apart unless it says otherwise; where one person
 * may do both, the record says so.
 */
@Service
public class Hands {
    private final InspectionRepository inspections;
    private final Joints joints;
    private final Jobs jobs;
    private final Signatures signatures;
    private final RepairStanding repairs;

    Hands(InspectionRepository inspections, Joints joints, Jobs jobs, Signatures signatures, RepairStanding repairs) {
        this.inspections = inspections;
        this.joints = joints;
        this.jobs = jobs;
        this.signatures = signatures;
        this.repairs = repairs;
    }

    private boolean apart(StoredJoint joint) {
        return jobs.keepsApart(jobs.get(joint.jobId()));
    }

    /** Refuses an inspector who decided on the weld's repair or recorded it, where the job keeps the two apart. */
    @Transactional(readOnly = true)
    public void checkInspects(Actor actor, StoredJoint joint) {
        List<String> done = apart(joint) ? repairs.by(actor.id(), joint.id()) : List.of();
        if (!done.isEmpty()) {
            throw Refusal.forbidden(
                    actor.name() + " " + String.join(", ", done)
                            + ", and this job keeps inspection and repair in different hands: another inspector inspects, or the job's page is changed");
        }
    }

    /** Refuses a contractor's decision by somebody who signed an inspection of the weld, where the job keeps the two apart. */
    @Transactional(readOnly = true)
    public void checkRepairs(Actor actor, UUID jointId) {
        if (apart(joints.get(jointId)) && hasSigned(actor.id(), jointId)) {
            throw Refusal.forbidden(actor.name()
                    + " signed an inspection of this weld, and this job keeps inspection and repair in different hands:"
                    + " another person decides and repairs, or the job's page is changed");
        }
    }

    private boolean hasSigned(UUID person, UUID jointId) {
        return inspections.findByJointIdOrderByCycleDescRevisionDesc(jointId).stream()
                .anyMatch(i -> i.isSigned() && person.equals(signatures.signer(i.id())));
    }

    /** What the signer did beside inspecting this weld, in words for the record; empty where nothing. */
    List<String> beside(Actor signer, StoredJoint joint, List<GaugeFaults.GaugeFaultView> faults) {
        List<String> done = new ArrayList<>(repairs.by(signer.id(), joint.id()));
        faults.stream()
                .filter(f -> f.waived() != null && f.waived().by().equals(signer.name()))
                .forEach(f -> done.add("waived the calibration of " + f.gauge()));
        return done;
    }
}
