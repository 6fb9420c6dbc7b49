package mensor.testpiece;

/**
 * After a failed qualification piece: two pieces at once, both accepted, or one after further training (AWS D1.1 clause 6 (4), from
 * memory, medium confidence: check against your copy).
 */
public final class ReTest {
    private static final int WANTED = 2;

    private ReTest() {}

    /** @param acceptedSince qualification pieces of the same kind in the same position that were accepted since */
    public static String inWords(int acceptedSince) {
        return acceptedSince >= WANTED
                ? "re-tested: " + acceptedSince + " pieces were accepted since"
                : acceptedSince + " of " + WANTED
                        + " re-test pieces accepted since; one is enough after further training on record";
    }
}
