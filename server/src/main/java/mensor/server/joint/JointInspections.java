package mensor.server.joint;

import java.util.UUID;
import mensor.server.people.Actor;

/** What becomes of a joint's inspections when it is set up or changed; answered by the inspections' room. */
public interface JointInspections {
    /** Begins the first one. */
    UUID begin(StoredJoint joint);

    /** Begins the owner's own. */
    UUID beginVerification(Actor actor, UUID joint);

    /** Judges the open ones anew, and says which is the newest; refused where something is signed. */
    UUID rejudged(UUID joint);
}
