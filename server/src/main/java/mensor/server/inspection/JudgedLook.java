package mensor.server.inspection;

import java.util.ArrayList;
import java.util.List;
import mensor.exchange.InspectionDocument;
import mensor.exchange.InspectionParts;
import mensor.exchange.UnreadableInput;
import mensor.judge.Evaluation;
import mensor.judge.Judge;
import mensor.server.joint.JointEntity;
import mensor.server.web.Refused;
import tools.jackson.databind.json.JsonMapper;

/** An inspection's entries joined into one document and judged; each index of the document leads back to its entry. */
public record JudgedLook(
        InspectionDocument document, Evaluation evaluation, List<EntryEntity> readings, List<EntryEntity> indications) {

    static JudgedLook of(JointEntity joint, InspectionEntity inspection, List<EntryEntity> entries, JsonMapper json) {
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
        InspectionParts parts = new InspectionParts(
                joint.criteria(),
                joint.units(),
                joint.document(),
                inspection.conditions(),
                clear.stream().distinct().toList(),
                covered,
                readings.stream().map(EntryEntity::content).toList(),
                indications.stream().map(EntryEntity::content).toList(),
                joint.welding());
        InspectionDocument document = parts.read();
        Evaluation evaluation = Judge.evaluate(document.inspection(), document.book());
        return new JudgedLook(document, evaluation, readings, indications);
    }

    /** An error of the joined document as one of the entry's or the form's own fields. */
    static Refused refusal(UnreadableInput e) {
        String field = e.field().replaceFirst("^(readings|indications|clear|covered)\\[\\d+]\\.?", "");
        return Refused.invalid(field.replaceFirst("^conditions\\.", ""), e.problem());
    }
}
