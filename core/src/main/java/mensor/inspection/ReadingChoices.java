package mensor.inspection;

/**
 * How a code is read where it is silent, as agreed in the inspection plan. Immutable.
 *
 * @param undercutPerToe undercut is summed for each toe alone
 * @param underrunAlsoIntermittent what is granted to continuous fillets is granted to intermittent ones too
 */
public record ReadingChoices(boolean undercutPerToe, boolean underrunAlsoIntermittent) {
    /** Nothing agreed: the careful readings. */
    public static final ReadingChoices CAREFUL = new ReadingChoices(false, false);
}
