package mensor.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.function.Function;
import mensor.exchange.ScanFile.Head;
import mensor.scan.Profile;

/** A scan as CSV: keys, the header {@code s,y,z}, a row a point. Points of one s are one profile. */
final class CsvScan implements ScanFile.Carrier {
    private final Path file;

    CsvScan(Path file) {
        this.file = file;
    }

    @Override
    public void read(Function<Head, Consumer<Profile>> begin, DoubleConsumer progress) throws IOException {
        try (InputStream in = ScanFile.watched(file, progress)) {
            ScanLines lines = new ScanLines(in);
            Map<String, String> keys = keys(lines);
            double toMm = ScanFile.toMm(keys);
            together(lines, toMm, begin.apply(Head.of(keys)));
        }
    }

    @Override
    public void gather(Function<Head, Consumer<Profile>> begin, DoubleConsumer progress) throws IOException {
        try (InputStream in = ScanFile.watched(file, progress)) {
            ScanLines lines = new ScanLines(in);
            Map<String, String> keys = keys(lines);
            double toMm = ScanFile.toMm(keys);
            TreeMap<Double, ProfilePoints> all = new TreeMap<>();
            double[] row = new double[3];
            for (long points = 1; next(lines, row); points++) {
                if (points > ScanFile.MOST_SCATTERED) {
                    throw lines.wrong("the points of a profile do not stand together: such a scan has at most "
                            + ScanFile.MOST_SCATTERED + " points");
                }
                double s = row[0] * toMm;
                all.computeIfAbsent(s, k -> new ProfilePoints(64)).add(s, row[1] * toMm, row[2] * toMm);
            }
            Consumer<Profile> each = begin.apply(Head.of(keys));
            all.forEach((s, points) -> each.accept(points.profile(s)));
        }
    }

    private static Map<String, String> keys(ScanLines lines) throws IOException {
        Map<String, String> keys = new LinkedHashMap<>();
        if (!lines.next() || !lines.text().strip().equals("# " + ScanFile.FORMAT)) {
            throw lines.wrong("\"# " + ScanFile.FORMAT + "\" is required as the first line");
        }
        while (lines.next()) {
            String line = lines.text().strip();
            if (!line.startsWith("#")) {
                break;
            }
            int colon = line.indexOf(':');
            if (colon < 0) {
                throw lines.wrong("\"# key: value\" is required, got \"" + ScanLines.shown(line) + "\"");
            }
            keys.put(line.substring(1, colon).strip(), line.substring(colon + 1).strip());
        }
        if (!lines.text().replace(" ", "").equalsIgnoreCase("s,y,z")) {
            throw lines.wrong("the header s,y,z is required, got \"" + ScanLines.shown(lines.text()) + "\"");
        }
        return keys;
    }

    private static boolean next(ScanLines lines, double[] row) throws IOException {
        while (lines.next()) {
            if (!lines.isBlank()) {
                lines.numbers(row);
                if (Double.isNaN(row[0])) {
                    throw lines.wrong("s is required");
                }
                return true;
            }
        }
        return false;
    }

    private static void together(ScanLines lines, double toMm, Consumer<Profile> each) throws IOException {
        ProfilePoints points = new ProfilePoints();
        double typed = Double.NaN;
        Set<Double> seen = new HashSet<>();
        double[] row = new double[3];
        long n = 0;
        while (next(lines, row)) {
            if (++n > ScanFile.MOST_POINTS) {
                throw lines.wrong("a scan has at most " + ScanFile.MOST_POINTS + " points");
            }
            if (row[0] != typed) {
                if (!points.isEmpty()) {
                    each.accept(points.profile(typed * toMm));
                    points.clear();
                }
                typed = row[0];
                if (!seen.add(typed)) {
                    throw new ScanFile.Scattered();
                }
            }
            points.add(typed, row[1] * toMm, row[2] * toMm);
        }
        if (n == 0) {
            throw new UnreadableInput("", "there is no point in this scan");
        }
        each.accept(points.profile(typed * toMm));
    }
}
