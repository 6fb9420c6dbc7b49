package mensor.server.welding;

import mensor.exchange.ClockPlaces;
import mensor.exchange.InspectionParts;
import mensor.exchange.UnreadableInput;
import mensor.exchange.WeldingParts;
import mensor.inspection.FitUpQuestion;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.server.joint.StoredJoint;
import mensor.server.web.Refusal;
import mensor.weld.Joint;
import mensor.weld.Named;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Reads what somebody wants to record, and refuses it by field where it cannot be. */
@Component
class WeldingEntryChecks {
    private final MachineReadings machines;
    private final JsonMapper json;

    WeldingEntryChecks(MachineReadings machines, JsonMapper json) {
        this.machines = machines;
        this.json = json;
    }

    /** The entry's content, refused where it cannot be. */
    String content(StoredJoint joint, WeldingEntryKind kind, WeldingContent said) {
        String typed = machines.withArcForce(said, InspectionParts.canonical(json.writeValueAsString(said)));
        Unit unit = joint.unit();
        Joint weld = InspectionParts.readJoint(joint.document(), unit);
        String content = ClockPlaces.inLengths(typed, weld);
        try {
            switch (kind) {
                case FIT_UP -> WeldingParts.fitUpReading(content, unit, weld);
                case PASS -> WeldingParts.pass(content, unit, weld);
                case PROCESS -> WeldingParts.processAnswer(content, unit, weld);
                case RODS -> WeldingParts.rods(content);
                case FIRST_ROD -> WeldingParts.firstRod(content, unit, machines::named);
                case SIGHT -> WeldingParts.sight(content, unit, weld);
                case SQUARENESS -> WeldingParts.squareness(content, unit, weld);
                case FIT_UP_ANSWER -> checkAnswer(json.readValue(content, WeldingContent.class), unit);
            }
        } catch (UnreadableInput e) {
            throw Refusal.invalid(e.field(), e.problem());
        }
        return content;
    }

    private static void checkAnswer(WeldingContent c, Unit unit) {
        String question = String.valueOf(c.question());
        if (question.equals(WeldingRecords.BRIGHT_METAL)) {
            try {
                if (c.depth() == null || Length.parse(c.depth(), unit).isNegative()) {
                    throw new UnreadableInput("depth", "how far back the metal is bright, as \"3/4\"");
                }
            } catch (mensor.length.LengthFormatException e) {
                throw new UnreadableInput("depth", e.getMessage());
            }
        } else if (Named.find(FitUpQuestion.class, question).isEmpty()) {
            throw new UnreadableInput(
                    "question",
                    "one of " + Named.list(FitUpQuestion.class) + ", " + WeldingRecords.BRIGHT_METAL
                            + " is required, got \"" + question + "\"");
        } else if (c.asWanted() == null) {
            throw new UnreadableInput("asWanted", "say whether it is so");
        }
    }
}
