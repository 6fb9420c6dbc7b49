package mensor.inspection;

import java.time.LocalDate;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;

/**
 * What the Engineer allows on one weld beyond the code, by his document. The size is no matter of a deviation: a smaller one
 * is a changed drawing.
 *
 * @param where the stretch that it is for; absent for the whole weld
 * @param max the deepest, highest or largest that it allows; absent where the document allows what was seen as it is
 * @param document its number
 */
public record Deviation(
        Criterion criterion,
        Optional<Span> where,
        Optional<Length> max,
        String document,
        String engineer,
        LocalDate date,
        String note) {

    /** "E-14 (name, 2026-11-02)" */
    public String shown() {
        return document + " (" + engineer + ", " + date + ")";
    }
}
