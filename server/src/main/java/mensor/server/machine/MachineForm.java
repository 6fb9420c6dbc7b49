package mensor.server.machine;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mensor.server.web.AllOptional;
import mensor.weld.ArcForceScale;
import mensor.weld.InvalidField;
import mensor.weld.Machine;
import mensor.weld.Named;
import mensor.weld.WeldingProcess;

/**
 * A machine as it is registered.
 *
 * @param modes the processes that it can be switched to, as {@code SMAW}
 * @param arcForceMiddle halfway between lowest and highest where it is absent; no scale at all where the lowest is
 * @param arcForceWords of a machine whose scale has words, from the softest on; then it has no numbers
 * @param displayAmps what the display showed when the meter at the arc showed {@code meterAmps}
 */
@AllOptional
public record MachineForm(
        String name,
        List<String> modes,
        BigDecimal arcForceLowest,
        BigDecimal arcForceMiddle,
        BigDecimal arcForceHighest,
        List<String> arcForceWords,
        LocalDate checkedOn,
        BigDecimal displayAmps,
        BigDecimal meterAmps) {

    /** @throws InvalidField naming the field that cannot be */
    public Machine machine() {
        Set<WeldingProcess> switched = EnumSet.noneOf(WeldingProcess.class);
        for (String mode : modes == null ? List.<String>of() : modes) {
            switched.add(Named.find(WeldingProcess.class, mode)
                    .orElseThrow(() -> new InvalidField(
                            "modes", "one of " + Named.list(WeldingProcess.class) + " is required, got " + mode)));
        }
        return new Machine(name == null ? "" : name.strip(), switched, scale(), check());
    }

    private Optional<ArcForceScale> scale() {
        if (arcForceWords != null && !arcForceWords.isEmpty()) {
            if (arcForceLowest != null || arcForceHighest != null) {
                throw new InvalidField("arcForceWords", "a scale has numbers or words, not both");
            }
            return Optional.of(new ArcForceScale.Words(arcForceWords));
        }
        if (arcForceLowest == null && arcForceHighest == null && arcForceMiddle == null) {
            return Optional.empty();
        }
        if (arcForceLowest == null || arcForceHighest == null) {
            throw new InvalidField("arcForceLowest", "a scale has a lowest and a highest number");
        }
        double lowest = arcForceLowest.doubleValue();
        double highest = arcForceHighest.doubleValue();
        double middle = arcForceMiddle == null ? (lowest + highest) / 2 : arcForceMiddle.doubleValue();
        return Optional.of(new ArcForceScale.Numbers(lowest, middle, highest));
    }

    private Optional<Machine.MeterCheck> check() {
        if (checkedOn == null && displayAmps == null && meterAmps == null) {
            return Optional.empty();
        }
        if (checkedOn == null || displayAmps == null || meterAmps == null) {
            throw new InvalidField("checkedOn", "a check has its day, the display's amps and the meter's");
        }
        return Optional.of(new Machine.MeterCheck(checkedOn, displayAmps.doubleValue(), meterAmps.doubleValue()));
    }
}
