package mensor.weld;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.length.Length;

/**
 * Amperage ranges of stick electrodes by class and diameter, and the usual polarity: from the filler-metal specification's
 * annex and handbooks, from memory. A procedure's range and the maker's box label go before it.
 */
public final class RodTable {
    private record Row(String electrode, boolean lowHydrogen, int group, int[] amps) {}

    private static final List<Length> DIAMETERS =
            List.of(Length.inches(3, 32), Length.inches(1, 8), Length.inches(5, 32), Length.inches(3, 16));
    private static final double EIGHTH_E7018_FROM = 110;
    private static final Length NAME_OFF = Length.millimetres("0.25");
    private static final List<Row> ROWS = List.of(
            new Row("E6010", false, 3, new int[] {40, 80, 75, 125, 110, 170, 140, 215}),
            new Row("E6011", false, 3, new int[] {40, 80, 75, 125, 110, 170, 140, 215}),
            new Row("E6013", false, 2, new int[] {45, 90, 80, 130, 105, 180, 150, 230}),
            new Row("E7014", false, 2, new int[] {80, 125, 110, 160, 150, 210, 200, 275}),
            new Row("E7018", true, 4, new int[] {70, 110, 115, 165, 150, 220, 200, 275}),
            new Row("E7024", false, 1, new int[] {100, 145, 140, 190, 180, 250, 230, 305}));

    private RodTable() {}

    /** Diameter names of the table, for lists to choose from. */
    public static List<Length> diameters() {
        return DIAMETERS;
    }

    public static List<String> classes() {
        return ROWS.stream().map(Row::electrode).toList();
    }

    private static Optional<Row> row(String electrode) {
        String plain = electrode
                .toUpperCase(java.util.Locale.ROOT)
                .replaceAll("[ -].*", "")
                .replaceAll("R$", "");
        return ROWS.stream().filter(r -> r.electrode().equals(plain)).findFirst();
    }

    /** The rod's range, or empty where the class or the diameter is not in the table. */
    public static Optional<Range> amps(String electrode, Length diameter) {
        for (int i = 0; i < DIAMETERS.size(); i++) {
            if (isCalled(diameter, DIAMETERS.get(i))) {
                int column = i;
                return row(electrode).map(r -> new Range(r.amps()[2 * column], r.amps()[2 * column + 1]));
            }
        }
        return Optional.empty();
    }

    /** The range in which the rod works: 1/8 in E7018 also from 110 A (common practice, no source; labels begin at 90–100). */
    public static Optional<Range> workable(String electrode, Length diameter) {
        return amps(electrode, diameter)
                .map(r -> row(electrode)
                                        .filter(x -> x.electrode().equals("E7018"))
                                        .isPresent()
                                && isCalled(diameter, EIGHTH)
                        ? new Range(Math.min(r.low(), EIGHTH_E7018_FROM), r.high())
                        : r);
    }

    /** What the diameter is called where rods are sold in millimetres: to the tenth, but for whole ones. */
    public static String metricName(Length diameter) {
        double mm = Math.round(diameter.approximateNanometres() / 1e5) / 10.0;
        double whole = Math.round(mm);
        return Range.plain(whole >= 4 && Math.abs(mm - whole) <= 0.4 ? whole : mm == 2.4 ? 2.5 : mm);
    }

    /** A rod of 3.2 mm is called 1/8 in: the trade's names lie within a quarter of a millimetre of each other. */
    static boolean isCalled(Length diameter, Length name) {
        Length off = diameter.minus(name);
        return !(off.isNegative() ? off.negate() : off).isOver(NAME_OFF);
    }

    /** True for a class whose coating is of the low-hydrogen kind; empty for an unknown class. */
    public static Optional<Boolean> isLowHydrogen(String electrode) {
        return row(electrode).map(Row::lowHydrogen);
    }

    /** The rod group (F number) that a welder qualifies in: 4 low-hydrogen, 3 cellulosic, 2 rutile, 1 iron powder. */
    public static Optional<Integer> group(String electrode) {
        return row(electrode).map(Row::group);
    }

    /**
     * Grams of weld metal that one 14 in rod leaves behind with a 2 in stub, from handbooks, from memory; where the
     * diameter is not listed for the class, scaled by the wire's area from the one that is.
     */
    public static Optional<Deposit> deposit(String electrode, Length diameter) {
        return row(electrode).flatMap(r -> {
            Map<Length, Double> listed = DEPOSITS.get(r.electrode());
            if (listed == null) {
                return Optional.empty();
            }
            for (Map.Entry<Length, Double> e : listed.entrySet()) {
                if (isCalled(diameter, e.getKey())) {
                    return Optional.of(new Deposit(e.getValue(), false));
                }
            }
            double ratio = diameter.approximateNanometres() / EIGHTH.approximateNanometres();
            return Optional.of(new Deposit(listed.get(EIGHTH) * ratio * ratio, true));
        });
    }

    /** Grams per rod; {@code scaled} where no published number stands behind the diameter. */
    public record Deposit(double grams, boolean scaled) {}

    private static final Length EIGHTH = Length.inches(1, 8);
    private static final Map<String, Map<Length, Double>> DEPOSITS = Map.of(
            "E6010", Map.of(EIGHTH, 17.0),
            "E6011", Map.of(EIGHTH, 17.0),
            "E6013", Map.of(EIGHTH, 17.0),
            "E7018",
                    Map.of(
                            Length.inches(3, 32),
                            11.5,
                            EIGHTH,
                            20.5,
                            Length.inches(5, 32),
                            32.5,
                            Length.inches(3, 16),
                            46.0));
}
