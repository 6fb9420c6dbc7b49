package mensor.server.joint;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Service;

/** The joints of all jobs, for the rooms that work on one or list several. */
@Service
public class Joints {
    private final JointRepository joints;

    Joints(JointRepository joints) {
        this.joints = joints;
    }

    public Optional<StoredJoint> find(UUID id) {
        return joints.findById(id).map(StoredJoint.class::cast);
    }

    /** @throws Refusal where there is none */
    public StoredJoint get(UUID id) {
        return find(id).orElseThrow(Joints::unknown);
    }

    private static Refusal unknown() {
        return Refusal.notFound("there is no such joint");
    }

    /** Locked, so that two people's changes of one joint are taken one after the other. */
    public StoredJoint forChange(UUID id) {
        return joints.findForChangeById(id).orElseThrow(Joints::unknown);
    }

    public List<StoredJoint> all(Collection<UUID> ids) {
        return List.copyOf(joints.findAllById(ids));
    }

    public List<StoredJoint> ofJob(UUID job) {
        return List.copyOf(joints.findByJobIdOrderByLotAscMarkAscWeldNoAscSideAsc(job));
    }

    /** All that are judged by a book, the newest first. */
    public List<StoredJoint> judgedBy(String criteria) {
        return List.copyOf(joints.findByCriteriaOrderByCreatedAtDesc(criteria));
    }

    public List<StoredJoint> everywhere() {
        return List.copyOf(joints.findAll());
    }

    /** The welds of one design in a job, by mark. */
    public List<StoredJoint> alike(UUID job, String design) {
        return List.copyOf(joints.findByJobIdAndDesignOrderByMarkAscWeldNoAscSideAsc(job, design));
    }

    /** The weld that was set up last in a job's lot; in all of the job where the lot is empty. */
    public Optional<StoredJoint> last(UUID job, String lot) {
        return (lot.isBlank()
                        ? joints.findFirstByJobIdOrderByCreatedAtDesc(job)
                        : joints.findFirstByJobIdAndLotOrderByCreatedAtDesc(job, lot.strip()))
                .map(StoredJoint.class::cast);
    }

    /** Mark, weld number and side of each weld of a job: what names it. */
    public List<WeldName> namesOfJob(UUID job) {
        return joints.namesOfJob(job).stream()
                .map(n -> new WeldName((String) n[0], (String) n[1], (String) n[2]))
                .toList();
    }

    /** What names a weld within its job; number and side may be null. */
    public record WeldName(String mark, String weldNo, String side) {}

    /** Stores the gaps of the fit-up, in the format's shape. */
    public void fittedUp(UUID joint, String gaps) {
        JointEntity entity = entity(joint);
        entity.setFittedGaps(gaps);
        joints.saveAndFlush(entity);
    }

    /** Stores when the joint was last welded: the wait of delayed steels runs from it. */
    public void welded(UUID joint, Instant at) {
        JointEntity entity = entity(joint);
        entity.setWeldedAt(at);
        joints.saveAndFlush(entity);
    }

    private JointEntity entity(UUID id) {
        return joints.findById(id).orElseThrow(Joints::unknown);
    }

    /** The joints of delayed steel whose wait after welding has ended and that were not judged since. */
    public List<WaitOver> waitedUntil(Instant now) {
        return joints.waitedUntil(now);
    }

    /** Judged since its wait ended; one that was welded again waits again. */
    public void judgedAfterWait(UUID id, Instant ended) {
        joints.judgedAfterWait(id, ended);
    }
}
