package mensor.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.inspection.Entry;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a tablet's dictation writes means what a hand would chalk; what is doubtful means nothing. */
class SpokenLineTest {
    private static final Joint TEE = new JointBuilder("J", WeldType.FILLET, Connection.TEE, Length.inches(24))
            .size(Length.inches(5, 16))
            .members(new Member("web", Length.inches(3, 8)), new Member("flange", Length.inches(3, 4)))
            .build();
    private static final Joint BUTT = new JointBuilder("B", WeldType.GROOVE, Connection.BUTT, Length.millimetres("400"))
            .members(new Member("left", Length.millimetres("12")), new Member("right", Length.millimetres("12")))
            .penetration(Penetration.COMPLETE)
            .build();

    static Stream<String> sentences() throws IOException {
        try (InputStream in = SpokenLineTest.class.getResourceAsStream("spoken.txt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines().filter(l -> !l.startsWith("#") && !l.isBlank()).toList().stream();
        }
    }

    /** The entries with each length as a number, so that 12 and 12.0 are one. */
    private static List<Map<String, String>> meant(Joint joint, String line) {
        EntryLine.Parse p = new EntryLine(joint).read(line, "");
        Unit unit = joint.length().unit();
        return p.entries().stream()
                .map(e -> e.fields().entrySet().stream()
                        .collect(Collectors.toMap(
                                Map.Entry::getKey,
                                f -> f.getValue().matches("[.\\d].*") && e.sort() != Entry.Sort.CLEAR
                                        ? String.format(
                                                Locale.ROOT,
                                                "%.1f",
                                                Length.parse(f.getValue(), unit).approximateNanometres())
                                        : f.getValue(),
                                (a, b) -> a,
                                TreeMap::new)))
                .<Map<String, String>>map(m -> m)
                .toList();
    }

    @ParameterizedTest
    @MethodSource("sentences")
    void isPutAsAHandWouldChalkIt(String sentence) {
        String[] sides = sentence.split(" = ");
        List<Map<String, String>> heard = meant(TEE, sides[0]);
        if (sides[1].equals("-")) {
            assertThat(heard).as(sides[0]).isEmpty();
            return;
        }
        // a groove's readings are chalked on any joint: the line does not judge
        List<Map<String, String>> chalked = meant(TEE, sides[1]);
        assertThat(chalked).as(sides[1]).isNotEmpty();
        assertThat(heard)
                .as(sides[0] + " was read as "
                        + new EntryLine(TEE).read(sides[0], "").readAs()
                        + new EntryLine(TEE).read(sides[0], "").problem())
                .isEqualTo(chalked);
    }

    @Test
    void thereAreAHundredAndFiftyOfThem() throws IOException {
        assertThat(sentences().distinct().count()).isGreaterThanOrEqualTo(150);
    }

    /** A word that takes something back, or makes it less certain, is never passed over. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "undercut web toe twelve to fourteen about one thirty-second deep",
                "maybe undercut web toe twelve to fourteen one thirty-second",
                "undercut not on the web toe twelve to fourteen one thirty-second",
                "undercut web toe twelve to fourteen less than one thirty-second",
                "undercut web toe twelve to fourteen one thirty-second except at thirteen",
                "undercut web toe twelve to fourteen one thirty-second or one sixteenth",
                "undercut web toe twelve to fourteen",
                "undercut twelve to fourteen one thirty-second",
                "undercut web toe one thirty-second",
                "no crack at twelve",
                "no undercut web toe two to four",
                "no cracks but undercut",
                "crack none seen overlap",
                "no rust",
                "cracks seen, none of overlap",
                "cracks seen, overlap none seen",
                "no overlap, cracks seen",
                "no overlap and cracks found",
                "no cracks seen, overlap",
                "there are cracks, no overlap",
                "no overlap, there are cracks",
                "crack seen none seen overlap",
                "five sixteenths does not go",
                "five sixteenths goes except from two to three",
                "undercut web toe ten to fourteen one sixteenth over",
                "undercut web toe ten to fourteen one sixteenth over one thirty-second",
                "legs at six",
                "leg 6 b 1/4",
                "flange leg a quarter at six",
                "pores pores",
                "crack at eighteen feet",
                "two cracks at eighteen",
                "undercut web toe twelve to fourteen one thirty-second deep crack at ten",
                "crack at thirty six and a half and a half",
                "crown at two hundred two point four",
                "crown at one twenty two",
                "leg at twenty one point three one two",
                "five sixteenths",
                "web toe twelve to fourteen",
                "",
            })
    void whatIsDoubtfulMeansNothing(String sentence) {
        EntryLine.Parse p = new EntryLine(TEE).read(sentence, "");
        assertThat(p.isWhole())
                .as(sentence + " was read as " + p.readAs() + p.entries())
                .isFalse();
    }

    /** The place of the word that stands in the way, in what was said. */
    @Test
    void theWordInTheWayIsNamed() {
        String sentence = "undercut web toe twelve to fourteen about one thirty-second deep";
        EntryLine.Parse p = new EntryLine(TEE).read(sentence, "");
        assertThat(p.problem().orElseThrow()).isEqualTo("\"about\" is not understood here");
        assertThat(sentence.substring(p.from(), p.to())).isEqualTo("about");
        assertThat(new EntryLine(TEE).read("uc c 12-14 1/32", "").problem().orElseThrow())
                .as("a chalked line is told as one")
                .startsWith("which toe?");
    }

    @Test
    void aWeldInMillimetersHearsMillimeters() {
        assertThat(meant(BUTT, "undercut left toe one hundred and twelve to one hundred thirty, point eight"))
                .isEqualTo(meant(BUTT, "uc a 112-130 .8"));
        assertThat(meant(BUTT, "crown at two hundred, two point four millimeters, twelve wide"))
                .isEqualTo(meant(BUTT, "crown 200 2.4 wide 12"));
        assertThat(meant(BUTT, "undercut right toe 20 mm to 30 mm one thirty-second of an inch"))
                .isEqualTo(meant(BUTT, "uc b 20-30 1/32in"));
    }

    @Test
    void whatWasReadIsSaidInTheHandsWords() {
        assertThat(new EntryLine(TEE)
                        .read("five sixteenths goes full length", "")
                        .readAs())
                .contains("blade 5/16");
        assertThat(new EntryLine(TEE).read("blade 5/16", "").readAs()).isEmpty();
    }
}
