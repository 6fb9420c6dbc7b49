package mensor.rejectrate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/** Counts by name, the largest first, each with its share of the whole and the share of all down to it. */
public record Pareto(long total, List<Bar> bars) {
    /** The share that the few at the head are asked for. */
    private static final double MOST = 0.8;

    /** @param share with the interval that it lies in (Wilson) */
    public record Bar(String name, long count, double share, Interval interval, double cumulative) {}

    /** Those of no count are left out; equal counts stand by name. */
    public static Pareto of(Map<String, Long> counts) {
        List<Map.Entry<String, Long>> sorted = counts.entrySet().stream()
                .filter(e -> e.getValue() > 0)
                .sorted(Map.Entry.<String, Long>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry.comparingByKey()))
                .toList();
        long total = sorted.stream().mapToLong(Map.Entry::getValue).sum();
        List<Bar> bars = new ArrayList<>();
        long down = 0;
        for (Map.Entry<String, Long> e : sorted) {
            long n = e.getValue();
            down += n;
            bars.add(new Bar(e.getKey(), n, (double) n / total, Interval.wilson(n, total), (double) down / total));
        }
        return new Pareto(total, List.copyOf(bars));
    }

    /** The fewest at the head that make four fifths of the whole. */
    public List<Bar> few() {
        for (int i = 0; i < bars.size(); i++) {
            if (bars.get(i).cumulative() >= MOST - 1e-12) {
                return bars.subList(0, i + 1);
            }
        }
        return bars;
    }

    /** The first is more than the second by more than chance: their counts alone, an even share of both being the other case. */
    public boolean firstStandsOut() {
        if (bars.size() < 2) {
            return !bars.isEmpty();
        }
        long first = bars.get(0).count();
        return Interval.clopperPearson(first, first + bars.get(1).count()).low() > 0.5;
    }
}
