package mensor.scan;

import java.util.List;

/**
 * How a member's surface bends in a profile, and how well a straight line, one with a step and an arc lie on it. One profile tells little; a member bends
 * alike in neighboring profiles, so what they say together decides.
 *
 * @param bow one over the radius, over zero to the left of the member's direction; NaN where too little is in view
 * @param u its standard uncertainty
 * @param length in view, mm
 * @param line what is left of a straight line, as a variance
 * @param stepped what is left of one with a step
 * @param bowed what is left of an arc
 */
record MemberBow(double bow, double u, double length, double line, double stepped, double bowed) {
    static final MemberBow NONE = new MemberBow(Double.NaN, 0, 0, 0, 0, 0);
    /** Straight, as long as nothing says otherwise. */
    static final MemberBow STRAIGHT = new MemberBow(0, 0, 0, 0, 0, 0);

    /** Curvature counts from so many times its uncertainty on, and from so much bow over what is in view, mm. */
    private static final double SURE = 6;

    /** Of fewer profiles than this more is asked: a grain of spatter bends one, not its neighbors. */
    private static final int FEW = 5;

    private static final double SURE_ALONE = 15;

    private static final double LEAST_BOW = 0.01;
    private static final double LEAST_RADIUS = 30;

    /** What neighbors say together: an arc where what is left of the lines says so, else straight. */
    static MemberBow of(List<MemberBow> neighbors) {
        double weights = 0;
        double mean = 0;
        double length = 0;
        double stepped = 0;
        double bowed = 0;
        double line = 0;
        int n = 0;
        for (MemberBow b : neighbors) {
            if (Double.isNaN(b.bow)) {
                continue;
            }
            double weight = 1 / (b.u * b.u);
            weights += weight;
            mean += weight * b.bow;
            length += b.length;
            line += b.line;
            stepped += b.stepped;
            bowed += b.bowed;
            n++;
        }
        if (n == 0) {
            return STRAIGHT;
        }
        mean /= weights;
        length /= n;
        double spread = 0;
        for (MemberBow b : neighbors) {
            if (!Double.isNaN(b.bow)) {
                spread += (b.bow - mean) * (b.bow - mean) / (b.u * b.u);
            }
        }
        // where they differ by more than their own uncertainty, the mean is as uncertain as they differ
        double u = Math.sqrt(1 / weights * Math.max(1, n > 1 ? spread / (n - 1) : 1));
        boolean curved = Math.abs(mean) > (n < FEW ? SURE_ALONE : SURE) * u
                && Math.abs(mean) * length * length / 8 > LEAST_BOW
                && Math.abs(mean) < 1 / LEAST_RADIUS
                && bowed < line
                && bowed < stepped;
        return curved ? new MemberBow(mean, u, length, line, stepped, bowed) : STRAIGHT;
    }

    boolean isCurved() {
        return bow != 0 && !Double.isNaN(bow);
    }
}
