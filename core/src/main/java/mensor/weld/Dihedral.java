package mensor.weld;

import java.math.BigDecimal;
import mensor.length.RealLength;

/**
 * The angle at which two members meet, 30 to 150 degrees, with the factors that turn one meaning of a leg into another.
 * For the angles whose cosine is a plain fraction (60, 90, 120) the factors are exact to fifty digits, so that "exactly
 * the size" can be told; for others no gauge reading can be exactly at the limit.
 */
public record Dihedral(BigDecimal degrees) {
    public static final Dihedral SQUARE = new Dihedral(BigDecimal.valueOf(90));
    private static final BigDecimal ONE = BigDecimal.ONE;
    private static final BigDecimal TWO = BigDecimal.valueOf(2);

    public Dihedral {
        if (degrees.compareTo(BigDecimal.valueOf(30)) < 0 || degrees.compareTo(BigDecimal.valueOf(150)) > 0) {
            throw new InvalidField("dihedral", "members meet at 30 to 150 degrees, got " + degrees.toPlainString());
        }
        degrees = degrees.stripTrailingZeros();
    }

    public boolean isSquare() {
        return degrees.compareTo(SQUARE_DEGREES) == 0;
    }

    private static final BigDecimal SQUARE_DEGREES = BigDecimal.valueOf(90);

    public BigDecimal cosine() {
        double d = degrees.doubleValue();
        if (isSquare()) {
            return BigDecimal.ZERO;
        }
        if (d == 60 || d == 120) {
            return d == 60 ? new BigDecimal("0.5") : new BigDecimal("-0.5");
        }
        return BigDecimal.valueOf(Math.cos(Math.toRadians(d)));
    }

    public BigDecimal sine() {
        return RealLength.root(ONE.subtract(cosine().multiply(cosine())));
    }

    /** cos(ψ/2): the throat of equal contact legs, for a leg of one. */
    public BigDecimal halfCosine() {
        return RealLength.root(ONE.add(cosine()).multiply(new BigDecimal("0.5")));
    }

    /** sin(ψ/2). */
    public BigDecimal halfSine() {
        return RealLength.root(ONE.subtract(cosine()).multiply(new BigDecimal("0.5")));
    }

    /** The throat of an equal-legged flat fillet of the given leg: contact s·cos(ψ/2), perpendicular w/(2·sin(ψ/2)), equivalent e/√2. */
    public RealLength throatOf(RealLength leg, LegMeaning meaning) {
        return switch (meaning) {
            case CONTACT -> leg.times(halfCosine());
            case PERPENDICULAR -> leg.dividedBy(TWO.multiply(halfSine()));
            case EQUIVALENT -> leg.dividedBy(RealLength.root(TWO));
        };
    }

    /** The leg, in the given meaning, of an equal-legged flat fillet with this throat. */
    public RealLength legOf(RealLength throat, LegMeaning meaning) {
        return switch (meaning) {
            case CONTACT -> throat.dividedBy(halfCosine());
            case PERPENDICULAR -> throat.times(TWO.multiply(halfSine()));
            case EQUIVALENT -> throat.times(RealLength.root(TWO));
        };
    }

    /** A leg read in one meaning, in another. */
    public RealLength leg(RealLength leg, LegMeaning read, LegMeaning wanted) {
        return read == wanted || isSquare() ? leg : legOf(throatOf(leg, read), wanted);
    }

    /** A leg in either meaning as the length along the member. */
    public RealLength contact(RealLength leg, LegMeaning read) {
        return read == LegMeaning.PERPENDICULAR && !isSquare() ? leg.dividedBy(sine()) : leg;
    }

    @Override
    public String toString() {
        return degrees.toPlainString() + "°";
    }
}
