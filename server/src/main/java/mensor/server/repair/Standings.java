package mensor.server.repair;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.repair.Disposition;
import mensor.repair.RepairState;
import mensor.server.inspection.RepairStanding;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Counts defects by the inspection that raised them. */
@Component
class Standings implements RepairStanding {
    private final DefectRepository defects;
    private final Steps steps;

    Standings(DefectRepository defects, Steps steps) {
        this.defects = defects;
        this.steps = steps;
    }

    @Override
    @Transactional(readOnly = true)
    public Map<UUID, Standing> of(Collection<UUID> inspections) {
        return inspections.isEmpty() ? Map.of() : count(defects.standings(inspections));
    }

    @Override
    @Transactional(readOnly = true)
    public Standing of(UUID inspection) {
        return count(defects.standings(inspection)).getOrDefault(inspection, Standing.NONE);
    }

    @Override
    @Transactional(readOnly = true)
    public List<String> by(UUID person, UUID joint) {
        List<String> done = new ArrayList<>();
        for (DefectEntity d : defects.findByJointIdOrderByNumber(joint)) {
            if (person.equals(d.decidedBy())) {
                done.add("decided the disposition of " + d.number());
            }
            boolean worked = steps.of(d).stream()
                    .anyMatch(s -> s.stands()
                            && s.state() != RepairState.CAVITY_ACCEPTED // an inspector's own step
                            && person.equals(s.recordedBy()));
            if (worked) {
                done.add("recorded the repair of " + d.number());
            }
        }
        return done;
    }

    private static Map<UUID, Standing> count(List<Object[]> rows) {
        Map<UUID, Standing> counts = new HashMap<>();
        for (Object[] r : rows) {
            counts.merge((UUID) r[0], one((String) r[1], (String) r[2], (Long) r[3]), Standings::plus);
        }
        return counts;
    }

    private static Standing one(String disposition, String state, long holds) {
        if (state.equals(RepairState.CLOSED.id())) {
            return new Standing(0, 0, 0, 0, 1);
        }
        if (disposition == null) {
            return new Standing(1, 0, 0, 0, 0);
        }
        if (holds > 0) {
            return new Standing(0, 1, 0, 0, 0);
        }
        if (disposition.equals(Disposition.REFER.id())) {
            return new Standing(1, 0, 0, 0, 0); // the Engineer answered: it is decided anew
        }
        return state.equals(RepairState.READY.id()) ? new Standing(0, 0, 0, 1, 0) : new Standing(0, 0, 1, 0, 0);
    }

    private static Standing plus(Standing a, Standing b) {
        return new Standing(
                a.undecided() + b.undecided(),
                a.waiting() + b.waiting(),
                a.working() + b.working(),
                a.ready() + b.ready(),
                a.closed() + b.closed());
    }
}
