package mensor.server.joint;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.util.List;
import mensor.server.web.AllOptional;

/** The fields of {@code welding} in the inspection format; what is absent was not recorded. */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record WeldingForm(
        List<PassForm> passes,
        Boolean millScaleRemoved,
        BigDecimal electrodeExposureHours,
        BigDecimal preheatF,
        String arcLength,
        List<String> signs,
        List<String> signsAbsent) {

    /** One pass as it was laid; {@code planned} where it was copied and not measured. */
    @AllOptional
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record PassForm(
            Integer pass,
            String kind,
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
            Boolean planned) {}
}
