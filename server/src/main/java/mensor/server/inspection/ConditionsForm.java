package mensor.server.inspection;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import mensor.server.web.AllOptional;

/** The answers of the "ready to look?" list; what is absent was not answered. */
@JsonInclude(JsonInclude.Include.NON_NULL)
@AllOptional
public record ConditionsForm(Boolean cleaned, Boolean ambient, Boolean coated, BigDecimal hoursSinceWelding) {}
