package mensor.criteria;

/** Where a limit stands. The clause's own number can be less sure than the limit: then it says so. */
public record Citation(String document, String clause, Confidence clauseConfidence) {
    public String shown() {
        String where = document + ", " + clause;
        return clauseConfidence == Confidence.HIGH ? where : where + " (clause number: check against your copy)";
    }
}
