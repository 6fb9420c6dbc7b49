package mensor.study;

import java.util.Optional;
import org.apache.commons.statistics.distribution.FDistribution;

/**
 * A gauge study, parts by people by repeats, crossed: how much of the spread is the gauge's own. Standard deviations.
 *
 * @param ev repeatability: one person with the gauge on one part again
 * @param av reproducibility: from person to person, the interaction with the parts in it where it is kept
 * @param pv from part to part
 * @param interaction the probability of an interaction as large by chance; absent where there are no repeats
 * @param pooled the interaction was no more than chance and is part of the repeatability
 */
public record GaugeStudy(double ev, double av, double pv, Optional<Double> interaction, boolean pooled) {
    /** An interaction that chance gives this often is none (AIAG MSA). */
    private static final double POOLED_FROM = 0.25;

    private static final double CATEGORIES = 1.41;
    private static final double GOOD = 10;
    private static final double CONDITIONAL = 30;

    /**
     * By analysis of variance.
     *
     * @param readings by person, then repeat, then part; all there
     */
    public static GaugeStudy anova(double[][][] readings) {
        int people = readings.length;
        int repeats = readings[0].length;
        int parts = readings[0][0].length;
        if (people < 2 || repeats < 2 || parts < 2) {
            throw new IllegalArgumentException("at least two people, two repeats and two parts are required");
        }
        double[] ofPerson = new double[people];
        double[] ofPart = new double[parts];
        double[][] ofCell = new double[people][parts];
        double all = 0;
        for (int a = 0; a < people; a++) {
            for (int r = 0; r < repeats; r++) {
                if (readings[a].length != repeats || readings[a][r].length != parts) {
                    throw new IllegalArgumentException("every person reads every part as often");
                }
                for (int p = 0; p < parts; p++) {
                    double x = readings[a][r][p];
                    ofPerson[a] += x / (repeats * parts);
                    ofPart[p] += x / (people * repeats);
                    ofCell[a][p] += x / repeats;
                    all += x / ((double) people * repeats * parts);
                }
            }
        }
        double ssPerson = 0;
        double ssPart = 0;
        double ssCell = 0;
        double ssError = 0;
        for (int a = 0; a < people; a++) {
            ssPerson += parts * repeats * square(ofPerson[a] - all);
            for (int p = 0; p < parts; p++) {
                ssCell += repeats * square(ofCell[a][p] - ofPerson[a] - ofPart[p] + all);
                for (int r = 0; r < repeats; r++) {
                    ssError += square(readings[a][r][p] - ofCell[a][p]);
                }
            }
        }
        for (double m : ofPart) {
            ssPart += people * repeats * square(m - all);
        }
        double dfCell = (people - 1.0) * (parts - 1);
        double dfError = people * parts * (repeats - 1.0);
        double msPerson = ssPerson / (people - 1);
        double msPart = ssPart / (parts - 1);
        double msCell = ssCell / dfCell;
        double msError = ssError / dfError;
        double chance = msError == 0 ? 1 : FDistribution.of(dfCell, dfError).survivalProbability(msCell / msError);
        boolean pooled = chance > POOLED_FROM;
        double within = pooled ? (ssCell + ssError) / (dfCell + dfError) : msError;
        double against = pooled ? within : msCell;
        double ofPeople = Math.max(0, (msPerson - against) / (parts * repeats));
        double crossed = pooled ? 0 : Math.max(0, (msCell - msError) / repeats);
        double ofParts = Math.max(0, (msPart - against) / (people * repeats));
        return new GaugeStudy(
                Math.sqrt(within), Math.sqrt(ofPeople + crossed), Math.sqrt(ofParts), Optional.of(chance), pooled);
    }

    private static double square(double x) {
        return x * x;
    }

    /** Of gauge and people together: the standard uncertainty that a reading has by this study. */
    public double grr() {
        return Math.hypot(ev, av);
    }

    public double total() {
        return Math.hypot(grr(), pv);
    }

    /** Of the total spread, percent. */
    public double percent() {
        return total() == 0 ? 0 : 100 * grr() / total();
    }

    /** Of a tolerance that wide, percent: six standard deviations against it. */
    public double percentOf(double tolerance) {
        return 600 * grr() / tolerance;
    }

    /** How many groups of parts the gauge can tell apart. */
    public int categories() {
        return grr() == 0 ? Integer.MAX_VALUE : (int) (CATEGORIES * pv / grr());
    }

    /** Bands of the AIAG. */
    public String words() {
        return percent() < GOOD ? "good" : percent() <= CONDITIONAL ? "conditional" : "not acceptable";
    }
}
