package mensor.testpiece;

import java.util.Locale;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import mensor.weld.Named;

/** What may differ from one test piece to the next: the rod and how it was run, and how the piece was prepared. */
public enum PieceSetting implements Named {
    ROD("rod", "rod", Sort.WORD, ""),
    DIAMETER("diameter", "rod diameter", Sort.LENGTH, ""),
    AMPS("amps", "amps", Sort.NUMBER, "A"),
    POLARITY("polarity", "polarity", Sort.WORD, ""),
    ARC_LENGTH("arc-length", "arc length", Sort.WORD, ""),
    ARC_FORCE("arc-force", "arc force", Sort.WORD, ""),
    TECHNIQUE("technique", "beads", Sort.WORD, ""),
    PROGRESSION("progression", "vertical", Sort.WORD, ""),
    TRAVEL("travel", "travel", Sort.WORD, ""),
    WORK_ANGLE("work-angle", "work angle", Sort.NUMBER, "°"),
    TRAVEL_ANGLE("travel-angle", "travel angle", Sort.NUMBER, "°"),
    RESTART("restart", "restart", Sort.WORD, ""),
    POSITION("position", "position", Sort.WORD, ""),
    INCLINE("incline", "incline", Sort.NUMBER, "°"),
    THICKNESS("thickness", "thickness", Sort.LENGTH, ""),
    OUTSIDE("outside", "outside diameter", Sort.LENGTH, ""),
    LENGTH("length", "length", Sort.LENGTH, ""),
    SIZE("size", "fillet size", Sort.LENGTH, ""),
    BEVEL("bevel", "included angle", Sort.NUMBER, "°"),
    LAND("land", "land", Sort.LENGTH, ""),
    GAP("gap", "gap", Sort.LENGTH, ""),
    BACKING("backing", "backing", Sort.WORD, "");

    private enum Sort {
        WORD,
        NUMBER,
        LENGTH
    }

    private final String id;
    private final String title;
    private final Sort sort;
    private final String symbol;

    PieceSetting(String id, String title, Sort sort, String symbol) {
        this.id = id;
        this.title = title;
        this.sort = sort;
        this.symbol = symbol;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    /** It is of the rod, the machine or the hand, not of how the piece was prepared. */
    public boolean isOfWelding() {
        return ordinal() <= RESTART.ordinal();
    }

    /** Why a text cannot be a value of it; empty where it can. */
    public Optional<String> problem(String text, Unit unit) {
        try {
            switch (sort) {
                case LENGTH -> {
                    if (!length(text, unit).isPositive() && this != GAP && this != LAND) {
                        return Optional.of("must be over zero, got " + text);
                    }
                    if (length(text, unit).isNegative()) {
                        return Optional.of("cannot be below zero, got " + text);
                    }
                }
                case NUMBER -> Double.parseDouble(text.strip());
                case WORD -> {
                    // any word of the shop's
                }
            }
        } catch (LengthFormatException e) {
            return Optional.of(e.getMessage());
        } catch (NumberFormatException e) {
            return Optional.of("a number is required, got \"" + text + "\"");
        }
        return Optional.empty();
    }

    private static Length length(String text, Unit unit) {
        return Length.parse(text, unit);
    }

    /** Whether two values come to the same: 1/8 and .125, "E7018" and "e7018". */
    boolean isSame(String a, Unit ofA, String b, Unit ofB) {
        return switch (sort) {
            case WORD -> a.strip().equalsIgnoreCase(b.strip());
            case NUMBER -> Double.parseDouble(a.strip()) == Double.parseDouble(b.strip());
            case LENGTH -> length(a, ofA).compareTo(length(b, ofB)) == 0;
        };
    }

    /** Whether a value has not come yet to where a change led: of a number on the way it went, of a word another. */
    boolean isShortOf(String value, Unit unit, SettingChange change) {
        if (sort != Sort.NUMBER) {
            return !shown(value, unit).equalsIgnoreCase(change.to());
        }
        double to = number(change.to());
        double now = number(value);
        return to < number(change.from()) ? now > to : now < to;
    }

    private double number(String shown) {
        return Double.parseDouble((symbol.isEmpty() ? shown : shown.replace(symbol, "")).strip());
    }

    /** {@code 120 A}. */
    public String shown(String value, Unit unit) {
        return switch (sort) {
            case WORD -> value.strip();
            case NUMBER -> value.strip() + (symbol.equals("°") ? symbol : " " + symbol);
            case LENGTH -> length(value, unit).shownWithUnit();
        };
    }

    /** As it begins a sentence. */
    String capital() {
        return title.substring(0, 1).toUpperCase(Locale.ROOT) + title.substring(1);
    }
}
