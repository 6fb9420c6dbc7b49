package mensor.criteria;

/** Where a limit stands. The clause's own number can be less sure than the limit: then it says so. */
public record Citation(String document, String clause, Confidence clauseConfidence) {
    private static final String UNSURE = " (clause number: check against your copy)";

    /** One that is shown as the text says: as it was kept in a signed record. */
    public static Citation shownAs(String text) {
        String sure = text.endsWith(UNSURE) ? text.substring(0, text.length() - UNSURE.length()) : text;
        int comma = sure.indexOf(", ");
        return new Citation(
                comma < 0 ? sure : sure.substring(0, comma),
                comma < 0 ? "" : sure.substring(comma + 2),
                sure.equals(text) ? Confidence.HIGH : Confidence.MEDIUM);
    }

    public String shown() {
        String where = clause.isEmpty() ? document : document + ", " + clause;
        return clauseConfidence == Confidence.HIGH ? where : where + UNSURE;
    }
}
