package mensor.judge;

import java.util.List;
import java.util.TreeSet;
import java.util.stream.Stream;
import mensor.criteria.SizeEvidence;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;

/**
 * The stations that are still wanted before a size can be accepted, at places a tape shows: what {@link
 * SizeEvidenceCheck} misses, turned into places to go to.
 */
final class StationPlan {
    private final SizeEvidence rule;
    private final Ruler ruler;
    private final SpanSet covered;
    private final List<Length> read;

    StationPlan(SizeEvidence rule, Ruler ruler, SpanSet covered, List<Length> read) {
        this.rule = rule;
        this.ruler = ruler;
        this.covered = covered;
        this.read = read;
    }

    /** From the datum on; none where enough was read. */
    List<Length> wanted(List<Span> segments) {
        TreeSet<Length> wanted = new TreeSet<>();
        List<Span> pieces = segments.isEmpty() ? List.of(ruler.whole()) : segments;
        for (Span piece : pieces) {
            List<Span> one = segments.isEmpty() ? List.of() : List.of(piece);
            if (new SizeEvidenceCheck(rule, ruler, covered, read).missing(one).isEmpty()) {
                continue;
            }
            boolean around = ruler.closed() && segments.isEmpty();
            List<Span> rests = around
                    ? List.of(ruler.whole())
                    : SpanSet.of(ruler.straight(piece)).minus(covered).spans();
            rests.forEach(rest -> wanted.addAll(around ? around() : in(rest)));
        }
        return List.copyOf(wanted);
    }

    private List<Length> in(Span stretch) {
        TreeSet<Length> places = new TreeSet<>();
        read.stream().filter(stretch::contains).forEach(places::add);
        if (!stretch.extent().isOver(rule.shortWeld())) {
            if (places.isEmpty()) {
                places.add(onTape(middle(stretch.from(), stretch.to()), stretch));
            }
        } else {
            Length in = rule.fromEnd().dividedBy(2);
            if (places.isEmpty() || places.first().minus(stretch.from()).isOver(rule.fromEnd())) {
                places.add(onTape(stretch.from().plus(in), stretch));
            }
            if (stretch.to().minus(places.last()).isOver(rule.fromEnd())) {
                places.add(onTape(stretch.to().minus(in), stretch));
            }
            between(places, stretch);
            atLeast(places, stretch);
        }
        return places.stream().filter(p -> !read.contains(p)).toList();
    }

    /** A closed weld has no ends; it is laid out once more past the datum, so that the last gap is one like the others. */
    private List<Length> around() {
        TreeSet<Length> places = new TreeSet<>(read);
        if (places.isEmpty()) {
            places.add(Length.zero(ruler.length().unit()));
        }
        Length first = places.first();
        places.add(first.plus(ruler.length()));
        Span turn = new Span(first, first.plus(ruler.length()));
        if (ruler.length().isOver(rule.shortWeld())) {
            between(places, turn);
            while (places.size() - 1 < rule.stations()) {
                splitLongest(places, turn);
            }
        }
        return places.stream()
                .map(p -> p.isUnder(ruler.length()) ? p : p.minus(ruler.length()))
                .distinct()
                .filter(p -> !read.contains(p))
                .toList();
    }

    private void between(TreeSet<Length> places, Span stretch) {
        // a little less than the rule's distance, so that a place put onto the tape's marks still keeps it
        Length step = rule.apart().minus(mark().times(2));
        for (Length from : List.copyOf(places)) {
            Length to = places.higher(from);
            if (to == null || !to.minus(from).isOver(rule.apart())) {
                continue;
            }
            long parts = 2;
            while (to.minus(from).isOver(step.times(parts))) {
                parts++;
            }
            Length part = to.minus(from).dividedBy(parts);
            for (long n = 1; n < parts; n++) {
                places.add(onTape(from.plus(part.times(n)), stretch));
            }
        }
    }

    private void atLeast(TreeSet<Length> places, Span stretch) {
        while (places.size() < rule.stations()) {
            int before = places.size();
            splitLongest(places, stretch);
            if (places.size() == before) {
                return;
            }
        }
    }

    private void splitLongest(TreeSet<Length> places, Span stretch) {
        TreeSet<Length> bounds = new TreeSet<>(places);
        bounds.add(stretch.from());
        bounds.add(stretch.to());
        Length from = bounds.first();
        for (Length p : bounds.headSet(bounds.last())) {
            if (bounds.higher(p).minus(p).isOver(bounds.higher(from).minus(from))) {
                from = p;
            }
        }
        places.add(onTape(middle(from, bounds.higher(from)), stretch));
    }

    private static Length middle(Length a, Length b) {
        return a.plus(b).dividedBy(2);
    }

    /** The tape's mark: 1/8 in, or 1 mm. */
    private Length mark() {
        return ruler.length().unit() == Unit.INCH ? Length.inches(1, 8) : Length.millimetres("1");
    }

    /** The nearest mark of the tape that lies on the stretch; between two marks the place stays as it is. */
    private Length onTape(Length place, Span stretch) {
        double marks = place.approximateNanometres() / mark().approximateNanometres();
        return Stream.of(Math.round(marks), (long) Math.floor(marks), (long) Math.ceil(marks))
                .map(n -> mark().times(n))
                .filter(stretch::contains)
                .findFirst()
                .orElse(place);
    }
}
