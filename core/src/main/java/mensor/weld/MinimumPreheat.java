package mensor.weld;

import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.Unit;

/**
 * The least preheat by steel, rod and the thickest part: AWS D1.1 5.8 (3.3), from memory, medium confidence. The metric
 * breaks of thickness (20, 38, 65 mm) stand beside the inch ones as the code pairs them, from memory.
 *
 * @param group the table's category: A, B or C
 */
public record MinimumPreheat(String group, int fahrenheit, int celsius) {
    private static final List<Length> INCH = List.of(Length.inches(3, 4), Length.inches(3, 2), Length.inches(5, 2));
    private static final List<Length> MILLIMETRE =
            List.of(Length.millimetres("20"), Length.millimetres("38"), Length.millimetres("65"));
    private static final int[] A = {32, 150, 225, 300};
    private static final int[] B = {32, 50, 150, 225};
    private static final int[] C = {50, 150, 225, 300};

    /** Empty where the table has no number: an unknown steel, or a stronger steel with rods that are not low-hydrogen. */
    public static Optional<MinimumPreheat> of(Steel steel, boolean lowHydrogen, Length thickest) {
        return switch (steel) {
            case A36_TYPE -> Optional.of(lowHydrogen ? row("B", B, thickest) : row("A", A, thickest));
            case A572_TYPE -> lowHydrogen ? Optional.of(row("B", B, thickest)) : Optional.empty();
            case HIGHER -> lowHydrogen ? Optional.of(row("C", C, thickest)) : Optional.empty();
            case UNKNOWN -> Optional.empty();
        };
    }

    private static MinimumPreheat row(String group, int[] row, Length thickest) {
        List<Length> breaks = thickest.unit() == Unit.INCH ? INCH : MILLIMETRE;
        int i = 0;
        while (i < breaks.size() && thickest.isOver(breaks.get(i))) {
            i++;
        }
        int celsius = switch (row[i]) {
            case 32 -> 0;
            case 50 -> 10;
            case 150 -> 65;
            case 225 -> 110;
            default -> 150;
        };
        return new MinimumPreheat(group, row[i], celsius);
    }

    public String shown() {
        return fahrenheit + " °F [" + celsius + " °C]";
    }
}
