package mensor.plan;

/**
 * Heat input of an arc, 60·V·A/(1000·speed), from welding handbooks, AWS D1.1 and ASME IX. The American codes call this the
 * heat input; ISO and EN call it arc energy, and EN 1011-1's heat input is that × 0.8 for stick.
 *
 * @param joulesPerMillimetre the arc's energy per length of bead
 */
public record HeatInput(double joulesPerMillimetre) {
    public static final double EN_STICK = 0.8;
    private static final double MM_PER_INCH = 25.4;

    /** @param speed mm per minute, over zero */
    public static HeatInput of(double volts, double amps, double speed) {
        if (!(speed > 0)) {
            throw new IllegalArgumentException("the travel must be over zero");
        }
        return new HeatInput(60 * volts * amps / speed);
    }

    public double kilojoulesPerMillimetre() {
        return joulesPerMillimetre / 1000;
    }

    public double kilojoulesPerInch() {
        return joulesPerMillimetre * MM_PER_INCH / 1000;
    }

    /** EN 1011-1, kJ/mm. */
    public double en() {
        return kilojoulesPerMillimetre() * EN_STICK;
    }
}
