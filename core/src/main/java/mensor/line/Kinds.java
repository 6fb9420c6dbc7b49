package mensor.line;

import static mensor.line.Argument.Shape.AT;
import static mensor.line.Argument.Shape.AT_OR_STRETCH;
import static mensor.line.Argument.Shape.COUNT;
import static mensor.line.Argument.Shape.LENGTH;
import static mensor.line.Argument.Shape.STRETCH;
import static mensor.line.Argument.Shape.STRETCH_OR_WHOLE;
import static mensor.line.Argument.Shape.TOE;
import static mensor.line.Argument.Shape.WORD;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** What can be put down in one line: a kind's words, then its arguments in the order in which a hand chalks them. */
final class Kinds {
    private Kinds() {}

    /** A reading, an indication, or the word that none was seen. */
    enum Sort {
        READING,
        INDICATION
    }

    /**
     * One kind.
     *
     * @param words the first is the one shown; the others are short for it
     * @param kind the indication's word in files; empty for a reading
     * @param example a line that puts one down
     */
    record Kind(Sort sort, List<String> words, String kind, List<Argument> arguments, String example) {
        String word() {
            return words.get(0);
        }
    }

    private static Argument need(Argument.Shape shape, String field, String title) {
        return new Argument(shape, field, title, true, "", Map.of());
    }

    private static Argument may(Argument.Shape shape, String field, String title) {
        return new Argument(shape, field, title, false, "", Map.of());
    }

    /** One that is led in by a word of its own: {@code throat 7/32}. */
    private static Argument led(String by, String field, String title) {
        return new Argument(LENGTH, field, title, false, by, Map.of());
    }

    /** One of some words; each stands for fields of the file. */
    private static Argument word(String title, Map<String, Map<String, String>> words) {
        return new Argument(WORD, "", title, false, "", words);
    }

    private static final Argument FACE = word(
            "face",
            Map.of(
                    "flat", Map.of("face", "flat"),
                    "convex", Map.of("face", "convex"),
                    "concave", Map.of("face", "concave")));

    private static Kind indication(String words, String kind, String example, Argument... arguments) {
        return new Kind(Sort.INDICATION, List.of(words.split(" ")), kind, List.of(arguments), example);
    }

    private static Kind reading(String words, String example, Argument... arguments) {
        return new Kind(Sort.READING, List.of(words.split(" ")), "", List.of(arguments), example);
    }

    private static final Argument STRETCH_NEEDED = need(STRETCH, "", "from–to");
    private static final Argument PLACE = need(AT, "at", "at");

    static final List<Kind> ALL = List.of(
            indication(
                    "undercut uc",
                    "undercut",
                    "uc a 12-14 1/32",
                    need(TOE, "toe", "toe"),
                    STRETCH_NEEDED,
                    need(LENGTH, "depth", "depth")),
            reading(
                    "leg legs",
                    "leg 6 5/16 1/4",
                    PLACE,
                    need(LENGTH, "legA", "leg A"),
                    may(LENGTH, "legB", "leg B"),
                    led("throat", "throat", "throat"),
                    FACE),
            reading("throat th", "throat 6 7/32", PLACE, need(LENGTH, "throat", "throat"), FACE),
            reading(
                    "blade goes",
                    "blade 5/16",
                    need(LENGTH, "atLeast", "blade"),
                    new Argument(STRETCH_OR_WHOLE, "", "from–to, or the whole weld", false, "", Map.of())),
            indication(
                    "undersize us", "undersize", "us 12-14 9/32", STRETCH_NEEDED, need(LENGTH, "least", "least size")),
            indication(
                    "pore po porosity",
                    "porosity",
                    "pore 7.5 1/16 x3",
                    need(AT_OR_STRETCH, "", "at, or from–to"),
                    need(LENGTH, "diameter", "diameter"),
                    may(COUNT, "count", "x how many")),
            indication(
                    "crack ck",
                    "crack",
                    "crack 18 crater",
                    need(AT_OR_STRETCH, "", "at, or from–to"),
                    word(
                            "where",
                            Map.of(
                                    "weld", Map.of("where", "weld"),
                                    "crater", Map.of("where", "crater"),
                                    "toe", Map.of("where", "toe"),
                                    "base", Map.of("where", "base")))),
            indication(
                    "crater cr",
                    "crater",
                    "crater 24 1/32",
                    PLACE,
                    may(LENGTH, "depth", "depth"),
                    word("filled", Map.of("filled", Map.of("depth", "0")))),
            indication(
                    "overlap ol",
                    "overlap",
                    "ol b 4-6",
                    need(TOE, "toe", "toe"),
                    STRETCH_NEEDED,
                    may(LENGTH, "depth", "laps by")),
            reading(
                    "crown cw reinforcement",
                    "crown 12 1/16",
                    PLACE,
                    need(LENGTH, "reinforcement", "reinforcement"),
                    led("wide", "faceWidth", "face width"),
                    led("offset", "offset", "offset")),
            reading(
                    "root rt",
                    "root 12 1/32 wide 1/8",
                    PLACE,
                    need(LENGTH, "rootReinforcement", "height at the root"),
                    led("wide", "rootWidth", "root width")),
            reading(
                    "convexity cx",
                    "convexity 6 1/16 wide 3/8",
                    PLACE,
                    need(LENGTH, "convexity", "convexity"),
                    led("wide", "faceWidth", "face width")),
            reading("concavity cv", "concavity 6 1/32", PLACE, need(LENGTH, "concavity", "concavity")),
            indication("fusion if", "incomplete-fusion", "fusion 10-11", STRETCH_NEEDED),
            indication(
                    "slag sl",
                    "slag",
                    "slag 20-21 trapped",
                    STRETCH_NEEDED,
                    word(
                            "trapped or covering",
                            Map.of(
                                    "trapped", Map.of("trapped", "true"),
                                    "covering", Map.of("trapped", "false")))),
            indication(
                    "spatter sp",
                    "spatter",
                    "spatter 0-36 tight",
                    STRETCH_NEEDED,
                    word(
                            "tight or loose",
                            Map.of("tight", Map.of("loose", "false"), "loose", Map.of("loose", "true")))),
            indication(
                    "arc as",
                    "arc-strike",
                    "arc 3 dressed",
                    PLACE,
                    word(
                            "dressed, ground",
                            Map.of(
                                    "dressed", Map.of("ground", "true", "checked", "VT"),
                                    "ground", Map.of("ground", "true"))),
                    word(
                            "checked by",
                            Map.of(
                                    "vt", Map.of("checked", "VT"),
                                    "mt", Map.of("checked", "MT"),
                                    "pt", Map.of("checked", "PT")))),
            indication(
                    "underfill uf", "underfill", "underfill 4-5 1/32", STRETCH_NEEDED, may(LENGTH, "depth", "depth")),
            indication(
                    "penetration ip",
                    "incomplete-penetration",
                    "ip 4-5 1/32",
                    STRETCH_NEEDED,
                    may(LENGTH, "depth", "depth")),
            indication("melt mt", "melt-through", "melt 4-5 1/16", STRETCH_NEEDED, need(LENGTH, "depth", "height")),
            indication(
                    "hollow ho", "root-concavity", "hollow 4-5 1/32", STRETCH_NEEDED, need(LENGTH, "depth", "depth")),
            indication("burn bt", "burn-through", "burn 7", PLACE),
            indication(
                    "offset of misalignment",
                    "misalignment",
                    "offset 0-12 1/16",
                    STRETCH_NEEDED,
                    need(LENGTH, "offset", "offset")),
            indication("short", "short-weld", "short 1-1/2", need(LENGTH, "missing", "missing")));

    static Optional<Kind> find(String word) {
        return ALL.stream().filter(k -> k.words().contains(word)).findFirst();
    }

    /** Words that begin so, the kinds' own and the word that none was seen. */
    static List<String> beginning(String begin) {
        return Stream.concat(ALL.stream().map(Kind::word), Stream.of(EntryLine.NONE))
                .filter(w -> w.startsWith(begin))
                .toList();
    }
}
