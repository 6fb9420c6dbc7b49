package mensor.server.repair;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.time.Instant;
import mensor.server.web.AllOptional;

/**
 * What the repair lead records at a step, lengths as typed; each step wants its own part.
 *
 * @param scale of the preheat: F or C
 * @param minutes that the repair took, from the gouging to the last bead, hands on
 * @param version of the defect as it was shown
 */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record StepForm(
        String from,
        String to,
        String foundBy,
        String method,
        String depth,
        Boolean clean,
        String seenBy,
        String proof,
        String proofReport,
        String left,
        BigDecimal preheat,
        String scale,
        String rod,
        String diameter,
        Integer rods,
        Integer minutes,
        String welder,
        Instant weldedAt,
        Boolean cleaned,
        Boolean cooled,
        String note,
        Long version) {

    StepForm withoutVersion() {
        return new StepForm(
                from,
                to,
                foundBy,
                method,
                depth,
                clean,
                seenBy,
                proof,
                proofReport,
                left,
                preheat,
                scale,
                rod,
                diameter,
                rods,
                minutes,
                welder,
                weldedAt,
                cleaned,
                cooled,
                note,
                null);
    }
}
