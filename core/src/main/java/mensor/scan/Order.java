package mensor.scan;

import java.util.Arrays;

/** The order of values from the least, without a boxed comparison for each: a profile is sorted many times. */
final class Order {
    private static final int BITS = 21;
    private static final double STEPS = 1e5; // to the hundredth of a micrometer

    private Order() {}

    /** The numbers of the first {@code n} values in ascending order; those alike keep theirs. */
    static int[] of(double[] values, int n) {
        if (n >= 1 << BITS) {
            throw new IllegalArgumentException("a profile has at most " + (1 << BITS) + " points");
        }
        long[] keys = new long[n];
        for (int i = 0; i < n; i++) {
            keys[i] = Math.round(values[i] * STEPS) * (1L << BITS) + i;
        }
        Arrays.sort(keys);
        int[] order = new int[n];
        for (int i = 0; i < n; i++) {
            order[i] = (int) (keys[i] & ((1L << BITS) - 1));
        }
        return order;
    }
}
