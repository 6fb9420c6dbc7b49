package mensor.repair;

import java.util.LinkedHashMap;
import java.util.Map;
import mensor.plan.WeldMetal;
import mensor.weld.InvalidField;

/**
 * Every number that a repair plan rests on and a job may set otherwise. Lengths in mm.
 *
 * @param includedDegrees of the cavity (common practice, no source)
 * @param rootRadius of the cavity, 1/4 in (common practice, no source)
 * @param runOut how far the cavity's ends run out, as a multiple of its depth (common practice, no source)
 * @param beyondCrack sound metal that goes with each end of a crack: 2 in, D1.1 7.25 (5.25)
 * @param runIn what is prepared beyond each end of another defect, 1/2 in (common practice, no source)
 * @param gougeFrom mm³ from which a gouge pays (common practice, no source)
 * @param runLength bead that one rod lays, 8 in (common practice, no source)
 * @param burnSeconds how long one rod burns (60–70 s for 1/8 in, common practice)
 * @param density of steel, g/cm³
 * @param operatingFactor the arc's share of the work, 0.25 (0.15 to 0.35; common practice, no source)
 */
public record RepairConstants(
        double includedDegrees,
        double rootRadius,
        double runOut,
        double beyondCrack,
        double runIn,
        double gougeFrom,
        double runLength,
        double burnSeconds,
        double density,
        double operatingFactor) {
    private static final double INCH = 25.4;
    public static final RepairConstants USUAL =
            new RepairConstants(60, INCH / 4, 3, 2 * INCH, INCH / 2, 8000, 8 * INCH, 65, WeldMetal.DENSITY, 0.25);

    /** By name, as a setting spells them. */
    public Map<String, Double> byName() {
        Map<String, Double> all = new LinkedHashMap<>();
        all.put("includedDegrees", includedDegrees);
        all.put("rootRadius", rootRadius);
        all.put("runOut", runOut);
        all.put("beyondCrack", beyondCrack);
        all.put("runIn", runIn);
        all.put("gougeFrom", gougeFrom);
        all.put("runLength", runLength);
        all.put("burnSeconds", burnSeconds);
        all.put("density", density);
        all.put("operatingFactor", operatingFactor);
        return all;
    }

    /** @throws InvalidField for a name that is not known, or a number that cannot be */
    public RepairConstants with(Map<String, Double> settings) {
        Map<String, Double> all = byName();
        settings.forEach((name, value) -> {
            if (!all.containsKey(name)) {
                throw new InvalidField(
                        name, "is no constant of the plan; those are " + String.join(", ", all.keySet()));
            }
            boolean mayBeNought = name.equals("includedDegrees") || name.equals("rootRadius") || name.equals("runIn");
            if (!Double.isFinite(value) || value < 0 || value == 0 && !mayBeNought) {
                throw new InvalidField(name, "a number over zero is required, got " + value);
            }
            all.put(name, value);
        });
        if (all.get("includedDegrees") >= 180) {
            throw new InvalidField("includedDegrees", "under 180 degrees are required");
        }
        if (all.get("beyondCrack") < 2 * INCH - 0.8) {
            throw new InvalidField(
                    "beyondCrack", "the code requires 2 in [50 mm] of sound metal beyond each end of a crack");
        }
        if (all.get("operatingFactor") > 1) {
            throw new InvalidField("operatingFactor", "a share of the work is required, 1 at most");
        }
        return new RepairConstants(
                all.get("includedDegrees"),
                all.get("rootRadius"),
                all.get("runOut"),
                all.get("beyondCrack"),
                all.get("runIn"),
                all.get("gougeFrom"),
                all.get("runLength"),
                all.get("burnSeconds"),
                all.get("density"),
                all.get("operatingFactor"));
    }
}
