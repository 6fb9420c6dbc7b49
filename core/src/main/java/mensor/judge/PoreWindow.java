package mensor.judge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;

/**
 * The summed diameters of pores in the worst window of a given width, every position of a closed window tried. Where pores
 * are known only to lie along a stretch, two bounds: at most all of them lie in any window that touches the stretch; at
 * least those of the stretches that lie wholly in the window, or of n pores along a stretch of length s the ⌈n ÷ ⌈s/w⌉⌉
 * that must share a window of width w.
 */
public final class PoreWindow {
    private final Sum atMost;
    private final Sum atLeast;

    /** Pores at a place or along a stretch, with the diameter that each counts as. */
    public record Pores(Span span, Length diameter, long count) {
        Length sum() {
            return diameter.times(count);
        }
    }

    /** A sum and the window in which it lies. */
    public record Sum(Length total, Span span) {}

    public PoreWindow(Ruler ruler, List<Pores> pores, Length width) {
        Length whole = ruler.length();
        if (!width.isUnder(whole)) {
            Length total = Length.zero(whole.unit());
            for (Pores p : pores) {
                total = total.plus(p.sum());
            }
            atMost = new Sum(total, ruler.whole());
            atLeast = atMost;
            return;
        }
        List<Weight> touching = new ArrayList<>();
        List<Weight> inside = new ArrayList<>();
        Sum shared = new Sum(Length.zero(whole.unit()), new Span(Length.zero(whole.unit()), width));
        for (Pores p : pores) {
            Length from = ruler.place(p.span().from());
            Length extent =
                    p.span().wraps() ? p.span().extent().plus(whole) : p.span().extent();
            touching.add(new Weight(from.minus(width), from.plus(extent), p.sum()));
            if (!extent.isOver(width)) {
                inside.add(new Weight(from.plus(extent).minus(width), from, p.sum()));
            } else {
                long tiles = ceilingOfQuotient(extent, width);
                Length least = p.diameter().times((p.count() + tiles - 1) / tiles);
                if (least.isOver(shared.total())) {
                    shared = new Sum(least, p.span());
                }
            }
        }
        atMost = heaviest(ruler, touching, width);
        Sum together = heaviest(ruler, inside, width);
        atLeast = shared.total().isOver(together.total()) ? shared : together;
    }

    private static long ceilingOfQuotient(Length extent, Length width) {
        var quotient = extent.exactNanometres().divide(width.exactNanometres());
        var divided = quotient.getNumerator().divideAndRemainder(quotient.getDenominator());
        return divided[0].longValueExact() + (divided[1].signum() == 0 ? 0 : 1);
    }

    /** The greatest sum that can lie in one window. */
    public Sum atMost() {
        return atMost;
    }

    /** A sum that surely lies in one window, or along the stretch named. */
    public Sum atLeast() {
        return atLeast;
    }

    /** A weight that is in the window while the window's start lies in [from, to]. */
    private record Weight(Length from, Length to, Length value) {}

    private record Event(Length at, boolean enters, Length value) {}

    /** The greatest sum of weights over all window starts: a sweep over the starts at which weights enter and leave. */
    private static Sum heaviest(Ruler ruler, List<Weight> weights, Length width) {
        Length whole = ruler.length();
        Length always = Length.zero(whole.unit());
        List<Event> events = new ArrayList<>();
        for (Weight w : weights) {
            if (!ruler.closed()) {
                addEvents(events, w.from(), w.to(), w.value());
            } else if (!w.to().minus(w.from()).isUnder(whole)) {
                always = always.plus(w.value());
            } else {
                Length from = ruler.place(w.from());
                Length to = from.plus(w.to().minus(w.from()));
                addEvents(events, from, to, w.value());
                if (!to.isUnder(whole)) {
                    addEvents(events, from.minus(whole), to.minus(whole), w.value());
                }
            }
        }
        events.sort(Comparator.comparing(Event::at).thenComparing(e -> !e.enters()));
        Length sum = always;
        Length best = always;
        Length start = Length.zero(whole.unit());
        for (Event e : events) {
            sum = e.enters() ? sum.plus(e.value()) : sum.minus(e.value());
            if (sum.isOver(best)) {
                best = sum;
                start = e.at();
            }
        }
        return new Sum(best, window(ruler, start, width));
    }

    private static void addEvents(List<Event> events, Length from, Length to, Length value) {
        events.add(new Event(from, true, value));
        events.add(new Event(to, false, value));
    }

    private static Span window(Ruler ruler, Length start, Length width) {
        Length whole = ruler.length();
        if (ruler.closed()) {
            Length from = ruler.place(start);
            Length to = from.plus(width);
            return new Span(from, to.isOver(whole) ? to.minus(whole) : to);
        }
        Length from = start.max(Length.zero(whole.unit())).min(whole.minus(width));
        return new Span(from, from.plus(width));
    }
}
