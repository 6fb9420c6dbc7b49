package mensor.look;

import java.util.Optional;
import mensor.length.Span;

/** One point of a fit-up or in-process look, with what was found, what is allowed and why. */
public record LookItem(
        String id,
        String title,
        Verdict verdict,
        String measured,
        String allowed,
        String reason,
        Optional<Span> where,
        String citation) {

    static LookItem of(
            String id, String title, Verdict verdict, String measured, String allowed, String reason, String citation) {
        return new LookItem(id, title, verdict, measured, allowed, reason, Optional.empty(), citation);
    }

    LookItem at(Span span) {
        return new LookItem(id, title, verdict, measured, allowed, reason, Optional.of(span), citation);
    }
}
