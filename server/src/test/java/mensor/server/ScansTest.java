package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.exchange.ChainFile;
import mensor.exchange.ScanWriter;
import mensor.scan.Profile;
import mensor.scan.SimulatedWeld;
import mensor.scan.SimulatedWeld.Flaw;
import mensor.scan.SimulatedWeld.FlawKind;
import mensor.server.scan.ScanSweep;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A scan of made-up welds of known truth at the bench: kept, measured in the background, taken over, signed, compared. */
@ExtendWith(RunningMensor.class)
class ScansTest {
    private static final double LENGTH = 24 * 25.4;

    private final TestBrowser ines = RunningMensor.as("ines");

    private static byte[] scan(ScanWriter.Carrier carrier, long again, Flaw... flaws) {
        return scan(2, carrier, again, flaws);
    }

    private static byte[] scan(double spacing, ScanWriter.Carrier carrier, long again, Flaw... flaws) {
        SimulatedWeld w = new SimulatedWeld(true, LENGTH, spacing, 8.6, 8.6, 0, 0.4, 0, 0, 0.02, 8, List.of(flaws), 11);
        List<Profile> profiles = new ArrayList<>();
        for (int i = 0; i < w.profiles(); i++) {
            profiles.add(w.profile(i, again));
        }
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            new ScanWriter(profiles, "line scanner", 0.005).write(carrier, out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    private static final Flaw UNDERCUT = new Flaw(FlawKind.UNDERCUT_B, 300, 380, 1.2);

    private String inspection() {
        return ines.inspection("SC-" + UUID.randomUUID().toString().substring(0, 8));
    }

    private String sent(String inspection, byte[] file, String name) throws InterruptedException {
        String path = inspection + "/scans/" + UUID.randomUUID();
        ines.putBytes(path + "?name=" + name, file).expect(200);
        return path;
    }

    private JsonNode measured(String inspection, String path) throws InterruptedException {
        for (int i = 0; i < 300; i++) {
            for (JsonNode s : ines.get(inspection + "/scans").expect(200).json()) {
                if (path.endsWith(s.get("id").asString())
                        && List.of("measured", "failed").contains(s.get("state").asString())) {
                    return s;
                }
            }
            Thread.sleep(100);
        }
        throw new AssertionError(
                "not measured: " + ines.get(inspection + "/scans").text());
    }

    private static String ids(JsonNode scan) {
        List<String> ids = new ArrayList<>();
        scan.get("proposals").forEach(p -> ids.add("'" + p.get("id").asString() + "'"));
        return "{'proposals':[" + String.join(",", ids) + "]}";
    }

    @Test
    void anUndercutThatTheScannerSawIsTakenOverJudgedAndSigned() throws Exception {
        String inspection = inspection();
        byte[] file = scan(ScanWriter.Carrier.CSV, 0, UNDERCUT);
        String path = sent(inspection, file, "first.csv");
        JsonNode scan = measured(inspection, path);
        assertThat(scan.get("state").asString()).isEqualTo("measured");
        assertThat(scan.get("sha256").asString())
                .isEqualTo(HexFormat.of()
                        .formatHex(MessageDigest.getInstance("SHA-256").digest(file)));
        assertThat(scan.get("holes")).isEmpty();
        assertThat(scan.get("proposals").toString())
                .contains("flange toe 11.8–15")
                .contains("leg web");
        assertThat(ines.bytes(path + "/file")).isEqualTo(file);

        ines.add(inspection, "READING", "'at':'6','legA':'5/16','legB':'11/32','division':'1/64'")
                .expect(200);
        JsonNode byHand = measured(inspection, path).get("byHand");
        assertThat(byHand).as("both legs").hasSize(2);
        assertThat(byHand.toString()).contains("leg web at 6.0: by hand 0.313, scanned 0.33");
        assertThat(byHand.get(0).get("beyond").asBoolean())
                .as("5/16 is .66 mm under what was made")
                .isTrue();
        assertThat(byHand.get(1).get("beyond").asBoolean()).isFalse();

        JsonNode bench = ines.post(path + "/take", ids(scan)).expect(200).json();
        JsonNode undercut = finding(bench, "undercut");
        assertThat(undercut.get("verdict").asString()).isEqualTo("reject");
        assertThat(finding(bench, "size").get("verdict").asString()).isEqualTo("accept");
        assertThat(bench.get("entries").get(1).get("content").get("gauge").asString())
                .isEqualTo("line scanner");
        assertThat(measured(inspection, path).get("proposals").findValues("taken"))
                .allMatch(JsonNode::asBoolean);

        ines.put(inspection + "/conditions", TestBrowser.READY).expect(200);
        for (String c : TestBrowser.CLEARABLE) {
            if (!c.equals("undercut")) {
                ines.add(inspection, "CLEAR", "'criterion':'" + c + "'").expect(200);
            }
        }
        JsonNode signed = ines.sign(inspection, "reject").expect(200).json();
        assertThat(signed.toString()).contains("SIGNED");
        assertThat(ines.get(inspection + "/record").expect(200).text())
                .contains("first.csv sha256 " + scan.get("sha256").asString())
                .contains("measured by Mensor");
        alteredBesideMensor(inspection, path);
        String weld = "/api/joints/" + ines.jointOf(inspection) + "/report";
        String paper;
        try (PDDocument pdf = Loader.loadPDF(ines.bytes(weld))) {
            paper = new PDFTextStripper().getText(pdf).replaceAll("[\\s\u00a0]+", " ");
        }
        assertThat(paper)
                .contains("Scan first.csv")
                .contains("leg web at least 0.3")
                .containsPattern("undercut flange toe at most 0\\.0\\d\\d in, at 1[1-5]\\.\\d")
                .contains(scan.get("sha256").asString());
        assertThat(ines.get(weld + "?as=json").expect(200).text())
                .contains(scan.get("sha256").asString());
        Path folder = Path.of(RunningMensor.bean(Environment.class).getRequiredProperty("mensor.scans"));
        UUID drawn = UUID.fromString(path.substring(path.lastIndexOf('/') + 1));
        Files.delete(folder.resolve(drawn + ".profiles"));
        ines.get(path + "/section?at=340").expect(409);
        JsonNode again = ines.get(path + "/again").expect(200).json();
        ines.get(path + "/section?at=340").expect(200);
        assertThat(again.get("same").asBoolean()).as(again.toString()).isTrue();
        assertThat(ines.putBytes(inspection + "/scans/" + UUID.randomUUID() + "?name=late.csv", file)
                        .status())
                .as("what is signed takes no scan")
                .isEqualTo(409);
    }

    private static JsonNode finding(JsonNode bench, String criterion) {
        for (JsonNode f : bench.get("evaluation").get("findings")) {
            if (f.get("id").asString().equals(criterion)) {
                return f;
            }
        }
        throw new AssertionError(criterion);
    }

    @Test
    void linesSectionAndSurfaceAreWhatWasScanned() throws Exception {
        String inspection = inspection();
        String path = sent(
                inspection,
                scan(ScanWriter.Carrier.PLY_LITTLE, 0, UNDERCUT, new Flaw(FlawKind.HOLE, 500, 540, 1)),
                "holed.ply");
        JsonNode scan = measured(inspection, path);
        assertThat(scan.get("holes").get(0).asString()).startsWith("19 5/8–");
        assertThat(scan.get("proposals").toString())
                .as("a hole is not none seen")
                .doesNotContain("CLEAR");
        JsonNode lines = ines.get(path + "/lines").expect(200).json();
        assertThat(lines.get("holes").get(0).get("from").asDouble()).isCloseTo(500, within(2.5));
        JsonNode undercut = lines.get("lines").get(5);
        assertThat(undercut.get("title").asString()).isEqualTo("undercut flange toe");
        assertThat(undercut.get("limit").asDouble())
                .as("D1.1, from memory: 1/16 in at most")
                .isCloseTo(1.5875, within(0.01));
        double deepest = 0;
        for (JsonNode v : undercut.get("values")) {
            deepest = Math.max(deepest, v.asDouble());
        }
        assertThat(deepest).isCloseTo(1.2, within(0.06));
        JsonNode section = ines.get(path + "/section?at=340").expect(200).json();
        assertThat(section.get("undercuts").get(0).get("depth").asDouble()).isCloseTo(1.2, within(0.08));
        assertThat(section.get("points").size()).isGreaterThan(100);
        ByteBuffer surface = ByteBuffer.wrap(ines.bytes(path + "/surface")).order(ByteOrder.LITTLE_ENDIAN);
        int rows = (int) surface.getFloat();
        int across = (int) surface.getFloat();
        assertThat(rows).isGreaterThan(250);
        assertThat(surface.remaining()).isEqualTo(rows * (1 + 3 * across) * Float.BYTES);
    }

    @Test
    void whatCannotBeReadIsSaidAndNothingIsProposed() throws Exception {
        String inspection = inspection();
        String path =
                sent(inspection, "# mensor-scan/1\ns,y,z\n0,deep,1\n".getBytes(StandardCharsets.UTF_8), "wrong.csv");
        JsonNode scan = measured(inspection, path);
        assertThat(scan.get("state").asString()).isEqualTo("failed");
        assertThat(scan.get("failure").asString()).contains("line 3").contains("deep");
        assertThat(scan.get("proposals")).isEmpty();
        assertThat(ines.putBytes(inspection + "/scans/" + UUID.randomUUID() + "?name=none.csv", new byte[0])
                        .status())
                .isEqualTo(422);
        assertThat(RunningMensor.as("rufus")
                        .putBytes(path + "?name=a.csv", new byte[5])
                        .status())
                .as("only an inspector adds a scan")
                .isEqualTo(403);
        assertThat(RunningMensor.as("vera").get(inspection + "/scans").status())
                .as("a viewer sees signed records only")
                .isEqualTo(403);
    }

    @Test
    void beforeAndAfterARepairAreHeldAgainstEachOther() throws Exception {
        String inspection = inspection();
        String before = sent(
                inspection, scan(ScanWriter.Carrier.CSV, 0, new Flaw(FlawKind.SHORT_LEGS, 100, 200, 1)), "before.csv");
        String after = sent(inspection, scan(ScanWriter.Carrier.CSV, 1), "after.csv");
        measured(inspection, before);
        String other = measured(inspection, after).get("id").asString();
        JsonNode c = ines.get(before + "/compared?with=" + other).expect(200).json();
        double missing = (8.6 * 8.6 - 7.6 * 7.6) / 2 * 98;
        assertThat(c.get("putOn").asDouble()).isCloseTo(missing, within(0.15 * missing));
        assertThat(c.get("changed")).hasSize(1);
        JsonNode all = ines.get(inspection + "/scans/of-weld").expect(200).json();
        assertThat(all).hasSize(2);
        assertThat(all.get(0).get("words").asString()).isEqualTo("before.csv, first inspection");
        assertThat(all.get(1).get("id").asString()).isEqualTo(other);
        ines.delete(before).expect(200);
        assertThat(ines.get(inspection + "/scans")
                        .json()
                        .get(0)
                        .get("withdrawn")
                        .asBoolean())
                .isTrue();
    }

    /** The simulated scanner goes along, stops, goes back a little: the lines come as it moves, and the scan is kept once, each place once. */
    @Test
    void aWeldIsScannedLive() throws Exception {
        String inspection = inspection();
        String path = inspection + "/scans/" + UUID.randomUUID();
        String[] lines = ines.post(path + "/live?speed=2000&seed=5", "{}")
                .expect(200)
                .text()
                .split("\n");
        assertThat(lines[0]).contains("\"legA\"").contains("\"limitWords\":\"5/16 in\"");
        assertThat(lines.length).as("going back, some places come twice").isGreaterThan(611 + 10);
        assertThat(lines[5]).contains("\"s\":4.0").contains("throat");
        JsonNode scan = measured(inspection, path);
        assertThat(scan.get("profiles").asInt()).isEqualTo(610);
        assertThat(scan.get("device").asString()).isEqualTo("simulated scanner");
        assertThat(scan.get("proposals").toString()).contains("undercut web toe");
        assertThat(ines.post(inspection + "/scans/" + UUID.randomUUID() + "/live?speed=0", "{}")
                        .status())
                .isEqualTo(422);
    }

    /** Somebody saw an undercut: the scan that reports none does not take that back, and the rest is still taken over. */
    @Test
    void aScanDoesNotSayNoneSeenWhereAnUndercutWasSeen() throws Exception {
        String inspection = inspection();
        String path = sent(inspection, scan(0.9, ScanWriter.Carrier.PLY_BIG, 0), "sound.ply");
        assertThat(measured(inspection, path).get("proposals").toString()).contains("\"CLEAR\"");
        ines.add(inspection, "INDICATION", "'kind':'undercut','toe':'A','from':'3','to':'4','depth':'1/64'")
                .expect(200);
        JsonNode scan = measured(inspection, path);
        assertThat(scan.get("proposals").toString()).doesNotContain("\"CLEAR\"");
        ines.post(path + "/take", ids(scan)).expect(200);
    }

    /** The inspector says "none seen" where the scan measured an undercut over the limit: it is answered before an accept is signed. */
    @Test
    void anAcceptIsNotSignedOverWhatAScanMeasured() throws Exception {
        String inspection = inspection();
        String path = sent(inspection, scan(ScanWriter.Carrier.CSV, 0, UNDERCUT), "notched.csv");
        JsonNode scan = measured(inspection, path);
        ines.sound(inspection);
        assertThat(ines.get(inspection).json().get("evaluation").get("verdict").asString())
                .isEqualTo("accept");
        assertThat(ines.sign(inspection, "accept").expect(409).detail())
                .contains("a scan measured what is not recorded")
                .contains("undercut");
        JsonNode bench = ines.post(path + "/take", ids(scan)).expect(200).json();
        assertThat(bench.get("evaluation").get("verdict").asString()).isEqualTo("reject");
        for (JsonNode e : bench.get("entries")) {
            if (e.get("kind").asString().equals("INDICATION")) {
                ines.delete(inspection + "/entries/" + e.get("id").asString() + "?version="
                                + e.get("version").asLong())
                        .expect(200);
            }
        }
        ines.add(inspection, "CLEAR", "'criterion':'undercut'").expect(200);
        ines.sign(inspection, "accept").expect(200); // looked at again, and taken off by name
    }

    private static Set<String> kept() throws IOException {
        Path folder = Path.of(RunningMensor.bean(Environment.class).getRequiredProperty("mensor.scans"));
        if (!Files.isDirectory(folder)) {
            return Set.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(f -> f.getFileName().toString())
                    .filter(f -> f.endsWith(".scan") || f.endsWith(".part"))
                    .collect(Collectors.toSet());
        }
    }

    /** What is refused fills no disk. */
    @Test
    void aRefusedScanLeavesNoFile() throws Exception {
        String inspection = inspection();
        String path = sent(inspection, scan(4, ScanWriter.Carrier.CSV, 0), "first.csv");
        Set<String> before = kept();
        ines.putBytes(path + "?name=other.csv", scan(4, ScanWriter.Carrier.CSV, 7))
                .expect(409);
        String next = inspection + "/scans/" + UUID.randomUUID();
        ines.putBytes(next + "?name=%20", scan(4, ScanWriter.Carrier.CSV, 8)).expect(422);
        ines.putBytes(next + "?name=a.csv&gauge=" + UUID.randomUUID(), scan(4, ScanWriter.Carrier.CSV, 9))
                .expect(422);
        ines.putBytes(next + "?name=empty.csv", new byte[0]).expect(422);
        assertThat(kept()).isEqualTo(before);
        ines.putBytes(path + "?name=first.csv", scan(4, ScanWriter.Carrier.CSV, 0))
                .expect(200);
        assertThat(kept()).as("sent again, as after a broken answer").isEqualTo(before);
    }

    /** What a kill left is removed at the next start; what a row names stays. */
    @Test
    void aStartRemovesWhatNoRowNames() throws Exception {
        Path folder = Path.of(RunningMensor.bean(Environment.class).getRequiredProperty("mensor.scans"));
        String inspection = inspection();
        byte[] file = scan(4, ScanWriter.Carrier.CSV, 3);
        String path = sent(inspection, file, "stays.csv");
        measured(inspection, path);
        Set<String> named = kept();
        FileTime old = FileTime.fromMillis(1_000_000_000_000L);
        for (String left : new String[] {"coming-1.part", "0".repeat(64) + ".scan", UUID.randomUUID() + ".lines"}) {
            Files.setLastModifiedTime(Files.writeString(folder.resolve(left), "left"), old);
        }
        Files.writeString(folder.resolve("notes.txt"), "of somebody");
        RunningMensor.bean(ScanSweep.class).run(null);
        assertThat(kept()).isEqualTo(named);
        assertThat(folder.resolve("notes.txt")).exists();
        assertThat(ines.bytes(path + "/file")).isEqualTo(file);
        Files.delete(folder.resolve("notes.txt"));
    }

    /** What was measured of a scan, altered beside Mensor: alone, and with its sum made anew as who forges would. */
    private void alteredBesideMensor(String inspection, String path) {
        JdbcTemplate db = RunningMensor.bean(JdbcTemplate.class);
        UUID scan = UUID.fromString(path.substring(path.lastIndexOf('/') + 1));
        String chain = "/api/jobs/"
                + db.queryForObject(
                        "select j.job_id from joint j join inspection i on i.joint_id = j.id where i.id = ?",
                        UUID.class,
                        UUID.fromString(inspection.substring(inspection.lastIndexOf('/') + 1)))
                + "/chain/check";
        assertThat(ines.get(chain).expect(200).json().has("fault")).isFalse();
        String measured = db.queryForObject("select measured from scan where id = ?", String.class, scan);
        String sum = db.queryForObject("select measured_sha256 from scan where id = ?", String.class, scan);
        String forged = measured + " ";
        String set = "update scan set measured = ?, measured_sha256 = ? where id = ?";
        for (String beside : new String[] {sum, ChainFile.sha256(forged)}) {
            db.update(set, forged, beside, scan);
            assertThat(ines.get(chain).expect(200).text())
                    .contains("what was measured of the scan first.csv was altered");
        }
        db.update(set, measured, sum, scan);
        assertThat(ines.get(chain).expect(200).json().has("fault")).isFalse();
    }
}
