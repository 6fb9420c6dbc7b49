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

    /**
     * Each maker's own: 0–100, −10…+10 and the like.
     *
     * @param middle the number at which half of the force is on
     */
    public record ArcForceScale(double lowest, double middle, double highest) {
        public ArcForceScale {
            if (!(lowest < middle && middle < highest)) {
                throw new InvalidField("arcForceMiddle", "the middle lies between the lowest and the highest number");
            }
        }

        /** In percent of the scale, the middle being half. */
        public double percent(double shown) {
            if (shown < lowest || shown > highest) {
                throw new InvalidField(
                        "arcForceShown",
                        "this machine's arc force goes from " + Range.plain(lowest) + " to " + Range.plain(highest)
                                + ", got " + Range.plain(shown));
            }
            return shown <= middle
                    ? 50 * (shown - lowest) / (middle - lowest)
                    : 50 + 50 * (shown - middle) / (highest - middle);
        }
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
