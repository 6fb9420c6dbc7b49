package mensor.line;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import mensor.inspection.Criterion;
import mensor.inspection.Entry;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.line.Kinds.Kind;
import mensor.weld.Joint;
import mensor.weld.Named;
import mensor.weld.Toe;

/**
 * What a hand would chalk on the plate, in one line: {@code uc a 12-14 1/32}, {@code leg 6 5/16 1/4}, {@code none crack overlap}.
 * A kind, then its arguments apart by spaces. A length is one word ({@code 1-1/8}); two words are joined to one
 * ({@code 1 1/8}) only where the line cannot be read otherwise. A line that begins with a place or a toe repeats the kind before
 * it. The order of preference is fixed, so that a line always means the same.
 */
public final class EntryLine {
    static final String NONE = "none";

    private final Joint joint;

    public EntryLine(Joint joint) {
        this.joint = joint;
    }

    /** One entry, in the fields of the inspection format, as typed. */
    public record TypedEntry(Entry.Sort sort, Map<String, String> fields) {}

    /**
     * What became of a line.
     *
     * @param puts what it puts down; empty where it is not understood, or not finished
     * @param kind the kind's word, to be repeated by the next line; empty where there is none yet
     * @param problem what is wrong, in the trade's words; absent where nothing is
     * @param from where the problem begins in the line
     * @param to where it ends
     * @param expects what may come next
     * @param completions words that may stand where the line ends
     */
    public record Parse(
            List<TypedEntry> entries,
            String kind,
            Optional<String> problem,
            int from,
            int to,
            List<String> expects,
            List<String> completions) {
        public boolean isWhole() {
            return !entries.isEmpty() && problem.isEmpty();
        }
    }

    /** A word and its place in the line. */
    private record Token(String text, int from, int to) {
        boolean isFraction() {
            return text.matches("\\d+/\\d+");
        }
    }

    /** @param before the kind of the line before, or empty */
    public Parse read(String line, String before) {
        List<Token> tokens = tokens(line);
        if (tokens.isEmpty()) {
            return open(before, List.of("a kind"), Kinds.beginning(""));
        }
        Token first = tokens.get(0);
        boolean typing = tokens.size() == 1 && !line.endsWith(" ");
        if (first.text().equals(NONE)) {
            return none(tokens, before);
        }
        Optional<Kind> kind = Kinds.find(first.text());
        if (kind.isPresent() && !(typing && isStillTyped(first.text()))) {
            return of(kind.get(), tokens.subList(1, tokens.size()));
        }
        Optional<Kind> repeated = Kinds.find(before);
        if (repeated.isPresent()
                && (isLengthLike(first.text()) || toe(first.text()).isPresent())) {
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

    private static Parse open(String kind, List<String> expects, List<String> completions) {
        return new Parse(List.of(), kind, Optional.empty(), 0, 0, expects, completions);
    }

    private static Parse wrong(String kind, Token at, String problem) {
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
        Reading best = null;
        for (Reading r : new Matcher(kind, tokens).readings()) {
            if (best == null || r.isBetterThan(best)) {
                best = r;
            }
        }
        Reading read = best;
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

    /** The kinds that a line can put down, with a line for each, for the card that shows them. */
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

    /**
     * One way to read the words.
     *
     * @param used how many of them
     * @param joined how many lengths were made of two words
     * @param next the arguments that may still come
     * @param stuck the word that fits nowhere; null where all fit
     */
    private record Reading(
            Map<String, String> fields, int used, int joined, List<Argument> next, Token stuck, String problem) {
        boolean isBetterThan(Reading other) {
            boolean whole = stuck == null && next.stream().noneMatch(Argument::needed);
            boolean otherWhole = other.stuck == null && other.next.stream().noneMatch(Argument::needed);
            if (whole != otherWhole) {
                return whole;
            }
            if ((stuck == null) != (other.stuck == null)) {
                return stuck == null;
            }
            return used != other.used ? used > other.used : joined < other.joined;
        }
    }

    /** Tries the arguments in their order; what is optional may be left out, a length may take two words. */
    private final class Matcher {
        private final Kind kind;
        private final List<Token> tokens;
        private final List<Reading> readings = new ArrayList<>();

        Matcher(Kind kind, List<Token> tokens) {
            this.kind = kind;
            this.tokens = tokens;
            go(0, 0, new LinkedHashMap<>(), 0);
        }

        List<Reading> readings() {
            return readings;
        }

        private void go(int argument, int token, Map<String, String> fields, int joined) {
            List<Argument> rest =
                    kind.arguments().subList(argument, kind.arguments().size());
            if (token == tokens.size()) {
                readings.add(new Reading(fields, token, joined, rest, null, ""));
                return;
            }
            if (over(token, fields, joined)) {
                return;
            }
            if (rest.isEmpty()) {
                Token t = tokens.get(token);
                readings.add(new Reading(fields, token, joined, rest, t, "\"" + t.text() + "\" is one word too many"));
                return;
            }
            Argument a = rest.get(0);
            String why = take(a, argument, token, fields, joined);
            if (!a.needed()) {
                go(argument + 1, token, fields, joined);
            } else if (why != null) {
                readings.add(new Reading(fields, token, joined, rest, tokens.get(token), why));
            }
        }

        /** Reads {@code over 1/32 11-12} at the end of an undercut. */
        private boolean over(int token, Map<String, String> fields, int joined) {
            boolean here = tokens.get(token).text().equals("over") && fields.containsKey("depth");
            if (!here || !kind.kind().equals("undercut")) {
                return false;
            }
            Map<String, String> more = new LinkedHashMap<>(fields);
            if (tokens.size() - token < 3) {
                Argument shallow = new Argument(Argument.Shape.LENGTH, "", "the depth all along", true, "", Map.of());
                Argument where =
                        new Argument(Argument.Shape.STRETCH, "", "where it is deeper, from–to", true, "", Map.of());
                readings.add(new Reading(
                        fields,
                        tokens.size(),
                        joined,
                        tokens.size() - token == 1 ? List.of(shallow, where) : List.of(where),
                        null,
                        ""));
                return true;
            }
            Token depth = tokens.get(token + 1);
            Token where = tokens.get(token + 2);
            Optional<String[]> stretch = stretch(where.text());
            if (length(depth.text()).isEmpty() || stretch.isEmpty() || tokens.size() - token > 3) {
                Token at = length(depth.text()).isEmpty() ? depth : where;
                readings.add(new Reading(
                        fields,
                        token,
                        joined,
                        List.of(),
                        at,
                        "after over come the depth all along and where it is deeper: over 1/32 11-12"));
                return true;
            }
            more.put("over.depth", depth.text());
            more.put("over.from", stretch.get()[0]);
            more.put("over.to", stretch.get()[1]);
            readings.add(new Reading(more, tokens.size(), joined, List.of(), null, ""));
            return true;
        }

        /** Takes the argument where the word is one, and goes on; answers why it is none, or null. */
        private String take(Argument a, int argument, int token, Map<String, String> fields, int joined) {
            Token t = tokens.get(token);
            Token second = token + 1 < tokens.size() ? tokens.get(token + 1) : null;
            switch (a.shape()) {
                case TOE -> {
                    Optional<String> toe = toe(t.text());
                    if (toe.isEmpty()) {
                        return "which toe? a (" + joint.toeName(Toe.A) + ") or b (" + joint.toeName(Toe.B) + ")";
                    }
                    next(argument, token + 1, fields, joined, Map.of(a.field(), toe.get()));
                }
                case WORD -> {
                    Map<String, String> stands = a.words().get(t.text());
                    if (stands == null) {
                        return "one of "
                                + String.join(
                                        ", ",
                                        a.words().keySet().stream().sorted().toList()) + " is required";
                    }
                    next(argument, token + 1, fields, joined, stands);
                }
                case COUNT -> {
                    String count = t.text().replaceFirst("^[x×]", "").replaceFirst("[x×]$", "");
                    if (count.equals(t.text()) || !count.matches("[1-9]\\d{0,5}")) {
                        return "how many, as x3";
                    }
                    next(argument, token + 1, fields, joined, Map.of(a.field(), count));
                }
                case LENGTH -> {
                    if (!a.leadIn().isEmpty()) {
                        return led(a, argument, token, fields, joined);
                    }
                    return lengths(a, argument, token, fields, joined);
                }
                case AT -> {
                    return lengths(a, argument, token, fields, joined);
                }
                default -> {
                    return place(a, argument, token, fields, joined, t, second);
                }
            }
            return null;
        }

        private void next(int argument, int token, Map<String, String> fields, int joined, Map<String, String> more) {
            Map<String, String> with = new LinkedHashMap<>(fields);
            with.putAll(more);
            go(argument + 1, token, with, joined);
        }

        private String led(Argument a, int argument, int token, Map<String, String> fields, int joined) {
            if (!tokens.get(token).text().equals(a.leadIn())) {
                return a.leadIn() + " and a length";
            }
            if (token + 1 == tokens.size()) {
                readings.add(new Reading(
                        fields,
                        token + 1,
                        joined,
                        List.of(new Argument(Argument.Shape.LENGTH, a.field(), a.title(), true, "", Map.of())),
                        null,
                        ""));
                return null;
            }
            String why = lengths(a, argument, token + 1, fields, joined);
            if (why != null) {
                readings.add(new Reading(fields, token + 1, joined, List.of(), tokens.get(token + 1), why));
            }
            return null;
        }

        /** A length of one word, and of two where the second is a fraction. */
        private String lengths(Argument a, int argument, int token, Map<String, String> fields, int joined) {
            Token t = tokens.get(token);
            Optional<String> one = length(t.text());
            one.ifPresent(l -> next(argument, token + 1, fields, joined, Map.of(a.field(), l)));
            boolean two = token + 1 < tokens.size()
                    && t.text().matches("\\d+")
                    && tokens.get(token + 1).isFraction();
            if (two) {
                String text = t.text() + " " + tokens.get(token + 1).text();
                length(text).ifPresent(l -> next(argument, token + 2, fields, joined + 1, Map.of(a.field(), l)));
            }
            return one.isPresent() ? null : a.title() + ": " + notALength(t.text());
        }

        private String place(
                Argument a, int argument, int token, Map<String, String> fields, int joined, Token t, Token second) {
            Optional<String[]> stretch = stretch(t.text());
            boolean mayBeAt = a.shape() == Argument.Shape.AT_OR_STRETCH;
            stretch.ifPresent(s -> next(argument, token + 1, fields, joined, Map.of("from", s[0], "to", s[1])));
            boolean any = stretch.isPresent();
            if (second != null && second.isFraction() && t.text().matches(".*\\d")) {
                Optional<String[]> longer = stretch(t.text() + " " + second.text());
                longer.ifPresent(s -> next(argument, token + 2, fields, joined + 1, Map.of("from", s[0], "to", s[1])));
            }
            if (token + 2 < tokens.size() && second.text().equals("to")) {
                Optional<String> from = length(t.text());
                Optional<String> to = length(tokens.get(token + 2).text());
                if (from.isPresent() && to.isPresent()) {
                    next(argument, token + 3, fields, joined, Map.of("from", from.get(), "to", to.get()));
                    return null;
                }
            }
            if (mayBeAt && stretch.isEmpty()) {
                String why = lengths(
                        new Argument(Argument.Shape.AT, "at", a.title(), true, "", Map.of()),
                        argument,
                        token,
                        fields,
                        joined);
                return why;
            }
            if (a.shape() == Argument.Shape.STRETCH_OR_WHOLE && !any) {
                return t.text().equals("all") ? whole(argument, token, fields, joined) : a.title();
            }
            if (!any && length(t.text()).isPresent()) {
                return "from where to where? as " + t.text() + "-" + further(t.text());
            }
            return any ? null : a.title() + ": " + notALength(t.text());
        }

        private String whole(int argument, int token, Map<String, String> fields, int joined) {
            next(argument, token + 1, fields, joined, Map.of());
            return null;
        }
    }

    private String further(String from) {
        return length(from)
                .map(f -> Length.parse(f, joint.length().unit())
                        .plus(Length.inches(1).in(joint.length().unit()))
                        .shown())
                .orElse("");
    }

    private Optional<String> toe(String word) {
        for (Toe toe : Toe.values()) {
            String name = joint.toeName(toe).toLowerCase(Locale.ROOT).replace(" toe", "");
            if (word.equalsIgnoreCase(toe.id()) || word.equals(name)) {
                return Optional.of(toe.id());
            }
        }
        return Optional.empty();
    }

    /** The text, if it is a length. */
    private Optional<String> length(String text) {
        try {
            Length.parse(text, joint.length().unit());
            return Optional.of(text);
        } catch (LengthFormatException e) {
            return Optional.empty();
        }
    }

    private String notALength(String text) {
        try {
            Length.parse(text, joint.length().unit());
            return "";
        } catch (LengthFormatException e) {
            return e.getMessage();
        }
    }

    /**
     * {@code 12-14}, {@code 12..14}. A dash may also stand in a length (12-1/4): the stretch is the way to cut it into two
     * lengths of which the second lies further on; on a closed weld {@code ..} says a stretch that passes the datum.
     */
    private Optional<String[]> stretch(String text) {
        int dots = text.indexOf("..");
        if (dots > 0) {
            Optional<String> from = length(text.substring(0, dots));
            Optional<String> to = length(text.substring(dots + 2));
            return from.isPresent() && to.isPresent()
                    ? Optional.of(new String[] {from.get(), to.get()})
                    : Optional.empty();
        }
        String dashed = text.replace('–', '-');
        for (int i = dashed.indexOf('-', 1); i > 0; i = dashed.indexOf('-', i + 1)) {
            Optional<String> from = length(dashed.substring(0, i));
            Optional<String> to = length(dashed.substring(i + 1));
            if (from.isPresent() && to.isPresent()) {
                Length a = Length.parse(from.get(), joint.length().unit());
                Length b = Length.parse(to.get(), joint.length().unit());
                if (a.isUnder(b)) {
                    return Optional.of(new String[] {from.get(), to.get()});
                }
            }
        }
        return Optional.empty();
    }
}
