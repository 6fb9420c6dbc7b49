package mensor.server.inspection;

import java.util.List;
import mensor.exchange.InspectionDocument;
import mensor.exchange.UnreadableInput;
import mensor.judge.Evaluation;
import mensor.look.Inspection;
import mensor.server.making.Making;
import mensor.server.web.Refused;

/**
 * An inspection's entries joined into one document and judged; each index of the document leads back to its entry.
 *
 * @param look the document's inspection, with the light and the gauges under which it was seen
 * @param conditions the answers as they stood when it was judged
 */
public record JudgedLook(
        InspectionDocument document,
        Inspection look,
        Evaluation evaluation,
        List<EntryEntity> readings,
        List<EntryEntity> indications,
        Making.Opened making,
        ConditionsForm conditions) {

    /** An error of the joined document as one of the entry's or the form's own fields. */
    static Refused refusal(UnreadableInput e) {
        String field = e.field().replaceFirst("^(readings|indications|clear|covered)\\[\\d+]\\.?", "");
        return Refused.invalid(field.replaceFirst("^conditions\\.", ""), e.problem());
    }
}
