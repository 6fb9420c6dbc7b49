package mensor.server.procedure;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.util.List;
import mensor.server.web.AllOptional;

/** The fields of {@code mensor-procedure/1}; what is absent is left out. Travel as {@code "4 in/min"}. */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record ProcedureForm(
        String format,
        String number,
        String revision,
        String units,
        List<String> welds,
        List<String> connections,
        String thinnest,
        String thickest,
        List<String> positions,
        String progression,
        String steel,
        BigDecimal preheatF,
        BigDecimal interpassMaxF,
        BigDecimal beadWidthRods,
        Boolean stringerOnly,
        String cleaning,
        String brightMetal,
        Boolean backing,
        List<PassForm> passes) {

    @AllOptional
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record PassForm(
            String kind,
            String process,
            String electrode,
            String diameter,
            List<BigDecimal> amps,
            List<BigDecimal> volts,
            String polarity,
            String technique,
            List<String> travel,
            String layer) {}
}
