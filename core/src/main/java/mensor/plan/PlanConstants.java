package mensor.plan;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mensor.weld.InvalidField;

/**
 * Every number that a plan rests on and the shop may set otherwise. Lengths in mm.
 *
 * @param secondOverlap how much of the root bead the second bead covers, 0.60–0.90 (common practice, no source)
 * @param overheadOverlap the same overhead, 0.66–0.75 for even legs (common practice, no source)
 * @param capOverEdge how far the cap goes over each edge of the groove (1/16 in, common practice)
 * @param capHeight how high the cap stands above the plate
 * @param fillBelow how far below flush the fill is left before the cap (1/16 in, common practice)
 * @param beadRods the widest bead, in rod diameters, where the procedure says nothing (2.5; common practice, no source)
 * @param beadHeightRods how thick a fill layer is laid, in rod diameters (1, a third to a half of a bead's width; common practice)
 * @param capOverlap how much of the bead beside it a later one covers, in the cap and over a fillet's root
 * @param layerHeight the thickest fill layer (3/16 in, D1.1 5.1 (3.6))
 * @param rootExtra how much more metal the root pass takes than a later one (1.3, common practice)
 * @param runLength bead that one rod lays, where neither the procedure nor the record says
 * @param rodLength and {@code stub}: what is left of it
 * @param burnSeconds how long one rod burns (60–70 s for 1/8 in, common practice)
 * @param density of steel, g/cm³
 * @param apart how far apart starts and stops of neighbouring passes are laid
 * @param restJoined a rest up to this part of a bead is laid with the others by travelling slower (common practice, no source)
 * @param onePassRods the largest fillet leg that one pass lays, in rod diameters, within the position's single-pass limit (2: 1/4 in
 *     with 1/8 in, 5/16 in with 5/32 in; common practice, no source)
 * @param repeatLayers over a half: a fillet's layers have 1, 2, 2, 3, 3 … beads, else 1, 2, 3 … (common practice, no source)
 */
public record PlanConstants(
        double secondOverlap,
        double overheadOverlap,
        double capOverEdge,
        double capHeight,
        double fillBelow,
        double beadRods,
        double beadHeightRods,
        double capOverlap,
        double layerHeight,
        double rootExtra,
        double runLength,
        double rodLength,
        double stub,
        double burnSeconds,
        double density,
        double apart,
        double restJoined,
        double onePassRods,
        double repeatLayers) {
    private static final double INCH = 25.4;
    public static final PlanConstants USUAL = new PlanConstants(
            0.75,
            0.70,
            INCH / 16,
            INCH / 16,
            INCH / 16,
            2.5,
            1,
            0.33,
            3 * INCH / 16,
            1.3,
            8 * INCH,
            14 * INCH,
            2 * INCH,
            65,
            WeldMetal.DENSITY,
            INCH,
            0.15,
            2,
            0);

    public PlanConstants {
        within("secondOverlap", secondOverlap, 0.3, 0.95);
        within("overheadOverlap", overheadOverlap, 0.3, 0.95);
        within("capOverEdge", capOverEdge, 0, 10);
        within("capHeight", capHeight, 0, 10);
        within("fillBelow", fillBelow, 0, 10);
        within("beadRods", beadRods, 1.2, 8);
        within("beadHeightRods", beadHeightRods, 0.3, 2);
        within("capOverlap", capOverlap, 0, 0.8);
        within("layerHeight", layerHeight, 1, 12);
        within("rootExtra", rootExtra, 1, 3);
        within("runLength", runLength, 10, 2000);
        within("rodLength", rodLength, 100, 1000);
        within("stub", stub, 0, rodLength / 2);
        within("burnSeconds", burnSeconds, 10, 300);
        within("density", density, 7, 9);
        within("apart", apart, 0, 500);
        within("restJoined", restJoined, 0, 0.5);
        within("onePassRods", onePassRods, 0.5, 3);
        within("repeatLayers", repeatLayers, 0, 1);
    }

    /**
     * What a constant is, for whoever changes it.
     *
     * @param length in mm, to be shown in the drawing's units
     */
    public record Meaning(String name, String title, String unit, boolean length) {}

    /** In the order of {@link #byName}. */
    public static final List<Meaning> MEANINGS = List.of(
            ratio("secondOverlap", "Second bead covers of the root bead (common 0.60–0.90)"),
            ratio("overheadOverlap", "The same overhead (common 0.66–0.75 for even legs)"),
            length("capOverEdge", "Cap goes over each edge of the groove by"),
            length("capHeight", "Cap stands above the plate by"),
            length("fillBelow", "Fill stays below flush before the cap by"),
            ratio("beadRods", "Widest bead, times the rod’s diameter"),
            ratio("beadHeightRods", "Fill layer is thick, times the rod’s diameter"),
            ratio("capOverlap", "A bead covers of the one beside it"),
            length("layerHeight", "Thickest fill layer"),
            ratio("rootExtra", "Root pass takes metal, times a later one"),
            length("runLength", "Run of one rod, where none is said"),
            length("rodLength", "Length of a rod"),
            length("stub", "Stub left of it"),
            new Meaning("burnSeconds", "A rod burns for", "s", false),
            new Meaning("density", "Density of steel", "g/cm³", false),
            length("apart", "Starts and stops of neighbouring passes apart"),
            ratio("restJoined", "A rest up to this part of a bead goes with the others"),
            ratio("onePassRods", "One pass lays a fillet leg up to, times the rod’s diameter"),
            ratio("repeatLayers", "Fillet layers: 0 each one bead more (1-2-3), 1 each number twice (1-2-2-3)"));

    private static Meaning ratio(String name, String title) {
        return new Meaning(name, title, "", false);
    }

    private static Meaning length(String name, String title) {
        return new Meaning(name, title, "", true);
    }

    private static void within(String field, double value, double least, double most) {
        if (!(value >= least && value <= most)) {
            throw new InvalidField(
                    "constants." + field,
                    "between " + mensor.weld.Range.plain(least) + " and "
                            + mensor.weld.Range.plain(Math.round(most * 1000) / 1000.0) + " is required, got " + value);
        }
    }

    /** All of them by name, in the order above. */
    public Map<String, Double> byName() {
        Map<String, Double> all = new LinkedHashMap<>();
        all.put("secondOverlap", secondOverlap);
        all.put("overheadOverlap", overheadOverlap);
        all.put("capOverEdge", capOverEdge);
        all.put("capHeight", capHeight);
        all.put("fillBelow", fillBelow);
        all.put("beadRods", beadRods);
        all.put("beadHeightRods", beadHeightRods);
        all.put("capOverlap", capOverlap);
        all.put("layerHeight", layerHeight);
        all.put("rootExtra", rootExtra);
        all.put("runLength", runLength);
        all.put("rodLength", rodLength);
        all.put("stub", stub);
        all.put("burnSeconds", burnSeconds);
        all.put("density", density);
        all.put("apart", apart);
        all.put("restJoined", restJoined);
        all.put("onePassRods", onePassRods);
        all.put("repeatLayers", repeatLayers);
        return all;
    }

    /** These, with some set otherwise by name. */
    public PlanConstants with(Map<String, Double> changes) {
        Map<String, Double> all = byName();
        for (Map.Entry<String, Double> e : changes.entrySet()) {
            if (!all.containsKey(e.getKey())) {
                throw new InvalidField(
                        "constants." + e.getKey(),
                        "is no constant of a plan; those are " + String.join(", ", all.keySet()));
            }
            all.put(e.getKey(), e.getValue());
        }
        Double[] v = all.values().toArray(Double[]::new);
        return new PlanConstants(
                v[0], v[1], v[2], v[3], v[4], v[5], v[6], v[7], v[8], v[9], v[10], v[11], v[12], v[13], v[14], v[15],
                v[16], v[17], v[18]);
    }
}
