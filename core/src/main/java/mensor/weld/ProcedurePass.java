package mensor.weld;

import java.util.Optional;
import mensor.length.Length;

/**
 * One kind of pass as a procedure allows it. Travel in mm per minute; {@code layer} is the most that one pass builds: the
 * size of a single-pass fillet or root, the thickness of a fill layer or of what another process lays.
 */
public record ProcedurePass(
        PassKind kind,
        WeldingProcess process,
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
        return process.isStick() ? amps.or(() -> RodTable.amps(electrode, diameter)) : amps;
    }

    public boolean isLowHydrogen() {
        return !process.isStick() || RodTable.isLowHydrogen(electrode).orElse(false);
    }

    /** The rod in words: {@code 1/8 in E7018}. */
    public String rod() {
        return diameter.shownWithUnit() + " " + electrode + (process.isStick() ? "" : " by " + process.id());
    }

    boolean isSameRowAs(ProcedurePass other) {
        return kind == other.kind
                && process == other.process
                && electrode.equalsIgnoreCase(other.electrode)
                && diameter.equals(other.diameter);
    }

    /** Whether a pass was laid with this process and rod, as far as it says so. */
    boolean fits(Pass laid) {
        return laid.process().orElse(WeldingProcess.SMAW) == process
                && laid.electrode().filter(e -> !e.equalsIgnoreCase(electrode)).isEmpty()
                && laid.diameter().filter(d -> !RodTable.isCalled(d, diameter)).isEmpty();
    }
}
