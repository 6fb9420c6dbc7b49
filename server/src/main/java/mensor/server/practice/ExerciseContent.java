package mensor.server.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import mensor.inspection.Entry;

/**
 * What was done at a made-up weld so far, as it is stored.
 *
 * @param lines what was recorded, line by line
 * @param gauged what gauges showed
 * @param seen the stretches that were in view, mm
 * @param seconds that it took
 */
record ExerciseContent(List<RecordedLine> lines, List<Gauged> gauged, List<double[]> seen, long seconds) {
    static final ExerciseContent NONE = new ExerciseContent(List.of(), List.of(), List.of(), 0);

    /** A line of the hand and the entries that it makes. */
    record RecordedLine(UUID id, String line, List<StoredEntry> entries) {}

    /** @param content as the format writes it */
    record StoredEntry(Entry.Sort sort, String content) {}

    /** A gauge was held at a place and showed this. */
    record Gauged(String gauge, String toe, double at, String shown) {}

    ExerciseContent with(RecordedLine line) {
        List<RecordedLine> all = new ArrayList<>(lines);
        all.removeIf(l -> l.id().equals(line.id()));
        all.add(line);
        return new ExerciseContent(all, gauged, seen, seconds);
    }

    ExerciseContent without(UUID line) {
        return new ExerciseContent(
                lines.stream().filter(l -> !l.id().equals(line)).toList(), gauged, seen, seconds);
    }

    ExerciseContent with(Gauged one) {
        List<Gauged> all = new ArrayList<>(gauged);
        all.add(one);
        return new ExerciseContent(lines, all, seen, seconds);
    }

    /** Stretches that touch are one. */
    ExerciseContent looked(double from, double to, long more) {
        List<double[]> all = new ArrayList<>();
        double a = from;
        double b = to;
        for (double[] s : seen) {
            if (s[0] <= b && s[1] >= a) {
                a = Math.min(a, s[0]);
                b = Math.max(b, s[1]);
            } else {
                all.add(s);
            }
        }
        all.add(new double[] {a, b});
        all.sort((x, y) -> Double.compare(x[0], y[0]));
        return new ExerciseContent(lines, gauged, all, seconds + more);
    }
}
