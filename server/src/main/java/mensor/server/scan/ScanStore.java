package mensor.server.scan;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import mensor.scan.Profile;
import mensor.scan.WeldScan;
import mensor.scan.WeldScan.Quantity;
import mensor.server.web.Refusal;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The files of scans, in a folder beside the database: each as it came, under its sum, and what is drawn from it, which can be made again. Several
 * nodes share the folder.
 */
@Component
public class ScanStore {
    /** A point, and where a profile begins with how many points it has. */
    private static final int POINT = 2 * Float.BYTES;

    private static final int INDEX = Float.BYTES + Integer.BYTES;

    private static final String PART = ".part";
    private static final String SCAN = ".scan";
    private static final String LINES = ".lines";
    private static final String PROFILES = ".profiles";

    private final Path folder;

    ScanStore(@Value("${mensor.scans}") String folder) {
        this.folder = Path.of(folder);
    }

    public record Kept(String sha256, long bytes) {}

    /** A file that has come whole and is not kept yet: closed without being kept it is gone. */
    public final class Received implements AutoCloseable {
        private final Path part;
        private final Kept kept;

        private Received(Path part, Kept kept) {
            this.part = part;
            this.kept = kept;
        }

        Kept kept() {
            return kept;
        }

        /** In the transaction that stores the row which names it, as its last step: a kill before leaves nothing that counts. */
        void keep() {
            try {
                Files.move(
                        part, file(kept.sha256()), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        @Override
        public void close() throws IOException {
            Files.deleteIfExists(part);
        }
    }

    /** Takes a file as it comes; what was broken off leaves nothing. */
    Received receive(InputStream content, long most) throws IOException {
        Files.createDirectories(folder);
        Path part = Files.createTempFile(folder, "coming-", PART);
        try {
            MessageDigest sum = MessageDigest.getInstance("SHA-256");
            long bytes = 0;
            try (OutputStream out =
                    new DigestOutputStream(new BufferedOutputStream(Files.newOutputStream(part)), sum)) {
                byte[] buffer = new byte[1 << 16];
                for (int n = content.read(buffer); n >= 0; n = content.read(buffer)) {
                    bytes += n;
                    if (bytes > most) {
                        throw Refusal.invalid("scan", "a scan has at most " + (most >> 20) + " MB");
                    }
                    out.write(buffer, 0, n);
                }
            }
            if (bytes == 0) {
                throw Refusal.invalid("scan", "the file is empty");
            }
            try (FileChannel disk = FileChannel.open(part, StandardOpenOption.WRITE)) {
                disk.force(true);
            }
            return new Received(part, new Kept(HexFormat.of().formatHex(sum.digest()), bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        } catch (IOException | RuntimeException e) {
            Files.deleteIfExists(part);
            throw e;
        }
    }

    /**
     * Removes what no row names: parts that a kill left, files of refused scans, drawings of scans that are gone. What is younger may still be on its way,
     * at this node or another.
     *
     * @param named the sums that rows name
     * @param drawn the names that drawings go by
     * @return how many files were removed
     */
    int sweep(Set<String> named, Set<UUID> drawn, Instant before) throws IOException {
        if (!Files.isDirectory(folder)) {
            return 0;
        }
        int removed = 0;
        try (DirectoryStream<Path> files = Files.newDirectoryStream(folder)) {
            for (Path file : files) {
                if (!isNamed(file.getFileName().toString(), named, drawn)
                        && Files.getLastModifiedTime(file).toInstant().isBefore(before)) {
                    Files.deleteIfExists(file);
                    removed++;
                }
            }
        }
        return removed;
    }

    private static boolean isNamed(String file, Set<String> named, Set<UUID> drawn) {
        if (file.endsWith(PART)) {
            return false;
        }
        String name = file.replaceFirst("\\.[a-z]+$", "");
        if (file.endsWith(SCAN)) {
            return named.contains(name);
        }
        boolean isDrawing = file.endsWith(LINES) || file.endsWith(PROFILES);
        return !isDrawing || drawn.stream().anyMatch(d -> d.toString().equals(name));
    }

    /** Of the sums that rows name, those whose file is not here. */
    List<String> missing(Set<String> named) {
        return named.stream().filter(sha -> !Files.exists(file(sha))).sorted().toList();
    }

    Path file(String sha256) {
        return folder.resolve(sha256 + SCAN);
    }

    /** A kept file, for an archive; empty where it did not come with the database. */
    public Optional<Path> kept(String sha256) {
        return Optional.of(file(sha256)).filter(Files::exists);
    }

    /** A file that came in an archive, written under its own sum; empty where it is here already, and stays. */
    public Optional<Path> bring(Path from, String sha256) throws IOException {
        if (Files.exists(file(sha256))) {
            return Optional.empty();
        }
        try (InputStream in = Files.newInputStream(from);
                Received received = receive(in, Long.MAX_VALUE)) {
            if (!received.kept().sha256().equals(sha256)) {
                throw new IOException("a scan is not as it was written: " + sha256);
            }
            received.keep();
            return Optional.of(file(sha256));
        }
    }

    private Path lines(UUID scan) {
        return folder.resolve(scan + LINES);
    }

    private Path profiles(UUID scan) {
        return folder.resolve(scan + PROFILES);
    }

    /** Whether what is drawn is there; it may not have come with the database. */
    boolean isDrawn(UUID scan) {
        return Files.exists(lines(scan)) && Files.exists(profiles(scan));
    }

    void writeLines(UUID scan, WeldScan.Track track) throws IOException {
        Path part = folder.resolve(scan + ".lines.part");
        try (DataOutputStream out = new DataOutputStream(new BufferedOutputStream(Files.newOutputStream(part)))) {
            out.writeInt(track.s().length);
            floats(out, track.s());
            out.writeInt(track.values().size());
            for (Map.Entry<Quantity, double[]> e : track.values().entrySet()) {
                out.writeUTF(e.getKey().name());
                floats(out, e.getValue());
                floats(out, track.u().get(e.getKey()));
            }
        }
        Files.move(part, lines(scan), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }

    private static void floats(DataOutputStream out, double[] values) throws IOException {
        for (double v : values) {
            out.writeFloat((float) v);
        }
    }

    WeldScan.Track readLines(UUID scan) {
        try (DataInputStream in =
                new DataInputStream(new BufferedInputStream(Files.newInputStream(lines(scan)), 1 << 16))) {
            int n = in.readInt();
            double[] s = floats(in, n);
            Map<Quantity, double[]> values = new EnumMap<>(Quantity.class);
            Map<Quantity, double[]> u = new EnumMap<>(Quantity.class);
            int quantities = in.readInt();
            for (int i = 0; i < quantities; i++) {
                Quantity q = Quantity.valueOf(in.readUTF());
                values.put(q, floats(in, n));
                u.put(q, floats(in, n));
            }
            return new WeldScan.Track(s, values, u);
        } catch (NoSuchFileException e) {
            throw notHere();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static double[] floats(DataInputStream in, int n) throws IOException {
        double[] values = new double[n];
        for (int i = 0; i < n; i++) {
            values[i] = in.readFloat();
        }
        return values;
    }

    static Refusal notHere() {
        return Refusal.conflict(
                "the scan's own file is not in the folder of scans: bring it back, or measure it again");
    }

    /** Keeps profiles for drawing: their points one after another, then where each begins, so that any is found at once. */
    final class Drawing implements AutoCloseable {
        private final UUID scan;
        private final Path part;
        private final DataOutputStream out;
        private final List<float[]> index = new ArrayList<>();

        Drawing(UUID scan) throws IOException {
            this.scan = scan;
            part = folder.resolve(scan + "-" + UUID.randomUUID() + ".part");
            out = new DataOutputStream(new BufferedOutputStream(Files.newOutputStream(part), 1 << 16));
        }

        void add(Profile p) {
            try {
                for (int i = 0; i < p.points(); i++) {
                    out.writeFloat((float) p.y()[i]);
                    out.writeFloat((float) p.z()[i]);
                }
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            index.add(new float[] {(float) p.s(), p.points()});
        }

        void keep() throws IOException {
            for (float[] i : index) {
                out.writeFloat(i[0]);
                out.writeInt((int) i[1]);
            }
            out.writeInt(index.size());
            out.close();
            Files.move(part, profiles(scan), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        }

        @Override
        public void close() throws IOException {
            out.close();
            Files.deleteIfExists(part);
        }
    }

    /** The profiles nearest to a place, the nearest one first. */
    List<Profile> around(UUID scan, double s, int most) {
        List<Profile> near = new ArrayList<>(profiles(
                scan,
                all -> IntStream.range(0, all.length)
                        .boxed()
                        .sorted(Comparator.comparingDouble(i -> Math.abs(all[i] - s)))
                        .limit(most)
                        .mapToInt(Integer::intValue)
                        .toArray()));
        if (near.isEmpty()) {
            throw notHere();
        }
        near.sort(Comparator.comparingDouble(p -> Math.abs(p.s() - s)));
        return near;
    }

    /** At most so many profiles, evenly along the weld. */
    List<Profile> thinned(UUID scan, int most) {
        return profiles(scan, all -> {
            Integer[] order = new Integer[all.length];
            for (int i = 0; i < order.length; i++) {
                order[i] = i;
            }
            java.util.Arrays.sort(order, (a, b) -> Float.compare(all[a], all[b]));
            int n = Math.min(most, all.length);
            int[] taken = new int[n];
            for (int i = 0; i < n; i++) {
                taken[i] = order[(int) ((long) i * all.length / n)];
            }
            return taken;
        });
    }

    private interface Choice {
        int[] of(float[] places);
    }

    private List<Profile> profiles(UUID scan, Choice choice) {
        try (FileChannel in = FileChannel.open(profiles(scan), StandardOpenOption.READ)) {
            long size = in.size();
            int n = read(in, size - Integer.BYTES, Integer.BYTES).getInt();
            ByteBuffer index = read(in, size - Integer.BYTES - (long) n * INDEX, n * INDEX);
            float[] places = new float[n];
            long[] begins = new long[n + 1];
            for (int i = 0; i < n; i++) {
                places[i] = index.getFloat();
                begins[i + 1] = begins[i] + (long) index.getInt() * POINT;
            }
            List<Profile> profiles = new ArrayList<>();
            for (int i : choice.of(places)) {
                ByteBuffer points = read(in, begins[i], (int) (begins[i + 1] - begins[i]));
                double[] y = new double[points.remaining() / POINT];
                double[] z = new double[y.length];
                for (int k = 0; k < y.length; k++) {
                    y[k] = points.getFloat();
                    z[k] = points.getFloat();
                }
                profiles.add(new Profile(places[i], y, z));
            }
            return profiles;
        } catch (NoSuchFileException e) {
            throw notHere();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static ByteBuffer read(FileChannel in, long at, int bytes) throws IOException {
        ByteBuffer part = ByteBuffer.allocate(bytes);
        while (part.hasRemaining()) {
            if (in.read(part, at + part.position()) < 0) {
                throw new IOException("the file of profiles ends too early");
            }
        }
        return part.flip();
    }
}
