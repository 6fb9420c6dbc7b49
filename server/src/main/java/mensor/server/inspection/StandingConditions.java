package mensor.server.inspection;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import mensor.server.gauge.Gauges;
import mensor.server.joint.StoredJoint;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What was answered before an inspection, with what the clock and the gauge register say of it. */
@Component
class StandingConditions {
    private final Gauges gauges;
    private final JsonMapper json;
    private final Clock clock;

    StandingConditions(Gauges gauges, JsonMapper json, Clock clock) {
        this.gauges = gauges;
        this.json = json;
        this.clock = clock;
    }

    /** The answers as they stand now: the clock of the welding runs by itself, and the register says which gauges hold. */
    ConditionsForm of(StoredJoint joint, StoredInspection inspection, Contract contract) {
        ConditionsForm answered = json.readValue(inspection.conditions(), ConditionsForm.class);
        if (inspection.isSigned()) {
            return answered;
        }
        BigDecimal hours = joint.weldedAt() == null ? answered.hoursSinceWelding() : hoursSince(joint.weldedAt());
        return answered.standing(
                hours, gauges.hold(answered.gaugeIds(), contract.waived()).orElse(answered.inCalibration()));
    }

    /** Full tenths of an hour, so that the wait is never over too soon. */
    private BigDecimal hoursSince(Instant welded) {
        long minutes = Math.max(0, Duration.between(welded, clock.instant()).toMinutes());
        BigDecimal hours = BigDecimal.valueOf(minutes).divide(BigDecimal.valueOf(60), 1, RoundingMode.DOWN);
        return new BigDecimal(hours.stripTrailingZeros().toPlainString());
    }
}
