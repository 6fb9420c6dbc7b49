package mensor.testpiece;

import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.InvalidField;

/**
 * A guided bend in numbers: the plunger by the steel's yield strength (AWS D1.1 Fig. 6.8 (4.15), from memory, medium confidence: check
 * against your copy), and how far the outer fibre is stretched.
 *
 * @param thickness of the specimen
 * @param radius of the plunger
 * @param opening between the die's shoulders: the plunger's width, both sides of the specimen and a little room
 */
public record BendFigures(Length thickness, Length radius, Length opening) {
    /** Side bends, and face and root bends of plates over it, are cut to this. */
    private static final int USUAL_SIXTEENTHS = 6;

    private static final int MIDDLE_KSI = 50;
    private static final int HIGH_KSI = 90;

    public BendFigures {
        if (!thickness.isPositive()) {
            throw new InvalidField("thickness", "a thickness over zero is required");
        }
    }

    /** @param yieldKsi the specified least yield strength of the base metal, in thousand psi */
    public static BendFigures of(Length plate, double yieldKsi) {
        Unit unit = plate.unit();
        Length usual = unit.pick(Length.inches(USUAL_SIXTEENTHS, 16), Length.millimetres("10"));
        Length thickness = plate.min(usual);
        Length radius = yieldKsi <= MIDDLE_KSI
                ? unit.pick(Length.inches(3, 4), Length.millimetres("19"))
                : yieldKsi < HIGH_KSI
                        ? unit.pick(Length.inches(1), Length.millimetres("25"))
                        : unit.pick(Length.inches(5, 4), Length.millimetres("32"));
        Length room = unit.pick(Length.inches(1, 8), Length.millimetres("3.2"));
        return new BendFigures(
                thickness, radius, radius.times(2).plus(thickness.times(2)).plus(room));
    }

    /** How far the outer fibre is stretched, in percent: 100 t ÷ (2 R + t). */
    public double elongation() {
        double t = thickness.approximateNanometres();
        return 100 * t / (2 * radius.approximateNanometres() + t);
    }
}
