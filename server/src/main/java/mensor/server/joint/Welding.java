package mensor.server.joint;

import java.util.UUID;
import mensor.exchange.InspectionParts;
import mensor.exchange.UnreadableInput;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The welding record of a joint. The judge does not read it; the tracer does, so it may still grow after a signature. */
@Service
public class Welding {
    private final JointRepository joints;
    private final JsonMapper json;

    Welding(JointRepository joints, JsonMapper json) {
        this.joints = joints;
        this.json = json;
    }

    /** @param version the joint's, as it was shown */
    @Transactional
    public StoredJoint record(Actor actor, UUID jointId, long version, WeldingForm form) {
        if (actor.seesSignedOnly()) {
            throw Refusal.forbidden("a viewer records nothing");
        }
        JointEntity joint = joints.findById(jointId).orElseThrow(() -> Refusal.notFound("there is no such joint"));
        if (joint.version() != version) {
            throw Refusal.stale("somebody changed this joint meanwhile; check it again", null);
        }
        String text = InspectionParts.canonical(json.writeValueAsString(form));
        try {
            InspectionParts.readWelding(text, joint.unit());
        } catch (UnreadableInput e) {
            throw Refusal.invalid(e.field(), e.problem());
        }
        joint.setWelding(text);
        return joints.saveAndFlush(joint);
    }
}
