package mensor.cause;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import mensor.weld.Sign;

/**
 * One defect traced to its likely causes, the leading one first.
 *
 * @param indication the index of the indication, or empty where a reading rejects or the trouble was only said
 * @param reading the index of the reading, or empty
 * @param doubt what the record does not tell, in words
 */
public record CauseTrace(
        OptionalInt indication,
        OptionalInt reading,
        String kind,
        Situation situation,
        List<Cause> causes,
        List<RuledOut> ruledOut,
        Optional<NextCheck> next,
        List<String> doubt) {

    /** A cause with the evidence that moved it, the check that would confirm it, the one thing to change, and prevention. */
    public record Cause(
            CauseClass cause,
            String name,
            Standing standing,
            List<String> speaksFor,
            List<String> speaksAgainst,
            String check,
            OneChange change,
            String prevention) {}

    public record RuledOut(CauseClass cause, String why) {}

    /** The one check that would settle most, and between what. */
    public record NextCheck(String ask, Sign sign, String settles) {}

    /** The same with another thing to change for the cause that leads. */
    CauseTrace withLeadingChange(OneChange change) {
        List<Cause> other = new ArrayList<>(causes);
        Cause c = causes.get(0);
        other.set(
                0,
                new Cause(
                        c.cause(),
                        c.name(),
                        c.standing(),
                        c.speaksFor(),
                        c.speaksAgainst(),
                        c.check(),
                        change,
                        c.prevention()));
        return new CauseTrace(indication, reading, kind, situation, List.copyOf(other), ruledOut, next, doubt);
    }

    /** The cause that leads; empty where all are ruled out. */
    public Optional<Cause> leading() {
        return causes.stream().findFirst();
    }
}
