package mensor.judge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;

/**
 * Bounds of what is under size between stations, where nothing is invented: for each run of low stations at least from the
 * first to the last low one, at most from the good station before to the good station after, or to where the region or a
 * known stretch ends. Known stretches (marked as undersize, or tried with a blade) are left out here: they are exact.
 */
public final class UndersizePortion {
    private final List<Span> least = new ArrayList<>();
    private final List<Span> most = new ArrayList<>();

    /** A station outside the known stretches, low or good against the wanted size. */
    public record Station(Length at, boolean low) {}

    /**
     * @param region where the wanted size holds: the welded stretches, or those over a fit-up gap
     * @param known stretches inside which the size is known exactly
     */
    public UndersizePortion(Ruler ruler, SpanSet region, SpanSet known, List<Station> stations) {
        List<Span> open = region.minus(known).spans();
        boolean ring = !open.isEmpty()
                && ruler.closed()
                && open.get(0).from().isZero()
                && Objects.equals(
                        open.get(open.size() - 1).to().exactNanometres(),
                        ruler.length().exactNanometres());
        boolean endsAtDatum = ruler.closed() && !ring && region.covers(ruler.length());
        List<Station> sorted = new ArrayList<>();
        stations.stream()
                .filter(s -> ruler.isOn(region, s.at()) && !ruler.isOn(known, s.at()))
                .map(s -> endsAtDatum && s.at().isZero() ? new Station(ruler.length(), s.low()) : s)
                .sorted(Comparator.comparing(Station::at))
                .forEach(s -> addOnce(sorted, s));
        if (open.isEmpty()) {
            return;
        }
        int next = 0;
        List<List<Station>> perPiece = new ArrayList<>();
        for (Span piece : open) {
            List<Station> here = new ArrayList<>();
            while (next < sorted.size() && !sorted.get(next).at().isOver(piece.to())) {
                here.add(sorted.get(next++));
            }
            perPiece.add(here);
        }
        for (int i = 0; i < open.size(); i++) {
            boolean head = ring && i == 0;
            boolean tail = ring && i == open.size() - 1;
            runs(open.get(i), perPiece.get(i), head, tail);
        }
        if (ring) {
            acrossDatum(ruler, open, perPiece);
        }
    }

    /** Of two readings at one place the low one counts. */
    private static void addOnce(List<Station> sorted, Station station) {
        int last = sorted.size() - 1;
        if (last >= 0 && sorted.get(last).at().compareTo(station.at()) == 0) {
            sorted.set(
                    last,
                    new Station(station.at(), station.low() || sorted.get(last).low()));
        } else {
            sorted.add(station);
        }
    }

    /** The runs of one piece, but for those that reach an end which goes on across the datum. */
    private void runs(Span piece, List<Station> stations, boolean headGoesOn, boolean tailGoesOn) {
        int i = 0;
        while (i < stations.size()) {
            if (!stations.get(i).low()) {
                i++;
                continue;
            }
            int j = i;
            while (j + 1 < stations.size() && stations.get(j + 1).low()) {
                j++;
            }
            boolean reachesHead = i == 0;
            boolean reachesTail = j == stations.size() - 1;
            if (!(reachesHead && headGoesOn) && !(reachesTail && tailGoesOn)) {
                least.add(new Span(stations.get(i).at(), stations.get(j).at()));
                most.add(new Span(
                        reachesHead ? piece.from() : stations.get(i - 1).at(),
                        reachesTail ? piece.to() : stations.get(j + 1).at()));
            }
            i = j + 1;
        }
    }

    private void acrossDatum(Ruler ruler, List<Span> open, List<List<Station>> perPiece) {
        List<Station> first = perPiece.get(0);
        List<Station> last = perPiece.get(perPiece.size() - 1);
        Span firstPiece = open.get(0);
        Span lastPiece = open.get(open.size() - 1);
        boolean onePiece = open.size() == 1;
        if (onePiece && first.stream().allMatch(Station::low)) {
            if (!first.isEmpty()) {
                allLow(ruler, first);
            }
            return;
        }
        int head = 0;
        while (head < first.size() && first.get(head).low()) {
            head++;
        }
        int tail = last.size();
        while (tail > 0 && last.get(tail - 1).low()) {
            tail--;
        }
        boolean headLow = head > 0;
        boolean tailLow = tail < last.size();
        if (!headLow && !tailLow) {
            return;
        }
        Length zero = ruler.whole().from();
        most.add(new Span(tail == 0 ? lastPiece.from() : last.get(tail - 1).at(), ruler.length()));
        most.add(new Span(
                zero, head == first.size() ? firstPiece.to() : first.get(head).at()));
        if (tailLow) {
            Length to = headLow ? ruler.length() : last.get(last.size() - 1).at();
            least.add(new Span(last.get(tail).at(), to));
        }
        if (headLow) {
            Length from = tailLow ? zero : first.get(0).at();
            least.add(new Span(from, first.get(head - 1).at()));
        }
    }

    /** A closed weld with low stations only: surely low but for the widest spacing, at most all around. */
    private void allLow(Ruler ruler, List<Station> stations) {
        most.add(ruler.whole());
        int n = stations.size();
        int widest = n - 1; // the spacing from station n-1 across the datum to the first
        Length width = stations.get(0)
                .at()
                .plus(ruler.length())
                .minus(stations.get(n - 1).at());
        for (int i = 0; i + 1 < n; i++) {
            Length spacing = stations.get(i + 1).at().minus(stations.get(i).at());
            if (spacing.isOver(width)) {
                width = spacing;
                widest = i;
            }
        }
        Span low = new Span(
                stations.get((widest + 1) % n).at(), stations.get(widest).at());
        least.addAll(ruler.straight(low));
    }

    /** What is surely under size. */
    public SpanSet atLeast() {
        return SpanSet.of(least);
    }

    /** What may be under size. */
    public SpanSet atMost() {
        return SpanSet.of(most);
    }
}
