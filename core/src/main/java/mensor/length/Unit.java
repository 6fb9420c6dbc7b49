package mensor.length;

/** The two unit systems a drawing can be in. One inch is 25.4 mm exactly (international yard and pound agreement, 1959). */
public enum Unit {
    INCH("in", 25_400_000L),
    MILLIMETRE("mm", 1_000_000L);

    private final String symbol;
    private final long nanometres;

    Unit(String symbol, long nanometres) {
        this.symbol = symbol;
        this.nanometres = nanometres;
    }

    /** The sign that follows a length: {@code in} or {@code mm}. */
    public String symbol() {
        return symbol;
    }

    /** How many nanometres one of it is. */
    public long nanometres() {
        return nanometres;
    }

    /** The value of a pair of limits that belongs to this column. */
    public <T> T pick(T inch, T millimetre) {
        return this == INCH ? inch : millimetre;
    }
}
