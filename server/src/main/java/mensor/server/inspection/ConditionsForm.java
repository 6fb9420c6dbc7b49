package mensor.server.inspection;

import mensor.server.web.AllOptional;
import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;

/** The answers of the "ready to look?" list; what is absent was not answered. */
@JsonInclude(JsonInclude.Include.NON_NULL)
@AllOptional
public record ConditionsForm(Boolean cleaned, Boolean ambient, Boolean coated, BigDecimal hoursSinceWelding) {}
