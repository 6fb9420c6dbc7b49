package mensor.length;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * An exact length, with the unit it was read in.
 *
 * <p>Inside it is a whole number of nanometres where it can be (1/64 in is 396,875 nm), else an exact fraction of one
 * (1/3 in). Comparing looks at the length alone; {@code equals} also looks at the unit, as {@link BigDecimal} looks at
 * its scale. {@link #toString} reads back through {@link #parse}.
 */
public final class Length implements Comparable<Length> {
    private static final Pattern GRAMMAR =
            Pattern.compile("(-?)(?:(?:([0-9]+)[ -])?([0-9]+)/([0-9]+)|([0-9]+(?:\\.[0-9]+)?|\\.[0-9]+)) *(in|\"|mm)?");
    private static final BigDecimal LONGEST_NANOMETRES = BigDecimal.valueOf(1_000_000_000_000L);
    private static final int LARGEST_DENOMINATOR = 1000;
    private static final long SIXTY_FOURTH = 396_875L;

    private final long nanometres;
    private final BigFraction exact; // null where the length is whole nanometres
    private final Unit unit;

    private Length(long nanometres, BigFraction exact, Unit unit) {
        this.nanometres = nanometres;
        this.exact = exact;
        this.unit = Objects.requireNonNull(unit);
    }

    /** A whole number of nanometres, to be shown in the given unit. */
    public static Length ofNanometres(long nanometres, Unit unit) {
        return new Length(nanometres, null, unit);
    }

    /** An exact fraction of nanometres; throws {@link ArithmeticException} past the range of a long. */
    public static Length ofNanometres(BigFraction nanometres, Unit unit) {
        BigFraction f = nanometres.getDenominator().signum() < 0
                ? BigFraction.of(
                        nanometres.getNumerator().negate(),
                        nanometres.getDenominator().negate())
                : nanometres;
        if (f.getDenominator().equals(BigInteger.ONE)) {
            return new Length(f.getNumerator().longValueExact(), null, unit);
        }
        return new Length(0, f, unit);
    }

    /** A whole number of inches. */
    public static Length inches(long whole) {
        return ofNanometres(Math.multiplyExact(whole, Unit.INCH.nanometres()), Unit.INCH);
    }

    /** A fraction of an inch, for example {@code inches(1, 32)}. */
    public static Length inches(long numerator, long denominator) {
        return ofNanometres(BigFraction.of(numerator, denominator).multiply(Unit.INCH.nanometres()), Unit.INCH);
    }

    /** Millimetres, written as decimals, for example {@code millimetres("2.5")}. */
    public static Length millimetres(String decimal) {
        return parse(decimal, Unit.MILLIMETRE);
    }

    public static Length zero(Unit unit) {
        return new Length(0, null, unit);
    }

    /**
     * Reads a length as a gauge shows it: {@code 1/32}, {@code 1 1/8}, {@code 1-1/8}, {@code .03}, {@code 2.4mm}.
     *
     * @param bareUnit the unit of a text that names none
     * @throws LengthFormatException if it is no length, its denominator is not 1 to 1,000, or it is over 1 km
     */
    public static Length parse(String text, Unit bareUnit) {
        String trimmed = trimSpaces(text);
        Matcher m = GRAMMAR.matcher(trimmed);
        if (!m.matches()) {
            throw new LengthFormatException(
                    quoted(text) + " is not a length; write it as the gauge shows it: 1/32, 1 1/8, .03 or 2.4mm");
        }
        Unit unit = m.group(6) == null ? bareUnit : m.group(6).equals("mm") ? Unit.MILLIMETRE : Unit.INCH;
        Length plain = m.group(5) != null ? plainDecimal(m.group(5), unit) : plainFraction(m, unit);
        if (plain != null) {
            return m.group(1).isEmpty() ? plain : plain.negate();
        }
        BigFraction value = m.group(5) != null ? decimal(m.group(5)) : fraction(text, m);
        BigFraction nm = value.multiply(BigInteger.valueOf(unit.nanometres()));
        if (nm.compareTo(BigFraction.of(LONGEST_NANOMETRES.toBigInteger())) > 0) {
            throw new LengthFormatException(quoted(text) + " is over 1 km; no weld is that long");
        }
        return ofNanometres(m.group(1).isEmpty() ? nm : nm.negate(), unit);
    }

    /** Few digits that come to whole nanometres, as nearly every typed length does; null for any other. */
    private static Length plainDecimal(String digits, Unit unit) {
        int point = digits.indexOf('.');
        if (digits.length() > 10) {
            return null;
        }
        int places = point < 0 ? 0 : digits.length() - point - 1;
        long unscaled = Long.parseLong(point < 0 ? digits : digits.substring(0, point) + digits.substring(point + 1));
        return wholeNanometres(unscaled, (long) Math.pow(10, places), unit);
    }

    private static Length plainFraction(Matcher m, Unit unit) {
        String whole = m.group(2) == null ? "0" : m.group(2);
        if (whole.length() > 5 || m.group(3).length() > 5 || m.group(4).length() > 4) {
            return null;
        }
        long denominator = Long.parseLong(m.group(4));
        if (denominator == 0 || denominator > LARGEST_DENOMINATOR) {
            return null; // said where fractions are read at length
        }
        return wholeNanometres(Long.parseLong(whole) * denominator + Long.parseLong(m.group(3)), denominator, unit);
    }

    private static Length wholeNanometres(long numerator, long denominator, Unit unit) {
        long scaled = Math.multiplyExact(numerator, unit.nanometres());
        long nanometres = scaled / denominator;
        boolean plain = scaled % denominator == 0 && nanometres <= LONGEST_NANOMETRES.longValueExact();
        return plain ? new Length(nanometres, null, unit) : null;
    }

    private static BigFraction fraction(String text, Matcher m) {
        BigInteger denominator = new BigInteger(m.group(4));
        if (denominator.signum() == 0 || denominator.compareTo(BigInteger.valueOf(LARGEST_DENOMINATOR)) > 0) {
            throw new LengthFormatException(
                    quoted(text) + " has the denominator " + m.group(4) + "; 1 to 1,000 can be read");
        }
        BigFraction part = BigFraction.of(new BigInteger(m.group(3)), denominator);
        return m.group(2) == null ? part : part.add(new BigInteger(m.group(2)));
    }

    private static BigFraction decimal(String digits) {
        BigDecimal d = new BigDecimal(digits);
        return d.scale() <= 0
                ? BigFraction.of(d.toBigIntegerExact())
                : BigFraction.of(d.unscaledValue(), BigInteger.TEN.pow(d.scale()));
    }

    private static String trimSpaces(String text) {
        int from = 0;
        int to = text.length();
        while (from < to && text.charAt(from) == ' ') {
            from++;
        }
        while (to > from && text.charAt(to - 1) == ' ') {
            to--;
        }
        return text.substring(from, to);
    }

    private static String quoted(String text) {
        return '"' + (text.length() > 40 ? text.substring(0, 40) + "…" : text) + '"';
    }

    public Unit unit() {
        return unit;
    }

    /** The same length, to be shown in another unit. */
    public Length in(Unit other) {
        return other == unit ? this : new Length(nanometres, exact, other);
    }

    /** The exact value in nanometres. */
    public BigFraction exactNanometres() {
        return exact != null ? exact : BigFraction.of(nanometres);
    }

    boolean isWholeNanometres() {
        return exact == null;
    }

    long wholeNanometres() {
        return nanometres;
    }

    /** The value in nanometres as a double, for drawings. */
    public double approximateNanometres() {
        return exact != null ? exact.doubleValue() : nanometres;
    }

    public Length plus(Length other) {
        if (exact == null && other.exact == null) {
            return new Length(Math.addExact(nanometres, other.nanometres), null, unit);
        }
        return ofNanometres(exactNanometres().add(other.exactNanometres()), unit);
    }

    public Length minus(Length other) {
        if (exact == null && other.exact == null) {
            return new Length(Math.subtractExact(nanometres, other.nanometres), null, unit);
        }
        return ofNanometres(exactNanometres().subtract(other.exactNanometres()), unit);
    }

    public Length times(long factor) {
        if (exact == null) {
            return new Length(Math.multiplyExact(nanometres, factor), null, unit);
        }
        return ofNanometres(exact.multiply(BigInteger.valueOf(factor)), unit);
    }

    public Length dividedBy(long divisor) {
        if (exact == null && nanometres % divisor == 0) {
            return new Length(nanometres / divisor, null, unit);
        }
        return ofNanometres(exactNanometres().divide(BigInteger.valueOf(divisor)), unit);
    }

    public Length negate() {
        return zero(unit).minus(this);
    }

    public int signum() {
        return exact != null ? exact.signum() : Long.signum(nanometres);
    }

    public boolean isZero() {
        return signum() == 0;
    }

    public boolean isPositive() {
        return signum() > 0;
    }

    public boolean isNegative() {
        return signum() < 0;
    }

    public boolean isOver(Length limit) {
        return compareTo(limit) > 0;
    }

    public boolean isUnder(Length limit) {
        return compareTo(limit) < 0;
    }

    public Length min(Length other) {
        return other.isUnder(this) ? other : this;
    }

    public Length max(Length other) {
        return other.isOver(this) ? other : this;
    }

    @Override
    public int compareTo(Length other) {
        if (exact == null && other.exact == null) {
            return Long.compare(nanometres, other.nanometres);
        }
        // cross-multiplied: the library's own order of fractions is wrong for two negative ones
        BigFraction a = exactNanometres();
        BigFraction b = other.exactNanometres();
        return a.getNumerator()
                .multiply(b.getDenominator())
                .compareTo(b.getNumerator().multiply(a.getDenominator()));
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof Length other && unit == other.unit && compareTo(other) == 0;
    }

    @Override
    public int hashCode() {
        return exactNanometres().hashCode() * 31 + unit.hashCode();
    }

    /** As a gauge shows it, without the unit: {@code 1 1/8}, {@code .03}, {@code 2.4}; rounded with ≈ where it cannot be written exactly. */
    public String shown() {
        String text = plainText();
        if (text == null) {
            text = written();
            if (text != null && text.indexOf('/') >= 0 && !isGaugeFraction()) {
                text = null;
            }
        }
        if (text != null && text.length() <= 9) {
            return text;
        }
        BigDecimal rounded = rounded(4);
        return (exactly(rounded) ? "" : "≈") + bare(rounded);
    }

    private boolean isGaugeFraction() {
        BigInteger denominator =
                exactNanometres().divide(BigInteger.valueOf(unit.nanometres())).getDenominator();
        return unit == Unit.INCH && denominator.compareTo(BigInteger.valueOf(64)) <= 0;
    }

    /** The text of whole nanometres that are a 64th of an inch, or a plain decimal of the unit; null for any other. */
    private String plainText() {
        if (exact != null) {
            return null;
        }
        if (unit == Unit.MILLIMETRE) {
            return bare(BigDecimal.valueOf(nanometres, 6));
        }
        if (nanometres % SIXTY_FOURTH == 0) {
            return sixtyFourths(nanometres / SIXTY_FOURTH);
        }
        return nanometres % 254 == 0 ? bare(BigDecimal.valueOf(nanometres / 254, 5)) : null;
    }

    private static String sixtyFourths(long n) {
        long whole = Math.abs(n) / 64;
        long top = Math.abs(n) % 64;
        int bottom = 64;
        while (top != 0 && top % 2 == 0) {
            top /= 2;
            bottom /= 2;
        }
        String part = top == 0 ? "" : top + "/" + bottom;
        String text = top == 0 ? String.valueOf(whole) : whole == 0 ? part : whole + " " + part;
        return n < 0 ? "-" + text : text;
    }

    /** As {@link #shown()}, with the unit. */
    public String shownWithUnit() {
        return shown() + " " + unit.symbol();
    }

    /** A plain decimal of at most six places with its unit, for files: {@code 0.03125 in}. */
    public String decimal() {
        BigDecimal d = rounded(6).stripTrailingZeros();
        return (d.signum() == 0 ? "0" : d.toPlainString()) + " " + unit.symbol();
    }

    private BigDecimal rounded(int places) {
        BigFraction inUnits = exactNanometres().divide(BigInteger.valueOf(unit.nanometres()));
        return new BigDecimal(inUnits.getNumerator())
                .divide(new BigDecimal(inUnits.getDenominator()), places, RoundingMode.HALF_UP);
    }

    private boolean exactly(BigDecimal units) {
        BigFraction value = BigFraction.of(units.unscaledValue(), BigInteger.TEN.pow(Math.max(0, units.scale())));
        return value.multiply(BigInteger.valueOf(unit.nanometres())).equals(exactNanometres());
    }

    private String bare(BigDecimal units) {
        BigDecimal stripped = units.stripTrailingZeros();
        String text = stripped.signum() == 0 ? "0" : stripped.toPlainString();
        return unit == Unit.INCH ? text.replaceFirst("^(-?)0\\.", "$1.") : text;
    }

    /** The exact text, or null where none can be written with the grammar of {@link #parse}. */
    private String written() {
        String plain = plainText();
        if (plain != null) {
            return plain;
        }
        BigFraction units = exactNanometres().divide(BigInteger.valueOf(unit.nanometres()));
        int twos = power(units.getDenominator(), 2);
        int fives = power(units.getDenominator(), 5);
        BigInteger rest = units.getDenominator()
                .divide(BigInteger.TWO.pow(twos))
                .divide(BigInteger.valueOf(5).pow(fives));
        if (rest.equals(BigInteger.ONE)) {
            return bare(new BigDecimal(units.getNumerator()).divide(new BigDecimal(units.getDenominator())));
        }
        boolean readable = units.getDenominator().compareTo(BigInteger.valueOf(LARGEST_DENOMINATOR)) <= 0;
        return readable ? mixed(units) : null;
    }

    private static int power(BigInteger n, int base) {
        int count = 0;
        BigInteger b = BigInteger.valueOf(base);
        for (BigInteger[] qr = n.divideAndRemainder(b); qr[1].signum() == 0; qr = qr[0].divideAndRemainder(b)) {
            count++;
        }
        return count;
    }

    private static String mixed(BigFraction value) {
        BigInteger[] wholeAndRest = value.getNumerator().abs().divideAndRemainder(value.getDenominator());
        String sign = value.signum() < 0 ? "-" : "";
        String part = wholeAndRest[1] + "/" + value.getDenominator();
        if (wholeAndRest[1].signum() == 0) {
            return sign + wholeAndRest[0];
        }
        return sign + (wholeAndRest[0].signum() == 0 ? part : wholeAndRest[0] + " " + part);
    }

    /** Reads back through {@link #parse}, except for a computed length that the grammar cannot write, which is rounded. */
    @Override
    public String toString() {
        String text = written();
        return (text != null ? text : shown()) + " " + unit.symbol();
    }
}
