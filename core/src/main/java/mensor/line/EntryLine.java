package mensor.line;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mensor.inspection.Criterion;
import mensor.inspection.Entry;
import mensor.line.Kinds.Kind;
import mensor.weld.Joint;
import mensor.weld.Named;

/**
 * What a hand would chalk on the plate, in one line: {@code uc a 12-14 1/32}, {@code leg 6 5/16 1/4}, {@code none crack overlap}.
 * A kind, then its arguments apart by spaces. A length is one word ({@code 1-1/8}); two words are joined to one
 * ({@code 1 1/8}) only where the line cannot be read otherwise. A line that begins with a place or a toe repeats the kind before
 * it. What cannot be seen is put down by {@code cover undercut 4-6 by UT 114}. The order of preference is fixed, so that a line always means the same. What a tablet's dictation writes ("undercut web toe
 * twelve to fourteen one thirty-second deep") is put into such a line first.
 */
public final class EntryLine {
    static final String NONE = "none";
    static final String COVER = "cover";
    private static final Set<String> COVERS = Set.of(COVER, "covered", "hidden");

    private final Joint joint;

    public EntryLine(Joint joint) {
        this.joint = joint;
    }

    /** One entry, in the fields of the inspection format, as typed. */
    public record TypedEntry(Entry.Sort sort, Map<String, String> fields) {}

    /**
     * What became of a line.
     *
     * @param puts what it records; empty where it is not understood, or not finished
     * @param kind the kind's word, to be repeated by the next line; empty where there is none yet
     * @param problem what is wrong, in the trade's words; absent where nothing is
     * @param from where the problem begins in the line
     * @param to where it ends
     * @param expects what may come next
     * @param completions words that may stand where the line ends
     * @param readAs of what was said: the line that a hand would chalk
     */
    public record Parse(
            List<TypedEntry> entries,
            String kind,
            Optional<String> problem,
            int from,
            int to,
            List<String> expects,
            List<String> completions,
            Optional<String> readAs) {
        Parse(
                List<TypedEntry> entries,
                String kind,
                Optional<String> problem,
                int from,
                int to,
                List<String> expects,
                List<String> completions) {
            this(entries, kind, problem, from, to, expects, completions, Optional.empty());
        }

        /** Of a line that was said: places in the chalked one are none in what was said. */
        private Parse as(String written, int end) {
            return new Parse(
                    entries,
                    kind,
                    problem,
                    0,
                    problem.isPresent() ? end : 0,
                    expects,
                    completions,
                    Optional.of(written));
        }

        public boolean isWhole() {
            return !entries.isEmpty() && problem.isEmpty();
        }
    }

    /**
     * Reads what is chalked, and what is said where it is not chalked so.
     *
     * @param before the kind of the line before, or empty
     */
    public Parse read(String line, String before) {
        Parse chalked = chalked(line, before);
        if (chalked.isWhole()
                || chalked.problem().isEmpty() && !chalked.completions().isEmpty()) {
            return chalked;
        }
        Optional<Parse> heard = heard(line, before, false);
        if (heard.isEmpty() || heard.get().isWhole()) {
            return heard.orElse(chalked);
        }
        return heard(line, before, true).filter(Parse::isWhole).orElseGet(heard::get);
    }

    /** Empty where nothing in the line is said rather than chalked, and what it says is not whole. */
    private Optional<Parse> heard(String line, String before, boolean apart) {
        return SpokenLine.of(line, joint, apart).flatMap(said -> {
            Parse p = said.written()
                    .map(w -> chalked(w + " ", before).as(w, line.length()))
                    .orElseGet(() -> wrong(before, said.stuck().orElseThrow(), said.problem()));
            return p.isWhole() || said.spoken() ? Optional.of(p) : Optional.empty();
        });
    }

    private Parse chalked(String line, String before) {
        List<Token> tokens = tokens(line);
        if (tokens.isEmpty()) {
            return open(before, List.of("a kind"), Kinds.beginning(""));
        }
        Token first = tokens.get(0);
        boolean typing = tokens.size() == 1 && !line.endsWith(" ");
        if (first.text().equals(NONE)) {
            return none(tokens, before);
        }
        if (COVERS.contains(first.text()) && !typing) {
            return new CoverLine(joint, line, tokens).read(before);
        }
        Optional<Kind> kind = Kinds.find(first.text());
        if (kind.isPresent() && !(typing && isStillTyped(first.text()))) {
            return of(kind.get(), tokens.subList(1, tokens.size()));
        }
        Optional<Kind> repeated = Kinds.find(before);
        if (repeated.isPresent()
                && (isLengthLike(first.text())
                        || LineMatcher.toe(joint, first.text()).isPresent())) {
            return of(repeated.get(), tokens);
        }
        List<String> begun = Kinds.beginning(first.text());
        if (typing && !begun.isEmpty()) {
            return open(before, List.of("a kind"), begun);
        }
        return wrong(before, first, "\"" + first.text() + "\" is no kind that is known here; ? shows them all");
    }

    private static boolean isStillTyped(String word) {
        return Kinds.beginning(word).stream().anyMatch(w -> !w.equals(word));
    }

    private static boolean isLengthLike(String text) {
        return text.matches("[-.]?\\d.*");
    }

    private static List<Token> tokens(String line) {
        List<Token> tokens = new ArrayList<>();
        var words = java.util.regex.Pattern.compile("[^\\s,;]+").matcher(line.toLowerCase(Locale.ROOT));
        while (words.find()) {
            tokens.add(new Token(words.group(), words.start(), words.end()));
        }
        return tokens;
    }

    static Parse open(String kind, List<String> expects, List<String> completions) {
        return new Parse(List.of(), kind, Optional.empty(), 0, 0, expects, completions);
    }

    static Parse wrong(String kind, Token at, String problem) {
        return new Parse(List.of(), kind, Optional.of(problem), at.from(), at.to(), List.of(), List.of());
    }

    private Parse none(List<Token> tokens, String before) {
        List<TypedEntry> entries = new ArrayList<>();
        List<String> left = new ArrayList<>();
        for (Criterion c : Criterion.values()) {
            if (c.clearable()) {
                left.add(c.id());
            }
        }
        for (Token t : tokens.subList(1, tokens.size())) {
            Optional<Criterion> c = Named.find(Criterion.class, t.text()).filter(Criterion::clearable);
            if (c.isEmpty()) {
                List<String> begun =
                        left.stream().filter(l -> l.startsWith(t.text())).toList();
                return begun.isEmpty()
                        ? wrong(before, t, "\"" + t.text() + "\" is no criterion that an inspection can clear")
                        : open(before, List.of("a criterion"), begun);
            }
            left.remove(t.text());
            entries.add(new TypedEntry(Entry.Sort.CLEAR, Map.of("criterion", t.text())));
        }
        return new Parse(entries, before, Optional.empty(), 0, 0, List.of("a criterion that was looked for"), left);
    }

    private Parse of(Kind kind, List<Token> tokens) {
        LineReading best = null;
        for (LineReading r : new LineMatcher(joint, kind, tokens).readings()) {
            if (best == null || r.isBetterThan(best)) {
                best = r;
            }
        }
        LineReading read = best;
        if (read.stuck() != null) {
            return wrong(kind.word(), read.stuck(), read.problem());
        }
        List<String> expects = read.next().stream().map(Argument::title).toList();
        List<String> completions = completions(read.next());
        if (read.next().stream().anyMatch(Argument::needed)) {
            return open(kind.word(), expects, completions);
        }
        Map<String, String> fields = new LinkedHashMap<>(read.fields());
        boolean wholeWeld = kind.arguments().stream().anyMatch(a -> a.shape() == Argument.Shape.STRETCH_OR_WHOLE);
        if (wholeWeld && !fields.containsKey("from")) {
            fields.put("from", "0");
            fields.put("to", joint.length().toString());
        }
        return new Parse(entries(kind, fields), kind.word(), Optional.empty(), 0, 0, expects, completions);
    }

    /** The kinds that a line can recorded, with a line for each, for the card that shows them. */
    public static List<Card> card() {
        return Kinds.ALL.stream()
                .map(k -> new Card(
                        k.words(), k.arguments().stream().map(Argument::onCard).toList(), k.example()))
                .toList();
    }

    /** One kind on the card: its words, what follows them (in brackets what may be left out), a line as an example. */
    public record Card(List<String> words, List<String> follows, String example) {}

    private List<String> completions(List<Argument> next) {
        List<String> words = new ArrayList<>();
        for (Argument a : next) {
            switch (a.shape()) {
                case TOE -> words.addAll(List.of("a", "b"));
                case WORD -> words.addAll(a.words().keySet().stream().sorted().toList());
                default -> {
                    if (!a.leadIn().isEmpty()) {
                        words.add(a.leadIn());
                    }
                }
            }
            if (a.needed()) {
                break;
            }
        }
        return words;
    }

    /** "At most 1/16, over 1/32 only from–to" is two stretches: the shallow one all along, the deep one where it is deep. */
    private static List<TypedEntry> entries(Kind kind, Map<String, String> fields) {
        Map<String, String> whole = new LinkedHashMap<>();
        if (!kind.kind().isEmpty()) {
            whole.put("kind", kind.kind());
        }
        fields.forEach((f, v) -> {
            if (!f.startsWith("over.")) {
                whole.put(f, v);
            }
        });
        Entry.Sort sort = kind.sort();
        if (!fields.containsKey("over.depth")) {
            return List.of(new TypedEntry(sort, whole));
        }
        Map<String, String> deep = new LinkedHashMap<>(whole);
        deep.put("from", fields.get("over.from"));
        deep.put("to", fields.get("over.to"));
        whole.put("depth", fields.get("over.depth"));
        return List.of(new TypedEntry(sort, whole), new TypedEntry(sort, deep));
    }
}
