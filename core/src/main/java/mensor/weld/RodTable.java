package mensor.weld;

import java.util.List;
import java.util.Optional;
import mensor.length.Length;

/**
 * Amperage ranges of stick electrodes by class and diameter, and the usual polarity: from the filler-metal specification's
 * annex and handbooks, from memory. A procedure's range and the maker's box label go before it.
 */
public final class RodTable {
    /** Lowest and highest amps. */
    public record Amps(double low, double high) {
        public boolean contains(double amps) {
            return amps >= low && amps <= high;
        }

        public String shown() {
            return Math.round(low) + "–" + Math.round(high) + " A";
        }
    }

    private record Row(String electrode, boolean lowHydrogen, int[] amps) {}

    private static final List<Length> DIAMETERS =
            List.of(Length.inches(3, 32), Length.inches(1, 8), Length.inches(5, 32), Length.inches(3, 16));
    private static final Length NAME_OFF = Length.millimetres("0.25");
    private static final List<Row> ROWS = List.of(
            new Row("E6010", false, new int[] {40, 80, 75, 125, 110, 170, 140, 215}),
            new Row("E6011", false, new int[] {40, 80, 75, 125, 110, 170, 140, 215}),
            new Row("E6013", false, new int[] {45, 90, 80, 130, 105, 180, 150, 230}),
            new Row("E7014", false, new int[] {80, 125, 110, 160, 150, 210, 200, 275}),
            new Row("E7018", true, new int[] {70, 110, 115, 165, 150, 220, 200, 275}),
            new Row("E7024", false, new int[] {100, 145, 140, 190, 180, 250, 230, 305}));

    private RodTable() {}

    private static Optional<Row> row(String electrode) {
        String plain = electrode
                .toUpperCase(java.util.Locale.ROOT)
                .replaceAll("[ -].*", "")
                .replaceAll("R$", "");
        return ROWS.stream().filter(r -> r.electrode().equals(plain)).findFirst();
    }

    /** The rod's range, or empty where the class or the diameter is not in the table. */
    public static Optional<Amps> amps(String electrode, Length diameter) {
        for (int i = 0; i < DIAMETERS.size(); i++) {
            if (isCalled(diameter, DIAMETERS.get(i))) {
                int column = i;
                return row(electrode).map(r -> new Amps(r.amps()[2 * column], r.amps()[2 * column + 1]));
            }
        }
        return Optional.empty();
    }

    /** A rod of 3.2 mm is called 1/8 in: the trade's names lie within a quarter of a millimetre of each other. */
    private static boolean isCalled(Length diameter, Length name) {
        Length off = diameter.minus(name);
        return !(off.isNegative() ? off.negate() : off).isOver(NAME_OFF);
    }

    /** True for a class whose coating is of the low-hydrogen kind; empty for an unknown class. */
    public static Optional<Boolean> isLowHydrogen(String electrode) {
        return row(electrode).map(Row::lowHydrogen);
    }
}
