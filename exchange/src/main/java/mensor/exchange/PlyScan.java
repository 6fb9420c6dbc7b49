package mensor.exchange;

import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.function.Function;
import mensor.exchange.ScanFile.Head;
import mensor.scan.Profile;

/**
 * A scan as a PLY file: the vertices' x, y and z as s, y and z; keys in its comments. Points whose x lie within half the spacing of the profiles are
 * one profile. The spacing is found from the first points.
 */
final class PlyScan implements ScanFile.Carrier {
    private static final int SAMPLED = 200_000;
    private static final int LEAST_POINTS = 10;
    private static final double CLEARLY = 3;

    private final Path file;

    PlyScan(Path file) {
        this.file = file;
    }

    private record Property(String name, String type, String countType) {
        boolean isList() {
            return countType != null;
        }
    }

    private record Element(String name, long count, List<Property> properties) {}

    private record Header(String format, Map<String, String> keys, List<Element> elements) {
        Element vertex() {
            return elements.stream()
                    .filter(e -> e.name().equals("vertex"))
                    .findFirst()
                    .orElseThrow(() -> new UnreadableInput("vertex", "this PLY file has no vertices"));
        }
    }

    /** Takes a point in mm; answers whether it wants more. */
    private interface Points {
        boolean take(double s, double y, double z);
    }

    @Override
    public void read(Function<Head, Consumer<Profile>> begin, DoubleConsumer progress) throws IOException {
        double within = spacing() / 2;
        Consumer<Profile>[] each = only();
        ProfilePoints points = new ProfilePoints();
        TreeSet<Double> done = new TreeSet<>();
        double[] first = {Double.NaN};
        walk(progress, head -> each[0] = begin.apply(head), (s, y, z) -> {
            if (!(Math.abs(s - first[0]) <= within)) {
                finish(points, each[0], done);
                first[0] = s;
                Double before = done.floor(s);
                Double after = done.ceiling(s);
                if (before != null && s - before <= within || after != null && after - s <= within) {
                    throw new ScanFile.Scattered();
                }
            }
            points.add(s, y, z);
            return true;
        });
        finish(points, each[0], done);
    }

    private static void finish(ProfilePoints points, Consumer<Profile> each, TreeSet<Double> done) {
        if (!points.isEmpty()) {
            double s = points.meanS();
            done.add(s);
            each.accept(points.profile(s));
            points.clear();
        }
    }

    @Override
    public void gather(Function<Head, Consumer<Profile>> begin, DoubleConsumer progress) throws IOException {
        Consumer<Profile>[] each = only();
        List<double[]> all = new ArrayList<>();
        walk(progress, head -> each[0] = begin.apply(head), (s, y, z) -> {
            if (all.size() >= ScanFile.MOST_SCATTERED) {
                throw new UnreadableInput(
                        "vertex " + all.size(),
                        "the points of a profile do not stand together: such a scan has at most "
                                + ScanFile.MOST_SCATTERED + " points");
            }
            all.add(new double[] {s, y, z});
            return true;
        });
        all.sort((a, b) -> Double.compare(a[0], b[0]));
        double within = spacing(all.stream().mapToDouble(p -> p[0]).toArray(), all.size()) / 2;
        ProfilePoints points = new ProfilePoints();
        double last = Double.NaN;
        for (double[] p : all) {
            if (!(p[0] - last <= within) && !points.isEmpty()) {
                each[0].accept(points.profile(points.meanS()));
                points.clear();
            }
            last = p[0];
            points.add(p[0], p[1], p[2]);
        }
        each[0].accept(points.profile(points.meanS()));
    }

    @SuppressWarnings("unchecked")
    private static Consumer<Profile>[] only() {
        return new Consumer[1];
    }

    private double spacing() throws IOException {
        double[] s = new double[SAMPLED];
        int[] n = {0};
        walk(part -> {}, head -> {}, (x, y, z) -> {
            s[n[0]++] = x;
            return n[0] < SAMPLED;
        });
        Arrays.sort(s, 0, n[0]);
        return spacing(s, n[0]);
    }

    /**
     * The spacing of the profiles: the middle of the steps between places that part profiles. Within a profile the places are the same, or jitter by
     * steps that are several times shorter; a profile has at least ten points.
     */
    private static double spacing(double[] sorted, int n) {
        double[] steps = new double[Math.max(0, n - 1)];
        int m = 0;
        for (int i = 1; i < n; i++) {
            double step = sorted[i] - sorted[i - 1];
            if (step > 1e-9) {
                steps[m++] = step;
            }
        }
        if (m == 0) {
            return 0;
        }
        Arrays.sort(steps, 0, m);
        int parting = 0;
        if ((m + 1) * LEAST_POINTS > n) {
            parting = Math.max(0, m - n / LEAST_POINTS);
            while (parting < m && !(parting > 0 && steps[parting] > CLEARLY * steps[parting - 1])) {
                parting++;
            }
            parting = parting == m ? Math.max(0, m - n / Profile.LEAST) : parting;
        }
        return steps[Math.min(m - 1, parting + (m - parting) / 2)];
    }

    private void walk(DoubleConsumer progress, Consumer<Head> begin, Points points) throws IOException {
        try (InputStream in = ScanFile.watched(file, progress)) {
            ScanLines lines = new ScanLines(in);
            Header header = header(lines);
            double toMm = ScanFile.toMm(header.keys());
            Element vertex = header.vertex();
            if (vertex.count() > ScanFile.MOST_POINTS) {
                throw new UnreadableInput("vertex", "a scan has at most " + ScanFile.MOST_POINTS + " points");
            }
            if (vertex.count() == 0) {
                throw new UnreadableInput("", "there is no point in this scan");
            }
            int[] at = {place(vertex, "x"), place(vertex, "y"), place(vertex, "z")};
            begin.accept(Head.of(header.keys()));
            if (header.format().equals("ascii")) {
                ascii(lines, header, at, toMm, points);
            } else {
                binary(
                        new Binary(lines.rest(), header.format().equals("binary_little_endian")),
                        header,
                        at,
                        toMm,
                        points);
            }
        }
    }

    private static int place(Element vertex, String name) {
        for (int i = 0; i < vertex.properties().size(); i++) {
            Property p = vertex.properties().get(i);
            if (p.name().equals(name) && !p.isList()) {
                return i;
            }
        }
        throw new UnreadableInput("vertex", "the property " + name + " is required");
    }

    private static void ascii(ScanLines lines, Header header, int[] at, double toMm, Points points) throws IOException {
        for (Element e : header.elements()) {
            boolean vertices = e.name().equals("vertex");
            boolean lists = e.properties().stream().anyMatch(Property::isList);
            if (vertices && lists) {
                throw new UnreadableInput("vertex", "lists in a vertex are not read");
            }
            double[] row = new double[e.properties().size()];
            for (long i = 0; i < e.count(); i++) {
                do {
                    if (!lines.next()) {
                        throw new UnreadableInput(e.name() + " " + i, "the file ends here; " + e.count() + " are said");
                    }
                } while (lines.isBlank());
                if (vertices) {
                    lines.spaced(row);
                    if (!taken(row, at, toMm, points, i)) {
                        return;
                    }
                }
            }
            if (vertices) {
                return;
            }
        }
    }

    private static void binary(Binary in, Header header, int[] at, double toMm, Points points) throws IOException {
        for (Element e : header.elements()) {
            boolean vertices = e.name().equals("vertex");
            double[] row = new double[e.properties().size()];
            long i = 0;
            try {
                for (; i < e.count(); i++) {
                    for (int k = 0; k < row.length; k++) {
                        Property p = e.properties().get(k);
                        if (p.isList()) {
                            long n = (long) in.number(p.countType());
                            for (long j = 0; j < n; j++) {
                                in.number(p.type());
                            }
                        } else {
                            row[k] = in.number(p.type());
                        }
                    }
                    if (vertices && !taken(row, at, toMm, points, i)) {
                        return;
                    }
                }
            } catch (EOFException x) {
                throw new UnreadableInput(e.name() + " " + i, "the file ends here; " + e.count() + " are said");
            }
            if (vertices) {
                return;
            }
        }
    }

    private static boolean taken(double[] row, int[] at, double toMm, Points points, long i) {
        double s = row[at[0]];
        if (!Double.isFinite(s)) {
            throw new UnreadableInput("vertex " + i, "x is required");
        }
        double z = row[at[2]];
        return points.take(s * toMm, row[at[1]] * toMm, Double.isFinite(z) ? z * toMm : Double.NaN);
    }

    private static Header header(ScanLines lines) throws IOException {
        if (!lines.next() || !lines.text().strip().equals("ply")) {
            throw lines.wrong("\"ply\" is required as the first line");
        }
        String format = null;
        Map<String, String> keys = new LinkedHashMap<>();
        List<Element> elements = new ArrayList<>();
        while (lines.next()) {
            String line = lines.text().strip();
            String[] w = line.split("\\s+");
            switch (w[0]) {
                case "format" -> format = format(lines, w);
                case "comment", "obj_info" -> {
                    String said = line.substring(w[0].length()).strip();
                    int colon = said.indexOf(':');
                    if (colon > 0) {
                        keys.put(
                                said.substring(0, colon).strip(),
                                said.substring(colon + 1).strip());
                    }
                }
                case "element" -> elements.add(element(lines, w));
                case "property" -> {
                    if (elements.isEmpty()) {
                        throw lines.wrong("a property stands before any element");
                    }
                    elements.get(elements.size() - 1).properties().add(property(lines, w));
                }
                case "end_header" -> {
                    if (format == null) {
                        throw lines.wrong("the format is required in the header");
                    }
                    return new Header(format, keys, elements);
                }
                case "" -> {
                    // an empty line says nothing
                }
                default -> throw lines.wrong("is no line of a PLY header: \"" + ScanLines.shown(line) + "\"");
            }
        }
        throw lines.wrong("the header does not end");
    }

    private static String format(ScanLines lines, String[] w) {
        if (w.length < 2
                || !List.of("ascii", "binary_little_endian", "binary_big_endian")
                        .contains(w[1])) {
            throw lines.wrong("ascii, binary_little_endian or binary_big_endian is required");
        }
        return w[1];
    }

    private static Element element(ScanLines lines, String[] w) {
        try {
            long count = Long.parseLong(w[2]);
            if (count >= 0) {
                return new Element(w[1], count, new ArrayList<>());
            }
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
            // said below
        }
        throw lines.wrong("\"element name count\" is required");
    }

    private static Property property(ScanLines lines, String[] w) {
        boolean list = w.length == 5 && w[1].equals("list");
        if (!list && w.length != 3 || !Binary.knows(list ? w[3] : w[1]) || list && !Binary.knows(w[2])) {
            throw lines.wrong("\"property type name\" is required");
        }
        return list ? new Property(w[4], w[3], w[2]) : new Property(w[2], w[1], null);
    }

    /** Numbers of the types that PLY has. */
    private static final class Binary {
        private final DataInputStream in;
        private final boolean little;

        Binary(InputStream in, boolean little) {
            this.in = new DataInputStream(in);
            this.little = little;
        }

        static boolean knows(String type) {
            return List.of(
                            "char", "int8", "uchar", "uint8", "short", "int16", "ushort", "uint16", "int", "int32",
                            "uint", "uint32", "float", "float32", "double", "float64")
                    .contains(type);
        }

        double number(String type) throws IOException {
            return switch (type) {
                case "char", "int8" -> in.readByte();
                case "uchar", "uint8" -> in.readUnsignedByte();
                case "short", "int16" -> (short) word();
                case "ushort", "uint16" -> word() & 0xffff;
                case "int", "int32" -> whole();
                case "uint", "uint32" -> whole() & 0xffffffffL;
                case "float", "float32" -> Float.intBitsToFloat(whole());
                default -> Double.longBitsToDouble(twice());
            };
        }

        private int word() throws IOException {
            int v = in.readUnsignedShort();
            return little ? Short.reverseBytes((short) v) : v;
        }

        private int whole() throws IOException {
            int v = in.readInt();
            return little ? Integer.reverseBytes(v) : v;
        }

        private long twice() throws IOException {
            long v = in.readLong();
            return little ? Long.reverseBytes(v) : v;
        }
    }
}
