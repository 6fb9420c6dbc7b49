package mensor.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.length.Length;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The entry line: what a hand would chalk, each way to write it, what is wrong and where, and what may come next. */
class EntryLineTest {
    private static final Joint JOINT = joint(false);

    private static Joint joint(boolean closed) {
        return new JointBuilder("J", WeldType.FILLET, Connection.TEE, Length.inches(24))
                .size(Length.inches(5, 16))
                .closed(closed)
                .members(new Member("web", Length.inches(3, 8)), new Member("flange", Length.inches(3, 4)))
                .build();
    }

    private static EntryLine.Parse read(String line) {
        return new EntryLine(JOINT).read(line, "");
    }

    /** {@code depth=1/32 from=12 …}, sorted, several apart by a bar. */
    private static String said(EntryLine.Parse u) {
        return u.entries().stream()
                .map(p -> new TreeMap<>(p.fields())
                        .entrySet().stream()
                                .map(e -> e.getKey() + "=" + e.getValue())
                                .collect(Collectors.joining(" ")))
                .collect(Collectors.joining(" | "));
    }

    @ParameterizedTest
    @CsvSource({
        "uc a 12-14 1/32, depth=1/32 from=12 kind=undercut to=14 toe=A",
        "UC Web 12-14 1/32, depth=1/32 from=12 kind=undercut to=14 toe=A",
        "undercut flange 12..14 .03, depth=.03 from=12 kind=undercut to=14 toe=B",
        "uc root 12 to 14 1/32, depth=1/32 from=12 kind=undercut to=14 toe=root",
        "uc a 11-12-1/4 3/64, depth=3/64 from=11 kind=undercut to=12-1/4 toe=A",
        "uc a 11-12 1/4 3/64, depth=3/64 from=11 kind=undercut to=12 1/4 toe=A",
        "uc a 10-14 1/16 over 1/32 11-12.5, depth=1/32 from=10 kind=undercut to=14 toe=A | depth=1/16 from=11 kind=undercut to=12.5 toe=A",
        "leg 6 5/16 1/4, at=6 legA=5/16 legB=1/4",
        "leg 6 5/16 1/4 throat 7/32 concave, at=6 face=concave legA=5/16 legB=1/4 throat=7/32",
        "leg 6 1/2 5/16 1/4, at=6 1/2 legA=5/16 legB=1/4", // three lengths, so that two words are one
        "leg 6-1/2 5/16 1/4, at=6-1/2 legA=5/16 legB=1/4",
        "leg 6 5/16, at=6 legA=5/16",
        "throat 6 7/32, at=6 throat=7/32",
        "blade 5/16, atLeast=5/16 from=0 to=24 in",
        "goes 5/16 0-12, atLeast=5/16 from=0 to=12",
        "us 12-14 9/32, from=12 kind=undersize least=9/32 to=14",
        "pore 7.5 1/16 x3, at=7.5 count=3 diameter=1/16 kind=porosity",
        "pore 7-9 1/16 x3, count=3 diameter=1/16 from=7 kind=porosity to=9",
        "pore 7 1/2 1/16, at=7 1/2 diameter=1/16 kind=porosity",
        "crack 18 crater, at=18 kind=crack where=crater",
        "crack 18-19, from=18 kind=crack to=19",
        "crater 24 filled, at=24 depth=0 kind=crater",
        "crown 12 1/16 wide 7/16 offset 1/32, at=12 faceWidth=7/16 offset=1/32 reinforcement=1/16",
        "arc 3 dressed, at=3 checked=VT ground=true kind=arc-strike",
        "arc 3 ground mt, at=3 checked=MT ground=true kind=arc-strike",
        "slag 20-21.5 trapped, from=20 kind=slag to=21.5 trapped=true",
        "none crack overlap, criterion=crack | criterion=overlap",
        "short 1 1/2, kind=short-weld missing=1 1/2",
        "ol b 4-6, from=4 kind=overlap to=6 toe=B",
        "leg 150mm 8mm 8mm, at=150mm legA=8mm legB=8mm",
    })
    void whatAHandWouldChalk(String line, String wanted) {
        EntryLine.Parse u = read(line);
        assertThat(u.problem()).isEmpty();
        assertThat(said(u)).isEqualTo(wanted);
        assertThat(u.isWhole()).isTrue();
    }

    static Stream<EntryLine.Card> card() {
        return EntryLine.card().stream();
    }

    @ParameterizedTest
    @MethodSource("card")
    void eachExampleOnTheCardIsUnderstood(EntryLine.Card card) {
        EntryLine.Parse u = read(card.example());
        assertThat(u.isWhole()).as(card.example() + ": " + u.problem()).isTrue();
        assertThat(card.words()).contains(card.example().split(" ")[0]);
    }

    @Test
    void noTwoKindsShareAWord() {
        List<String> words =
                EntryLine.card().stream().flatMap(c -> c.words().stream()).toList();
        assertThat(words).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @CsvSource({
        // line | what is wrong there | part of the message
        "uc a 12 1/32, 12, from where to where",
        "uc c 12-14 1/32, c, which toe? a (web toe) or b (flange toe)",
        "uc a 12-14 1/32 deep, deep, one word too many",
        "uc a 12-14 deep, deep, depth",
        "uc a 14-12 1/32, 14-12, from–to",
        "uc a 12-14 .03 .04, .04, one word too many",
        "pore x 1/16, x, is not a length",
        "krack 18, krack, no kind",
        "none readiness, readiness, no criterion that an inspection can clear",
        "uc a 10-14 1/16 over 11-12 1/32, 11-12, after over come",
        "leg 6 5//16, 5//16, leg A",
    })
    void whatIsWrongAndWhere(String line, String at, String part) {
        EntryLine.Parse u = read(line);
        assertThat(u.entries()).isEmpty();
        assertThat(u.problem().orElseThrow()).contains(part);
        assertThat(line.substring(u.from(), u.to())).isEqualTo(at);
    }

    @ParameterizedTest
    @CsvSource({
        "'uc ', toe, a",
        "'uc a ', from–to, ",
        "uc a 12-14, depth, ",
        "'leg 6 5/16 ', leg B, throat",
        "'none ', a criterion that was looked for, crack",
        "'arc 3 ', '', dressed",
    })
    void whatMayComeNext(String line, String expects, String completes) {
        EntryLine.Parse u = read(line);
        assertThat(u.problem()).isEmpty();
        if (!expects.isEmpty()) {
            assertThat(u.expects()).contains(expects);
        }
        if (completes != null) {
            assertThat(u.completions()).contains(completes);
        }
    }

    @Test
    void aWordIsCompletedWhileItIsTyped() {
        assertThat(read("cr").completions()).contains("crack", "crater", "crown");
        assertThat(read("und").completions()).containsExactly("undercut", "undersize", "underfill");
        assertThat(read("none cra").completions()).containsExactly("crack", "crater");
        assertThat(read("").completions()).contains("undercut", "none");
        assertThat(read("cr").problem()).isEmpty();
    }

    @Test
    void theKindIsRepeatedByALineOfNumbers() {
        EntryLine line = new EntryLine(JOINT);
        assertThat(said(line.read("12 5/16 3/8", "leg"))).isEqualTo("at=12 legA=5/16 legB=3/8");
        assertThat(said(line.read("b 3-4 1/64", "undercut"))).isEqualTo("depth=1/64 from=3 kind=undercut to=4 toe=B");
        assertThat(line.read("12 5/16 3/8", "").problem()).isPresent();
    }

    @Test
    void onAClosedWeldTwoDotsPassTheDatum() {
        EntryLine line = new EntryLine(joint(true));
        assertThat(said(line.read("uc a 23..1 1/32", ""))).isEqualTo("depth=1/32 from=23 kind=undercut to=1 toe=A");
    }

    /** Whatever is typed is understood, unfinished or wrong at a place in the line; it never fails otherwise. */
    @Test
    void nothingTypedIsAnAccident() {
        String[] words = {
            "uc",
            "a",
            "b",
            "leg",
            "6",
            "5/16",
            "1/4",
            "12-14",
            "x3",
            "none",
            "crack",
            "over",
            "-",
            "..",
            "1/0",
            "throat",
            "wide",
            "to",
            "web",
            "9999999999",
            "½",
            "pore",
            "blade",
            "arc",
            "dressed",
            "--1",
            "1-",
            "/"
        };
        Random random = new Random(11);
        Map<Boolean, Integer> counts = new TreeMap<>();
        for (int i = 0; i < 5_000; i++) {
            StringBuilder line = new StringBuilder();
            for (int n = random.nextInt(8); n > 0; n--) {
                line.append(words[random.nextInt(words.length)]).append(random.nextInt(9) == 0 ? "" : " ");
            }
            EntryLine.Parse u = read(line.toString());
            u.problem().ifPresent(p -> {
                assertThat(p).isNotBlank();
                assertThat(u.from()).isLessThan(u.to());
                assertThat(u.to()).isLessThanOrEqualTo(line.length());
                assertThat(u.entries()).isEmpty();
            });
            counts.merge(u.problem().isPresent(), 1, Integer::sum);
        }
        assertThat(counts.get(true)).isBetween(500, 4_900);
    }

    /** Words that people in the shop say; common practice, no source. */
    @ParameterizedTest
    @CsvSource({
        "slag line 4-5, from=4 kind=slag to=5",
        "wagon tracks 4-9, from=4 kind=slag to=9 trapped=true",
        "lof 10-11, from=10 kind=incomplete-fusion to=11",
        "BBs 0-3, from=0 kind=spatter to=3",
        "strike 3, at=3 kind=arc-strike",
        "divot 12, at=12 kind=poor-restart",
        "tie-in 12, at=12 kind=poor-restart",
        "icicle 4-5 1/16, depth=1/16 from=4 kind=melt-through to=5",
        "keyhole 7, at=7 kind=burn-through",
        "hole 7, at=7 kind=burn-through",
        "base a 4-5 gouge depth 1/16, depth=1/16 from=4 kind=base-metal-damage member=A to=5 what=gouge"
    })
    void wordsOfTheShopAreKnown(String line, String said) {
        assertThat(read(line).entries()).as(line).isNotEmpty();
        assertThat(said(read(line))).isEqualTo(said);
        assertThat(read("wavy 3-9").problem())
                .hasValueSatisfying(p -> assertThat(p).contains("no criterion limits"));
    }

    /** Which toe is the top one a joint must have said. */
    @Test
    void theTopToeIsThatOfTheMemberAbove() {
        for (Toe upper : List.of(Toe.A, Toe.B)) {
            Joint joint = new JointBuilder("J", WeldType.FILLET, Connection.TEE, Length.inches(24))
                    .size(Length.inches(5, 16))
                    .members(new Member("web", Length.inches(3, 8)), new Member("flange", Length.inches(3, 4)))
                    .upper(upper)
                    .build();
            for (String line :
                    List.of("uc top 12-14 1/32", "undercut top toe 12-14 1/32", "undercut upper 12 to 14 1/32")) {
                EntryLine.Parse p = new EntryLine(joint).read(line, "");
                assertThat(p.entries())
                        .as(line)
                        .singleElement()
                        .satisfies(e -> assertThat(e.fields()).containsEntry("toe", upper.id()));
            }
            assertThat(new EntryLine(joint)
                            .read("uc bottom 12-14 1/32", "")
                            .entries()
                            .get(0)
                            .fields())
                    .containsEntry("toe", upper == Toe.A ? "B" : "A");
        }
        assertThat(read("uc top 12-14 1/32").entries()).isEmpty();
        assertThat(read("undercut top toe 12-14 1/32").problem())
                .hasValueSatisfying(p -> assertThat(p).contains("set-up"));
    }

    @ParameterizedTest
    @CsvSource({
        "cover root by UT report 114, by=UT report 114 criterion=root",
        "cover undercut 4-6 by UT 114, by=UT 114 criterion=undercut from=4 to=6",
        "hidden undercut 4-6, criterion=undercut from=4 to=6",
        "cover size by throat demonstrated; CS-4, by=throat demonstrated; CS-4 criterion=size"
    })
    void whatCannotBeSeenIsPutDown(String line, String said) {
        EntryLine.Parse p = read(line);
        assertThat(p.entries()).singleElement().satisfies(e -> {
            assertThat(e.sort()).isEqualTo(mensor.inspection.Entry.Sort.COVER);
            assertThat(new TreeMap<>(e.fields())
                            .entrySet().stream().map(Object::toString).collect(Collectors.joining(" ")))
                    .isEqualTo(said);
        });
        assertThat(p.isWhole()).isTrue();
    }

    @Test
    void aCoverThatSaysTooLittleIsNone() {
        assertThat(read("cover undercut").entries()).isEmpty();
        assertThat(read("cover undercut by").entries()).isEmpty();
        assertThat(read("cover rust 4-6").problem()).isPresent();
        assertThat(read("cover undercut 6").problem()).isPresent();
    }
}
