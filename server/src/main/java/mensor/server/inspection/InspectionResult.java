package mensor.server.inspection;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mensor.drawing.SectionDrawing;
import mensor.exchange.InspectionDocument;
import mensor.exchange.UnreadableInput;
import mensor.inspection.Inspection;
import mensor.judge.Evaluation;
import mensor.judge.Terms;
import mensor.server.web.Refusal;
import mensor.server.welding.WeldingRecords;
import mensor.weld.InvalidField;

/**
 * An inspection's entries joined into one document and judged; each index of the document leads back to its entry. After a
 * repair the document is both inspections as one, and an index may lead to an entry of the inspection before.
 *
 * @param look the document's inspection, with the light and the gauges under which it was seen
 * @param terms what stood beside the code when it was judged, the guard with it
 * @param before the entries of inspections before that still stand
 * @param conditions the answers as they stood when it was judged
 * @param contract what stood beside the code
 * @param contractNotes which of the contract's limits do not tighten the code here; of a signed inspection all that was noted
 *     beside the evaluation
 * @param asSigned of a signed inspection what it shows; the evaluation is the signed one then
 */
public record InspectionResult(
        InspectionDocument document,
        Inspection inspection,
        Terms terms,
        Evaluation evaluation,
        List<EntryEntity> readings,
        List<EntryEntity> indications,
        List<EntryEntity> before,
        WeldingRecords.State welding,
        ConditionsForm conditions,
        Contract contract,
        List<String> contractNotes,
        Optional<SignedDisplay.AsSigned> asSigned) {

    /** The entry behind a reading of the document. */
    public UUID entryOfReading(int index) {
        return readings.get(index).id();
    }

    /** The entry behind an indication of the document. */
    public UUID entryOfIndication(int index) {
        return indications.get(index).id();
    }

    /** The sections at the stations: as they were signed, else as the code draws them now. */
    public List<SectionDrawing> sections() {
        return asSigned.isEmpty()
                ? SectionDrawing.atStations(inspection, evaluation)
                : asSigned.get().sections().orElse(List.of());
    }

    public String bookTitle() {
        return asSigned.map(SignedDisplay.AsSigned::bookTitle)
                .orElse(evaluation.book().title());
    }

    public String edition() {
        return asSigned.map(SignedDisplay.AsSigned::edition)
                .orElse(evaluation.book().edition());
    }

    /** An error of the joined document as one of the entry's or the form's own fields. */
    static Refusal refusal(UnreadableInput e) {
        return refusal(e.field(), e.problem());
    }

    /** Likewise where the entries were joined. */
    static Refusal refusal(InvalidField e) {
        return refusal(e.field(), e.problem());
    }

    private static Refusal refusal(String path, String problem) {
        return Refusal.invalid(path.replaceFirst("^(readings|indications|clear|covered)(\\[\\d+])?\\.?", ""), problem);
    }
}
