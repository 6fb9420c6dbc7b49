package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import mensor.exchange.ScanWriter.Carrier;
import mensor.scan.Profile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** One scan in all its carriers: they are read alike. X3P is by ISO 25178-72 from memory: meters, X the fastest, sums by MD5. */
class ScanCarriersTest {
    @TempDir
    private Path folder;

    /** A made-up map on a grid, so that X3P needs no interpolation. */
    private static List<Profile> grid() {
        List<Profile> all = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            double[] y = new double[40];
            double[] z = new double[40];
            for (int j = 0; j < y.length; j++) {
                y[j] = -2 + j * 0.125;
                z[j] = 5 + Math.sin(i * 0.1) + 0.01 * j * j;
            }
            all.add(new Profile(i * 0.5, y, z));
        }
        return all;
    }

    private Path written(Carrier carrier, List<Profile> profiles) throws IOException {
        Path file = folder.resolve(carrier.name());
        try (OutputStream out = Files.newOutputStream(file)) {
            new ScanWriter(profiles, "line", 0.005).write(carrier, out);
        }
        return file;
    }

    private record Read(ScanFile.Head head, List<Profile> profiles) {}

    private static Read read(Path file) {
        List<Profile> read = new ArrayList<>();
        ScanFile.Head[] head = new ScanFile.Head[1];
        ScanFile.read(
                file,
                h -> {
                    head[0] = h;
                    read.clear();
                    return read::add;
                },
                part -> assertThat(part).isBetween(0.0, 1.0));
        return new Read(head[0], read);
    }

    @ParameterizedTest
    @EnumSource(Carrier.class)
    void allCarriersReadAlike(Carrier carrier) throws IOException {
        List<Profile> grid = grid();
        Read read = read(written(carrier, grid));
        assertThat(read.head().device()).isEqualTo("line");
        assertThat(read.head().u()).isEqualTo(0.005);
        assertThat(read.profiles()).hasSize(grid.size());
        for (int i = 0; i < grid.size(); i++) {
            Profile p = read.profiles().get(i);
            assertThat(p.s()).isCloseTo(grid.get(i).s(), within(1e-4));
            assertThat(p.y()).containsExactly(grid.get(i).y(), within(1e-4));
            assertThat(p.z()).containsExactly(grid.get(i).z(), within(1e-4));
        }
    }

    private Path text(String content) {
        try {
            return Files.writeString(folder.resolve("scan.ply"), content);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Places along the weld jitter by a fifth of the spacing, there is a hole, and the points come in any order. */
    @ParameterizedTest
    @org.junit.jupiter.params.provider.ValueSource(booleans = {false, true})
    void pointsWithinHalfTheSpacingAreOneProfile(boolean scattered) {
        Random random = new Random(4);
        List<String> points = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            for (int j = 0; j < 60 && (i < 90 || i > 120); j++) {
                points.add("%.6f %.3f 1.5 7".formatted(i * 0.4 + (random.nextDouble() - 0.5) * 0.16, j * 0.1));
            }
        }
        if (scattered) {
            Collections.shuffle(points, random);
        }
        Read read = read(text("ply\nformat ascii 1.0\nelement vertex " + points.size()
                + "\nproperty float x\nproperty float y\nproperty float z\nproperty uchar gray\nelement face 1\nproperty list uchar int vertex_indices\nend_header\n"
                + String.join("\n", points) + "\n3 0 1 2\n"));
        assertThat(read.profiles()).hasSize(200 - 31);
        assertThat(read.profiles()).allMatch(p -> p.points() == 60);
        assertThat(read.profiles().get(10).s()).isCloseTo(4, within(0.03));
    }

    @Test
    void whatIsWrongInAPlyIsNamed() {
        String head =
                "ply\nformat ascii 1.0\nelement vertex 2\nproperty float x\nproperty float y\nproperty float z\nend_header\n";
        assertThatThrownBy(() -> read(text(head + "0 1 2\n"))).hasMessageContaining("vertex 1");
        assertThatThrownBy(() -> read(text(head + "0 1 2\n0 deep 2\n"))).hasMessageContaining("line 9");
        assertThatThrownBy(() -> read(text(head.replace("float z", "float h") + "0 1 2\n0 1 2\n")))
                .hasMessageContaining("property z is required");
        assertThatThrownBy(() -> read(text(head.replace("ascii", "gzip")))).hasMessageContaining("line 2");
        assertThatThrownBy(() -> read(text(head.replace("vertex 2", "vertex 60000000"))))
                .hasMessageContaining("at most 50000000");
        assertThatThrownBy(() -> read(text("ply\nformat ascii 1.0\ncomment units: yd\nelement vertex 1\nend_header\n")))
                .hasMessageContaining("units");
    }

    private Path changed(String entry, byte[] content) throws IOException {
        Path from = written(Carrier.X3P, grid());
        Path to = folder.resolve("changed.x3p");
        try (ZipInputStream in = new ZipInputStream(Files.newInputStream(from));
                ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(to))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                byte[] all = in.readAllBytes();
                out.putNextEntry(new ZipEntry(e.getName()));
                out.write(e.getName().equals(entry) ? content : all);
            }
        }
        return to;
    }

    @Test
    void aDamagedX3pIsRefusedByItsSums() throws IOException {
        byte[] other = new byte[300 * 40 * 8];
        assertThatThrownBy(() -> read(changed("bindata/data.bin", other))).hasMessageContaining("bindata/data.bin");
        assertThatThrownBy(() -> read(changed("bindata/data.bin", new byte[8]))).hasMessageContaining("are required");
        ByteArrayOutputStream xml = new ByteArrayOutputStream();
        xml.write("<a/>".getBytes(StandardCharsets.US_ASCII));
        assertThatThrownBy(() -> read(changed("main.xml", xml.toByteArray())))
                .hasMessageContaining("main.xml")
                .hasMessageContaining("damaged");
    }
}
