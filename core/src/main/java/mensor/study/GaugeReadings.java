package mensor.study;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mensor.length.Unit;
import mensor.weld.InvalidField;

/**
 * What several people read of several parts with one gauge, each several times.
 *
 * @param gauge as the register calls it
 * @param quantity what was read, in words: leg, undercut depth
 * @param units of the readings, references and tolerance
 * @param tolerance how wide what is allowed is; absent where none is asked
 * @param references what each part truly is, by a better instrument; absent where nobody knows
 * @param readings by person, then repeat, then part
 */
public record GaugeReadings(
        String title,
        String gauge,
        String quantity,
        Unit units,
        OptionalDouble tolerance,
        List<String> people,
        List<String> parts,
        Optional<double[]> references,
        double[][][] readings) {
    private static final int MOST_PEOPLE = 20;
    private static final int MOST_PARTS = 100;
    private static final int MOST_REPEATS = 20;

    /** Beyond this, in either unit, no gauge of this trade reads. */
    private static final double MOST = 10_000;

    public GaugeReadings {
        people = List.copyOf(people);
        parts = List.copyOf(parts);
        count("people", people, MOST_PEOPLE);
        count("parts", parts, MOST_PARTS);
        if (tolerance.isPresent() && !(tolerance.getAsDouble() > 0 && tolerance.getAsDouble() < MOST)) {
            throw new InvalidField("tolerance", "must be over zero");
        }
        if (references.isPresent() && references.get().length != parts.size()) {
            throw new InvalidField("references", "one for each part is required");
        }
        references.ifPresent(r -> Arrays.stream(r).forEach(v -> sane("references", v)));
        if (readings.length != people.size()) {
            throw new InvalidField("readings", "a list for each person is required");
        }
        int repeats = readings[0].length;
        if (repeats < 2 || repeats > MOST_REPEATS) {
            throw new InvalidField("readings", "2 to " + MOST_REPEATS + " repeats are required, got " + repeats);
        }
        for (int a = 0; a < readings.length; a++) {
            if (readings[a].length != repeats) {
                throw new InvalidField(
                        "readings[" + a + "]",
                        people.get(a) + " read " + readings[a].length + " times, " + people.get(0) + " " + repeats
                                + ": every person reads every part as often");
            }
            for (int r = 0; r < repeats; r++) {
                String at = "readings[" + a + "][" + r + "]";
                if (readings[a][r].length != parts.size()) {
                    throw new InvalidField(at, parts.size() + " values are required, one for each part");
                }
                for (double v : readings[a][r]) {
                    sane(at, v);
                }
            }
        }
    }

    private static void count(String field, List<String> names, int most) {
        if (names.size() < 2 || names.size() > most) {
            throw new InvalidField(field, "2 to " + most + " are required, got " + names.size());
        }
        if (new HashSet<>(names).size() < names.size()) {
            throw new InvalidField(field, "a name stands there twice");
        }
    }

    private static void sane(String field, double value) {
        if (!(Math.abs(value) < MOST)) {
            throw new InvalidField(field, "not a reading of a gauge: " + value);
        }
    }

    public int repeats() {
        return readings[0].length;
    }

    public GaugeStudy study() {
        return GaugeStudy.anova(readings);
    }

    /** Of a part all readings, person by person. */
    public double[] of(int part) {
        return Arrays.stream(readings)
                .flatMap(Arrays::stream)
                .mapToDouble(r -> r[part])
                .toArray();
    }

    /** Absent where nobody knows what the parts truly are, or they are all alike. */
    public Optional<GaugeBias> bias() {
        if (references.isEmpty() || Arrays.stream(references.get()).distinct().count() < 2) {
            return Optional.empty();
        }
        double[][] byPart = new double[parts.size()][];
        for (int p = 0; p < byPart.length; p++) {
            byPart[p] = of(p);
        }
        return Optional.of(GaugeBias.of(references.get(), byPart));
    }

    /**
     * The standard uncertainty of one reading by one of these people: gauge and people together, and a bias that is more than chance, which nobody
     * takes off at the weld. Never less than what the division leaves open.
     *
     * @param division the gauge's smallest; zero where it is not known
     */
    public double uncertainty(double division) {
        double bias = bias().filter(GaugeBias::isBiased).map(GaugeBias::mean).orElse(0.0);
        return Math.max(Math.hypot(study().grr(), bias), division / Math.sqrt(12));
    }
}
