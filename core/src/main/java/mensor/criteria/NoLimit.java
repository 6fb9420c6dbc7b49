package mensor.criteria;

/**
 * A code's own word that it sets no limit.
 *
 * @param clause where it says so, or where a limit would stand
 * @param why in words, for the note on the finding
 */
public record NoLimit(String clause, String why, Confidence confidence) {}
