package mensor.exchange;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.nio.charset.StandardCharsets;

/** Lines of bytes, since making a text of each of a million takes longer than measuring them. */
final class ScanLines {
    private static final int LONGEST = 4096;
    private final InputStream in;
    private final byte[] buffer = new byte[1 << 16];
    private int at;
    private int filled;
    private final byte[] line = new byte[LONGEST];
    private int length;
    private long number;

    ScanLines(InputStream in) {
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

    /** What was not read yet, as bytes. */
    InputStream rest() {
        return new SequenceInputStream(new ByteArrayInputStream(buffer, at, filled - at), in);
    }

    boolean isBlank() {
        for (int i = 0; i < length; i++) {
            if (!isBlank(line[i])) {
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

    /** As many numbers as wanted, with blanks between them. */
    void spaced(double[] row) {
        int from = 0;
        for (int k = 0; k < row.length; k++) {
            while (from < length && isBlank(line[from])) {
                from++;
            }
            int to = from;
            while (to < length && !isBlank(line[to])) {
                to++;
            }
            if (to == from) {
                throw wrong(row.length + " values are required, got \"" + shown(text()) + "\"");
            }
            row[k] = number(from, to);
            from = to;
        }
    }

    private static boolean isBlank(byte b) {
        return b == ' ' || b == '\t';
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
        boolean minus = from < to && line[from] == '-';
        if (from == to || to - from == (minus ? 4 : 3) && (line[from + (minus ? 1 : 0)] | 32) == 'n') {
            return Double.NaN; // no return
        }
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

    static String shown(String line) {
        return line.length() > 40 ? line.substring(0, 40) + "…" : line;
    }
}
