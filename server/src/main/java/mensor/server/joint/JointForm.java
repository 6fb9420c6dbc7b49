package mensor.server.joint;

import java.math.BigDecimal;
import java.util.List;
import mensor.server.web.AllOptional;

/** The fields of {@code joint} in the inspection format, lengths as typed; what is absent is left out. */
@AllOptional
public record JointForm(
        String mark,
        String weldNo,
        String side,
        String datum,
        String weld,
        String connection,
        String corner,
        String length,
        Boolean closed,
        ClockForm clock,
        List<StretchForm> segments,
        List<MemberForm> members,
        String size,
        String throat,
        String sizeMeans,
        String penetration,
        GrooveForm groove,
        Boolean backing,
        Boolean flush,
        Boolean faying,
        BigDecimal dihedral,
        String legs,
        String rootOpening,
        List<GapForm> gaps,
        Boolean primary,
        Boolean transverseTension,
        String use,
        String flangeWidth,
        String girderEnds,
        String grade,
        Boolean delayed,
        Boolean oneSided,
        String upper,
        String offsetMax,
        String position,
        String testPiece) {

    @AllOptional
    public record MemberForm(String name, String thickness) {}

    /** How the clock lies on a weld around a round member: the time at its datum, and which way it is measured. */
    @AllOptional
    public record ClockForm(String diameter, String datum, String direction, Boolean turned) {}

    /** How the edges are prepared; the angle in degrees. */
    @AllOptional
    public record GrooveForm(String prep, BigDecimal includedAngle, String rootFace, String rootOpening) {}

    @AllOptional
    public record StretchForm(String from, String to) {}

    @AllOptional
    public record GapForm(String from, String to, String opening) {}
}
