package mensor.server.repair;

import java.util.List;
import java.util.UUID;
import mensor.repair.Disposition;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What is marked on the metal where a repair is due. */
@Component
public class RepairMarks {
    private final DefectRepository defects;
    private final Steps steps;
    private final Joints joints;

    RepairMarks(DefectRepository defects, Steps steps, Joints joints) {
        this.defects = defects;
        this.steps = steps;
        this.joints = joints;
    }

    /**
     * A place to be repaired.
     *
     * @param place from–to with its unit, as it was found where its extent is known, else as it was rejected
     * @param what to do, where somebody decided
     */
    public record RepairMark(UUID defect, String number, StoredJoint joint, String place, String what) {}

    /** Those that are not closed, by their numbers. */
    @Transactional(readOnly = true)
    public List<RepairMark> ofJob(UUID job) {
        return defects.findByJobIdOrderByNumber(job).stream()
                .filter(d -> !d.isClosed())
                .map(d -> {
                    StoredJoint joint = joints.get(d.jointId());
                    String place = steps.repaired(d, joint.unit())
                            .or(() -> d.place(joint.unit()))
                            .map(s -> s.shown() + " " + joint.unit().symbol())
                            .orElse("the whole weld");
                    return new RepairMark(
                            d.id(),
                            d.number(),
                            joint,
                            place,
                            d.disposition().map(Disposition::title).orElse("not decided"));
                })
                .toList();
    }
}
