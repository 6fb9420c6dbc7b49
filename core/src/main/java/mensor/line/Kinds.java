package mensor.line;

import static mensor.line.Argument.Shape.AT;
import static mensor.line.Argument.Shape.AT_OR_STRETCH;
import static mensor.line.Argument.Shape.COUNT;
import static mensor.line.Argument.Shape.LENGTH;
import static mensor.line.Argument.Shape.STRETCH;
import static mensor.line.Argument.Shape.STRETCH_OR_WHOLE;
import static mensor.line.Argument.Shape.TOE;
import static mensor.line.Argument.Shape.WORD;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.inspection.Entry;
import mensor.inspection.IndicationField;
import mensor.inspection.IndicationKind;

/** What can be recorded in one line: a kind's words, then its arguments in the order in which a hand chalks them. */
final class Kinds {
    private Kinds() {}

    /**
     * One kind.
     *
     * @param words the first is the one shown; the others are short for it
     * @param kind the indication's word in files; empty for a reading
     * @param example a line that puts one down
     */
    record Kind(Entry.Sort sort, List<String> words, String kind, List<Argument> arguments, String example) {
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

    private static Kind reading(String words, String example, Argument... arguments) {
        return new Kind(Entry.Sort.READING, List.of(words.split(" ")), "", List.of(arguments), example);
    }

    private static final Argument STRETCH_NEEDED = need(STRETCH, "", "from–to");
    private static final Argument PLACE = need(AT, "at", "at");

    private static final List<Kind> READINGS = List.of(
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
            reading("concavity cv", "concavity 6 1/32", PLACE, need(LENGTH, "concavity", "concavity")));

    /** What a hand chalks for short, where the description of the kind does not say it so. */
    private static final Map<IndicationKind, Map<String, Map<String, String>>> SHORT = Map.of(
            IndicationKind.CRATER, Map.of("filled", Map.of("depth", "0")),
            IndicationKind.ARC_STRIKE, Map.of("dressed", Map.of("ground", "true", "checked", "VT")));

    /** Readings and indications; the latter by their description. */
    static final List<Kind> ALL = Stream.concat(
                    READINGS.stream(), Stream.of(IndicationKind.values()).map(Kinds::described))
            .toList();

    private static Kind described(IndicationKind k) {
        List<Argument> arguments = new ArrayList<>();
        boolean two = k.fields().stream().filter(IndicationField::isMeasured).count() > 1;
        k.fields().stream().filter(Kinds::isToe).forEach(f -> arguments.add(argument(f, false)));
        place(k).ifPresent(arguments::add);
        k.fields().stream().filter(f -> !isToe(f)).forEach(f -> arguments.add(argument(f, two)));
        Map<String, Map<String, String>> shorter = SHORT.getOrDefault(k, Map.of());
        if (!shorter.isEmpty()) {
            arguments.add(word(String.join(", ", shorter.keySet()), shorter));
        }
        return new Kind(Entry.Sort.INDICATION, k.lineWords(), k.id(), List.copyOf(arguments), k.example());
    }

    private static boolean isToe(IndicationField f) {
        return f.shape() == IndicationField.Shape.TOE || f.shape() == IndicationField.Shape.TOE_OR_ROOT;
    }

    private static Optional<Argument> place(IndicationKind k) {
        return switch (k.placement()) {
            case AT -> Optional.of(PLACE);
            case AT_OR_NONE -> Optional.of(may(AT, "at", "at"));
            case STRETCH, STRETCH_BESIDE -> Optional.of(STRETCH_NEEDED);
            case AT_OR_STRETCH -> Optional.of(need(AT_OR_STRETCH, "", "at, or from–to"));
            case NONE -> Optional.empty();
        };
    }

    /** @param isOneOfTwo lengths that may be left out: each is led in by its own word */
    private static Argument argument(IndicationField f, boolean isOneOfTwo) {
        String title = f.label().toLowerCase(Locale.ROOT);
        return switch (f.shape()) {
            case TOE, TOE_OR_ROOT -> new Argument(TOE, f.name(), title, f.required(), "", Map.of());
            case DEPTH, SIZE, EXTENT ->
                new Argument(LENGTH, f.name(), title, f.required(), isOneOfTwo ? lastWord(title) : "", Map.of());
            case COUNT -> new Argument(COUNT, f.name(), "x " + title, f.required(), "", Map.of());
            case FLAG, WORD ->
                new Argument(
                        WORD,
                        "",
                        f.words().stream().map(IndicationField.Word::said).collect(Collectors.joining(" or ")),
                        f.required(),
                        "",
                        f.words().stream()
                                .collect(Collectors.toMap(
                                        w -> w.said().replace(' ', '-').toLowerCase(Locale.ROOT),
                                        w -> Map.of(f.name(), w.value()))));
        };
    }

    /** "thickness left" is led in by "left". */
    private static String lastWord(String title) {
        return title.substring(title.lastIndexOf(' ') + 1);
    }

    static Optional<Kind> find(String word) {
        return ALL.stream().filter(k -> k.words().contains(word)).findFirst();
    }

    /** Words that begin so, the kinds' own, that none was seen, and that it cannot be. */
    static List<String> beginning(String begin) {
        return Stream.concat(ALL.stream().map(Kind::word), Stream.of(EntryLine.NONE, EntryLine.COVER))
                .filter(w -> w.startsWith(begin))
                .toList();
    }
}
