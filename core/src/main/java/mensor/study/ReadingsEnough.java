package mensor.study;

/** How many readings say enough of a length: none of so many, taken at random places, lies in a part that is no larger than asked. */
public final class ReadingsEnough {
    private ReadingsEnough() {}

    /**
     * So many readings, all good, say with a confidence that less than a share of the length is bad ({@code 1 − (1 − share)^n}).
     *
     * @param share of the length, over 0 and under 1
     * @param confidence over 0 and under 1
     */
    public static int of(double share, double confidence) {
        if (!(share > 0 && share < 1) || !(confidence > 0 && confidence < 1)) {
            throw new IllegalArgumentException("a share and a confidence between 0 and 1 are required");
        }
        return (int) Math.ceil(Math.log(1 - confidence) / Math.log(1 - share) - 1e-12);
    }
}
