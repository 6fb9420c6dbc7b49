package mensor.weld;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import mensor.length.Length;

/**
 * One pass as it was laid, by stick where no process is named. Amps, volts, and arc force in the machine's percent; travel speed in mm per minute. A
 * {@code planned} pass was copied from the procedure and not measured: it is never evidence.
 */
public record Pass(
        OptionalInt number,
        Optional<PassKind> kind,
        Optional<WeldingProcess> process,
        Optional<String> electrode,
        Optional<Length> diameter,
        OptionalDouble amps,
        OptionalDouble volts,
        Optional<Polarity> polarity,
        Optional<Progression> progression,
        Optional<Technique> technique,
        OptionalDouble speed,
        Optional<Length> runLength,
        OptionalDouble arcForce,
        boolean planned) {
    /** Laid by stick: what another process laid is no evidence of rods or their settings. */
    public boolean isStick() {
        return process.isEmpty() || process.get().isStick();
    }

    /** The same pass where something was set otherwise while it went on. */
    public Pass with(OptionalDouble otherAmps, Optional<Technique> otherTechnique, OptionalDouble otherArcForce) {
        return new Pass(
                number,
                kind,
                process,
                electrode,
                diameter,
                otherAmps.isPresent() ? otherAmps : amps,
                volts,
                polarity,
                progression,
                otherTechnique.or(() -> technique),
                speed,
                runLength,
                otherArcForce.isPresent() ? otherArcForce : arcForce,
                planned);
    }

    /** The same pass, copied from the procedure and not measured. */
    Pass asPlanned() {
        return new Pass(
                number,
                kind,
                process,
                electrode,
                diameter,
                amps,
                volts,
                polarity,
                progression,
                technique,
                speed,
                runLength,
                arcForce,
                true);
    }
}
