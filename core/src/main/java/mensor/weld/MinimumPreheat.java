package mensor.weld;

import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.Unit;

/**
 * The least preheat by steel, rod and the thickest part: AWS D1.1 5.8 (3.3), from memory, medium confidence. The metric
 * breaks of thickness (20, 38, 65 mm) stand beside the inch ones as the code pairs them, from memory.
 *
 * @param group the table's category: A, B, C or D
 */
public record MinimumPreheat(String group, int fahrenheit, int celsius) {
    private static final List<Length> INCH = List.of(Length.inches(3, 4), Length.inches(3, 2), Length.inches(5, 2));
    private static final List<Length> MILLIMETRE =
            List.of(Length.millimetres("20"), Length.millimetres("38"), Length.millimetres("65"));
    /** °F and °C by the steps of thickness; the pairs are the code's own, not exact conversions. */
    private static final int[][] A = {{32, 0}, {150, 65}, {225, 110}, {300, 150}};

    private static final int[][] B = {{32, 0}, {50, 10}, {150, 65}, {225, 110}};
    private static final int[][] C = {{50, 10}, {150, 65}, {225, 110}, {300, 150}};
    private static final int[][] D = {{50, 10}, {125, 50}, {175, 80}, {225, 110}};

    /** Empty where the table has no number: an unknown steel, or a stronger steel with rods that are not low-hydrogen. */
    public static Optional<MinimumPreheat> of(Steel steel, boolean lowHydrogen, Length thickest) {
        if (!lowHydrogen) {
            return steel == Steel.A36_TYPE ? Optional.of(row("A", A, thickest)) : Optional.empty();
        }
        return switch (steel) {
            case A36_TYPE, A572_TYPE -> Optional.of(row("B", B, thickest));
            case HIGHER -> Optional.of(row("C", C, thickest));
            case QUENCHED -> Optional.of(row("D", D, thickest));
            case UNKNOWN -> Optional.empty();
        };
    }

    private static MinimumPreheat row(String group, int[][] row, Length thickest) {
        List<Length> breaks = thickest.unit() == Unit.INCH ? INCH : MILLIMETRE;
        int i = 0;
        while (i < breaks.size() && thickest.isOver(breaks.get(i))) {
            i++;
        }
        return new MinimumPreheat(group, row[i][0], row[i][1]);
    }

    public String shown() {
        return fahrenheit + " °F [" + celsius + " °C]";
    }
}
