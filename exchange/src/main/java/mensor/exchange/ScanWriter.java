package mensor.exchange;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import mensor.scan.Profile;

/** Writes profiles in each of the carriers that {@link ScanFile} reads: what the simulated scanner stores. Lengths in mm. */
public final class ScanWriter {
    private static final double METERS = 0.001;

    /** A carrier by its usual ending. */
    public enum Carrier {
        CSV,
        PLY_ASCII,
        PLY_LITTLE,
        PLY_BIG,
        X3P
    }

    private final List<Profile> profiles;
    private final String device;
    private final double u;

    /** @param u the device's standard uncertainty of one height */
    public ScanWriter(List<Profile> profiles, String device, double u) {
        this.profiles = List.copyOf(profiles);
        this.device = device;
        this.u = u;
    }

    public void write(Carrier carrier, OutputStream out) throws IOException {
        switch (carrier) {
            case CSV -> csv(out);
            case PLY_ASCII -> ply(out, null);
            case PLY_LITTLE -> ply(out, ByteOrder.LITTLE_ENDIAN);
            case PLY_BIG -> ply(out, ByteOrder.BIG_ENDIAN);
            case X3P -> x3p(out);
        }
    }

    private void csv(OutputStream to) {
        PrintStream out = new PrintStream(new BufferedOutputStream(to), false, StandardCharsets.UTF_8);
        out.print("# " + ScanFile.FORMAT + "\n# units: mm\n# device: " + device + "\n# u: " + u + "\ns,y,z\n");
        for (Profile p : profiles) {
            for (int i = 0; i < p.points(); i++) {
                out.print(point(p, i, ","));
            }
        }
        out.flush();
    }

    private static String point(Profile p, int i, String between) {
        return String.format(Locale.ROOT, "%.4f%s%.4f%s%.4f%n", p.s(), between, p.y()[i], between, p.z()[i]);
    }

    /** @param order of the bytes; null as text */
    private void ply(OutputStream to, ByteOrder order) throws IOException {
        String format = order == null
                ? "ascii"
                : order == ByteOrder.LITTLE_ENDIAN ? "binary_little_endian" : "binary_big_endian";
        long points = profiles.stream().mapToLong(Profile::points).sum();
        BufferedOutputStream out = new BufferedOutputStream(to);
        out.write(("ply\nformat " + format + " 1.0\ncomment units: mm\ncomment device: " + device + "\ncomment u: " + u
                        + "\nelement vertex " + points
                        + "\nproperty float x\nproperty float y\nproperty float z\nend_header\n")
                .getBytes(StandardCharsets.US_ASCII));
        for (Profile p : profiles) {
            for (int i = 0; i < p.points(); i++) {
                out.write(
                        order == null
                                ? point(p, i, " ").getBytes(StandardCharsets.US_ASCII)
                                : ByteBuffer.allocate(12)
                                        .order(order)
                                        .putFloat((float) p.s())
                                        .putFloat((float) p.y()[i])
                                        .putFloat((float) p.z()[i])
                                        .array());
            }
        }
        out.flush();
    }

    /** The profiles lie as far apart as the first two, the points across as those of the first profile; what lies between is interpolated. */
    private void x3p(OutputStream to) throws IOException {
        double stepX =
                profiles.size() < 2 ? 1 : profiles.get(1).s() - profiles.get(0).s();
        double from = Double.MAX_VALUE;
        double until = -Double.MAX_VALUE;
        double stepY = Double.MAX_VALUE;
        for (Profile p : profiles) {
            if (p.points() > 1) {
                from = Math.min(from, p.y()[0]);
                until = Math.max(until, p.y()[p.points() - 1]);
                stepY = Math.min(stepY, (p.y()[p.points() - 1] - p.y()[0]) / (p.points() - 1));
            }
        }
        int sizeY = (int) Math.floor((until - from) / stepY + 1e-6) + 1;
        ByteBuffer heights = ByteBuffer.allocate(Math.multiplyExact(profiles.size() * 8, sizeY))
                .order(ByteOrder.LITTLE_ENDIAN);
        for (int j = 0; j < sizeY; j++) {
            for (Profile p : profiles) {
                heights.putDouble(height(p, from + j * stepY, stepY) * METERS);
            }
        }
        String xml = """
                <?xml version="1.0" encoding="UTF-8"?>
                <p:ISO5436_2 xmlns:p="http://www.opengps.eu/2008/ISO5436_2"><Record1><Revision>ISO5436 - 2000</Revision><FeatureType>SUR</FeatureType><Axes>\
                <CX><AxisType>I</AxisType><DataType>D</DataType><Increment>%s</Increment><Offset>%s</Offset></CX>\
                <CY><AxisType>I</AxisType><DataType>D</DataType><Increment>%s</Increment><Offset>%s</Offset></CY>\
                <CZ><AxisType>A</AxisType><DataType>D</DataType><Increment>1</Increment><Offset>0</Offset></CZ></Axes></Record1>\
                <Record2><Instrument><Manufacturer>%s</Manufacturer></Instrument><Comment>u: %s</Comment></Record2>\
                <Record3><MatrixDimension><SizeX>%d</SizeX><SizeY>%d</SizeY><SizeZ>1</SizeZ></MatrixDimension><DataLink><PointDataLink>bindata/data.bin</PointDataLink>\
                <MD5ChecksumPointData>%s</MD5ChecksumPointData></DataLink></Record3><Record4><ChecksumFile>md5checksum.hex</ChecksumFile></Record4></p:ISO5436_2>
                """.formatted(
                        stepX * METERS,
                        profiles.get(0).s() * METERS,
                        stepY * METERS,
                        from * METERS,
                        device,
                        u,
                        profiles.size(),
                        sizeY,
                        md5(heights.array()));
        byte[] main = xml.getBytes(StandardCharsets.UTF_8);
        try (ZipOutputStream zip = new ZipOutputStream(to)) {
            put(zip, "main.xml", main);
            put(zip, "bindata/data.bin", heights.array());
            put(zip, "md5checksum.hex", (md5(main) + " *main.xml\n").getBytes(StandardCharsets.US_ASCII));
        }
    }

    private static double height(Profile p, double y, double step) {
        int at = java.util.Arrays.binarySearch(p.y(), y);
        if (at >= 0) {
            return p.z()[at];
        }
        int after = -at - 1;
        if (after == 0 || after == p.points() || p.y()[after] - p.y()[after - 1] > 2.5 * step) {
            return Double.NaN;
        }
        double part = (y - p.y()[after - 1]) / (p.y()[after] - p.y()[after - 1]);
        return p.z()[after - 1] + part * (p.z()[after] - p.z()[after - 1]);
    }

    private static void put(ZipOutputStream zip, String name, byte[] content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(content);
        zip.closeEntry();
    }

    private static String md5(byte[] content) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("MD5").digest(content));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
