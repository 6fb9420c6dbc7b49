package mensor.server.inspection;

import java.util.UUID;
import mensor.server.joint.JointInspections;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.welding.WeldInspections;
import mensor.server.welding.WeldingViews;
import org.springframework.stereotype.Component;

/** What other rooms ask of a joint's inspections. */
@Component
class InspectionAnswers implements JointInspections, WeldInspections {
    private final Bench bench;

    InspectionAnswers(Bench bench) {
        this.bench = bench;
    }

    @Override
    public UUID begin(StoredJoint joint) {
        return bench.begin(joint).id();
    }

    @Override
    public UUID beginVerification(Actor actor, UUID joint) {
        return bench.beginVerification(actor, joint).id();
    }

    @Override
    public UUID rejudged(UUID joint) {
        bench.rejudge(joint);
        return bench.ofJoint(joint).get(0).id();
    }

    @Override
    public WeldingViews.InspectionState inspectionsAt(UUID joint) {
        return bench.inspectionsAt(joint);
    }

    @Override
    public boolean isSigned(UUID joint) {
        return bench.isSigned(joint);
    }

    @Override
    public void rejudgeOpen(UUID joint) {
        bench.rejudgeOpen(joint);
    }
}
