package mensor.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.plan.PassPlan.Bead;
import mensor.weld.ClockFace;
import mensor.weld.Joint;
import mensor.weld.Position;

/** Where each bead's rods end: in other places than those of the bead before it. */
final class StaggeredStops {
    private static final int MOST_STOPS = 400;

    private final Joint joint;
    private final Length weld;
    private final double apart;
    private final List<String> notes;

    StaggeredStops(Joint joint, double apart, List<String> notes) {
        this.joint = joint;
        this.weld = joint.length();
        this.apart = apart;
        this.notes = notes;
    }

    /**
     * Each bead's rods end in other places than those of the bead before it: a run is cut short where it would not. Places
     * are whole quarters of an inch or 5 mm, where a welder can aim.
     */
    List<Bead> of(List<Bead> beads) {
        Optional<ClockFace> clock = joint.clock()
                .filter(c -> joint.position().filter(Position::isFixedPipe).isPresent());
        return clock.isPresent() ? inHalves(beads, clock.get()) : along(beads);
    }

    /**
     * A fixed pipe is laid in two halves from the bottom up; where they meet is staggered from bead to bead (common practice, no
     * source).
     */
    private List<Bead> inHalves(List<Bead> beads, ClockFace clock) {
        double around = PassPlanner.mm(weld);
        double bottom = PassPlanner.mm(clock.place("6:00"));
        double snap = weld.unit().pick(25.4 / 4, 5.0);
        double step = PassPlanner.up(apart / snap) * snap;
        List<Bead> laid = new ArrayList<>();
        for (Bead b : beads) {
            if (!b.laidWith().isStick()) {
                laid.add(b);
                continue;
            }
            double begin = bottom + (b.number() % 2 == 0 ? step : 0);
            List<Double> stops = new ArrayList<>();
            for (double at = b.runLength(); at < around / 2 - step && stops.size() < MOST_STOPS; at += b.runLength()) {
                stops.add(round(begin + at, around));
                stops.add(round(begin - at, around));
            }
            stops.add(round(begin + around / 2, around)); // where the halves meet
            stops.sort(Double::compare);
            laid.add(b.stopping(List.copyOf(stops)));
        }
        notes.add("laid in two halves from the bottom up: tie-ins near 6:00 and 12:00, "
                + PassPlanner.shown(step, weld.unit())
                + " apart from bead to bead, ground to a feather before the second half");
        return List.copyOf(laid);
    }

    /** On the weld again, to a mark that a tape has. */
    private double round(double place, double around) {
        double mark = weld.unit().pick(25.4 / 8, 1.0);
        double on = Math.round(place / mark) * mark % around;
        return on < 0 ? on + around : on;
    }

    private List<Bead> along(List<Bead> beads) {
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
            notes.add("a run is too short for starts and stops to lie " + PassPlanner.shown(apart, weld.unit())
                    + " apart");
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
