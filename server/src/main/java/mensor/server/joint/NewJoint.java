package mensor.server.joint;

import mensor.server.web.AllOptional;

/** A joint as it is set up: where it belongs, by which book it is judged, and what was to be made. */
@AllOptional
public record NewJoint(
        String job, String lot, String criteria, String units, String welder, String wps, JointForm joint) {}
