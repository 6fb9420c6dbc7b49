package mensor.weld;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * A pass's amps against the procedure's range, else the rod's: where both are known the procedure's decides and both are
 * said.
 */
public record PassAmps(double amps, RodTable.Amps range, String line) {

    /** Empty where no amps were recorded, or neither range is known. */
    public static Optional<PassAmps> of(Pass pass, WeldingRecord record) {
        Optional<RodTable.Amps> procedure =
                pass.kind().map(record.procedureAmps()::get).map(r -> new RodTable.Amps(r[0], r[1]));
        Optional<RodTable.Amps> rod =
                pass.electrode().flatMap(e -> pass.diameter().flatMap(d -> RodTable.amps(e, d)));
        Optional<RodTable.Amps> range = procedure.or(() -> rod);
        if (pass.amps().isEmpty() || range.isEmpty()) {
            return Optional.empty();
        }
        double amps = pass.amps().getAsDouble();
        String line = rod(pass) + " at " + plain(amps) + " A: "
                + procedure.map(r -> "the procedure says " + r.shown()).orElse("")
                + (procedure.isPresent() && rod.isPresent() ? ", " : "")
                + rod.map(r -> "the rod's range is " + r.shown()).orElse("");
        return Optional.of(new PassAmps(amps, range.get(), line));
    }

    public boolean isOver() {
        return amps > range.high();
    }

    public boolean isUnder() {
        return amps < range.low();
    }

    /** The rod in words: {@code 1/8 in E7018}. */
    static String rod(Pass pass) {
        return pass.diameter().map(d -> d.shownWithUnit() + " ").orElse("")
                + pass.electrode().orElse("rod");
    }

    static String plain(double d) {
        return BigDecimal.valueOf(d).stripTrailingZeros().toPlainString();
    }
}
