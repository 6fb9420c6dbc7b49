package mensor.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import mensor.scan.Profile;

/**
 * A scan as a {@code mensor-scan/1} CSV file, read in one go and profile by profile: what is kept grows with a profile, not with the file.
 * Described in docs/formats.md.
 */
public final class ScanFile {
    public static final String FORMAT = "mensor-scan/1";

    private static final long MOST_POINTS = 50_000_000;
    private static final double MM_OF_AN_INCH = 25.4;

    /**
     * What stands at the head of a scan.
     *
     * @param u the device's standard uncertainty of one height, mm; zero where none is given
     */
    public record Head(Map<String, String> keys, double u) {
        public String device() {
            return keys.getOrDefault("device", "scanner")
                    + (keys.containsKey("serial") ? " " + keys.get("serial") : "");
        }
    }

    private final Lines lines;
    private final Map<String, String> keys = new LinkedHashMap<>();
    private double toMm = 1;

    private ScanFile(InputStream in) {
        lines = new Lines(in);
    }

    /**
     * Reads a scan.
     *
     * @param each is given the head with each profile
     * @return the head
     * @throws UnreadableInput naming the line
     */
    public static Head read(InputStream in, BiConsumer<Head, Profile> each) {
        try {
            return new ScanFile(in).read(each);
        } catch (IOException e) {
            throw new UnreadableInput("", "cannot be read: " + e.getMessage());
        }
    }

    private Head read(BiConsumer<Head, Profile> each) throws IOException {
        if (!lines.next() || !lines.text().strip().equals("# " + FORMAT)) {
            throw wrong("\"# " + FORMAT + "\" is required as the first line");
        }
        while (lines.next()) {
            String line = lines.text().strip();
            if (!line.startsWith("#")) {
                break;
            }
            int colon = line.indexOf(':');
            if (colon < 0) {
                throw wrong("\"# key: value\" is required, got \"" + shown(line) + "\"");
            }
            keys.put(line.substring(1, colon).strip(), line.substring(colon + 1).strip());
        }
        if (!lines.text().replace(" ", "").equalsIgnoreCase("s,y,z")) {
            throw wrong("the header s,y,z is required, got \"" + shown(lines.text()) + "\"");
        }
        toMm = switch (keys.getOrDefault("units", "mm")) {
            case "mm" -> 1;
            case "in" -> MM_OF_AN_INCH;
            default -> throw new UnreadableInput("units", "mm or in is required, got " + keys.get("units"));
        };
        Head head = new Head(Map.copyOf(keys), uncertainty());
        profiles(head, each);
        return head;
    }

    private double uncertainty() {
        String u = keys.get("u");
        if (u == null) {
            return 0;
        }
        try {
            double read = Double.parseDouble(u);
            if (read >= 0 && read < 1e6) {
                return read * toMm;
            }
        } catch (NumberFormatException e) {
            // said below
        }
        throw new UnreadableInput("u", "a number from zero up is required, got \"" + u + "\"");
    }

    private void profiles(Head head, BiConsumer<Head, Profile> each) throws IOException {
        double[] y = new double[4096];
        double[] z = new double[4096];
        int n = 0;
        long points = 0;
        double s = Double.NaN;
        double typed = Double.NaN;
        Set<Double> seen = new HashSet<>();
        double[] row = new double[3];
        while (lines.next()) {
            if (lines.isBlank()) {
                continue;
            }
            lines.numbers(row);
            if (Double.isNaN(row[0])) {
                throw wrong("s is required");
            }
            if (++points > MOST_POINTS) {
                throw wrong("a scan has at most " + MOST_POINTS + " points");
            }
            if (row[0] != typed) {
                if (n > 0) {
                    each.accept(head, Profile.of(s, Arrays.copyOf(y, n), Arrays.copyOf(z, n)));
                }
                typed = row[0];
                s = typed * toMm;
                n = 0;
                if (!seen.add(s)) {
                    throw wrong(
                            "the profile at s = " + s + " comes a second time: the points of a profile stand together");
                }
            }
            if (Double.isNaN(row[2]) || Double.isNaN(row[1])) {
                continue; // no return
            }
            if (n == y.length) {
                y = Arrays.copyOf(y, 2 * n);
                z = Arrays.copyOf(z, 2 * n);
            }
            y[n] = row[1] * toMm;
            z[n++] = row[2] * toMm;
        }
        if (n > 0) {
            each.accept(head, Profile.of(s, Arrays.copyOf(y, n), Arrays.copyOf(z, n)));
        }
        if (points == 0) {
            throw new UnreadableInput("", "there is no point in this scan");
        }
    }

    private UnreadableInput wrong(String problem) {
        return lines.wrong(problem);
    }

    static String shown(String line) {
        return line.length() > 40 ? line.substring(0, 40) + "…" : line;
    }

    /** Lines of bytes, since making a text of each of a million takes longer than measuring them. */
    private static final class Lines {
        private static final int LONGEST = 4096;
        private final InputStream in;
        private final byte[] buffer = new byte[1 << 16];
        private int at;
        private int filled;
        private final byte[] line = new byte[LONGEST];
        private int length;
        private long number;

        Lines(InputStream in) {
            this.in = in;
        }

        boolean next() throws IOException {
            length = 0;
            boolean any = false;
            while (true) {
                if (at == filled) {
                    filled = in.read(buffer);
                    at = 0;
                    if (filled <= 0) {
                        filled = 0;
                        if (any) {
                            number++;
                        }
                        return any;
                    }
                }
                byte b = buffer[at++];
                any = true;
                if (b == '\n') {
                    number++;
                    return true;
                }
                if (b != '\r') {
                    if (length == LONGEST) {
                        number++;
                        throw wrong("the line is too long for a scan");
                    }
                    line[length++] = b;
                }
            }
        }

        boolean isBlank() {
            for (int i = 0; i < length; i++) {
                if (line[i] != ' ' && line[i] != '\t') {
                    return false;
                }
            }
            return true;
        }

        String text() {
            String text = new String(line, 0, length, StandardCharsets.UTF_8);
            return number == 1 && text.startsWith("\uFEFF") ? text.substring(1) : text;
        }

        UnreadableInput wrong(String problem) {
            return new UnreadableInput("line " + number, problem);
        }

        /** Three numbers; one that is empty or nan is no number. */
        void numbers(double[] row) {
            int from = 0;
            for (int k = 0; k < 3; k++) {
                int to = from;
                while (to < length && line[to] != ',') {
                    to++;
                }
                if (k < 2 && to == length || k == 2 && to != length) {
                    throw wrong("three values s,y,z are required, got \"" + shown(text()) + "\"");
                }
                row[k] = number(from, to);
                from = to + 1;
            }
        }

        private double number(int start, int end) {
            int from = start;
            int to = end;
            while (from < to && line[from] == ' ') {
                from++;
            }
            while (to > from && line[to - 1] == ' ') {
                to--;
            }
            if (from == to || to - from == 3 && (line[from] | 32) == 'n') {
                return Double.NaN;
            }
            boolean minus = line[from] == '-';
            int i = minus || line[from] == '+' ? from + 1 : from;
            long whole = 0;
            int digits = 0;
            int decimals = -1;
            for (; i < to; i++) {
                byte b = line[i];
                if (b >= '0' && b <= '9' && digits < 17) {
                    whole = whole * 10 + (b - '0');
                    digits++;
                    decimals += decimals >= 0 ? 1 : 0;
                } else if (b == '.' && decimals < 0) {
                    decimals = 0;
                } else {
                    return slowly(from, to);
                }
            }
            if (digits == 0) {
                return slowly(from, to);
            }
            double d = decimals > 0 ? whole / TENS[decimals] : whole;
            return minus ? -d : d;
        }

        private double slowly(int from, int to) {
            String text = new String(line, from, to - from, StandardCharsets.UTF_8);
            try {
                double d = Double.parseDouble(text);
                if (Double.isFinite(d)) {
                    return d;
                }
            } catch (NumberFormatException e) {
                // said below
            }
            throw wrong("a number is required, got \"" + shown(text) + "\"");
        }

        private static final double[] TENS = new double[18];

        static {
            TENS[0] = 1;
            for (int i = 1; i < TENS.length; i++) {
                TENS[i] = TENS[i - 1] * 10;
            }
        }
    }
}
