package mensor.plan;

import java.util.ArrayList;
import java.util.List;
import mensor.length.Length;
import mensor.plan.PassPlan.Bead;

/** Where each bead's rods end: in other places than those of the bead before it. */
final class StaggeredStops {
    private static final int MOST_STOPS = 400;

    private final Length weld;
    private final double apart;
    private final List<String> notes;

    StaggeredStops(Length weld, double apart, List<String> notes) {
        this.weld = weld;
        this.apart = apart;
        this.notes = notes;
    }

    /**
     * Each bead's rods end in other places than those of the bead before it: a run is cut short where it would not. Places
     * are whole quarters of an inch or 5 mm, where a welder can aim.
     */
    List<Bead> of(List<Bead> beads) {
        double length = PassPlanner.mm(weld);
        double snap = weld.unit().pick(25.4 / 4, 5.0);
        List<Bead> staggered = new ArrayList<>();
        List<Double> before = List.of();
        boolean tooClose = false;
        for (Bead b : beads) {
            if (!b.laidWith().isStick()) {
                staggered.add(b);
                continue;
            }
            double run = b.runLength();
            List<Double> stops = new ArrayList<>();
            double from = 0;
            while (stops.size() < MOST_STOPS) {
                double first = stops.isEmpty() && b.number() % 2 == 0 ? run / 2 : run;
                double at = clear(
                        from,
                        Math.floor((from + first) / snap + 1e-9) * snap,
                        before,
                        PassPlanner.up(apart / snap) * snap);
                if (Double.isNaN(at)) {
                    tooClose = true;
                    at = from + first;
                }
                if (at >= length - 1e-6) {
                    break;
                }
                stops.add(at);
                from = at;
            }
            staggered.add(b.stopping(List.copyOf(stops)));
            before = stops;
        }
        if (tooClose) {
            notes.add("a run is too short for starts and stops to lie " + PassPlanner.round(apart) + " mm apart");
        }
        return List.copyOf(staggered);
    }

    /** The furthest place up to {@code to} that is far enough from the stops below; not a number where there is none. */
    private static double clear(double from, double to, List<Double> below, double apart) {
        double at = to;
        for (int i = below.size() - 1; i >= 0; i--) {
            if (Math.abs(below.get(i) - at) < apart - 1e-9) {
                at = below.get(i) - apart;
            }
        }
        return at > from + 1 ? at : Double.NaN;
    }
}
