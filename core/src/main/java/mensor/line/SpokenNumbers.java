package mensor.line;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mensor.length.Unit;

/**
 * Numbers as they are said and as a tablet's dictation writes them, as one word each: "one thirty-second" is 1/32, "six and a
 * half" 6-1/2, "point oh three" .03, "three millimeters" 3mm on a weld in inches. Two numbers beside each other stay two: "six five
 * sixteenths" is a place and a size.
 */
final class SpokenNumbers {
    /** A word of the line, or several that are one number. */
    record Said(String text, boolean number, boolean spoken, int from, int to) {}

    private static final List<String> UNITS = List.of(
            "zero",
            "one",
            "two",
            "three",
            "four",
            "five",
            "six",
            "seven",
            "eight",
            "nine",
            "ten",
            "eleven",
            "twelve",
            "thirteen",
            "fourteen",
            "fifteen",
            "sixteen",
            "seventeen",
            "eighteen",
            "nineteen");
    private static final List<String> TENS =
            List.of("twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety");
    private static final Map<String, Integer> PARTS = Map.ofEntries(
            Map.entry("half", 2),
            Map.entry("halves", 2),
            Map.entry("quarter", 4),
            Map.entry("quarters", 4),
            Map.entry("fourth", 4),
            Map.entry("fourths", 4),
            Map.entry("eighth", 8),
            Map.entry("eighths", 8),
            Map.entry("sixteenth", 16),
            Map.entry("sixteenths", 16),
            Map.entry("16th", 16),
            Map.entry("16ths", 16),
            Map.entry("8th", 8),
            Map.entry("8ths", 8),
            Map.entry("32nd", 32),
            Map.entry("32nds", 32),
            Map.entry("64th", 64),
            Map.entry("64ths", 64));
    private static final Map<String, Integer> DECIMALS = Map.of(
            "tenth", 1, "tenths", 1, "hundredth", 2, "hundredths", 2, "thousandth", 3, "thousandths", 3, "thou", 3);
    private static final Map<Character, String> SIGNS =
            Map.of('½', "1/2", '¼', "1/4", '¾', "3/4", '⅛', "1/8", '⅜', "3/8", '⅝', "5/8", '⅞', "7/8");
    private static final Pattern FRACTION = Pattern.compile("(\\d+/\\d+)(?:th|ths|nd|nds|rd|rds)?");
    private static final Set<String> PAUSES = Set.of(",", ";"); // between numbers: what is before and after are two
    private static final Pattern PLAIN = Pattern.compile("\\d+");
    private static final Pattern DECIMAL = Pattern.compile("\\d*\\.\\d+");

    private final List<Token> words;
    private final Unit unit;
    private final boolean apart;
    private final List<Said> said = new ArrayList<>();
    private int at;

    private SpokenNumbers(List<Token> words, Unit unit, boolean apart) {
        this.words = words;
        this.unit = unit;
        this.apart = apart;
    }

    /** @param apart "five point three" is a place and a size, not one number */
    static List<Said> of(List<Token> words, Unit unit, boolean apart) {
        SpokenNumbers n = new SpokenNumbers(words, unit, apart);
        while (n.at < words.size()) {
            n.step();
        }
        n.said.removeIf(w -> PAUSES.contains(w.text()));
        return n.said;
    }

    private void step() {
        int begun = at;
        if (isHalfHundred()) {
            Token first = words.get(at);
            Token second = words.get(at + 1);
            said.add(new Said(first.text() + " " + second.text(), false, true, first.from(), second.to()));
            at += 2;
            return;
        }
        Optional<String> number = number();
        if (number.isEmpty()) {
            at = begun + 1;
            Token w = words.get(begun);
            said.add(new Said(w.text(), false, false, w.from(), w.to()));
            return;
        }
        String written = number.get() + unit();
        boolean asSaid = at - begun > 1 || !written.equals(words.get(begun).text());
        said.add(new Said(
                written,
                true,
                asSaid,
                words.get(begun).from(),
                words.get(at - 1).to()));
    }

    /** "One twenty" may be 120, or 1 and 20: nobody can tell. */
    private boolean isHalfHundred() {
        int first = UNITS.indexOf(word(0));
        boolean large = TENS.contains(word(1)) && part(1).isEmpty() || UNITS.indexOf(word(1)) >= 10;
        return first >= 1 && first < 10 && large;
    }

    private String word(int ahead) {
        return at + ahead < words.size() ? words.get(at + ahead).text() : "";
    }

    private Optional<String> number() {
        if (SIGNS.containsKey(last(word(0)))
                && word(0).length() > 1
                && PLAIN.matcher(cut(word(0))).matches()) {
            String whole = cut(word(0)) + "-" + SIGNS.get(last(word(0)));
            at++;
            return Optional.of(whole);
        }
        Optional<String> part = fraction();
        if (part.isPresent()) {
            return part;
        }
        int begun = at;
        Optional<String> whole = whole();
        if (whole.isEmpty()) {
            return point("");
        }
        boolean oneWord = at - begun == 1;
        Optional<String> decimal = apart && oneWord ? Optional.empty() : point(whole.get());
        return decimal.isPresent() ? decimal : Optional.of(mixed(whole.get()));
    }

    private static char last(String word) {
        return word.isEmpty() ? ' ' : word.charAt(word.length() - 1);
    }

    private static String cut(String word) {
        return word.substring(0, word.length() - 1);
    }

    /** "six and a half", "six inches and a half". */
    private String mixed(String whole) {
        int begun = at;
        if (isInch(word(0)) && word(1).equals("and")) {
            at++;
        }
        if (word(0).equals("and") && PLAIN.matcher(whole).matches()) {
            at++;
            Optional<String> part = fraction().filter(f -> f.contains("/"));
            if (part.isPresent()) {
                return whole + "-" + part.get();
            }
        }
        at = begun;
        return whole;
    }

    /** "five sixteenths", "a quarter", "half an inch", "5/16ths", "½", "thirty one thousandths". */
    private Optional<String> fraction() {
        int begun = at;
        Matcher written = FRACTION.matcher(word(0));
        if (written.matches()) {
            at++;
            return Optional.of(written.group(1));
        }
        if (word(0).length() == 1 && SIGNS.containsKey(word(0).charAt(0))) {
            at++;
            return Optional.of(SIGNS.get(words.get(begun).text().charAt(0)));
        }
        String counted;
        if (word(0).equals("half")) {
            at++;
            skipArticle();
            return Optional.of("1/2");
        }
        if ((word(0).equals("a") || word(0).equals("an")) && part(1).isPresent()) {
            at++;
            counted = "1";
        } else {
            Optional<String> count = whole();
            if (count.isEmpty()) {
                at = begun;
                return Optional.empty();
            }
            counted = count.get();
        }
        // "six half a millimeter" is a place and a size
        Optional<Part> part = part(0).filter(p -> counted1(counted) || !word(0).equals("half"));
        if (part.isEmpty()) {
            at = begun;
            return Optional.empty();
        }
        at += part.get().words();
        if (word(0).equals("of")) {
            at++;
            skipArticle();
        } else if (isInch(word(1))) {
            skipArticle(); // three quarters inch, a sixteenth of an inch
        }
        return Optional.of(
                part.get().decimal()
                        ? new BigDecimal(counted)
                                .movePointLeft(part.get().value())
                                .toPlainString()
                        : counted + "/" + part.get().value());
    }

    private static boolean counted1(String count) {
        return count.equals("1");
    }

    private void skipArticle() {
        if (word(0).equals("a") || word(0).equals("an")) {
            at++;
        }
    }

    /** What a count is of. */
    private record Part(int value, boolean decimal, int words) {}

    private Optional<Part> part(int ahead) {
        String w = word(ahead);
        String next = word(ahead + 1);
        if (w.equals("thirty") && List.of("second", "seconds", "2nd", "2nds").contains(next)) {
            return Optional.of(new Part(32, false, 2));
        }
        if (w.equals("sixty") && List.of("fourth", "fourths").contains(next)) {
            return Optional.of(new Part(64, false, 2));
        }
        if (PARTS.containsKey(w)) {
            return Optional.of(new Part(PARTS.get(w), false, 1));
        }
        return DECIMALS.containsKey(w) ? Optional.of(new Part(DECIMALS.get(w), true, 1)) : Optional.empty();
    }

    /** "point oh three one", "2 point 4". */
    private Optional<String> point(String whole) {
        if (DECIMAL.matcher(word(0)).matches() && whole.isEmpty()) {
            return Optional.of(words.get(at++).text());
        }
        if (!word(0).equals("point")) {
            return Optional.empty();
        }
        int begun = at++;
        StringBuilder digits = new StringBuilder();
        while (true) {
            String w = word(0);
            int unit = UNITS.indexOf(w);
            if (w.equals("oh") || w.equals("o")) {
                digits.append(0);
            } else if (unit >= 0 && unit < 10) {
                digits.append(unit);
            } else if (PLAIN.matcher(w).matches()) {
                digits.append(w);
            } else {
                break;
            }
            at++;
        }
        if (digits.isEmpty()) {
            at = begun;
            return Optional.empty();
        }
        return Optional.of(whole + "." + digits);
    }

    /** "twenty four", "a hundred and twelve", 24. */
    private Optional<String> whole() {
        if (PLAIN.matcher(word(0)).matches()) {
            return Optional.of(words.get(at++).text());
        }
        int begun = at;
        int value = 0;
        boolean any = false;
        if (word(1).equals("hundred") && (word(0).equals("a") || UNITS.indexOf(word(0)) > 0)) {
            value = 100 * Math.max(1, UNITS.indexOf(word(0)));
            at += 2;
            any = true;
            if (word(0).equals("and") && (TENS.contains(word(1)) || UNITS.contains(word(1)))) {
                at++;
            }
        }
        // "one thirty second" is a count and a part, not one hundred and thirty
        if (TENS.contains(word(0)) && part(0).isEmpty()) {
            value += 10 * (TENS.indexOf(word(0)) + 2);
            at++;
            any = true;
            int unit = UNITS.indexOf(word(0));
            if (unit > 0 && unit < 10 && !belongsToPart(value + unit)) {
                value += unit;
                at++;
            }
        } else if (UNITS.contains(word(0))) {
            value += UNITS.indexOf(word(0));
            at++;
            any = true;
        }
        if (!any) {
            at = begun;
            return Optional.empty();
        }
        return Optional.of(String.valueOf(value));
    }

    /** "Twenty five sixteenths" is 20 and 5/16, "twenty one thirty second" 20 and 1/32; "twenty one thirty seconds" is 21/32. */
    private boolean belongsToPart(int together) {
        Optional<Part> part = part(1).filter(p -> !p.decimal());
        return part.isPresent()
                && (together >= part.get().value() || !word(part.get().words()).endsWith("s"));
    }

    private static boolean isInch(String word) {
        return word.equals("inch") || word.equals("inches");
    }

    /** The unit that is said, where it is not the weld's own. */
    private String unit() {
        if (isInch(word(0)) || word(0).equals("in") && !word(1).isEmpty() && word(1).matches("[a-z]+")) {
            at++;
            return unit == Unit.INCH ? "" : "in";
        }
        if (List.of("mm", "millimeter", "millimeters", "millimetre", "millimetres")
                .contains(word(0))) {
            at++;
            return unit == Unit.INCH ? "mm" : "";
        }
        return "";
    }
}
