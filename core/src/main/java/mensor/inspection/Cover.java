package mensor.inspection;

import java.util.Optional;
import mensor.length.Span;
import mensor.weld.InvalidField;

/**
 * What cannot be seen: "root", covered by "UT report 114"; or a stretch "behind the stiffener", covered or not accessible.
 *
 * @param by what covers it; a stretch without it is not accessible, and nobody can say how it is
 * @param where the stretch; empty for the whole weld
 */
public record Cover(Criterion criterion, Optional<String> by, Optional<Span> where) {
    /** @throws InvalidField where neither a cover nor a stretch is given */
    public Cover {
        if (by.isEmpty() && where.isEmpty()) {
            throw new InvalidField("by", "what covers it is required, or the stretch that cannot be reached");
        }
    }

    /** Of the whole weld. */
    public Cover(Criterion criterion, String by) {
        this(criterion, Optional.of(by), Optional.empty());
    }

    public boolean isAccessible() {
        return by.isPresent();
    }

    /** For people: "UT report 114", "12–14 by UT report 114", "12–14 not accessible". */
    public String words() {
        String stretch = where.map(w -> w.shown() + " ").orElse("");
        return stretch + by.map(b -> where.isPresent() ? "by " + b : b).orElse("not accessible");
    }
}
