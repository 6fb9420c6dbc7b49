package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.inspection.Porosity;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;

/**
 * Pores that each lie somewhere along a stretch, and whether some two are surely nearer than a window. On a closed weld the
 * ring is cut where no pore can lie for a window's width, or at a pore whose place is known; where it cannot be cut, two
 * pores that are near wherever they lie are found all the same, and more is not said.
 */
final class PoreRing {
    private final Ruler ruler;
    private final Length window;
    private final List<Span> pores = new ArrayList<>();

    PoreRing(Ruler ruler, List<Occurrence<Porosity>> found, Length window) {
        this.ruler = ruler;
        this.window = window;
        for (Occurrence<Porosity> f : found) {
            Span s = f.what().span();
            Length from = ruler.place(s.from());
            Length extent = s.wraps() ? s.extent().plus(ruler.length()) : s.extent();
            for (long n = 0; n < f.what().count(); n++) {
                pores.add(new Span(from, from.plus(extent)));
            }
        }
    }

    /** A stretch on which two of them must be nearer than the window. */
    Optional<Span> crowded() {
        if (!ruler.closed()) {
            return new ApartPlacement(pores, window).crowded();
        }
        return emptyArc().or(this::knownPlace).map(this::cutAt).orElseGet(this::nearPair);
    }

    /** Where the ring can be opened, and what must be kept free to both sides of that place. */
    private record Cut(Length at, Length free, int leftOut) {}

    /** The end of an arc of a window's width in which no pore can lie. */
    private Optional<Cut> emptyArc() {
        SpanSet taken = SpanSet.of(
                pores.stream().flatMap(p -> ruler.straight(onRing(p)).stream()).toList());
        List<Span> spans = taken.spans();
        for (int i = 0; i < spans.size(); i++) {
            Length next = i + 1 < spans.size()
                    ? spans.get(i + 1).from()
                    : spans.get(0).from().plus(ruler.length());
            if (!next.minus(spans.get(i).to()).isUnder(window)) {
                return Optional.of(new Cut(ruler.place(next), Length.zero(window.unit()), -1));
            }
        }
        return Optional.empty();
    }

    /** A pore at one place that lies within no other's stretch. */
    private Optional<Cut> knownPlace() {
        for (int i = 0; i < pores.size(); i++) {
            Length at = pores.get(i).from();
            boolean known = pores.get(i).extent().isZero();
            if (known && pores.stream().noneMatch(p -> reaches(p, at))) {
                return Optional.of(new Cut(at, window, i));
            }
        }
        return Optional.empty();
    }

    private boolean reaches(Span pore, Length at) {
        Length from = ruler.place(at.minus(pore.from()));
        return from.isPositive() && from.isUnder(pore.extent());
    }

    private Optional<Span> cutAt(Cut cut) {
        List<Span> straight = new ArrayList<>();
        Length most = ruler.length().minus(cut.free());
        for (int i = 0; i < pores.size(); i++) {
            if (i == cut.leftOut()) {
                continue;
            }
            Length from = ruler.place(pores.get(i).from().minus(cut.at()));
            Length to = from.plus(pores.get(i).extent());
            Span kept = new Span(from.max(cut.free()), to.min(most));
            if (kept.wraps()) {
                return Optional.of(onRing(new Span(cut.at(), cut.at().plus(to))));
            }
            straight.add(kept);
        }
        return new ApartPlacement(straight, window)
                .crowded()
                .map(s -> onRing(new Span(s.from().plus(cut.at()), s.to().plus(cut.at()))));
    }

    private Span onRing(Span unrolled) {
        if (!unrolled.extent().isUnder(ruler.length())) {
            return ruler.whole();
        }
        Length from = ruler.place(unrolled.from());
        Length to = from.plus(unrolled.extent());
        return new Span(from, to.isOver(ruler.length()) ? to.minus(ruler.length()) : to);
    }

    private Optional<Span> nearPair() {
        for (int i = 0; i < pores.size(); i++) {
            for (int j = i + 1; j < pores.size(); j++) {
                if (furthest(pores.get(i), pores.get(j)).isUnder(window)) {
                    return Optional.of(onRing(pores.get(i)));
                }
            }
        }
        return Optional.empty();
    }

    /** The greatest distance around the ring at which two of them may lie. */
    private Length furthest(Span a, Span b) {
        Length half = ruler.length().dividedBy(2);
        Length from = ruler.place(b.from().minus(a.to()));
        Length to = from.plus(a.extent()).plus(b.extent());
        boolean opposite = !from.isOver(half) && !to.isUnder(half) || !to.isUnder(half.plus(ruler.length()));
        return opposite ? half : around(from).max(around(to));
    }

    private Length around(Length distance) {
        Length d = ruler.place(distance);
        return d.min(ruler.length().minus(d));
    }
}
