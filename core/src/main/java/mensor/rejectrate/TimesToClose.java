package mensor.rejectrate;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.TreeSet;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * How long it takes until something is closed, of which some is open still: the share open by time (Kaplan and Meier 1958), with
 * Greenwood's standard error and limits on the logarithm. What is open counts for as long as it was watched: left out, long ones would
 * make the time look short.
 *
 * @param closed how many were closed
 * @param open how many are open still
 */
public record TimesToClose(int closed, int open, List<Step> steps) {
    private static final double CONFIDENCE = 0.95;

    /** @param time from the beginning to the closing, or as long as it was watched; zero or more */
    public record Time(double time, boolean closed) {}

    /** @param share open after this time */
    public record Step(double time, int atRisk, int closed, double share, double error, double low, double high) {}

    /** @throws IllegalArgumentException where there is none, or a time is less than zero */
    public static TimesToClose of(List<Time> times) {
        if (times.isEmpty() || times.stream().anyMatch(t -> !(t.time() >= 0))) {
            throw new IllegalArgumentException("at least one time of zero or more is required");
        }
        double z = NormalDistribution.of(0, 1).inverseCumulativeProbability((1 + CONFIDENCE) / 2);
        TreeSet<Double> at = new TreeSet<>();
        times.stream().filter(Time::closed).forEach(t -> at.add(t.time()));
        double[] sorted = times.stream().mapToDouble(Time::time).sorted().toArray();
        double[] ends = times.stream()
                .filter(Time::closed)
                .mapToDouble(Time::time)
                .sorted()
                .toArray();
        List<Step> steps = new ArrayList<>();
        double share = 1;
        double sum = 0;
        int before = 0;
        int ended = 0;
        for (double t : at) {
            while (before < sorted.length && sorted[before] < t) {
                before++;
            }
            int risk = sorted.length - before;
            int now = 0;
            while (ended < ends.length && ends[ended] == t) {
                ended++;
                now++;
            }
            share *= 1 - (double) now / risk;
            sum += risk == now ? 0 : now / ((double) risk * (risk - now));
            double spread = Math.exp(z * Math.sqrt(sum));
            boolean none = risk == now;
            steps.add(new Step(
                    t,
                    risk,
                    now,
                    share,
                    none ? 0 : share * Math.sqrt(sum),
                    none ? 0 : share / spread,
                    none ? 0 : Math.min(1, share * spread)));
        }
        return new TimesToClose(ends.length, times.size() - ends.length, List.copyOf(steps));
    }

    /** When half is closed; absent where half is open still. */
    public OptionalDouble median() {
        return steps.stream()
                .filter(s -> s.share() <= 0.5)
                .mapToDouble(Step::time)
                .findFirst();
    }

    /** The least that the median may be (Brookmeyer and Crowley 1982). */
    public OptionalDouble medianLow() {
        return steps.stream()
                .filter(s -> s.low() <= 0.5)
                .mapToDouble(Step::time)
                .findFirst();
    }

    /** The most that it may be; absent where nothing bounds it yet. */
    public OptionalDouble medianHigh() {
        return steps.stream()
                .filter(s -> s.high() <= 0.5)
                .mapToDouble(Step::time)
                .findFirst();
    }
}
