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
    private record Row(String electrode, int group, int[] amps) {}

    private static final List<Length> DIAMETERS =
            List.of(Length.inches(3, 32), Length.inches(1, 8), Length.inches(5, 32), Length.inches(3, 16));
    private static final double EIGHTH_E7018_FROM = 110;
    private static final Length NAME_OFF = Length.millimetres("0.25");
    private static final List<Row> ROWS = List.of(
            new Row("E6010", 3, new int[] {40, 80, 75, 125, 110, 170, 140, 215}),
            new Row("E6011", 3, new int[] {40, 80, 75, 125, 110, 170, 140, 215}),
            new Row("E6013", 2, new int[] {45, 90, 80, 130, 105, 180, 150, 230}),
            new Row("E7014", 2, new int[] {80, 125, 110, 160, 150, 210, 200, 275}),
            new Row("E7018", 4, new int[] {70, 110, 115, 165, 150, 220, 200, 275}),
            new Row("E7024", 1, new int[] {100, 145, 140, 190, 180, 250, 230, 305}));

    private RodTable() {}

    /** Diameter names of the table, for lists to choose from. */
    public static List<Length> diameters() {
        return DIAMETERS;
    }

    public static List<String> classes() {
        return ROWS.stream().map(Row::electrode).toList();
    }

    private static Optional<Row> row(String electrode) {
        String plain = RodClass.of(electrode).map(RodClass::plain).orElse(electrode);
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
    public static boolean isCalled(Length diameter, Length name) {
        Length off = diameter.minus(name);
        return !(off.isNegative() ? off.negate() : off).isOver(NAME_OFF);
    }

    /**
     * Whether the rod runs on that polarity as it should: cellulosic DC rods and low-hydrogen ones never on DCEN, E6010 on no
     * AC (the table of the filler-metal specification, from memory). Empty where rod or polarity is not known.
     */
    public static Optional<Boolean> runsOn(Optional<String> electrode, Optional<Polarity> polarity) {
        Optional<RodClass> rod = electrode.flatMap(RodClass::of);
        if (rod.isEmpty() || polarity.isEmpty()) {
            return Optional.empty();
        }
        boolean positive = polarity.get() == Polarity.DCEP;
        if (rod.get().coating() == 10 || rod.get().coating() == 15) {
            return Optional.of(positive);
        }
        if (rod.get().isLowHydrogen() || rod.get().isCellulosic()) {
            return Optional.of(positive || polarity.get() == Polarity.AC);
        }
        return row(electrode.get()).map(r -> true);
    }

    /**
     * Whether a rod lays more than a fillet of this size can take in one bead: 3/16 in on 5/16 and under, 5/32 under 1/4, 1/8
     * under 3/16 (common practice, no source).
     */
    public static boolean isTooBigFor(Length rod, Length size) {
        if (!rod.isUnder(Length.millimetres("4.5"))) {
            return !size.isOver(Length.millimetres("8"));
        }
        if (!rod.isUnder(Length.millimetres("3.8"))) {
            return size.isUnder(Length.millimetres("6"));
        }
        return !rod.isUnder(Length.millimetres("3")) && size.isUnder(Length.millimetres("4.5"));
    }

    /**
     * How long a rod burns, as a part of what a 1/8 in one does: 50–60 s for 3/32 in where 1/8 takes 60–70, 75–90 for 5/32,
     * 85–100 for 3/16 (common practice, no source).
     */
    public static double burnShare(Length diameter) {
        double[] shares = {0.85, 1, 1.27, 1.42};
        for (int i = 0; i < DIAMETERS.size(); i++) {
            if (isCalled(diameter, DIAMETERS.get(i))) {
                return shares[i];
            }
        }
        return 1;
    }

    /** True for a class whose coating is of the low-hydrogen kind; empty for an unknown class. */
    public static Optional<Boolean> isLowHydrogen(String electrode) {
        return RodClass.of(electrode).filter(RodClass::isKnown).map(RodClass::isLowHydrogen);
    }

    /** The rod group (F number) that a welder qualifies in: 4 low-hydrogen, 3 cellulosic, 2 rutile, 1 iron powder. */
    public static Optional<Integer> group(String electrode) {
        return RodClass.of(electrode)
                .filter(RodClass::isLowHydrogen)
                .map(c -> 4)
                .or(() -> row(electrode).map(Row::group));
    }

    /** A stronger rod lays as much as the one of its coating in the table: E8018 as E7018, E8010 as E6010. */
    private static Optional<Row> rowOfCoating(String electrode) {
        return row(electrode)
                .or(() -> RodClass.of(electrode)
                        .flatMap(c -> ROWS.stream()
                                .filter(r -> r.electrode().endsWith(String.valueOf(c.coating())))
                                .findFirst()));
    }

    /**
     * Grams of weld metal that one 14 in rod leaves behind with a 2 in stub, from handbooks, from memory; where the
     * diameter is not listed for the class, scaled by the wire's area from the one that is.
     */
    public static Optional<Deposit> deposit(String electrode, Length diameter) {
        return rowOfCoating(electrode).flatMap(r -> {
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
