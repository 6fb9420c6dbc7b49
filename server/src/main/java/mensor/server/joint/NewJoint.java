package mensor.server.joint;

import java.time.Instant;
import mensor.server.web.AllOptional;

/**
 * A joint as it is set up: where it belongs and what was to be made. Book and units are the job's; they are wanted only where
 * the job is new.
 *
 * @param wps the procedure in words, {@code W-12 rev B}
 */
@AllOptional
public record NewJoint(
        String job,
        String lot,
        String criteria,
        String units,
        String welder,
        String wps,
        String drawing,
        String drawingRev,
        Instant weldedAt,
        JointForm joint) {}
