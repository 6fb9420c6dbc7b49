package mensor.scan;

import java.util.ArrayList;
import java.util.List;
import mensor.scan.WeldScan.Quantity;
import mensor.scan.WeldScan.Track;

/**
 * What was read by hand at a place that was scanned too: both stand, and how far they lie apart is held against both uncertainties.
 *
 * @param at along the weld, mm
 * @param u standard uncertainty of the reading, mm
 */
public record HandReading(Quantity quantity, double at, double value, double u) {
    private static final double COVERAGE = 2;
    /** A place by tape and hand is not truer than this. */
    private static final double PLACE = 2;

    /**
     * @param scanned the scan's value nearest to the reading within what the place may be off
     * @param allowed how far the two may lie apart: twice their uncertainties joined
     */
    public record Against(HandReading hand, double scanned, double allowed) {
        public double difference() {
            return scanned - hand.value();
        }

        /** One of the two is wrong, or they were not read at the same place. */
        public boolean isBeyond() {
            return Math.abs(difference()) > allowed;
        }
    }

    /** Those that lie where the scan measured the same quantity. */
    public static List<Against> against(List<HandReading> readings, Track track) {
        List<Against> all = new ArrayList<>();
        for (HandReading r : readings) {
            double[] values = track.values().get(r.quantity());
            int best = -1;
            for (int i = 0; values != null && i < values.length; i++) {
                boolean near = Math.abs(track.s()[i] - r.at()) <= PLACE && !Double.isNaN(values[i]);
                if (near && (best < 0 || Math.abs(values[i] - r.value()) < Math.abs(values[best] - r.value()))) {
                    best = i;
                }
            }
            if (best >= 0) {
                double u = Math.hypot(r.u(), track.u().get(r.quantity())[best]);
                all.add(new Against(r, values[best], COVERAGE * u));
            }
        }
        return List.copyOf(all);
    }
}
