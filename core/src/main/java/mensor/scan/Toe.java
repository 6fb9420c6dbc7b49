package mensor.scan;

/**
 * Where the weld's face meets a member: the first place, coming from the weld, where the surface, smoothed no wider than 0.5 mm, comes down to
 * the member's line; where it comes in flat, where a parabola over the face's last clear stretch does.
 *
 * @param at from the root along the member
 * @param angle between the member's surface and the face, through the air, degrees
 * @param u standard uncertainty of its place
 */
record Toe(double at, double angle, double u) {
    private static final double SMOOTH = 0.5;
    private static final double STEP = 0.05;
    private static final double LAST_STRETCH = 2;
    /** So far the surface is down before it counts as come down: what rises again behind is spatter, not the face. */
    private static final double DOWN = 0.8;

    /**
     * @param along the surface over the member: x from the root outward, h above the line
     * @param from where the face surely is: halfway up
     * @return null where the face never comes down
     */
    static Toe of(Face along, double from, double end, double noise) {
        double clear = Math.max(4 * noise, 0.06);
        double lastClear = Double.NaN;
        double crossing = Double.NaN;
        for (double x = from; x < end; x += STEP) {
            Curve c = along.around(x, along.width(x, SMOOTH));
            if (c == null) {
                continue;
            }
            double h = c.a();
            if (h > clear) {
                lastClear = x;
                crossing = Double.NaN;
            } else if (h <= 0 && Double.isNaN(crossing)) {
                crossing = x;
            }
            if (!Double.isNaN(lastClear) && x > lastClear + DOWN) {
                break;
            }
        }
        if (Double.isNaN(lastClear)) {
            return null;
        }
        double smooth = along.width(lastClear, SMOOTH);
        Curve last = along.between(lastClear - LAST_STRETCH, lastClear + smooth / 4, lastClear);
        Curve shorter = along.between(lastClear - LAST_STRETCH / 2, lastClear + smooth / 4, lastClear);
        Curve c = last == null ? shorter : last;
        double met = c == null ? Double.NaN : c.zero(lastClear);
        boolean sane = !Double.isNaN(met) && met >= lastClear - smooth && met < lastClear + 1.5;
        double at = sane ? met : Double.isNaN(crossing) ? lastClear : crossing;
        double slope = c == null ? -1 : c.slope(Math.min(at, lastClear + smooth));
        double down = Math.max(-slope, 0.05);
        double u = Math.hypot(noise * 2 / Math.sqrt(c == null ? 4 : Math.max(4, c.points())) / down, STEP);
        return new Toe(at, 180 - Math.toDegrees(Math.atan(Math.max(0, -slope))), u);
    }
}
