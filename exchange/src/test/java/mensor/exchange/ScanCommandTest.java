package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import mensor.scan.Profile;
import mensor.scan.SimulatedFillet;
import mensor.scan.SimulatedWeld;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A weld measured from a scan by the command line: made-up fillets of known truth, judged with what was seen by hand. */
class ScanCommandTest {
    private static final double INCH = 25.4;

    @TempDir
    private Path folder;

    private Path inspection(String units, String length, String size) throws IOException {
        String json = """
                {"format":"mensor-inspection/1","criteria":"d1.1-static","units":"%s",
                 "joint":{"mark":"SC-1","weld":"fillet","connection":"tee","length":"%s","size":"%s","position":"2F",
                  "members":[{"name":"web","thickness":"%s"},{"name":"flange","thickness":"%s"}]},
                 "conditions":{"cleaned":true,"ambient":true},
                 "clear":["crack","fusion","overlap","crater","length","as-drawn","porosity","slag","spatter","arc-strike"]}""".formatted(
                        units, length, size, units.equals("in") ? "1/2" : "12", units.equals("in") ? "3/4" : "20");
        return Files.writeString(folder.resolve("inspection.json"), json);
    }

    /** A fillet of 8 mm with an undercut between two places; nothing was scanned in a hole. */
    private Path scan(
            double length, double undercut, double from, double to, double holeFrom, double holeTo, boolean inches)
            throws IOException {
        StringBuilder out = new StringBuilder(
                "# mensor-scan/1\n# device: line\n# u: 0.0005\n# units: " + (inches ? "in" : "mm") + "\ns,y,z\n");
        double unit = inches ? INCH : 1;
        for (double s = 0; s <= length; s += 0.5) {
            if (s > holeFrom && s < holeTo) {
                continue;
            }
            SimulatedFillet w = new SimulatedFillet();
            w.spacing = 0.1;
            w.undercutA = s >= from && s <= to ? undercut : 0;
            Profile p = w.profile(s, Math.round(s * 10));
            for (int i = 0; i < p.points(); i++) {
                out.append(String.format(Locale.ROOT, "%.5f,%.5f,%.5f%n", s / unit, p.y()[i] / unit, p.z()[i] / unit));
            }
        }
        return Files.writeString(folder.resolve("scan.csv"), out);
    }

    /** A fillet of 8 mm with a notch at toe A, whose points come back or do not. */
    private Path notched(double deep, double wide, double from, double to, double spacing, boolean returns)
            throws IOException {
        StringBuilder out = new StringBuilder("# mensor-scan/1\n# u: 0.005\ns,y,z\n");
        for (double s = 0; s <= 60 + 1e-9; s += spacing) {
            SimulatedFillet w = new SimulatedFillet();
            w.spacing = 0.08;
            w.undercutWidth = wide;
            w.wild = 0;
            Profile sound = w.profile(s, Math.round(s * 100));
            w.undercutA = s >= from && s <= to ? deep : 0;
            Profile p = w.profile(s, Math.round(s * 100));
            for (int i = 0; i < p.points(); i++) {
                boolean inNotch = Math.hypot(p.y()[i] - sound.y()[i], p.z()[i] - sound.z()[i]) > 0.04;
                if (returns || !inNotch) {
                    out.append(String.format(Locale.ROOT, "%.4f,%.5f,%.5f%n", s, p.y()[i], p.z()[i]));
                }
            }
        }
        return Files.writeString(folder.resolve("notched.csv"), out);
    }

    private record Answer(int code, JsonNode json, String errors) {}

    private static Answer run(Object... arguments) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        List<String> list = new ArrayList<>();
        for (Object a : arguments) {
            list.add(a.toString());
        }
        int code = new ScanCommand(InputStream.nullInputStream(), new PrintWriter(out), new PrintWriter(err)).run(list);
        return new Answer(
                code, out.toString().isBlank() ? null : JsonMapper.shared().readTree(out.toString()), err.toString());
    }

    @Test
    void aSoundWeldThatWasScannedWholeIsAccepted() throws IOException {
        Answer a = run(inspection("mm", "60", "7.5"), scan(60, 0, 0, 0, 99, 99, false));
        assertThat(a.json().get("stretches").toString()).isEqualTo("[]");
        assertThat(a.json().get("notMeasured")).isEmpty();
        JsonNode first = a.json().get("stations").get(0);
        assertThat(first.get("legA").asDouble()).isCloseTo(8, within(0.2));
        assertThat(first.get("throat").asDouble()).isCloseTo(8 / Math.sqrt(2), within(0.06));
        assertThat(a.json().get("proposed").get("readings").get(0).get("gauge").asString())
                .isEqualTo("line");
    }

    @ParameterizedTest
    @CsvSource({"false", "true"})
    void anUndercutTheGaugesMissedRejects(boolean inches) throws IOException {
        Answer a = run(inspection("in", "4", "5/16"), scan(4 * INCH, 1.3, 30, 100, 999, 999, inches));
        assertThat(a.code()).isEqualTo(1);
        JsonNode u = a.json().get("stretches").get(0);
        assertThat(u.get("kind").asString()).isEqualTo("undercut");
        assertThat(u.get("toe").asString()).isEqualTo("A");
        assertThat(u.get("from").asDouble()).isCloseTo(30, within(1.0));
        assertThat(u.get("depth").asDouble()).isCloseTo(1.3, within(0.06));
        JsonNode proposed = a.json().get("proposed").get("indications").get(0);
        assertThat(proposed.get("depth").asDouble() * INCH)
                .as("rounded against the weld")
                .isGreaterThanOrEqualTo(u.get("depth").asDouble() - 1e-4);
    }

    /** A scan with a hole is not a pass, even where all that was read accepts, until the hand has spoken for the hole. */
    @Test
    void aHoleIsNeverAccepted() throws IOException {
        Path inspection = inspection("mm", "60", "7");
        Files.writeString(inspection, Files.readString(inspection).replace("\"crack\",", "\"crack\",\"profile\","));
        Answer whole = run(inspection, scan(60, 0, 0, 0, 99, 99, false));
        assertThat(whole.json().get("verdict").asString()).isEqualTo("accept");
        assertThat(whole.code()).isZero();
        Answer holed = run(inspection, scan(60, 0, 0, 0, 25, 35, false));
        assertThat(holed.json().get("verdict").asString()).isEqualTo("incomplete");
        assertThat(holed.code()).isEqualTo(2);
        assertThat(holed.json().get("notMeasured").get(0).get(0).asDouble()).isCloseTo(25, within(0.6));
        Files.writeString(inspection, Files.readString(inspection).replace("\"crack\",", "\"crack\",\"undercut\","));
        Answer byHand = run(inspection, scan(60, 0, 0, 0, 25, 35, false));
        assertThat(byHand.json().get("verdict").asString()).isEqualTo("accept");
    }

    /** The simulated scanner's own file in each carrier is measured alike. */
    @ParameterizedTest
    @ValueSource(strings = {"made.csv", "made.ply", "made.x3p"})
    void aSimulatedScanIsMeasured(String name) throws IOException {
        Path inspection = inspection("mm", "60", "7");
        Path made = folder.resolve(name);
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        SimulateScanCommand command =
                new SimulateScanCommand(InputStream.nullInputStream(), new PrintWriter(out), new PrintWriter(err));
        assertThat(command.run(List.of("--seed", "4", inspection.toString(), made.toString())))
                .as(err.toString())
                .isZero();
        assertThat(out.toString()).contains("121 profiles");
        JsonNode json = run(inspection, made).json();
        assertThat(json.get("notMeasured")).isEmpty();
        assertThat(json.get("stretches").toString()).contains("undercut");
        assertThat(command.run(List.of(
                        inspection.toString(), folder.resolve("made.txt").toString())))
                .isEqualTo(3);
        assertThat(err.toString()).contains("csv, ply_ascii, ply_little, ply_big or x3p is required");
    }

    /** Profiles far apart show legs, but not that no undercut lies between them. */
    @Test
    void farProfilesDoNotSayThatNoUndercutWasSeen() throws IOException {
        Path inspection = inspection("mm", "60", "7");
        Files.writeString(inspection, Files.readString(inspection).replace("\"crack\",", "\"crack\",\"profile\","));
        for (double spacing : new double[] {0.9, 2}) {
            SimulatedWeld w = new SimulatedWeld(true, 60, spacing, 8, 8, 0, 0.3, 0, 0, 0.02, 0, List.of(), 3);
            List<Profile> profiles = new ArrayList<>();
            for (int i = 0; i < w.profiles(); i++) {
                profiles.add(w.profile(i, 0));
            }
            Path scan = folder.resolve("far.csv");
            try (OutputStream out = Files.newOutputStream(scan)) {
                new ScanWriter(profiles, "line", 0.005).write(ScanWriter.Carrier.CSV, out);
            }
            assertThat(run(inspection, scan).code()).isEqualTo(spacing < 1 ? 0 : 2);
        }
    }

    /** Light does not come back from the ground of a notch: the strip beside the toe is not measured there, and not accepted. */
    @ParameterizedTest
    @CsvSource({"0.5, 1.6, 6", "0.6, 1.2, 7", "0.7, 0.9, 9"})
    void aNotchWithoutReturnsIsNotMeasured(double deep, double wide, double length) throws IOException {
        Path inspection = inspection("mm", "60", "7");
        Files.writeString(inspection, Files.readString(inspection).replace("\"crack\",", "\"crack\",\"profile\","));
        Answer a = run(inspection, notched(deep, wide, 20, 20 + length, 0.5, false));
        assertThat(a.json().get("verdict").asString()).isEqualTo("incomplete");
        JsonNode hole = a.json().get("notMeasured").get(0);
        assertThat(hole.get(0).asDouble()).isCloseTo(20, within(0.6));
        assertThat(hole.get(1).asDouble()).isCloseTo(20 + length, within(0.6));
        assertThat(a.json().get("notes").toString()).contains("no returns beside it");
    }

    /** A notch as narrow as a scratch is as deep as a wide one. */
    @Test
    void aNarrowNotchIsMeasured() throws IOException {
        JsonNode u = run(inspection("mm", "60", "7"), notched(0.6, 0.6, 20, 35, 0.5, true))
                .json()
                .get("stretches")
                .get(0);
        assertThat(u.get("kind").asString()).isEqualTo("undercut");
        assertThat(u.get("depth").asDouble()).isBetween(0.4, 0.65);
    }

    /** What stands on one or two profiles the median takes away: it is shown as a place to look at, and none is said. */
    @ParameterizedTest
    @CsvSource({"0.8, 30, 30, 0.5", "0.8, 30, 30.6, 0.5", "0.8, 29, 34, 2.9"})
    void aDeepPlaceOnAProfileOrTwoIsLookedAt(double deep, double from, double to, double spacing) throws IOException {
        Path inspection = inspection("mm", "60", "7");
        Files.writeString(inspection, Files.readString(inspection).replace("\"crack\",", "\"crack\",\"profile\","));
        Answer a = run(inspection, notched(deep, 1.6, from, to, spacing, true));
        assertThat(a.json().get("verdict").asString()).isNotEqualTo("accept");
        JsonNode look = a.json().get("proposed").get("lookHere").get(0);
        assertThat(look.get("from").asDouble()).isBetween(from - 1, to + 1);
        assertThat(a.json().get("notes").toString()).contains("look here");
        Files.writeString(inspection, Files.readString(inspection).replace("\"crack\",", "\"crack\",\"undercut\","));
        assertThat(run(inspection, folder.resolve("notched.csv"))
                        .json()
                        .get("verdict")
                        .asString())
                .as("somebody looked and saw none")
                .isEqualTo("accept");
    }

    @Test
    void pitchAndReportedDepthAreTheCallers() throws IOException {
        Path inspection = inspection("mm", "60", "7");
        Path scan = scan(60, 0.4, 20, 40, 99, 99, false);
        assertThat(run("--pitch", "10", inspection, scan).json().get("stations"))
                .hasSize(6);
        assertThat(run("--report-depth", "0.6", inspection, scan).json().get("stretches"))
                .isEmpty();
        assertThat(run("--pitch", "wide", inspection, scan).errors()).contains("--pitch");
        assertThat(run("--pitch", "wide", inspection, scan).code()).isEqualTo(3);
        assertThat(run(inspection).code()).isEqualTo(3);
        assertThat(run(inspection, folder.resolve("none.csv")).errors()).contains("no such file");
    }

    private List<Profile> read(String text) {
        try {
            List<Profile> read = new ArrayList<>();
            ScanFile.read(
                    Files.writeString(folder.resolve("read.csv"), text),
                    head -> {
                        read.clear();
                        return read::add;
                    },
                    part -> {});
            return read;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void whatIsWrongIsNamedByItsLine() {
        String head = "# mensor-scan/1\n# units: mm\ns,y,z\n";
        assertThatThrownBy(() -> read("s,y,z\n0,1,2\n"))
                .hasMessageContaining("line 1")
                .hasMessageContaining("mensor-scan/1");
        assertThatThrownBy(() -> read("# mensor-scan/1\n0,1,2\n"))
                .hasMessageContaining("line 2")
                .hasMessageContaining("s,y,z");
        assertThatThrownBy(() -> read(head + "0,1,2\n0,1\n")).hasMessageContaining("line 5");
        assertThatThrownBy(() -> read(head + "0,1,2,3\n")).hasMessageContaining("line 4");
        assertThatThrownBy(() -> read(head + "0,1,deep\n")).hasMessageContaining("deep");
        assertThatThrownBy(() -> read(head + ",1,2\n")).hasMessageContaining("s is required");
        assertThatThrownBy(() -> read(head.replace("mm", "yd") + "0,1,2\n")).hasMessageContaining("units");
        assertThatThrownBy(() -> read("# mensor-scan/1\n# u: deep\ns,y,z\n0,1,2\n"))
                .hasMessageContaining("u:");
        assertThatThrownBy(() -> read(head)).hasMessageContaining("no point");
    }

    @Test
    void numbersAreReadAsTheyAreWritten() {
        String points = "0,-1.5,2.25e-1\r\n0, 1 ,nan\r\n0,+3,\r\n\r\n0,4,12345.678901\r\n1,0,0\r\n";
        List<Profile> read = read("# mensor-scan/1\r\ns, y, z\r\n" + points);
        assertThat(read).hasSize(2);
        assertThat(read.get(0).y()).as("without a return it is left out").containsExactly(-1.5, 4);
        assertThat(read.get(0).z()).containsExactly(0.225, 12345.678901);
    }

    /** Points of one s are one profile, wherever they stand. */
    @Test
    void aProfileMayBeScatteredOverTheFile() {
        List<Profile> read = read("# mensor-scan/1\ns,y,z\n1,0,5\n0,1,2\n1,1,6\n0,2,2\n0,0,1\n");
        assertThat(read).extracting(Profile::s).containsExactly(0.0, 1.0);
        assertThat(read.get(0).y()).containsExactly(0, 1, 2);
    }
}
