package mensor.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import mensor.line.Kinds.Kind;
import mensor.line.SpokenNumbers.Said;
import mensor.weld.Joint;
import mensor.weld.Toe;

/**
 * What is said to a tablet's dictation, as the line that a hand would chalk: "undercut web toe twelve to fourteen one thirty-second
 * deep" is {@code uc a 12..14 1/32}. Every word is used, or is one of those that say nothing by themselves; a word that is not known
 * stops it, so that no "not", "about" or "maybe" is passed over.
 */
final class SpokenLine {
    private static final Pattern WORD = Pattern.compile("[^\\s,;!?]+|[,;]");
    private static final Pattern RANGE = Pattern.compile("\\d[\\d/.]*(?:-|–|\\.\\.)\\d[\\d/.-]*|[\\d:]+-[\\d:]+");

    private final Joint joint;
    private final List<Said> said;
    private boolean spoken;

    private SpokenLine(Joint joint, List<Said> said) {
        this.joint = joint;
        this.said = said;
        this.spoken = said.stream().anyMatch(Said::spoken);
    }

    /**
     * What became of what was said.
     *
     * @param written as the hand would chalk it; absent where a word stands in the way
     * @param stuck that word
     * @param spoken something in it is said rather than chalked
     */
    record Written(Optional<String> written, Optional<Token> stuck, String problem, boolean spoken) {}

    /**
     * Empty where neither a kind nor a "none seen" is in it.
     *
     * @param apart "five point three" is a place and a size, not one number
     */
    static Optional<Written> of(String line, Joint joint, boolean apart) {
        SpokenLine s = new SpokenLine(
                joint, SpokenNumbers.of(words(line), joint.length().unit(), apart));
        if (s.said.stream().anyMatch(w -> SpokenWords.NONE.contains(w.text()))) {
            return Optional.of(s.none());
        }
        return s.record();
    }

    private static List<Token> words(String line) {
        List<Token> words = new ArrayList<>();
        var found = WORD.matcher(line.toLowerCase(Locale.ROOT));
        while (found.find()) {
            String w = found.group().replaceFirst("[.:]+$", "");
            int from = found.start();
            // "thirty-second", "melt-through": a hyphen between letters joins two words
            for (String part : w.matches("[a-z]+(-[a-z]+)+") ? w.split("-") : new String[] {w}) {
                if (!part.isEmpty()) {
                    words.add(new Token(part, from, from + part.length()));
                }
                from += part.length() + 1;
            }
        }
        return words;
    }

    private static Written stuck(Said at, String problem, boolean spoken) {
        return new Written(Optional.empty(), Optional.of(new Token(at.text(), at.from(), at.to())), problem, spoken);
    }

    /** Which phrase begins at a word, and how many words it has. */
    private record Found(String means, int at, int words) {}

    private static Optional<Found> phrase(List<Said> words, int at, Map<String, String> phrases) {
        for (Map.Entry<String, String> p : phrases.entrySet()) {
            if (begins(words, at, p.getKey())) {
                return Optional.of(new Found(p.getValue(), at, p.getKey().split(" ").length));
            }
        }
        return Optional.empty();
    }

    private static boolean begins(List<Said> words, int at, String phrase) {
        String[] parts = phrase.split(" ");
        if (at + parts.length > words.size()) {
            return false;
        }
        for (int i = 0; i < parts.length; i++) {
            Said w = words.get(at + i);
            if (w.number() || !w.text().equals(parts[i])) {
                return false;
            }
        }
        return true;
    }

    /** "None seen: cracks and overlap", "no cracks, no overlap", "cracks and overlap none seen"; what was seen is said by itself. */
    private Written none() {
        List<String> criteria = new ArrayList<>();
        List<Integer> named = new ArrayList<>();
        int i = 0;
        while (i < said.size()) {
            Said w = said.get(i);
            Optional<Found> c = phrase(said, i, SpokenWords.CRITERIA);
            if (c.isPresent()) {
                criteria.add(c.get().means());
                named.add(i);
                i += c.get().words();
                continue;
            }
            if (w.number()) {
                return stuck(
                        w, "none seen is said of the whole weld; what was seen at a place is a line of its own", true);
            }
            if (!SpokenWords.BESIDE_NONE.contains(w.text()) && !SpokenWords.NONE.contains(w.text())) {
                return stuck(w, "\"" + w.text() + "\" is no criterion that an inspection can clear", true);
            }
            i++;
        }
        if (criteria.isEmpty()) {
            return new Written(Optional.of("none"), Optional.empty(), "", true);
        }
        Optional<Said> doubtful = doubtful(named);
        if (doubtful.isPresent()) {
            return stuck(doubtful.get(), "what of these was seen? say none first, or last, of all that was not", true);
        }
        return new Written(
                Optional.of(
                        "none " + String.join(" ", criteria.stream().distinct().toList())),
                Optional.empty(),
                "",
                true);
    }

    /**
     * The word that leaves open which criteria are meant: "crack, none seen overlap", "cracks seen, overlap none seen", "no overlap, cracks
     * seen". A "seen" stands right after the none, or closes what "or" joins; else it could say that something was seen.
     *
     * @param named where the criteria are
     */
    private Optional<Said> doubtful(List<Integer> named) {
        int last = named.get(named.size() - 1);
        boolean begins = IntStream.range(0, named.get(0)).anyMatch(i -> isOf(SpokenWords.NONE, i));
        boolean ends = IntStream.range(last, said.size()).anyMatch(i -> isOf(SpokenWords.NONE, i));
        if (!begins && !ends) {
            return IntStream.range(0, said.size())
                    .filter(i -> isOf(SpokenWords.NONE, i))
                    .mapToObj(said::get)
                    .findFirst();
        }
        boolean alone = true; // the last criterion stands alone after its none, or an "or" joins it to those before
        boolean any = false;
        boolean seen = false;
        for (int i = 0; i < said.size(); i++) {
            boolean afterNone = i > 0 && isOf(SpokenWords.NONE, i - 1);
            if (isOf(SpokenWords.NONE, i)) {
                if (seen && !begins) {
                    return Optional.of(said.get(i)); // what stands before it was seen
                }
                any = false;
                seen = false;
            } else if (named.contains(i)) {
                if (seen && any && !isOf(SpokenWords.OR, i - 1)) {
                    return Optional.of(said.get(i));
                }
                alone = !any || isOf(SpokenWords.OR, i - 1);
                any = true;
                seen &= !begins;
            } else if (isOf(SpokenWords.SEEN, i) && !afterNone) {
                seen = true;
                if (begins && any && !alone) {
                    return Optional.of(said.get(i));
                }
            }
        }
        return Optional.empty();
    }

    private boolean isOf(Set<String> words, int i) {
        return words.contains(said.get(i).text());
    }

    private Optional<Written> record() {
        Optional<Found> best = Optional.empty();
        for (int i = 0; i < said.size() && best.isEmpty(); i++) {
            best = phrase(said, i, SpokenWords.KINDS);
        }
        if (best.isEmpty()) {
            return Optional.empty();
        }
        Found found = best.get();
        String[] means = found.means().split(" ");
        Kind kind = Kinds.find(means[0]).orElseThrow();
        spoken |= found.words() > 1
                || found.at() > 0
                || !kind.words().contains(said.get(found.at()).text());
        List<Said> left = new ArrayList<>(said.subList(0, found.at()));
        int before = left.size();
        left.addAll(said.subList(found.at() + found.words(), said.size()));
        List<String> also = new ArrayList<>(List.of(means).subList(1, means.length));
        return Optional.of(new Arranged(kind, left, before, also).written());
    }

    /** The words around a kind, taken one argument after the other in the order in which a hand chalks them. */
    private final class Arranged {
        private final Kind kind;
        private final List<Said> left;
        private final List<String> also;
        private final List<Said> deeper = new ArrayList<>();
        private int before;

        Arranged(Kind kind, List<Said> left, int before, List<String> also) {
            this.kind = kind;
            this.left = left;
            this.before = before;
            this.also = also;
        }

        Written written() {
            cutDeeper();
            List<String> line = new ArrayList<>(List.of(kind.word()));
            String toe = has(Argument.Shape.TOE) ? toe() : "";
            String count = has(Argument.Shape.COUNT) ? count() : "";
            orderLegs();
            String place = place();
            for (Argument a : kind.arguments()) {
                String word = switch (a.shape()) {
                    case TOE -> toe;
                    case COUNT -> count;
                    case AT, STRETCH, AT_OR_STRETCH, STRETCH_OR_WHOLE -> place;
                    case WORD -> word(a);
                    case LENGTH -> a.leadIn().isEmpty() ? number() : led(a);
                };
                if (!word.isEmpty()) {
                    line.add(word);
                }
            }
            for (Said w : left) {
                if (w.number() || !SpokenWords.FILLERS.contains(w.text())) {
                    return stuck(w, "\"" + w.text() + "\" is not understood here", spoken);
                }
                spoken = true;
            }
            Optional<Written> wrong = addDeeper(line);
            return wrong.orElseGet(
                    () -> new Written(Optional.of(String.join(" ", line)), Optional.empty(), "", spoken));
        }

        private boolean has(Argument.Shape shape) {
            return kind.arguments().stream().anyMatch(a -> a.shape() == shape);
        }

        /** "… over one thirty-second from eleven to twelve" at the end of an undercut. */
        private void cutDeeper() {
            for (int i = 0; i < left.size(); i++) {
                if (left.get(i).text().equals("over") && kind.kind().equals("undercut")) {
                    deeper.addAll(left.subList(i + 1, left.size()));
                    left.subList(i, left.size()).clear();
                    left.removeIf(w -> w.text().equals("most") || w.text().equals("up"));
                    return;
                }
            }
        }

        private Optional<Written> addDeeper(List<String> line) {
            if (deeper.isEmpty()) {
                return Optional.empty();
            }
            left.addAll(deeper);
            String where = range();
            line.add("over");
            line.add(number());
            line.add(where);
            return left.stream()
                    .filter(w -> w.number() || !SpokenWords.FILLERS.contains(w.text()))
                    .findFirst()
                    .map(w -> stuck(w, "\"" + w.text() + "\" is not understood here", spoken));
        }

        private void drop(int at, int words) {
            left.subList(at, at + words).clear();
            if (at < before) {
                before -= words;
            }
        }

        /** "web toe", "toe a", "on the flange"; a letter alone where it stands first after the kind. */
        private String toe() {
            for (Toe t : Toe.values()) {
                String name = joint.toeName(t).toLowerCase(Locale.ROOT).replace(" toe", "");
                for (int i = 0; i < left.size(); i++) {
                    if (begins(left, i, name) && !name.isEmpty()) {
                        drop(i, name.split(" ").length);
                        spoken = true;
                        return t.id().toLowerCase(Locale.ROOT);
                    }
                }
            }
            for (int i = 0; i < left.size(); i++) {
                String w = left.get(i).text();
                boolean letter = w.equals("a") || w.equals("b") || w.equals("root");
                boolean said = i > 0 && left.get(i - 1).text().equals("toe")
                        || i + 1 < left.size() && left.get(i + 1).text().equals("toe")
                        || i == before;
                if (letter && said) {
                    drop(i, 1);
                    return w;
                }
            }
            return "";
        }

        /** "three pores", "times three", "x3". */
        private String count() {
            for (int i = 0; i < left.size(); i++) {
                String w = left.get(i).text();
                if (w.matches("x\\d+|\\d+x")) {
                    drop(i, 1);
                    return w;
                }
                boolean times = w.equals("times") && i + 1 < left.size() && isCount(left.get(i + 1));
                boolean of = isCount(left.get(i))
                        && i + 2 < left.size()
                        && left.get(i + 1).text().equals("of")
                        && left.get(i + 2).text().equals("them");
                if (times || of) {
                    String n = left.get(times ? i + 1 : i).text();
                    drop(i, times ? 2 : 3);
                    return "x" + n;
                }
            }
            if (before > 0 && isCount(left.get(before - 1))) {
                String n = left.get(before - 1).text();
                drop(before - 1, 1);
                spoken = true;
                return n.equals("1") ? "" : "x" + n;
            }
            return "";
        }

        private boolean isCount(Said w) {
            return w.number() && w.text().matches("[1-9]\\d{0,2}");
        }

        /** "Web leg five sixteenths, flange leg a quarter": in the order of the members, whatever was said first. */
        private void orderLegs() {
            if (!kind.word().equals("leg")) {
                return;
            }
            List<Said> ordered = new ArrayList<>();
            int first = left.size();
            for (Toe t : List.of(Toe.A, Toe.B)) {
                if (t == Toe.B && ordered.isEmpty()) {
                    break; // the second leg alone has no place in a line: its name stays, and stops it
                }
                String name = joint.toeName(t).toLowerCase(Locale.ROOT).replace(" toe", "");
                for (int i = 0; i < left.size(); i++) {
                    boolean names = begins(left, i, name)
                            || !left.get(i).number() && left.get(i).text().equalsIgnoreCase(t.id());
                    int n = begins(left, i, name) ? name.split(" ").length : 1;
                    int to = i + n;
                    while (to < left.size()
                            && List.of("leg", "toe", "side", "is", "of")
                                    .contains(left.get(to).text())) {
                        to++;
                    }
                    if (names && to < left.size() && left.get(to).number()) {
                        ordered.add(left.get(to));
                        drop(i, to + 1 - i);
                        first = Math.min(first, i);
                        spoken = true;
                        break;
                    }
                }
            }
            left.removeIf(w -> w.text().equals("leg"));
            left.addAll(Math.min(first, left.size()), ordered);
        }

        private String place() {
            boolean none = kind.arguments().stream()
                    .noneMatch(a -> List.of(
                                    Argument.Shape.AT,
                                    Argument.Shape.STRETCH,
                                    Argument.Shape.AT_OR_STRETCH,
                                    Argument.Shape.STRETCH_OR_WHOLE)
                            .contains(a.shape()));
            if (none) {
                return "";
            }
            if (!has(Argument.Shape.AT)) {
                String range = range();
                if (!range.isEmpty()) {
                    return range;
                }
                for (String whole : SpokenWords.WHOLE) {
                    for (int i = 0; i < left.size(); i++) {
                        if (begins(left, i, whole)) {
                            drop(i, whole.split(" ").length);
                            spoken = true;
                            return has(Argument.Shape.STRETCH_OR_WHOLE)
                                    ? ""
                                    : "0.." + joint.length().shown().replace(' ', '-');
                        }
                    }
                }
            }
            if (has(Argument.Shape.STRETCH_OR_WHOLE)) {
                return "";
            }
            for (int i = 0; i + 1 < left.size(); i++) {
                if (List.of("at", "place", "station").contains(left.get(i).text())) {
                    int n = i + 1;
                    while (n < left.size()
                            && List.of("the", "place", "station")
                                    .contains(left.get(n).text())) {
                        n++;
                    }
                    if (n < left.size() && isPlace(left.get(n))) {
                        String at = left.get(n).text();
                        spoken = true;
                        drop(i, n + 1 - i);
                        return at;
                    }
                }
            }
            for (int i = 0; i < left.size(); i++) {
                if (isPlace(left.get(i))) {
                    String at = left.get(i).text();
                    drop(i, 1);
                    return at;
                }
            }
            return "";
        }

        private boolean isPlace(Said w) {
            return w.number() || w.text().matches("\\d{1,2}:\\d\\d");
        }

        /** "twelve to fourteen", "from 12 through 14", "between 12 and 14", 12-14. */
        private String range() {
            for (int i = 0; i < left.size(); i++) {
                Said w = left.get(i);
                if (!w.number() && RANGE.matcher(w.text()).matches()) {
                    drop(i, 1);
                    return w.text();
                }
                boolean three =
                        i + 2 < left.size() && w.number() && left.get(i + 2).number();
                if (!three) {
                    continue;
                }
                boolean between = i > 0 && left.get(i - 1).text().equals("between");
                String middle = left.get(i + 1).text();
                if (SpokenWords.UP_TO.contains(middle) || between && middle.equals("and")) {
                    String range = w.text() + ".." + left.get(i + 2).text();
                    drop(between ? i - 1 : i, between ? 4 : 3);
                    spoken = true;
                    return range;
                }
            }
            return "";
        }

        private String number() {
            for (int i = 0; i < left.size(); i++) {
                boolean led = i > 0 && isLeadIn(left.get(i - 1).text());
                boolean follows = i + 1 < left.size()
                        && isLeadIn(left.get(i + 1).text())
                        && !(i + 2 < left.size() && left.get(i + 2).number());
                if (left.get(i).number() && !led && !follows) {
                    String n = left.get(i).text();
                    drop(i, 1);
                    return n;
                }
            }
            return "";
        }

        private boolean isLeadIn(String word) {
            return kind.arguments().stream()
                    .anyMatch(a -> !a.leadIn().isEmpty() && a.leadIn().equals(word));
        }

        /** "wide three eighths", "three eighths wide". */
        private String led(Argument a) {
            for (int i = 0; i < left.size(); i++) {
                if (!left.get(i).text().equals(a.leadIn())) {
                    continue;
                }
                int from = i;
                while (i + 1 < left.size()
                        && List.of("of", "is").contains(left.get(i + 1).text())) {
                    i++;
                }
                boolean after = i + 1 < left.size() && left.get(i + 1).number();
                boolean ahead = from > 0 && left.get(from - 1).number();
                if (after || ahead) {
                    String n = left.get(after ? i + 1 : from - 1).text();
                    spoken |= !after;
                    drop(after ? from : from - 1, after ? i + 2 - from : 2);
                    return a.leadIn() + " " + n;
                }
            }
            return "";
        }

        /** One of the argument's words; "not ground" is two that are one. */
        private String word(Argument a) {
            List<String> keys = a.words().keySet().stream()
                    .sorted((x, y) -> y.length() - x.length())
                    .toList();
            for (String key : keys) {
                if (also.remove(key)) {
                    return key;
                }
                String phrase = key.replace('-', ' ');
                for (int i = 0; i < left.size(); i++) {
                    if (begins(left, i, phrase)) {
                        drop(i, phrase.split(" ").length);
                        return key;
                    }
                    if (left.get(i).text().equals(key)) {
                        drop(i, 1);
                        return key;
                    }
                }
            }
            return "";
        }
    }
}
