package mensor.judge;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import mensor.criteria.SizeEvidence;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;

/**
 * Whether enough was read to accept a size (common practice, no source; adjustable per contract): stretches tried with a
 * blade or marked cover the weld; or at least three stations, one near each end and none too far apart, one being enough
 * on a short weld; or, mixed, each rest that no stretch covers satisfies the rule for stations as if it were a weld.
 */
final class SizeEvidenceCheck {
    private final SizeEvidence rule;
    private final Ruler ruler;
    private final SpanSet covered;
    private final List<Length> stations;
    private final List<Length> alongSegments;

    SizeEvidenceCheck(SizeEvidence rule, Ruler ruler, SpanSet covered, List<Length> stations) {
        this.rule = rule;
        this.ruler = ruler;
        this.covered = covered;
        // a place read twice is one station, also where it was read once in inches and once in millimetres
        TreeSet<Length> places = new TreeSet<>(stations);
        this.stations = List.copyOf(places);
        // on a closed weld a station at the datum also stands at the end of a stretch that ends there
        if (ruler.closed() && !places.isEmpty() && places.first().isZero()) {
            places.add(ruler.length());
        }
        this.alongSegments = List.copyOf(places);
    }

    /** What is missing, one a place; empty where enough was read. */
    List<Ask> missing(List<Span> segments) {
        List<Ask> missing = new ArrayList<>();
        if (segments.isEmpty()) {
            if (ruler.closed()) {
                missingAround().ifPresent(missing::add);
            } else {
                missingIn(ruler.whole()).ifPresent(missing::add);
            }
        }
        for (Span segment : segments) {
            missingIn(segment).ifPresent(missing::add);
        }
        return missing;
    }

    private Optional<Ask> missingIn(Span stretch) {
        List<Span> rests = ruler.straight(stretch).stream()
                .flatMap(s -> SpanSet.of(List.of(s)).minus(covered.within(s)).spans().stream())
                .toList();
        if (rests.isEmpty()) {
            return Optional.empty();
        }
        Optional<Ask> byStations = stretch.wraps() ? stationsAcross(stretch) : stationsIn(stretch, alongSegments);
        if (byStations.isEmpty()) {
            return byStations;
        }
        if (rests.size() == 1 && rests.get(0).equals(stretch)) {
            return byStations;
        }
        return rests.stream()
                .map(rest -> stationsIn(rest, alongSegments))
                .flatMap(Optional::stream)
                .findFirst();
    }

    /** A segment that passes the datum: its stations are laid out straight, those past the datum one turn further. */
    private Optional<Ask> stationsAcross(Span stretch) {
        List<Length> laid = stations.stream()
                .map(s -> s.isUnder(stretch.from()) ? s.plus(ruler.length()) : s)
                .collect(Collectors.collectingAndThen(Collectors.toCollection(TreeSet::new), List::copyOf));
        return stationsIn(new Span(stretch.from(), stretch.to().plus(ruler.length())), laid);
    }

    private Optional<Ask> stationsIn(Span stretch, List<Length> sorted) {
        List<Length> here =
                sorted.subList(firstFrom(sorted, stretch.from(), false), firstFrom(sorted, stretch.to(), true));
        if (!stretch.extent().isOver(rule.shortWeld())) {
            return here.isEmpty() ? Optional.of(Ask.Kind.READ_STATION.of(stretch)) : Optional.empty();
        }
        if (here.isEmpty()) {
            return Optional.of(Ask.Kind.READ_STRETCH.of(stretch));
        }
        if (here.get(0).minus(stretch.from()).isOver(rule.fromEnd())) {
            return Optional.of(Ask.Kind.READ_NEAR_END.of(rule.fromEnd(), stretch.from()));
        }
        if (stretch.to().minus(here.get(here.size() - 1)).isOver(rule.fromEnd())) {
            return Optional.of(Ask.Kind.READ_NEAR_END.of(rule.fromEnd(), stretch.to()));
        }
        for (int i = 0; i + 1 < here.size(); i++) {
            if (here.get(i + 1).minus(here.get(i)).isOver(rule.apart())) {
                return tooFar(here.get(i), here.get(i + 1));
            }
        }
        return tooFew(here.size(), stretch);
    }

    /** The index of the first that does not lie before the place; of the first beyond it where {@code past}. */
    private static int firstFrom(List<Length> sorted, Length place, boolean past) {
        int found = Collections.binarySearch(sorted, place);
        return found < 0 ? -found - 1 : past ? found + 1 : found;
    }

    private Optional<Ask> tooFar(Length a, Length b) {
        return Optional.of(Ask.Kind.READ_BETWEEN.of(a, b, rule.apart()));
    }

    private Optional<Ask> tooFew(int read, Span stretch) {
        int more = rule.stations() - read;
        return more <= 0
                ? Optional.empty()
                : Optional.of(
                        (more == 1 ? Ask.Kind.READ_ONE_MORE : Ask.Kind.READ_MORE).of(more, stretch, rule.stations()));
    }

    private Optional<Ask> missingAround() {
        if (SpanSet.of(List.of(ruler.whole())).minus(covered).isEmpty()) {
            return Optional.empty();
        }
        if (!ruler.length().isOver(rule.shortWeld()) && !stations.isEmpty()) {
            return Optional.empty();
        }
        if (stations.isEmpty()) {
            return Optional.of(Ask.Kind.READ_AROUND.of());
        }
        for (int i = 0; i < stations.size(); i++) {
            boolean last = i == stations.size() - 1;
            Length next = last ? stations.get(0).plus(ruler.length()) : stations.get(i + 1);
            if (next.minus(stations.get(i)).isOver(rule.apart())) {
                return tooFar(stations.get(i), last ? stations.get(0) : next);
            }
        }
        return tooFew(stations.size(), ruler.whole());
    }
}
