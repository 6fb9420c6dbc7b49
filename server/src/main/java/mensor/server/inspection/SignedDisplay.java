package mensor.server.inspection;

import com.fasterxml.jackson.annotation.JsonRawValue;
import java.util.List;
import java.util.Optional;
import mensor.drawing.SectionDrawing;
import mensor.exchange.SignedRecord;
import mensor.inspection.Inspection;
import mensor.judge.Evaluation;
import mensor.length.Unit;
import mensor.server.criteria.CriteriaChecks;
import mensor.server.record.Signatures;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a signed inspection shows: the evaluation, the sections and the notes as they were when it was signed. Nothing of it
 * is judged again, however the tables change.
 */
@Component
class SignedDisplay {
    private final Signatures signatures;
    private final JsonMapper json;

    SignedDisplay(Signatures signatures, JsonMapper json) {
        this.signatures = signatures;
        this.json = json;
    }

    /**
     * As it stood at the signature.
     *
     * @param sections empty where they were not kept
     */
    record AsSigned(
            Evaluation evaluation,
            String bookTitle,
            String edition,
            List<String> notes,
            Optional<List<SectionDrawing>> sections) {}

    /** Kept beside the record; its sum stands in the signature. */
    private record Shown(
            String bookTitle,
            String edition,
            @JsonRawValue String findings,
            List<String> notes,
            List<SectionDrawing> sections) {}

    /** @param notes of the contract and of the shop's copy of the code, beside those of the evaluation */
    String write(Inspection inspection, Evaluation evaluation, List<String> notes) {
        return json.writeValueAsString(new Shown(
                evaluation.book().title(),
                evaluation.book().edition(),
                SignedRecord.details(evaluation),
                notes,
                SectionDrawing.atStations(inspection, evaluation)));
    }

    /** Empty for an inspection that is not signed. */
    Optional<AsSigned> of(StoredInspection inspection, String bookId, Unit unit) {
        return inspection.isSigned()
                ? signatures.kept(inspection.id()).map(kept -> read(kept, bookId, unit))
                : Optional.empty();
    }

    private AsSigned read(Signatures.Kept kept, String bookId, Unit unit) {
        Optional<JsonNode> shown = kept.shown().map(json::readTree);
        Evaluation evaluation = SignedRecord.read(kept.record())
                .evaluation(
                        CriteriaChecks.get(bookId),
                        unit,
                        shown.map(s -> s.path("findings").toString()));
        return new AsSigned(
                evaluation,
                shown.map(s -> s.path("bookTitle").asString(""))
                        .orElse(evaluation.book().title()),
                shown.map(s -> s.path("edition").asString(""))
                        .orElse(evaluation.book().edition()),
                shown.map(s -> s.path("notes")
                                .valueStream()
                                .map(JsonNode::asString)
                                .toList())
                        .orElse(List.of()),
                shown.filter(s -> s.path("sections").isArray())
                        .map(s -> s.path("sections")
                                .valueStream()
                                .map(n -> json.treeToValue(n, SectionDrawing.class))
                                .toList()));
    }
}
