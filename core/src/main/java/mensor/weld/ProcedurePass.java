package mensor.weld;

import java.util.Optional;
import mensor.length.Length;

/**
 * One kind of pass as a procedure allows it. Travel in mm per minute; {@code layer} is the most that one pass builds: the
 * size of a single-pass fillet or root, the thickness of a fill layer.
 */
public record ProcedurePass(
        PassKind kind,
        String electrode,
        Length diameter,
        Optional<Range> amps,
        Optional<Range> volts,
        Optional<Polarity> polarity,
        Optional<Technique> technique,
        Optional<Range> travel,
        Optional<Length> layer) {

    /** The procedure's amps, else the rod's own range. */
    public Optional<Range> ampsOrRods() {
        return amps.or(() -> RodTable.amps(electrode, diameter));
    }

    public boolean isLowHydrogen() {
        return RodTable.isLowHydrogen(electrode).orElse(false);
    }

    /** The rod in words: {@code 1/8 in E7018}. */
    public String rod() {
        return diameter.shownWithUnit() + " " + electrode;
    }
}
