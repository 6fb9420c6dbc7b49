package mensor.server.joint;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.server.job.WeldCounts;
import mensor.server.procedure.ProcedureUse;
import org.springframework.stereotype.Component;

/** What jobs and procedures are used for. */
@Component
class JointCounts implements WeldCounts, ProcedureUse {
    private final JointRepository joints;

    JointCounts(JointRepository joints) {
        this.joints = joints;
    }

    @Override
    public Map<UUID, Long> byJob() {
        return map(joints.countByJob());
    }

    @Override
    public long ofJob(UUID job) {
        return joints.countByJobId(job);
    }

    @Override
    public Map<UUID, Long> byProcedure() {
        return map(joints.countByProcedure());
    }

    @Override
    public long of(UUID procedure) {
        return joints.countByProcedureId(procedure);
    }

    private static Map<UUID, Long> map(List<Object[]> rows) {
        Map<UUID, Long> counts = new HashMap<>();
        rows.forEach(row -> counts.put((UUID) row[0], (Long) row[1]));
        return counts;
    }
}
