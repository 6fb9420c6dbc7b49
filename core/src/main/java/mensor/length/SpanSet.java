package mensor.length;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/**
 * The union of stretches on a straight ruler: sorted, disjoint, touching ones merged. A place of no length is kept by
 * {@link #covers} but adds nothing to {@link #total}. Stretches given to it must not pass the datum (see {@link Ruler}).
 */
public final class SpanSet {
    public static final SpanSet NONE = new SpanSet(List.of());

    private final List<Span> spans;

    private SpanSet(List<Span> spans) {
        this.spans = spans;
    }

    public static SpanSet of(Collection<Span> stretches) {
        List<Span> sorted = new ArrayList<>(stretches);
        sorted.sort(Comparator.comparing(Span::from));
        List<Span> merged = new ArrayList<>();
        for (Span s : sorted) {
            int last = merged.size() - 1;
            if (last >= 0 && !s.from().isOver(merged.get(last).to())) {
                Span before = merged.get(last);
                merged.set(last, new Span(before.from(), before.to().max(s.to())));
            } else {
                merged.add(s);
            }
        }
        return new SpanSet(List.copyOf(merged));
    }

    public List<Span> spans() {
        return spans;
    }

    public boolean isEmpty() {
        return spans.isEmpty();
    }

    public SpanSet union(SpanSet other) {
        List<Span> all = new ArrayList<>(spans);
        all.addAll(other.spans);
        return of(all);
    }

    /** What of this lies in none of the other's stretches, as closed stretches of positive length. */
    public SpanSet minus(SpanSet other) {
        List<Span> left = new ArrayList<>();
        int first = spans.isEmpty() ? 0 : other.firstEndingFrom(spans.get(0).from());
        for (Span s : spans) {
            Length from = s.from();
            while (first < other.spans.size() && other.spans.get(first).to().isUnder(s.from())) {
                first++;
            }
            for (int i = first;
                    i < other.spans.size() && other.spans.get(i).from().isUnder(s.to());
                    i++) {
                Span cut = other.spans.get(i);
                if (cut.from().isOver(from)) {
                    left.add(new Span(from, cut.from()));
                }
                from = from.max(cut.to());
            }
            if (from.isUnder(s.to())) {
                left.add(new Span(from, s.to()));
            }
        }
        return new SpanSet(List.copyOf(left));
    }

    /** What lies in both, places of no length included. */
    public SpanSet intersect(SpanSet other) {
        List<Span> both = new ArrayList<>();
        int i = 0;
        int j = 0;
        while (i < spans.size() && j < other.spans.size()) {
            Span a = spans.get(i);
            Span b = other.spans.get(j);
            Length from = a.from().max(b.from());
            Length to = a.to().min(b.to());
            if (!from.isOver(to)) {
                both.add(new Span(from, to));
            }
            if (a.to().isUnder(b.to())) {
                i++;
            } else {
                j++;
            }
        }
        return of(both);
    }

    /** What of this lies within one stretch, clipped to it, places of no length included. */
    public SpanSet within(Span range) {
        List<Span> inside = new ArrayList<>();
        for (int i = firstEndingFrom(range.from());
                i < spans.size() && !spans.get(i).from().isOver(range.to());
                i++) {
            Span s = spans.get(i);
            inside.add(new Span(s.from().max(range.from()), s.to().min(range.to())));
        }
        return new SpanSet(List.copyOf(inside));
    }

    /** The index of the first stretch that does not end before the place. */
    private int firstEndingFrom(Length place) {
        int low = 0;
        int high = spans.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (spans.get(middle).to().isUnder(place)) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    public boolean covers(Length position) {
        return find(position) != null;
    }

    /** The stretch that holds the place, or null. */
    public Span find(Length position) {
        int low = 0;
        int high = spans.size() - 1;
        while (low <= high) {
            int middle = (low + high) >>> 1;
            Span s = spans.get(middle);
            if (position.isUnder(s.from())) {
                high = middle - 1;
            } else if (position.isOver(s.to())) {
                low = middle + 1;
            } else {
                return s;
            }
        }
        return null;
    }

    /** The summed length, zero in the given unit for none. */
    public Length total(Unit unit) {
        Length sum = Length.zero(unit);
        for (Span s : spans) {
            sum = sum.plus(s.extent());
        }
        return sum;
    }
}
