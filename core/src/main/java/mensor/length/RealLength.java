package mensor.length;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * A length that a square root went into (a throat from two legs, a leg from a throat), carried to fifty digits of
 * nanometres. Two of them closer than 10⁻²⁵ nm are the same: lengths that a gauge can show, joined by a few roots, are
 * either equal or far further apart than that, so "exactly at the limit" keeps its meaning.
 */
public final class RealLength implements Comparable<RealLength> {
    private static final MathContext DIGITS = new MathContext(50, RoundingMode.HALF_EVEN);
    private static final BigDecimal SAME = new BigDecimal("1e-25");

    private final BigDecimal nanometres;
    private final Unit unit;

    private RealLength(BigDecimal nanometres, Unit unit) {
        this.nanometres = nanometres;
        this.unit = unit;
    }

    public static RealLength of(Length length) {
        if (length.isWholeNanometres()) {
            return new RealLength(BigDecimal.valueOf(length.wholeNanometres()), length.unit());
        }
        BigFraction f = length.exactNanometres();
        BigDecimal nm = new BigDecimal(f.getNumerator());
        return new RealLength(nm.divide(new BigDecimal(f.getDenominator()), DIGITS), length.unit());
    }

    /** The root of a number, to the digits carried here. */
    public static BigDecimal root(BigDecimal square) {
        return square.signum() == 0 ? BigDecimal.ZERO : square.sqrt(DIGITS);
    }

    public RealLength plus(RealLength other) {
        return new RealLength(nanometres.add(other.nanometres, DIGITS), unit);
    }

    public RealLength minus(RealLength other) {
        return new RealLength(nanometres.subtract(other.nanometres, DIGITS), unit);
    }

    public RealLength times(BigDecimal factor) {
        return new RealLength(nanometres.multiply(factor, DIGITS), unit);
    }

    public RealLength dividedBy(BigDecimal divisor) {
        return new RealLength(nanometres.divide(divisor, DIGITS), unit);
    }

    /** √(this² + other²). */
    public RealLength inQuadrature(RealLength other) {
        BigDecimal squares =
                nanometres.multiply(nanometres, DIGITS).add(other.nanometres.multiply(other.nanometres, DIGITS));
        return new RealLength(root(squares), unit);
    }

    public RealLength min(RealLength other) {
        return other.compareTo(this) < 0 ? other : this;
    }

    /** The pure number of how many times the other goes into this. */
    public BigDecimal over(RealLength other) {
        return nanometres.divide(other.nanometres, DIGITS);
    }

    public int signum() {
        return nanometres.abs().compareTo(SAME) < 0 ? 0 : nanometres.signum();
    }

    public boolean isUnder(RealLength limit) {
        return compareTo(limit) < 0;
    }

    public boolean isOver(RealLength limit) {
        return compareTo(limit) > 0;
    }

    /** To the nearest nanometre, for people and drawings; a verdict never rests on it. */
    public Length rounded() {
        return Length.ofNanometres(nanometres.setScale(0, RoundingMode.HALF_UP).longValueExact(), unit);
    }

    /** The same length, to be shown in another unit. */
    public RealLength in(Unit other) {
        return other == unit ? this : new RealLength(nanometres, other);
    }

    /** As {@link #shown()} in a unit, with the unit. */
    public String shownWithUnit(Unit in) {
        return in(in).shown() + " " + in.symbol();
    }

    /** As {@link Length#shown()}; marked ≈ where the length is not one a gauge could show. */
    public String shown() {
        Length near = rounded();
        boolean exact = nanometres
                        .subtract(new BigDecimal(near.exactNanometres().getNumerator()))
                        .abs()
                        .compareTo(SAME)
                < 0;
        if (exact) {
            return near.shown();
        }
        // finer than any gauge, and no longer than an eye takes in
        long grain = unit == Unit.INCH ? 2_540 : 1_000;
        long rounded = BigDecimal.valueOf(near.wholeNanometres())
                .divide(BigDecimal.valueOf(grain), 0, RoundingMode.HALF_UP)
                .multiply(BigDecimal.valueOf(grain))
                .longValueExact();
        String text = Length.ofNanometres(rounded, unit).shown();
        return text.startsWith("≈") ? text : "≈" + text;
    }

    @Override
    public int compareTo(RealLength other) {
        BigDecimal difference = nanometres.subtract(other.nanometres);
        return difference.abs().compareTo(SAME) < 0 ? 0 : difference.signum();
    }

    @Override
    public String toString() {
        return shown() + " " + unit.symbol();
    }
}
