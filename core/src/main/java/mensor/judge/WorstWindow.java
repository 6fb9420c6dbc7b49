package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;

/**
 * The window of a given width in which the most length of stretches lies, over every position of the window and not over
 * fixed slices. The stretches come in lanes (one toe each): within a lane overlapping stretches count once, lanes add up.
 *
 * <p>With F(x) the counted length in [0, x], the sum of a window is F(s + w) − F(s), piecewise linear in s; it is greatest
 * where s or s + w lies on the end of a stretch, or at the ends of the weld. On a closed weld the window passes the datum.
 * A weld not longer than the window has one window: the whole.
 */
public final class WorstWindow {
    private final Length sum;
    private final Span span;

    /** @param lanes each lane's stretches, on a ruler that none of them passes the datum of */
    public WorstWindow(Ruler ruler, List<SpanSet> lanes, Length width) {
        Length whole = ruler.length();
        if (!width.isUnder(whole)) {
            Length total = Length.zero(whole.unit());
            for (SpanSet lane : lanes) {
                total = total.plus(lane.total(whole.unit()));
            }
            sum = total;
            span = ruler.whole();
            return;
        }
        List<Length> candidates = new ArrayList<>();
        Length zero = Length.zero(whole.unit());
        Length last = ruler.closed() ? whole : whole.minus(width);
        candidates.add(zero);
        if (!ruler.closed()) {
            candidates.add(last);
        }
        for (SpanSet lane : lanes) {
            for (Span s : lane.spans()) {
                for (Length end : List.of(s.from(), s.to())) {
                    addCandidate(candidates, end, zero, last, ruler);
                    addCandidate(candidates, end.minus(width), zero, last, ruler);
                }
            }
        }
        candidates.sort(null);
        List<LaneSum> sums = lanes.stream().map(l -> new LaneSum(l, ruler)).toList();
        Length best = null;
        Length start = zero;
        for (Length s : candidates) {
            Length total = Length.zero(whole.unit());
            for (LaneSum lane : sums) {
                total = total.plus(lane.between(s, s.plus(width)));
            }
            if (best == null || total.isOver(best)) {
                best = total;
                start = s;
            }
        }
        sum = best;
        Length end = start.plus(width);
        span = new Span(start, end.isOver(whole) ? end.minus(whole) : end);
    }

    private static void addCandidate(List<Length> candidates, Length s, Length zero, Length last, Ruler ruler) {
        Length place = ruler.closed() ? ruler.place(s) : s;
        if (!place.isUnder(zero) && !place.isOver(last)) {
            candidates.add(place);
        }
    }

    /** The counted length in the window. */
    public Length sum() {
        return sum;
    }

    /** Where the window lies; the first such one from the datum. */
    public Span span() {
        return span;
    }

    /** F of one lane, asked with rising window starts: two indices that only move forward. */
    private static final class LaneSum {
        private final List<Span> spans;
        private final Length[] before; // counted length before the start of each stretch
        private int low;
        private int high;

        LaneSum(SpanSet lane, Ruler ruler) {
            List<Span> laid = new ArrayList<>(lane.spans());
            if (ruler.closed()) { // the turn after, for windows that pass the datum
                for (Span s : lane.spans()) {
                    laid.add(new Span(s.from().plus(ruler.length()), s.to().plus(ruler.length())));
                }
            }
            spans = laid;
            before = new Length[laid.size() + 1];
            before[0] = Length.zero(ruler.length().unit());
            for (int i = 0; i < laid.size(); i++) {
                before[i + 1] = before[i].plus(laid.get(i).extent());
            }
        }

        Length between(Length from, Length to) {
            while (low < spans.size() && !spans.get(low).to().isOver(from)) {
                low++;
            }
            while (high < spans.size() && !spans.get(high).to().isOver(to)) {
                high++;
            }
            return counted(high, to).minus(counted(low, from));
        }

        private Length counted(int index, Length x) {
            if (index < spans.size() && spans.get(index).from().isUnder(x)) {
                return before[index].plus(x.minus(spans.get(index).from()));
            }
            return before[index];
        }
    }
}
