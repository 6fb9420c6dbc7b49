package mensor.server.inspection;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import mensor.server.web.AllOptional;

/**
 * What one entry says, in the fields of the inspection format: a reading's, an indication's, or the criterion that was
 * cleared or covered. Lengths as typed; what is absent is left out.
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
@AllOptional
public record EntryContent(
        String kind,
        String toe,
        String at,
        String from,
        String to,
        String depth,
        String height,
        String least,
        String diameter,
        Integer count,
        String where,
        String offset,
        String missing,
        String what,
        Boolean ground,
        String checked,
        Boolean trapped,
        Boolean loose,
        String legA,
        String legB,
        String throat,
        String face,
        String convexity,
        String concavity,
        String faceWidth,
        String reinforcement,
        String rootReinforcement,
        String rootWidth,
        BigDecimal toeAngleA,
        BigDecimal toeAngleB,
        String atLeast,
        String division,
        String gauge,
        String criterion,
        String by) {}
