package mensor.server.repair;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.repair.Disposition;
import mensor.repair.RepairState;
import mensor.server.job.Jobs;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The shop's list of repairs and of what waits for the Engineer. */
@Component
class RepairsList {
    private final DefectRepository defects;
    private final Holds holds;
    private final Jobs jobs;
    private final Joints joints;

    RepairsList(DefectRepository defects, Holds holds, Jobs jobs, Joints joints) {
        this.defects = defects;
        this.holds = holds;
        this.jobs = jobs;
        this.joints = joints;
    }

    /** The shop's list: all that is not closed, or all of one job. */
    @Transactional(readOnly = true)
    public DefectsView.RepairsPage page(UUID job) {
        List<DefectEntity> all =
                job == null ? defects.findByStateNot(RepairState.CLOSED.id()) : defects.findByJobIdOrderByNumber(job);
        List<RepairHoldEntity> open = holds.waiting();
        Map<UUID, DefectEntity> byId =
                defects
                        .findByIdIn(open.stream()
                                .map(RepairHoldEntity::defectId)
                                .distinct()
                                .toList())
                        .stream()
                        .collect(Collectors.toMap(DefectEntity::id, Function.identity()));
        Map<UUID, StoredJoint> welds = joints
                .all(Stream.concat(all.stream(), byId.values().stream())
                        .map(DefectEntity::jointId)
                        .collect(Collectors.toSet()))
                .stream()
                .collect(Collectors.toMap(StoredJoint::id, Function.identity()));
        Function<DefectEntity, StoredJoint> joint = d -> welds.get(d.jointId());
        Map<UUID, String> names = jobs.names();
        return new DefectsView.RepairsPage(
                all.stream()
                        .sorted(Comparator.comparing((DefectEntity d) -> names.get(d.jobId()))
                                .thenComparing(DefectEntity::count))
                        .map(d -> new DefectsView.DefectRow(
                                d.id(),
                                d.inspectionId(),
                                d.number(),
                                names.get(d.jobId()),
                                d.jobId(),
                                joint.apply(d).lot(),
                                joint.apply(d).mark(),
                                d.words(),
                                d.disposition().map(Disposition::title).orElse(null),
                                d.state().id(),
                                d.state().title(),
                                d.cycle(),
                                byId.containsKey(d.id()),
                                d.raisedAt()))
                        .toList(),
                open.stream()
                        .filter(h ->
                                job == null || byId.get(h.defectId()).jobId().equals(job))
                        .map(h -> {
                            DefectEntity d = byId.get(h.defectId());
                            return new DefectsView.WaitingView(
                                    d.id(),
                                    d.inspectionId(),
                                    d.number(),
                                    names.get(d.jobId()),
                                    joint.apply(d).mark(),
                                    d.words(),
                                    h.kind().id(),
                                    h.kind().words(),
                                    h.kind().mayBeDenied(),
                                    h.raisedAt());
                        })
                        .toList());
    }
}
