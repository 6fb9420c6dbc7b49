package mensor.weld;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What was actually used to make the weld, and what was seen on the bead. Preheat in °F; exposure of the rods out of the
 * oven in hours; the procedure's amps as low and high per kind of pass. What is absent is not recorded, not "no".
 */
public record WeldingRecord(
        List<Pass> passes,
        Optional<Boolean> millScaleRemoved,
        OptionalDouble electrodeExposureHours,
        OptionalDouble preheatF,
        Optional<ArcLength> arcLength,
        List<Sign> signs,
        List<Sign> signsAbsent,
        Map<PassKind, Range> procedureAmps) {
    public static final WeldingRecord NONE = new WeldingRecord(
            List.of(),
            Optional.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            Optional.empty(),
            List.of(),
            List.of(),
            Map.of());

    /**
     * The same with passes as they were logged, the procedure's amps, and the rods' hours out of the oven where the record
     * does not say them itself.
     */
    public WeldingRecord with(List<Pass> logged, Map<PassKind, Range> amps, OptionalDouble hoursOut) {
        return new WeldingRecord(
                logged.isEmpty() ? passes : List.copyOf(logged),
                millScaleRemoved,
                electrodeExposureHours.isPresent() ? electrodeExposureHours : hoursOut,
                preheatF,
                arcLength,
                signs,
                signsAbsent,
                amps.isEmpty() ? procedureAmps : Map.copyOf(amps));
    }
}
