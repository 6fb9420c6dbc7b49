package mensor.weld;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;

/**
 * How far a member leans or a line bows, over zero toward the side welded first: an offset over a length, or for a lean its angle.
 *
 * @param ratio offset over length
 * @param shown as it was typed
 */
public record Lean(double ratio, String shown) {
    private static final Pattern DEGREES = Pattern.compile("([+-]?\\d+(?:[.,]\\d+)?)\\s*(?:°|deg)?");
    private static final Pattern OVER = Pattern.compile("(.+?)\\s+over\\s+(.+)");
    /** Beyond this a member no longer leans, it lies down. */
    private static final double MOST_DEGREES = 45;

    /** {@code 1.5}, {@code -2°} or {@code 1/16 over 3}. */
    public static Lean angle(String field, String text, Unit unit) {
        Optional<Lean> over = over(text, unit);
        if (over.isPresent()) {
            return over.get();
        }
        Matcher m = DEGREES.matcher(text.strip());
        if (!m.matches()) {
            throw new InvalidField(
                    field,
                    "degrees off square or an offset over a length, as 1.5 or 1/16 over 3, got \"" + text + "\"");
        }
        double degrees = Double.parseDouble(m.group(1).replace(',', '.'));
        if (Math.abs(degrees) > MOST_DEGREES) {
            throw new InvalidField(field, "over " + Range.plain(MOST_DEGREES) + "° off square");
        }
        return new Lean(Math.tan(Math.toRadians(degrees)), Range.plain(degrees) + "°");
    }

    /** {@code 1/8 over 36}; an offset alone is over the whole length. */
    public static Lean bow(String field, String text, Length whole, Unit unit) {
        return over(text, unit)
                .or(() -> offset(text, unit).map(o -> of(o, whole)))
                .orElseThrow(
                        () -> new InvalidField(field, "an offset over a length, as 1/8 over 36, got \"" + text + "\""));
    }

    private static Optional<Lean> over(String text, Unit unit) {
        Matcher m = OVER.matcher(text.strip());
        if (!m.matches()) {
            return Optional.empty();
        }
        return offset(m.group(1), unit)
                .flatMap(o -> offset(m.group(2), unit)
                        .filter(l -> l.isOver(Length.zero(unit)))
                        .map(l -> of(o, l)));
    }

    private static Lean of(Length offset, Length over) {
        return new Lean(
                offset.approximateNanometres() / over.approximateNanometres(),
                offset.shownWithUnit() + " over " + over.shownWithUnit());
    }

    private static Optional<Length> offset(String text, Unit unit) {
        try {
            return Optional.of(Length.parse(text.strip(), unit));
        } catch (LengthFormatException e) {
            return Optional.empty();
        }
    }

    public double degrees() {
        return Math.toDegrees(Math.atan(ratio));
    }

    /** Further than is allowed, either way; the same typed twice is not. */
    boolean isOver(Lean allowed) {
        return Math.abs(ratio) > Math.abs(allowed.ratio) + 1e-9;
    }
}
