package mensor.inspection;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.weld.Gap;

/**
 * The openings along the weld from what was read: a stretch says where it runs; between two stations the greater counts, and
 * before the first and after the last the station's own, because nobody looked closer. Places covered by a stretch are the
 * stretch's.
 */
final class FitUpOpenings {
    private final Ruler ruler;
    private final List<Gap> stretches = new ArrayList<>();
    private final List<Gap> stations = new ArrayList<>();

    FitUpOpenings(Ruler ruler, List<FitUp.Reading> readings) {
        this.ruler = ruler;
        for (FitUp.Reading r : readings) {
            r.opening().ifPresent(o -> {
                if (r.isStation()) {
                    stations.add(new Gap(Span.at(ruler.place(r.span().from())), o));
                } else {
                    ruler.straight(r.span()).forEach(s -> stretches.add(new Gap(s, o)));
                }
            });
        }
        stations.sort((a, b) -> a.span().from().compareTo(b.span().from()));
    }

    boolean hasStations() {
        return !stations.isEmpty();
    }

    /** Stretches in order, none overlapping, neighbours with one opening joined; only those over {@code free}. */
    List<Gap> over(Length free) {
        TreeSet<Length> places = new TreeSet<>();
        places.add(ruler.whole().from());
        places.add(ruler.length());
        stretches.forEach(g -> {
            places.add(g.span().from());
            places.add(g.span().to());
        });
        stations.forEach(g -> places.add(g.span().from()));
        List<Gap> found = new ArrayList<>();
        Length from = null;
        for (Length to : places) {
            if (from != null) {
                add(found, new Gap(new Span(from, to), at(from.plus(to).dividedBy(2))), free);
            }
            from = to;
        }
        return List.copyOf(found);
    }

    private static void add(List<Gap> found, Gap next, Length free) {
        if (!next.opening().isOver(free)) {
            return;
        }
        Gap last = found.isEmpty() ? null : found.get(found.size() - 1);
        boolean goesOn = last != null
                && last.span().to().compareTo(next.span().from()) == 0
                && last.opening().compareTo(next.opening()) == 0;
        if (goesOn) {
            found.set(
                    found.size() - 1,
                    new Gap(new Span(last.span().from(), next.span().to()), last.opening()));
        } else {
            found.add(next);
        }
    }

    private Length at(Length place) {
        Length most = null;
        for (Gap g : stretches) {
            if (g.span().contains(place)) {
                most = most == null ? g.opening() : most.max(g.opening());
            }
        }
        if (most != null) {
            return most;
        }
        Length zero = Length.zero(ruler.length().unit());
        if (stations.isEmpty()) {
            return zero;
        }
        Gap before = null;
        Gap after = null;
        for (Gap g : stations) {
            if (g.span().from().isUnder(place)) {
                before = g;
            } else if (after == null) {
                after = g;
            }
        }
        Gap first = stations.get(0);
        Gap last = stations.get(stations.size() - 1);
        before = before != null ? before : ruler.closed() ? last : first;
        after = after != null ? after : ruler.closed() ? first : last;
        return before.opening().max(after.opening());
    }
}
