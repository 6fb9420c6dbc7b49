package mensor.scan;

/** The greatest depth of the surface below the member's line from the toe to 6 mm beyond: the bottom is fitted, so that smoothing does not fill it. */
final class UndercutDepth {
    private static final double REACH = 6;
    private static final double STEP = 0.1;
    private static final double BOTTOM = 0.7;
    private static final double WIDER = 1.4;

    private UndercutDepth() {}

    /** Points beyond the toe alone: a parabola over the bend at the toe would dip below the member. */
    private static Curve beyond(Face along, double toe, double x, double width) {
        double from = Math.max(toe, x - width / 2);
        return along.between(from, from + width, x);
    }

    /** A few points that happen to lie low are no notch: over a wider stretch it must be there too. */
    private static boolean isBelow(Curve wider, double x, double noise) {
        return wider != null && wider.at(x) < -2 * noise;
    }

    /** The strip beside a toe in which returns are needed: an undercut begins there. */
    private static final double STRIP = 3;
    /** A wider stretch without a return can hide a notch, mm. */
    private static final double WIDEST_GAP = 0.4;
    /** A notch's bottom hides behind its wall where the wall goes down so far before a stretch without returns so wide, mm. */
    private static final double HIDDEN = 0.15;

    private static final double HIDING = 0.25;
    /** What is read deeper than this tells by itself that there is a notch, mm. */
    private static final double SHALLOW = 0.3;

    /** Points further apart than this show no notch, mm. */
    private static final double COARSEST = 0.31;

    /** A notch that is too narrow for a parabola is deeper than what one over it says by more than this, mm. */
    private static final double NARROW_DEEPER = 0.08;

    /** Whether the strip beside the toe came back to the scanner: a notch often does not. */
    private static boolean isSeen(Face along, double toe, double end) {
        double to = Math.min(toe + STRIP, end);
        double spacing = along.spacing(toe, to);
        return to > toe && spacing <= COARSEST && along.widestGap(toe, to) <= Math.max(WIDEST_GAP, 4 * spacing);
    }

    /** @return zero where nothing goes deeper than three times the noise; not a number where what lies beside the toe was not seen */
    static double of(Face along, double toe, double end, double noise) {
        if (!isSeen(along, toe, end)) {
            return Double.NaN;
        }
        double wide = byParabola(along, toe, end, noise);
        double narrow = along.narrowNotch(toe + STEP / 2, Math.min(toe + REACH, end));
        boolean isNarrow = narrow > wide + NARROW_DEEPER + 2 * noise && narrow > 4 * noise + NARROW_DEEPER;
        double depth = isNarrow ? narrow : wide;
        double gap = Math.max(HIDING, 2.2 * along.spacing(toe, Math.min(toe + STRIP, end)));
        boolean hides = depth < SHALLOW && along.dipsIntoGap(toe, Math.min(toe + STRIP, end), gap, HIDDEN + 2 * noise);
        return hides ? Double.NaN : depth;
    }

    private static double byParabola(Face along, double toe, double end, double noise) {
        double deepest = 0;
        double at = Double.NaN;
        for (double x = toe; x < Math.min(toe + REACH, end); x += STEP) {
            double narrow = along.width(Math.max(x, toe + BOTTOM / 2), BOTTOM);
            Curve c = beyond(along, toe, x, narrow);
            if (c != null
                    && c.at(x) < deepest
                    && isBelow(beyond(along, toe, x, Math.max(WIDER, 2 * narrow)), x, noise)) {
                deepest = c.at(x);
                at = x;
            }
        }
        if (Double.isNaN(at) || -deepest < Math.max(3 * noise, 1e-6)) {
            return 0;
        }
        double narrow = along.width(Math.max(at, toe + BOTTOM / 2), BOTTOM);
        Curve bottom = beyond(along, toe, at, narrow);
        double x = bottom.c() > 1e-6 ? bottom.x0() - bottom.b() / (2 * bottom.c()) : at;
        double low = Math.abs(x - at) <= narrow / 2 ? bottom.at(x) : bottom.at(at);
        return Math.max(0, -low);
    }
}
