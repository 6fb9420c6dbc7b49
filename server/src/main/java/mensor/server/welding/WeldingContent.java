package mensor.server.welding;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.util.List;
import mensor.server.web.AllOptional;

/**
 * What one entry of a weld's welding record says: the fields of its kind alone. Lengths as typed; moments as {@code
 * 2026-05-12T08:00:00Z}.
 *
 * @param labelAmps the least and the most amps that the box of the rods says
 * @param arcForceShown as the machine's own scale has it; {@code arcForceWord} where its scale has words; {@code arcForce} is the percent of that
 * @param plannedFields which values of a pass were copied from the procedure and nobody measured yet
 */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record WeldingContent(
        String at,
        String from,
        String to,
        String opening,
        String rootFace,
        BigDecimal angle,
        String offset,
        String backingGap,
        String question,
        Boolean asWanted,
        String depth,
        String note,
        String kind,
        Integer pass,
        String process,
        String electrode,
        String diameter,
        BigDecimal amps,
        BigDecimal volts,
        String polarity,
        String progression,
        String technique,
        String speed,
        String runLength,
        BigDecimal arcForce,
        BigDecimal temperatureF,
        List<String> starts,
        List<String> stops,
        String beadWidth,
        Boolean cleaned,
        String welder,
        List<String> plannedFields,
        List<Outing> outings,
        List<BigDecimal> labelAmps,
        String machine,
        BigDecimal arcForceShown,
        String arcForceWord,
        String mode,
        Boolean clampClose,
        Boolean rodsAtHand,
        BigDecimal ovenHours,
        Boolean protectedNow,
        BigDecimal workAngle,
        BigDecimal travelAngle,
        BigDecimal cover,
        BigDecimal hotStart,
        BigDecimal ampsAtArc,
        List<String> restarts,
        List<PassChangeForm> changes,
        List<AnglesForm> angles,
        String preset,
        String squareBefore,
        String squareAfter,
        String squareAllowed,
        String bowBefore,
        String bowAfter,
        String bowAllowed,
        Boolean tackedBothEnds,
        Boolean alternated) {

    /** What was changed within a pass: at which place, from what to what. */
    @AllOptional
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record PassChangeForm(String at, String what, String from, String to) {}

    /** The work and travel angle as seen at a place, degrees. */
    @AllOptional
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record AnglesForm(String at, BigDecimal work, BigDecimal travel) {}

    @AllOptional
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Outing(String out, String back) {}
}
