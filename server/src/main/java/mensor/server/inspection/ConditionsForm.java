package mensor.server.inspection;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import mensor.server.web.AllOptional;

/** The answers of the "ready to look?" list; what is absent was not answered, or stays as it was answered before. */
@JsonInclude(JsonInclude.Include.NON_NULL)
@AllOptional
public record ConditionsForm(Boolean cleaned, Boolean ambient, Boolean coated, BigDecimal hoursSinceWelding) {
    /** These answers over earlier ones, so that two answers given quickly after each other both stand. */
    ConditionsForm over(ConditionsForm before) {
        return new ConditionsForm(
                cleaned != null ? cleaned : before.cleaned,
                ambient != null ? ambient : before.ambient,
                coated != null ? coated : before.coated,
                hoursSinceWelding != null ? hoursSinceWelding : before.hoursSinceWelding);
    }
}
