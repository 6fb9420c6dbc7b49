package mensor.length;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * The greatest of several values, each of which holds along a stretch, at every place of a straight ruler. Stretches are
 * closed: where two touch, the greater holds. A stretch of no length holds nowhere. Building it takes n log n, a question
 * log n.
 */
public final class GreatestAlong<V> {
    private final Comparator<V> order;
    private final List<Piece<V>> pieces = new ArrayList<>();
    private final List<List<V>> powers = new ArrayList<>();

    /** A value and where it holds. */
    public record Piece<V>(Span span, V value) {}

    /** @param holding stretches that do not pass the datum */
    public GreatestAlong(Collection<Piece<V>> holding, Comparator<V> order) {
        this.order = order;
        List<Piece<V>> real =
                holding.stream().filter(p -> p.span().extent().isPositive()).toList();
        List<Piece<V>> begins = sorted(real, p -> p.span().from());
        List<Piece<V>> ends = sorted(real, p -> p.span().to());
        TreeSet<Length> bounds = new TreeSet<>();
        real.forEach(p -> {
            bounds.add(p.span().from());
            bounds.add(p.span().to());
        });
        TreeMap<V, Integer> active = new TreeMap<>(order);
        Length before = null;
        int begun = 0;
        int ended = 0;
        for (Length bound : bounds) {
            if (!active.isEmpty()) {
                pieces.add(new Piece<>(new Span(before, bound), active.lastKey()));
            }
            while (ended < ends.size() && ends.get(ended).span().to().compareTo(bound) == 0) {
                active.computeIfPresent(ends.get(ended++).value(), (v, n) -> n == 1 ? null : n - 1);
            }
            while (begun < begins.size() && begins.get(begun).span().from().compareTo(bound) == 0) {
                active.merge(begins.get(begun++).value(), 1, Integer::sum);
            }
            before = bound;
        }
        powers.add(pieces.stream().map(Piece::value).toList());
        for (int width = 2; width <= pieces.size(); width *= 2) {
            List<V> half = powers.get(powers.size() - 1);
            List<V> whole = new ArrayList<>();
            for (int i = 0; i + width <= pieces.size(); i++) {
                whole.add(greater(half.get(i), half.get(i + width / 2)));
            }
            powers.add(whole);
        }
    }

    private static <V> List<Piece<V>> sorted(List<Piece<V>> pieces, java.util.function.Function<Piece<V>, Length> by) {
        return pieces.stream().sorted(Comparator.comparing(by)).toList();
    }

    private V greater(V a, V b) {
        return order.compare(a, b) >= 0 ? a : b;
    }

    /** The pieces in order; between them no value holds. */
    public List<Piece<V>> pieces() {
        return pieces;
    }

    /** The greatest that holds at the place. */
    public Optional<V> at(Length place) {
        return greatest(firstEnding(place, false), lastBeginning(place, false));
    }

    /** The greatest that holds along a part of the stretch; at its place where it is one. */
    public Optional<V> over(Span stretch) {
        return stretch.extent().isZero()
                ? at(stretch.from())
                : greatest(firstEnding(stretch.from(), true), lastBeginning(stretch.to(), true));
    }

    /** The pieces that share a length with the stretch. */
    public List<Piece<V>> touching(Span stretch) {
        int from = firstEnding(stretch.from(), true);
        int to = lastBeginning(stretch.to(), true);
        return from > to ? List.of() : pieces.subList(from, to + 1);
    }

    private Optional<V> greatest(int first, int last) {
        if (first > last) {
            return Optional.empty();
        }
        int power = 31 - Integer.numberOfLeadingZeros(last - first + 1);
        List<V> row = powers.get(power);
        return Optional.of(greater(row.get(first), row.get(last - (1 << power) + 1)));
    }

    /** The first piece that ends at or beyond the place; beyond it where {@code past}. */
    private int firstEnding(Length place, boolean past) {
        int low = 0;
        int high = pieces.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            int c = pieces.get(middle).span().to().compareTo(place);
            if (c < 0 || past && c == 0) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /** The last piece that begins at or before the place; before it where {@code short}. */
    private int lastBeginning(Length place, boolean before) {
        int low = -1;
        int high = pieces.size() - 1;
        while (low < high) {
            int middle = (low + high + 1) >>> 1;
            int c = pieces.get(middle).span().from().compareTo(place);
            if (c > 0 || before && c == 0) {
                high = middle - 1;
            } else {
                low = middle;
            }
        }
        return low;
    }
}
