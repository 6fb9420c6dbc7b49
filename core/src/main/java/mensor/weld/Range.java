package mensor.weld;

import java.math.BigDecimal;

/** The lowest and the highest that is allowed, both included, in a unit that the field says. */
public record Range(double low, double high) {
    /** @throws InvalidField where the lowest is below zero or over the highest */
    public Range {
        if (!(low >= 0 && high >= low)) {
            throw new InvalidField("", "the lowest, then the highest, as [70, 90]");
        }
    }

    public boolean contains(double value) {
        return value >= low && value <= high;
    }

    public boolean contains(Range other) {
        return contains(other.low) && contains(other.high);
    }

    /** For people: {@code 115–165 A}. */
    public String shown(String unit) {
        return plain(low) + "–" + plain(high) + " " + unit;
    }

    /** A number without needless zeros. */
    public static String plain(double d) {
        return BigDecimal.valueOf(d).stripTrailingZeros().toPlainString();
    }
}
