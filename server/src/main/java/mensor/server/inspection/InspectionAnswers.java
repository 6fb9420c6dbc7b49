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
    private final Rejudgement rejudgement;
    private final NewInspections beginnings;

    InspectionAnswers(Bench bench, Rejudgement rejudgement, NewInspections beginnings) {
        this.bench = bench;
        this.rejudgement = rejudgement;
        this.beginnings = beginnings;
    }

    @Override
    public UUID begin(StoredJoint joint) {
        return beginnings.begin(joint).id();
    }

    @Override
    public UUID beginVerification(Actor actor, UUID joint) {
        return beginnings.beginVerification(actor, joint).id();
    }

    @Override
    public UUID rejudged(UUID joint) {
        rejudgement.rejudge(joint);
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
        rejudgement.rejudgeOpen(joint);
    }
}
