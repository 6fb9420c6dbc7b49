package mensor.weld;

import java.util.ArrayList;
import java.util.List;
import mensor.length.Length;
import mensor.length.Ruler;

/**
 * Starts and stops of passes that lie next to each other in the stack: where two lie nearer than wanted, slag and craters pile
 * up in one place. At least 1 in apart is a rule of thumb (common practice, no source), and can be set otherwise; exactly so
 * far apart is apart enough. The ends of an open weld are every pass's own and do not count.
 */
public final class Stagger {
    public static final Length USUAL = Length.inches(1);

    /** Two places too near: passes by their place in the record, the later one first. */
    public record StackedStarts(int pass, Length at, int below, Length belowAt, Length apart) {
        public String line(Length wanted) {
            return "pass " + (pass + 1) + " at " + at.shown() + " and pass " + (below + 1) + " at " + belowAt.shown()
                    + ": " + apart.shownWithUnit() + " apart, "
                    + wanted.in(apart.unit()).shownWithUnit() + " required (rule of thumb)";
        }
    }

    private Stagger() {}

    public static List<StackedStarts> stacked(List<LoggedPass> passes, Ruler ruler, Length wanted) {
        List<StackedStarts> found = new ArrayList<>();
        for (int i = 1; i < passes.size(); i++) {
            for (Length at : places(passes.get(i), ruler)) {
                for (Length below : places(passes.get(i - 1), ruler)) {
                    Length apart = apart(at, below, ruler);
                    if (apart.isUnder(wanted)) {
                        found.add(new StackedStarts(i, at, i - 1, below, apart));
                    }
                }
            }
        }
        return List.copyOf(found);
    }

    /** A stop and the restart after it are one place. */
    private static List<Length> places(LoggedPass pass, Ruler ruler) {
        List<Length> all = new ArrayList<>(pass.starts());
        all.addAll(pass.stops());
        return all.stream()
                .filter(p -> ruler.closed() || p.isPositive() && p.isUnder(ruler.length()))
                .map(ruler::place)
                .distinct()
                .sorted()
                .toList();
    }

    private static Length apart(Length a, Length b, Ruler ruler) {
        Length straight = a.isOver(b) ? a.minus(b) : b.minus(a);
        return ruler.closed() ? straight.min(ruler.length().minus(straight)) : straight;
    }
}
