package mensor.exchange;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.function.Function;
import mensor.scan.Profile;

/**
 * A scan of a weld in one of its carriers, {@code mensor-scan/1} as CSV, PLY or X3P, read profile by profile: what is kept grows with a profile,
 * not with the file. Described in docs/formats.md.
 */
public final class ScanFile {
    public static final String FORMAT = "mensor-scan/1";

    static final long MOST_POINTS = 50_000_000;
    private static final double MM_OF_AN_INCH = 25.4;
    private static final int BUFFER = 1 << 16;

    /** Where the points of a profile do not stand together, all are kept until the end: so many at most. */
    static final int MOST_SCATTERED = 10_000_000;

    /**
     * What stands at the head of a scan.
     *
     * @param u the device's standard uncertainty of one height, mm; zero where none is given
     */
    public record Head(Map<String, String> keys, double u) {
        public Head {
            keys = Map.copyOf(keys);
        }

        /** @throws UnreadableInput where a key cannot be what it says */
        static Head of(Map<String, String> keys) {
            return new Head(keys, uncertainty(keys) * toMm(keys));
        }

        public String device() {
            return keys.getOrDefault("device", "scanner")
                    + (keys.containsKey("serial") ? " " + keys.get("serial") : "");
        }

        private static double uncertainty(Map<String, String> keys) {
            String u = keys.get("u");
            if (u == null) {
                return 0;
            }
            try {
                double read = Double.parseDouble(u);
                if (read >= 0 && read < 1e6) {
                    return read;
                }
            } catch (NumberFormatException e) {
                // said below
            }
            throw new UnreadableInput("u", "a number from zero up is required, got \"" + u + "\"");
        }
    }

    static double toMm(Map<String, String> keys) {
        return switch (keys.getOrDefault("units", "mm")) {
            case "mm" -> 1;
            case "in" -> MM_OF_AN_INCH;
            default -> throw new UnreadableInput("units", "mm or in is required, got " + keys.get("units"));
        };
    }

    /** The points of one profile stand at several places of the file. */
    static final class Scattered extends RuntimeException {
        Scattered() {
            super(null, null, false, false);
        }
    }

    /** Reads the profiles of one carrier, each at its place. */
    interface Carrier {
        /**
         * @param progress the part that was read, 0 to 1
         * @throws Scattered where the points of a profile do not stand together
         */
        void read(Function<Head, Consumer<Profile>> begin, DoubleConsumer progress) throws IOException;

        /** The same with all points kept until the end. */
        void gather(Function<Head, Consumer<Profile>> begin, DoubleConsumer progress) throws IOException;
    }

    private ScanFile() {}

    /**
     * Reads a scan.
     *
     * @param begin is given the head, and answers who takes the profiles; asked a second time where the file has to be read anew
     * @param progress is told the part that was read, 0 to 1; what it throws ends the reading
     * @throws UnreadableInput naming the line or the element
     */
    public static void read(Path file, Function<Head, Consumer<Profile>> begin, DoubleConsumer progress) {
        try {
            Carrier carrier = carrier(file);
            try {
                carrier.read(begin, progress);
            } catch (Scattered e) {
                carrier.gather(begin, progress);
            }
        } catch (NoSuchFileException e) {
            throw new UnreadableInput("", "there is no such file");
        } catch (IOException e) {
            throw new UnreadableInput("", "cannot be read: " + e.getMessage());
        }
    }

    private static Carrier carrier(Path file) throws IOException {
        byte[] begin;
        try (InputStream in = Files.newInputStream(file)) {
            begin = in.readNBytes(4);
        }
        if (begin.length == 4 && begin[0] == 'P' && begin[1] == 'K' && begin[2] == 3 && begin[3] == 4) {
            return new X3pScan(file);
        }
        if (begin.length >= 3 && begin[0] == 'p' && begin[1] == 'l' && begin[2] == 'y') {
            return new PlyScan(file);
        }
        return new CsvScan(file);
    }

    /** A file as a stream that tells how much of it was read. */
    static InputStream watched(Path file, DoubleConsumer progress) throws IOException {
        long size = Math.max(1, Files.size(file));
        InputStream in = Files.newInputStream(file);
        return new BufferedInputStream(
                new InputStream() {
                    private long read;

                    @Override
                    public int read() throws IOException {
                        byte[] one = new byte[1];
                        return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
                    }

                    @Override
                    public int read(byte[] b, int off, int len) throws IOException {
                        int n = in.read(b, off, len);
                        read += Math.max(0, n);
                        progress.accept(Math.min(1, (double) read / size));
                        return n;
                    }

                    @Override
                    public void close() throws IOException {
                        in.close();
                    }
                },
                BUFFER);
    }
}
