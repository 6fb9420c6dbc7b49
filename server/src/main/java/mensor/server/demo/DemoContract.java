package mensor.server.demo;

import java.util.UUID;
import mensor.server.contract.DeviationForm;
import mensor.server.contract.Deviations;
import mensor.server.contract.Waivers;
import mensor.server.inspection.Rejudgement;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import org.springframework.stereotype.Component;

/** What stands beside the code in the demo: Engineer's documents and waived gauges. */
@Component
class DemoContract {
    private final Deviations deviations;
    private final Waivers waivers;
    private final Rejudgement rejudgement;

    DemoContract(Deviations deviations, Waivers waivers, Rejudgement rejudgement) {
        this.deviations = deviations;
        this.waivers = waivers;
        this.rejudgement = rejudgement;
    }

    void allowed(Actor engineer, StoredJoint joint, DeviationForm form) {
        deviations.record(engineer, joint, form);
        rejudgement.rejudgeOpen(joint.id());
    }

    void waived(Actor manager, UUID joint, UUID inspection, String gauge, String reason) {
        waivers.waive(manager, inspection, gauge, reason);
        rejudgement.rejudgeOpen(joint);
    }
}
