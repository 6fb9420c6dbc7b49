package mensor.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.function.Function;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import mensor.exchange.ScanFile.Head;
import mensor.scan.Profile;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.SAXException;

/**
 * A scan as an X3P file (ISO 25178-72): a height map in meters, X along the weld and the fastest to run, Y across. The sums in the file are
 * verified. Since a profile is a column, the map is unpacked to a file beside and read by blocks of columns.
 */
final class X3pScan implements ScanFile.Carrier {
    private static final double MM_OF_A_METER = 1000;
    private static final int LONGEST_XML = 16 << 20;
    private static final int AT_ONCE = 256;

    private final Path file;

    X3pScan(Path file) {
        this.file = file;
    }

    /** An axis: a place is the number times the step, and the offset. */
    private record Axis(String data, double step, double offset) {}

    /** The type of a height and how many bytes it takes. */
    private enum Height {
        SHORT("I", 2),
        LONG("L", 4),
        FLOAT("F", 4),
        DOUBLE("D", 8);

        private final String id;
        private final int bytes;

        Height(String id, int bytes) {
            this.id = id;
            this.bytes = bytes;
        }

        double read(ByteBuffer row, int at) {
            return switch (this) {
                case SHORT -> row.getShort(at);
                case LONG -> row.getInt(at);
                case FLOAT -> row.getFloat(at);
                case DOUBLE -> row.getDouble(at);
            };
        }

        boolean isWhole() {
            return this == SHORT || this == LONG;
        }

        static Height of(String id) {
            for (Height h : values()) {
                if (h.id.equals(id)) {
                    return h;
                }
            }
            throw new UnreadableInput("main.xml CZ", "the data type I, L, F or D is required, got \"" + id + "\"");
        }
    }

    @Override
    public void gather(Function<Head, Consumer<Profile>> begin, DoubleConsumer progress) throws IOException {
        read(begin, progress); // a column is a profile: nothing is scattered
    }

    @Override
    public void read(Function<Head, Consumer<Profile>> begin, DoubleConsumer progress) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            byte[] xml = entry(zip, "main.xml");
            checkSum(zip, xml);
            Document main = parsed(xml);
            Axis x = axis(main, "CX");
            Axis y = axis(main, "CY");
            Axis z = axis(main, "CZ");
            Height type = Height.of(z.data());
            int sizeX = size(main, "SizeX");
            int sizeY = size(main, "SizeY");
            if ((long) sizeX * sizeY > ScanFile.MOST_POINTS) {
                throw new UnreadableInput(
                        "main.xml MatrixDimension", "a scan has at most " + ScanFile.MOST_POINTS + " points");
            }
            Head head = Head.of(keys(main));
            Consumer<Profile> each = begin.apply(head);
            long bytes = (long) sizeX * sizeY * type.bytes;
            byte[] valid = valid(zip, main, (long) sizeX * sizeY);
            Path heights = Files.createTempFile("mensor-heights-", ".bin");
            try {
                unpack(zip, main, bytes, heights);
                columns(heights, type, x, y, z, sizeX, sizeY, valid, each, progress);
            } finally {
                Files.deleteIfExists(heights);
            }
        } catch (ZipException e) {
            throw new UnreadableInput("", "is no X3P file: " + e.getMessage());
        }
    }

    private static void columns(
            Path heights,
            Height type,
            Axis x,
            Axis y,
            Axis z,
            int sizeX,
            int sizeY,
            byte[] valid,
            Consumer<Profile> each,
            DoubleConsumer progress)
            throws IOException {
        double scale = type.isWhole() ? z.step() : 1;
        try (FileChannel in = FileChannel.open(heights, StandardOpenOption.READ)) {
            ByteBuffer part = ByteBuffer.allocate(AT_ONCE * type.bytes).order(ByteOrder.LITTLE_ENDIAN);
            for (int from = 0; from < sizeX; from += AT_ONCE) {
                int n = Math.min(AT_ONCE, sizeX - from);
                double[][] column = new double[n][sizeY];
                for (int j = 0; j < sizeY; j++) {
                    part.clear().limit(n * type.bytes);
                    long at = ((long) j * sizeX + from) * type.bytes;
                    while (part.hasRemaining()) {
                        if (in.read(part, at + part.position()) < 0) {
                            throw new UnreadableInput("data", "the heights end too early");
                        }
                    }
                    for (int i = 0; i < n; i++) {
                        column[i][j] = isValid(valid, (long) j * sizeX + from + i)
                                ? (type.read(part, i * type.bytes) * scale + z.offset()) * MM_OF_A_METER
                                : Double.NaN;
                    }
                }
                double[] across = new double[sizeY];
                for (int j = 0; j < sizeY; j++) {
                    across[j] = (j * y.step() + y.offset()) * MM_OF_A_METER;
                }
                for (int i = 0; i < n; i++) {
                    each.accept(Profile.of(((from + i) * x.step() + x.offset()) * MM_OF_A_METER, across, column[i]));
                }
                progress.accept((double) (from + n) / sizeX);
            }
        }
    }

    private static boolean isValid(byte[] valid, long i) {
        return valid == null || (valid[(int) (i >> 3)] >> (i & 7) & 1) == 1;
    }

    private static byte[] valid(ZipFile zip, Document main, long points) throws IOException {
        String link = text(main, "ValidPointsLink");
        if (link.isEmpty()) {
            return null;
        }
        byte[] bits = bytes(zip, link, (points + 7) / 8 + 8);
        if (bits.length < (points + 7) / 8) {
            throw new UnreadableInput(link, "says of fewer points than there are");
        }
        same(text(main, "MD5ChecksumValidPoints"), md5().digest(bits), link);
        return bits;
    }

    private static void unpack(ZipFile zip, Document main, long bytes, Path heights) throws IOException {
        String link = text(main, "PointDataLink");
        if (link.isEmpty()) {
            throw new UnreadableInput(
                    "main.xml DataLink", "heights in the XML itself are not read: PointDataLink is required");
        }
        ZipEntry e = zip.getEntry(link);
        if (e == null) {
            throw new UnreadableInput(link, "is not in the file");
        }
        MessageDigest sum = md5();
        long written = 0;
        try (InputStream in = zip.getInputStream(e);
                OutputStream out = new DigestOutputStream(Files.newOutputStream(heights), sum)) {
            byte[] buffer = new byte[1 << 16];
            for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
                written += n;
                if (written > bytes) {
                    break;
                }
                out.write(buffer, 0, n);
            }
        }
        if (written != bytes) {
            throw new UnreadableInput(link, bytes + " bytes of heights are required by the sizes in main.xml");
        }
        same(text(main, "MD5ChecksumPointData"), sum.digest(), link);
    }

    /** The sum of main.xml, as the file beside it says. */
    private static void checkSum(ZipFile zip, byte[] xml) throws IOException {
        String link = text(parsed(xml), "ChecksumFile");
        String said = new String(entry(zip, link.isEmpty() ? "md5checksum.hex" : link), StandardCharsets.US_ASCII);
        same(said.strip().split("\\s+")[0], md5().digest(xml), "main.xml");
    }

    private static void same(String said, byte[] found, String what) {
        if (!said.isBlank()
                && !said.strip().toLowerCase(Locale.ROOT).equals(HexFormat.of().formatHex(found))) {
            throw new UnreadableInput(what, "does not have the sum that the file says: it was damaged or changed");
        }
    }

    private static MessageDigest md5() {
        try {
            return MessageDigest.getInstance(
                    "MD5"); // what the format asks for; a check against damage, not against forgery
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static byte[] entry(ZipFile zip, String name) throws IOException {
        return bytes(zip, name, LONGEST_XML);
    }

    private static byte[] bytes(ZipFile zip, String name, long most) throws IOException {
        ZipEntry e = zip.getEntry(name);
        if (e == null) {
            throw new UnreadableInput(name, "is not in the file");
        }
        try (InputStream in = zip.getInputStream(e)) {
            byte[] all = in.readNBytes((int) Math.min(Integer.MAX_VALUE - 8, most + 1));
            if (all.length > most) {
                throw new UnreadableInput(name, "is longer than it can be");
            }
            return all;
        }
    }

    private static Document parsed(byte[] xml) {
        try {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            var builder = factory.newDocumentBuilder();
            builder.setErrorHandler(null);
            return builder.parse(new java.io.ByteArrayInputStream(xml));
        } catch (ParserConfigurationException | IOException e) {
            throw new IllegalStateException(e);
        } catch (SAXException e) {
            throw new UnreadableInput("main.xml", "is no XML: " + e.getMessage());
        }
    }

    private static Element element(Element within, String name) {
        NodeList all = within.getElementsByTagName("*");
        for (int i = 0; i < all.getLength(); i++) {
            String tag = all.item(i).getNodeName();
            if (tag.substring(tag.indexOf(':') + 1).equals(name)) {
                return (Element) all.item(i);
            }
        }
        return null;
    }

    private static String text(Document main, String name) {
        Element e = element(main.getDocumentElement(), name);
        return e == null ? "" : e.getTextContent().strip();
    }

    private static Axis axis(Document main, String name) {
        Element e = element(main.getDocumentElement(), name);
        if (e == null) {
            throw new UnreadableInput("main.xml", "the axis " + name + " is required");
        }
        String data = inside(e, "DataType");
        boolean along = !name.equals("CZ");
        double step = number(name + " Increment", inside(e, "Increment"), along ? Double.NaN : 1);
        if (along && !(step > 0)) {
            throw new UnreadableInput("main.xml " + name, "an increment over zero is required");
        }
        return new Axis(data, step, number(name + " Offset", inside(e, "Offset"), 0));
    }

    private static String inside(Element e, String name) {
        Element found = element(e, name);
        return found == null ? "" : found.getTextContent().strip();
    }

    private static double number(String what, String text, double absent) {
        if (text.isEmpty()) {
            return absent;
        }
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            throw new UnreadableInput("main.xml " + what, "a number is required, got \"" + text + "\"");
        }
    }

    private static int size(Document main, String name) {
        double n = number(name, text(main, name), Double.NaN);
        if (!(n >= 1 && n <= ScanFile.MOST_POINTS && n == Math.rint(n))) {
            throw new UnreadableInput("main.xml " + name, "a whole number over zero is required");
        }
        return (int) n;
    }

    /** The instrument as the device; more keys stand in the comment as {@code key: value}, one a line. */
    private static Map<String, String> keys(Document main) {
        Map<String, String> keys = new LinkedHashMap<>();
        String device = (text(main, "Manufacturer") + " " + text(main, "Model")).strip();
        if (!device.isEmpty()) {
            keys.put("device", device);
        }
        if (!text(main, "Serial").isEmpty()) {
            keys.put("serial", text(main, "Serial"));
        }
        for (String line : text(main, "Comment").split("\\R")) {
            int colon = line.indexOf(':');
            if (colon > 0) {
                keys.put(
                        line.substring(0, colon).strip(),
                        line.substring(colon + 1).strip());
            }
        }
        if (!keys.getOrDefault("units", "mm").equals("mm")) {
            keys.put("units", "mm"); // the map itself is in meters, whatever a comment says
        }
        return keys;
    }
}
