package mensor.judge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mensor.length.Length;
import mensor.length.Span;

/**
 * Whether things that each lie somewhere along a stretch of a straight ruler can all lie at least some distance apart. It is
 * the question of one machine and jobs of equal length, each to be begun between two times, answered by forbidden regions
 * (Garey, Johnson, Simons, Tarjan: Scheduling unit-time tasks with arbitrary release times and deadlines, SIAM J. Comput.
 * 10, 1981): from the last stretch to the first, where a thing must not begin, for those that follow would not fit. Takes
 * n² log n.
 */
final class ApartPlacement {
    private final Length apart;
    private final TreeMap<Length, Length> forbidden =
            new TreeMap<>(); // open regions, from their lower to their upper end
    private Span crowded;

    ApartPlacement(List<Span> somewhere, Length apart) {
        this.apart = apart;
        List<Span> latestFirst = new ArrayList<>(somewhere);
        latestFirst.sort(Comparator.comparing(Span::from).reversed());
        List<Length> latestBegins = new ArrayList<>();
        for (int i = 0; i < latestFirst.size(); i++) {
            latestBegins.add(null);
        }
        for (int i = 0; i < latestFirst.size() && crowded == null; i++) {
            Span s = latestFirst.get(i);
            for (int j = 0; j < latestFirst.size(); j++) {
                if (!latestFirst.get(j).to().isUnder(s.to())) {
                    Length before = latestBegins.get(j);
                    latestBegins.set(
                            j, allowed(before == null ? latestFirst.get(j).to() : before.minus(apart)));
                }
            }
            boolean lastWithThisFrom =
                    i + 1 == latestFirst.size() || latestFirst.get(i + 1).from().isUnder(s.from());
            if (lastWithThisFrom) {
                settle(s.from(), latestFirst, latestBegins);
            }
        }
    }

    /** The latest place at or before this one where something may begin. */
    private Length allowed(Length place) {
        Length p = place;
        Map.Entry<Length, Length> region = forbidden.lowerEntry(p);
        while (region != null && p.isUnder(region.getValue())) {
            p = region.getKey();
            region = forbidden.lowerEntry(p);
        }
        return p;
    }

    private void settle(Length from, List<Span> stretches, List<Length> latestBegins) {
        Length least = null;
        int which = -1;
        for (int j = 0; j < latestBegins.size(); j++) {
            Length b = latestBegins.get(j);
            if (b != null && (least == null || b.isUnder(least))) {
                least = b;
                which = j;
            }
        }
        if (least.isUnder(from)) {
            crowded = new Span(from, stretches.get(which).to());
        } else if (least.isUnder(from.plus(apart))) {
            forbid(least.minus(apart), from);
        }
    }

    private void forbid(Length low, Length high) {
        if (!low.isUnder(high)) {
            return;
        }
        Length to = high;
        Map.Entry<Length, Length> next = forbidden.lowerEntry(high);
        Map.Entry<Length, Length> above = forbidden.ceilingEntry(low);
        Length from = low;
        while (next != null && !next.getKey().isUnder(low)) {
            to = to.max(next.getValue());
            forbidden.remove(next.getKey());
            next = forbidden.lowerEntry(high);
        }
        if (next != null && next.getValue().isOver(low)) {
            from = next.getKey();
            to = to.max(next.getValue());
            forbidden.remove(next.getKey());
        }
        if (above != null && above.getKey().isUnder(to) && forbidden.containsKey(above.getKey())) {
            to = to.max(above.getValue());
            forbidden.remove(above.getKey());
        }
        forbidden.put(from, to);
    }

    /** A stretch on which more must lie than can lie apart; empty where all can. */
    Optional<Span> crowded() {
        return Optional.ofNullable(crowded);
    }
}
