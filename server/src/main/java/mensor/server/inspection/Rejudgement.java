package mensor.server.inspection;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.server.job.TermsChange;
import mensor.server.web.Refusal;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Open inspections judged anew where something beside their entries changed; signed ones stand. */
@Service
public class Rejudgement {
    private final Bench bench;
    private final InspectionRepository inspections;
    private final EntityManager entityManager;

    Rejudgement(Bench bench, InspectionRepository inspections, EntityManager entityManager) {
        this.bench = bench;
        this.inspections = inspections;
        this.entityManager = entityManager;
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
                bench.judged(i);
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
                .forEach(bench::judged);
    }

    /** A wait after welding ended: an open inspection that comes to something else by it is stored so, and no other is touched. */
    @Transactional
    public void waitOver(UUID jointId) {
        for (InspectionEntity i : inspections.findByJointIdOrderByCycleDescRevisionDesc(jointId)) {
            if (!i.isSigned() && !i.comesTo(bench.opened(i).judged().evaluation())) {
                bench.judged(i);
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
        all.forEach(bench::judged);
    }
}
