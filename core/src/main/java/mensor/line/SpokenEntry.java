package mensor.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import mensor.line.Kinds.Kind;
import mensor.line.SpokenLine.Written;
import mensor.line.SpokenNumbers.Said;
import mensor.weld.Joint;
import mensor.weld.Toe;

/** The words around a kind, taken one argument after the other in the order in which a hand chalks them. */
final class SpokenEntry {
    private static final Pattern RANGE = Pattern.compile("\\d[\\d/.]*(?:-|–|\\.\\.)\\d[\\d/.-]*|[\\d:]+-[\\d:]+");

    private final Joint joint;
    private final Kind kind;
    private final List<Said> left;
    private final List<String> also;
    private final List<Said> deeper = new ArrayList<>();
    private boolean over;
    private int before;
    private boolean spoken;

    SpokenEntry(Joint joint, Kind kind, List<Said> left, int before, List<String> also, boolean spoken) {
        this.joint = joint;
        this.spoken = spoken;
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
                String why = LineMatcher.isHeight(w.text()) && has(Argument.Shape.TOE)
                        ? "which member stands or lies above is not said at set-up: a or b?"
                        : "\"" + w.text() + "\" is not understood here";
                return SpokenLine.stuck(w, why, spoken);
            }
            spoken = true;
        }
        Optional<Written> wrong = addDeeper(line);
        return wrong.orElseGet(() -> new Written(Optional.of(String.join(" ", line)), Optional.empty(), "", spoken));
    }

    private boolean has(Argument.Shape shape) {
        return kind.arguments().stream().anyMatch(a -> a.shape() == shape);
    }

    /** "… over one thirty-second from eleven to twelve" at the end of an undercut. */
    private void cutDeeper() {
        for (int i = 0; i < left.size(); i++) {
            if (left.get(i).text().equals("over") && kind.kind().equals("undercut")) {
                over = true;
                deeper.addAll(left.subList(i + 1, left.size()));
                left.subList(i, left.size()).clear();
                left.removeIf(w -> w.text().equals("most") || w.text().equals("up"));
                return;
            }
        }
    }

    private Optional<Written> addDeeper(List<String> line) {
        if (!over) {
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
                .map(w -> SpokenLine.stuck(w, "\"" + w.text() + "\" is not understood here", spoken));
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
                if (SpokenWords.begins(left, i, name) && !name.isEmpty()) {
                    drop(i, name.split(" ").length);
                    spoken = true;
                    return t.id().toLowerCase(Locale.ROOT);
                }
            }
        }
        for (int i = 0; i < left.size(); i++) {
            Optional<Toe> byHeight = LineMatcher.toeByHeight(joint, left.get(i).text());
            if (byHeight.isPresent()) {
                drop(i, 1);
                spoken = true;
                return byHeight.get().id().toLowerCase(Locale.ROOT);
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
                boolean names = SpokenWords.begins(left, i, name)
                        || !left.get(i).number() && left.get(i).text().equalsIgnoreCase(t.id());
                int n = SpokenWords.begins(left, i, name) ? name.split(" ").length : 1;
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
                    if (SpokenWords.begins(left, i, whole)) {
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
            boolean three = i + 2 < left.size() && w.number() && left.get(i + 2).number();
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
                if (SpokenWords.begins(left, i, phrase)) {
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
