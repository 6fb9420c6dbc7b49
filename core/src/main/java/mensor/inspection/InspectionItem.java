package mensor.inspection;

import java.util.Optional;
import mensor.length.Span;

/** One point of a fit-up or in-process inspection, with what was found, what is allowed and why. */
public record InspectionItem(
        String id,
        String title,
        Verdict verdict,
        String measured,
        String allowed,
        String reason,
        Optional<Span> where,
        String citation) {

    static InspectionItem of(
            String id, String title, Verdict verdict, String measured, String allowed, String reason, String citation) {
        return new InspectionItem(id, title, verdict, measured, allowed, reason, Optional.empty(), citation);
    }

    InspectionItem at(Span span) {
        return new InspectionItem(id, title, verdict, measured, allowed, reason, Optional.of(span), citation);
    }
}
