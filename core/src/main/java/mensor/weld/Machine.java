package mensor.weld;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * A welding machine of the register: what it can be switched to, how its arc force is marked, and how its display stood against a
 * meter.
 */
public record Machine(
        String name, Set<WeldingProcess> modes, Optional<ArcForceScale> arcForce, Optional<MeterCheck> meter) {
    public Machine {
        if (name.isBlank()) {
            throw new InvalidField("name", "a name that stands on the machine is required");
        }
        if (modes.isEmpty()) {
            throw new InvalidField("modes", "name the processes that it can be switched to");
        }
        modes = Set.copyOf(EnumSet.copyOf(modes));
    }

    /** Its display held against a meter at the arc. */
    public record MeterCheck(LocalDate on, double display, double meter) {
        /** How far apart usual machines read (3–8 %, common practice, no source). */
        private static final double USUAL = 8;

        public MeterCheck {
            if (display <= 0 || meter <= 0) {
                throw new InvalidField("meterAmps", "amps over zero are required");
            }
        }

        public double percentOff() {
            return 100 * (display - meter) / meter;
        }

        public boolean isUnusual() {
            return Math.abs(percentOff()) > USUAL;
        }
    }
}
