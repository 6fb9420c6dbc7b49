package mensor.weld;

import java.util.Map;
import java.util.Optional;

/**
 * A pass's amps against the procedure's range, else the box label's, else the rod's: where both are known the procedure's decides and both are
 * said.
 */
public record PassAmps(double amps, Range range, String line) {

    /** Empty where no amps were recorded, or no range is known. */
    public static Optional<PassAmps> of(Pass pass, Map<PassKind, Range> procedureAmps) {
        return of(pass, procedureAmps, Optional.empty());
    }

    /** @param label what the maker prints on the box of these rods: it goes before the general table */
    public static Optional<PassAmps> of(Pass pass, Map<PassKind, Range> procedureAmps, Optional<Range> label) {
        Optional<Range> procedure = pass.kind().map(procedureAmps::get);
        Optional<Range> rod = pass.electrode().flatMap(e -> pass.diameter().flatMap(d -> RodTable.amps(e, d)));
        Optional<Range> range = procedure
                .or(() -> label)
                .or(() -> pass.electrode().flatMap(e -> pass.diameter().flatMap(d -> RodTable.workable(e, d))));
        if (pass.amps().isEmpty() || range.isEmpty()) {
            return Optional.empty();
        }
        double amps = pass.amps().getAsDouble();
        String line = rod(pass) + " at " + Range.plain(amps) + " A: "
                + procedure.map(r -> "the procedure says " + r.shown("A")).orElse("")
                + (procedure.isPresent() && label.or(() -> rod).isPresent() ? ", " : "")
                + label.map(r -> "the box label says " + r.shown("A"))
                        .or(() -> rod.map(r -> "the rod's range is " + r.shown("A")))
                        .orElse("");
        return Optional.of(new PassAmps(amps, range.get(), line));
    }

    public boolean isOver() {
        return amps > range.high();
    }

    public boolean isUnder() {
        return amps < range.low();
    }

    /** At or above the middle of the range. */
    public boolean isUpperHalf() {
        return amps >= (range.low() + range.high()) / 2;
    }

    /** The rod in words: {@code 1/8 in E7018}. */
    static String rod(Pass pass) {
        return pass.diameter().map(d -> d.shownWithUnit() + " ").orElse("")
                + pass.electrode().orElse("rod");
    }
}
