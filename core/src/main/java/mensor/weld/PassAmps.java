package mensor.weld;

import java.util.Map;
import java.util.Optional;
import mensor.length.Length;

/**
 * A pass's amps against the procedure's range, else the box label's, else the rod's: where both are known the procedure's decides and both are
 * said.
 *
 * @param isPerhapsLow under the general table, where makers' labels may allow it: a weak hint, and nothing against either side
 */
public record PassAmps(double amps, Range range, boolean isPerhapsLow, String line) {
    /** From here on labels of 1/8 in E7018 begin; under it the rod is cold (common practice, no source). */
    private static final double LABELS_FROM = 90;

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
        boolean byTable = procedure.isEmpty() && label.isEmpty();
        boolean perhapsLow = byTable
                && isLabelsOwnRange(pass, rod)
                && amps >= LABELS_FROM
                && amps < rod.get().low();
        Range held = byTable && isLabelsOwnRange(pass, rod)
                ? new Range(LABELS_FROM, range.get().high())
                : range.get();
        return Optional.of(new PassAmps(amps, held, perhapsLow, line));
    }

    /** Whether the general table begins higher than makers' labels do: of 1/8 in E7018. */
    private static boolean isLabelsOwnRange(Pass pass, Optional<Range> table) {
        return table.isPresent()
                && pass.electrode()
                        .flatMap(RodClass::of)
                        .map(RodClass::plain)
                        .filter("E7018"::equals)
                        .isPresent()
                && pass.diameter()
                        .filter(d -> RodTable.isCalled(d, Length.inches(1, 8)))
                        .isPresent();
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
    public static String rod(Pass pass) {
        return pass.diameter().map(d -> d.shownWithUnit() + " ").orElse("")
                + pass.electrode().orElse("rod");
    }
}
