package mensor.server.practice;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import mensor.inspection.Entry;
import mensor.server.inspection.MadeUpWeld;
import org.jspecify.annotations.Nullable;

/**
 * What was done at a weld so far, as it is stored.
 *
 * @param lines what earlier versions recorded, line by line; read as entries, and absent in what is written now
 * @param gauged what gauges showed
 * @param seen the stretches that were in view, mm
 * @param seconds that it took
 * @param entries what was recorded
 */
record ExerciseContent(
        @Nullable List<RecordedLine> lines,
        List<Gauged> gauged,
        List<double[]> seen,
        long seconds,
        List<MadeUpWeld.Kept> entries) {
    static final ExerciseContent NONE = new ExerciseContent(null, List.of(), List.of(), 0, List.of());

    ExerciseContent {
        entries = entries != null ? entries : entriesOf(lines == null ? List.of() : lines);
        lines = null;
    }

    /** A line of the hand and the entries that it makes. */
    record RecordedLine(UUID id, String line, List<OfLine> entries) {}

    /** @param content as the format writes it */
    record OfLine(Entry.Sort sort, String content) {}

    /** A gauge was held at a place and showed this. */
    record Gauged(String gauge, String toe, double at, String shown) {}

    private static List<MadeUpWeld.Kept> entriesOf(List<RecordedLine> lines) {
        List<MadeUpWeld.Kept> all = new ArrayList<>();
        for (RecordedLine line : lines) {
            for (OfLine e : line.entries()) {
                String name = line.id() + " " + all.size();
                UUID id = UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
                all.add(new MadeUpWeld.Kept(id, e.sort(), e.content(), Instant.EPOCH, null, 0));
            }
        }
        return all;
    }

    ExerciseContent with(List<MadeUpWeld.Kept> recorded) {
        return new ExerciseContent(null, gauged, seen, seconds, recorded);
    }

    ExerciseContent with(Gauged one) {
        List<Gauged> all = new ArrayList<>(gauged);
        all.add(one);
        return new ExerciseContent(null, all, seen, seconds, entries);
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
        return new ExerciseContent(null, gauged, all, seconds + more, entries);
    }
}
