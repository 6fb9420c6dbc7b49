package mensor.line;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Span;
import mensor.line.Kinds.Kind;
import mensor.weld.ClockFace;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.Toe;

/** Tries the arguments in their order; what is optional may be left out, a length may take two words. */
final class LineMatcher {
    private static final Set<String> ABOVE = Set.of("top", "upper");
    private static final Set<String> BELOW = Set.of("bottom", "lower");

    private final Joint joint;
    private final Kind kind;
    private final List<Token> tokens;
    private final List<LineReading> readings = new ArrayList<>();

    LineMatcher(Joint joint, Kind kind, List<Token> tokens) {
        this.joint = joint;
        this.kind = kind;
        this.tokens = tokens;
        go(0, 0, new LinkedHashMap<>(), 0);
    }

    List<LineReading> readings() {
        return readings;
    }

    private void go(int argument, int token, Map<String, String> fields, int joined) {
        List<Argument> rest =
                kind.arguments().subList(argument, kind.arguments().size());
        if (token == tokens.size()) {
            readings.add(new LineReading(fields, token, joined, rest, null, ""));
            return;
        }
        if (over(token, fields, joined)) {
            return;
        }
        if (rest.isEmpty()) {
            Token t = tokens.get(token);
            readings.add(new LineReading(fields, token, joined, rest, t, "\"" + t.text() + "\" is one word too many"));
            return;
        }
        Argument a = rest.get(0);
        String why = take(a, argument, token, fields, joined);
        if (!a.needed()) {
            go(argument + 1, token, fields, joined);
        } else if (why != null) {
            readings.add(new LineReading(fields, token, joined, rest, tokens.get(token), why));
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
            readings.add(new LineReading(
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
            readings.add(new LineReading(
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
        readings.add(new LineReading(more, tokens.size(), joined, List.of(), null, ""));
        return true;
    }

    /** Takes the argument where the word is one, and goes on; answers why it is none, or null. */
    private String take(Argument a, int argument, int token, Map<String, String> fields, int joined) {
        Token t = tokens.get(token);
        Token second = token + 1 < tokens.size() ? tokens.get(token + 1) : null;
        switch (a.shape()) {
            case TOE -> {
                Optional<String> toe = toe(joint, t.text());
                if (toe.isEmpty()) {
                    return (isHeight(t.text()) ? "which member is above is not said at set-up" : "which toe") + "? a ("
                            + joint.toeName(Toe.A) + ") or b (" + joint.toeName(Toe.B) + ")";
                }
                next(argument, token + 1, fields, joined, Map.of(a.field(), toe.get()));
            }
            case WORD -> {
                Map<String, String> stands = a.words().get(t.text());
                if (stands == null) {
                    return "one of "
                            + String.join(
                                    ", ", a.words().keySet().stream().sorted().toList()) + " is required";
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
            readings.add(new LineReading(
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
            readings.add(new LineReading(fields, token + 1, joined, List.of(), tokens.get(token + 1), why));
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

    private String further(String from) {
        return length(from)
                .map(f -> Length.parse(f, joint.length().unit())
                        .plus(Length.inches(1).in(joint.length().unit()))
                        .shown())
                .orElse("");
    }

    /** The ends of a stretch, where the word is one. */
    static Optional<String[]> stretch(Joint joint, String word) {
        return new LineMatcher(joint, Kinds.ALL.get(0), List.of()).stretch(word);
    }

    /** The toe that the word names: A, B, root, or its member's name. */
    static Optional<String> toe(Joint joint, String word) {
        for (Toe toe : Toe.values()) {
            String name = joint.toeName(toe).toLowerCase(Locale.ROOT).replace(" toe", "");
            if (word.equalsIgnoreCase(toe.id()) || word.equals(name)) {
                return Optional.of(toe.id());
            }
        }
        return toeByHeight(joint, word).map(Toe::id);
    }

    /** The toe of the member above or below, where the joint says which that is. */
    static Optional<Toe> toeByHeight(Joint joint, String word) {
        Toe other = joint.upper().filter(t -> t == Toe.A).isPresent() ? Toe.B : Toe.A;
        return ABOVE.contains(word)
                ? joint.upper()
                : BELOW.contains(word) ? joint.upper().map(t -> other) : Optional.empty();
    }

    static boolean isHeight(String word) {
        return ABOVE.contains(word) || BELOW.contains(word);
    }

    /** The text, if it is a length. */
    private Optional<String> length(String text) {
        if (ClockFace.isTime(text) && joint.clock().isPresent()) {
            return Optional.of(joint.clock().get().place(text).shown().replace(' ', '-'));
        }
        try {
            Length.parse(text, joint.length().unit());
            return Optional.of(text);
        } catch (LengthFormatException e) {
            return Optional.empty();
        }
    }

    private String notALength(String text) {
        if (ClockFace.isTime(text)) {
            return joint.clock().isPresent()
                    ? ""
                    : text + " is a time of the clock; at set-up say that the weld runs around a round member";
        }
        try {
            Length.parse(text, joint.length().unit());
            return "";
        } catch (LengthFormatException e) {
            return e.getMessage();
        }
    }

    private static String[] ends(Span span) {
        return new String[] {span.from().shown(), span.to().shown()};
    }

    /** {@code 4:30-5} on a weld around a round member. */
    private static Optional<String[]> range(ClockFace clock, String text) {
        try {
            return clock.range(text).map(LineMatcher::ends);
        } catch (InvalidField e) {
            return Optional.empty();
        }
    }

    /**
     * {@code 12-14}, {@code 12..14}. A dash may also stand in a length (12-1/4): the stretch is the way to cut it into two
     * lengths of which the second lies further on; on a closed weld {@code ..} says a stretch that passes the datum.
     */
    private Optional<String[]> stretch(String text) {
        if (text.indexOf(':') > 0) {
            return joint.clock().flatMap(c -> range(c, text));
        }
        if (ClockFace.isPart(text)) {
            return joint.clock().flatMap(c -> c.part(text)).map(LineMatcher::ends);
        }
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
