package mensor.server.joint;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.util.List;
import mensor.server.web.AllOptional;

/** What holds for the weld as a whole: the fields of {@code welding} in the inspection format, but for its passes. */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record WeldingForm(
        Boolean millScaleRemoved,
        BigDecimal electrodeExposureHours,
        BigDecimal preheatF,
        String arcLength,
        List<String> signs,
        List<String> signsAbsent) {}
