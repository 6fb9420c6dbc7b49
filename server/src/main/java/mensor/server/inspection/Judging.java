package mensor.server.inspection;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import mensor.exchange.InspectionDocument;
import mensor.exchange.InspectionParts;
import mensor.judge.Judge;
import mensor.look.Inspection;
import mensor.server.gauge.Gauges;
import mensor.server.joint.JointEntity;
import mensor.server.making.Making;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Joins an inspection's entries, its joint as fitted up and what was used into one document, and has the core judge it. */
@Component
class Judging {
    private final Making making;
    private final Gauges gauges;
    private final JsonMapper json;
    private final Clock clock;

    Judging(Making making, Gauges gauges, JsonMapper json, Clock clock) {
        this.making = making;
        this.gauges = gauges;
        this.json = json;
        this.clock = clock;
    }

    JudgedLook of(JointEntity joint, InspectionEntity inspection, List<EntryEntity> entries) {
        Making.Opened made = making.open(joint);
        ConditionsForm conditions = conditions(joint, inspection);
        List<EntryEntity> readings = new ArrayList<>();
        List<EntryEntity> indications = new ArrayList<>();
        List<String> clear = new ArrayList<>();
        List<String> covered = new ArrayList<>();
        for (EntryEntity e : entries) {
            if (e.isWithdrawn()) {
                continue;
            }
            switch (e.kind()) {
                case READING -> readings.add(e);
                case INDICATION -> indications.add(e);
                case CLEAR ->
                    clear.add(json.readValue(e.content(), EntryContent.class).criterion());
                case COVER -> covered.add(e.content());
            }
        }
        InspectionDocument document = new InspectionParts(
                        joint.criteria(),
                        joint.units(),
                        joint.asFitted(),
                        json.writeValueAsString(conditions.inFormat()),
                        clear.stream().distinct().toList(),
                        covered,
                        readings.stream().map(EntryEntity::content).toList(),
                        indications.stream().map(EntryEntity::content).toList(),
                        making.weldingDocument(made))
                .read();
        Inspection look = document.inspection();
        // a look signed before light and access were asked keeps the verdict it was signed with
        if (!inspection.isSigned() || conditions.saysOfViewing()) {
            look = look.seenUnder(conditions.viewing());
        }
        return new JudgedLook(
                document, look, Judge.evaluate(look, document.book()), readings, indications, made, conditions);
    }

    /** The answers as they stand now: the clock of the welding runs by itself, and the register says which gauges hold. */
    private ConditionsForm conditions(JointEntity joint, InspectionEntity inspection) {
        ConditionsForm answered = json.readValue(inspection.conditions(), ConditionsForm.class);
        if (inspection.isSigned()) {
            return answered;
        }
        BigDecimal hours = joint.weldedAt() == null ? answered.hoursSinceWelding() : hoursSince(joint.weldedAt());
        return answered.standing(hours, gauges.hold(answered.gaugeIds()).orElse(answered.inCalibration()));
    }

    /** Full tenths of an hour, so that the wait is never over too soon. */
    private BigDecimal hoursSince(Instant welded) {
        long minutes = Math.max(0, Duration.between(welded, clock.instant()).toMinutes());
        BigDecimal hours = BigDecimal.valueOf(minutes).divide(BigDecimal.valueOf(60), 1, RoundingMode.DOWN);
        return new BigDecimal(hours.stripTrailingZeros().toPlainString());
    }
}
