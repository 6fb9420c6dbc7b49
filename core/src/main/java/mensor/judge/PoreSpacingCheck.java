package mensor.judge;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import mensor.criteria.Rule;
import mensor.inspection.Inspection;
import mensor.inspection.Porosity;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;

/**
 * Any visible pore counts: none too large, and no two with their centres nearer than the window is wide. Where pores are known
 * only to lie along a stretch, two bounds: they surely break it where more must share a stretch than fit there apart; they
 * surely keep it where every place that they could have keeps them apart.
 */
final class PoreSpacingCheck {
    /** More are not placed one by one: so many hardly ever lie four inches apart, and the bounds say so. */
    private static final int MOST_PLACED = 1_500;

    private final Inspection inspection;
    private final Rule.PoreSpacing rule;

    PoreSpacingCheck(Inspection inspection, Rule.PoreSpacing rule) {
        this.inspection = inspection;
        this.rule = rule;
    }

    /** Pores somewhere from one place to another, laid out straight. */
    private record Somewhere(int index, Length from, Length to, long count) {}

    /** There is at least one pore. */
    void judge(Finding.Builder finding) {
        List<Occurrence<Porosity>> recorded = Occurrence.indications(inspection, Porosity.class);
        List<Occurrence<Porosity>> found =
                recorded.stream().filter(f -> f.what().diameter().isPositive()).toList();
        String allowed = "one in any " + rule.window().shownWithUnit() + ", none over "
                + rule.most().shownWithUnit();
        finding.allowed(allowed);
        if (found.isEmpty()) {
            finding.measured("0")
                    .indications(Occurrence.indices(recorded))
                    .accept(Why.NOTHING_THERE.of("of diameter 0"));
            return;
        }
        Occurrence<Porosity> largest = found.stream()
                .max(Comparator.comparing(f -> f.what().diameter()))
                .orElseThrow();
        if (largest.what().diameter().isOver(rule.most())) {
            finding.atMost(largest.what().diameter().in(inspection.units()), rule.most())
                    .span(largest.what().span())
                    .indications(List.of(largest.index()))
                    .reject(Why.PORE_TOO_LARGE.of(
                            largest.what().diameter().in(inspection.units()),
                            largest.what().span(),
                            rule.most()));
            return;
        }
        List<Somewhere> pores = laidOut(found);
        long all = found.stream().mapToLong(f -> f.what().count()).sum();
        finding.measured(all == 1 ? "1 pore" : all + " pores").indications(Occurrence.indices(found));
        Optional<Span> broken = surelyBroken(pores);
        boolean kept = broken.isEmpty() && surelyKept(pores);
        if (!kept && broken.isEmpty() && all <= MOST_PLACED) {
            broken = new PoreRing(inspection.joint().ruler(), found, rule.window()).crowded();
        }
        if (broken.isPresent()) {
            finding.span(broken.get()).reject(Why.PORES_TOO_NEAR.of(rule.window(), broken.get()));
        } else if (kept) {
            finding.accept(
                    all == 1
                            ? Why.ONE_PORE.of(largest.what().diameter().in(inspection.units()))
                            : Why.PORES_FAR_ENOUGH.of(rule.window()));
        } else {
            finding.incomplete(Why.PORE_SPACING_UNSURE.of(rule.window()), Ask.Kind.MARK_PORES.of());
        }
    }

    /** Each pore once; on a closed weld those near the datum once more, a turn further on. */
    private List<Somewhere> laidOut(List<Occurrence<Porosity>> found) {
        Ruler ruler = inspection.joint().ruler();
        List<Somewhere> pores = new ArrayList<>();
        for (Occurrence<Porosity> f : found) {
            Span s = f.what().span();
            Length from = ruler.place(s.from());
            Length to = from.plus(s.wraps() ? s.extent().plus(ruler.length()) : s.extent());
            pores.add(new Somewhere(f.index(), from, to, f.what().count()));
            if (ruler.closed()) {
                pores.add(new Somewhere(
                        f.index(),
                        from.plus(ruler.length()),
                        to.plus(ruler.length()),
                        f.what().count()));
            }
        }
        pores.sort(Comparator.comparing(Somewhere::from).thenComparing(Somewhere::to));
        return pores;
    }

    /**
     * A stretch that surely holds k pores and is shorter than k − 1 windows. Swept by where pores end at the latest: with n(a)
     * pores between a and there, the stretch breaks it where n(a) windows + a reach past the end and one window more. What
     * lies a turn further on a closed weld is the same pore; that many around the ring are too many all the same.
     */
    private Optional<Span> surelyBroken(List<Somewhere> pores) {
        boolean single = pores.get(0).count() == 1
                && pores.stream().allMatch(p -> p.index() == pores.get(0).index());
        if (single) {
            return Optional.empty(); // a pore and itself once round are no two
        }
        List<Length> froms = pores.stream()
                .map(Somewhere::from)
                .collect(Collectors.collectingAndThen(
                        Collectors.toCollection(TreeSet::new), List::copyOf)); // 2 in and 50.8 mm are one place
        Reach reach = new Reach(froms);
        List<Somewhere> byEnd =
                pores.stream().sorted(Comparator.comparing(Somewhere::to)).toList();
        for (Somewhere p : byEnd) {
            int place = Collections.binarySearch(froms, p.from());
            reach.add(place, rule.window().times(p.count()));
            int last = Collections.binarySearch(froms, p.to());
            int begun = last < 0 ? -last - 2 : last; // what begins later holds none of them
            if (reach.most(begun).isOver(p.to().plus(rule.window()))) {
                return Optional.of(new Span(froms.get(reach.where(begun)), p.to()));
            }
        }
        return Optional.empty();
    }

    /** Numbers at places, of which all up to one can be raised at once, and the greatest be told: a tree over the places. */
    private static final class Reach {
        private final int size;
        private final Length[] greatest;
        private final Length[] raised;

        Reach(List<Length> start) {
            size = start.size();
            greatest = new Length[4 * size];
            raised = new Length[4 * size];
            build(1, 0, size - 1, start);
        }

        private void build(int node, int low, int high, List<Length> start) {
            raised[node] = Length.zero(start.get(low).unit());
            if (low == high) {
                greatest[node] = start.get(low);
                return;
            }
            int middle = (low + high) / 2;
            build(2 * node, low, middle, start);
            build(2 * node + 1, middle + 1, high, start);
            greatest[node] = greatest[2 * node].max(greatest[2 * node + 1]);
        }

        /** Raises all places up to and with this one. */
        void add(int upTo, Length by) {
            add(1, 0, size - 1, upTo, by);
        }

        private void add(int node, int low, int high, int upTo, Length by) {
            if (high <= upTo) {
                greatest[node] = greatest[node].plus(by);
                raised[node] = raised[node].plus(by);
                return;
            }
            int middle = (low + high) / 2;
            add(2 * node, low, middle, upTo, by);
            if (upTo > middle) {
                add(2 * node + 1, middle + 1, high, upTo, by);
            }
            greatest[node] = greatest[2 * node].max(greatest[2 * node + 1]).plus(raised[node]);
        }

        /** The greatest of the places up to and with this one. */
        Length most(int upTo) {
            return most(1, 0, size - 1, upTo);
        }

        private Length most(int node, int low, int high, int upTo) {
            if (high <= upTo) {
                return greatest[node];
            }
            int middle = (low + high) / 2;
            Length left = most(2 * node, low, middle, upTo);
            Length most = upTo > middle ? left.max(most(2 * node + 1, middle + 1, high, upTo)) : left;
            return most.plus(raised[node]);
        }

        /** The first of those places that has it. */
        int where(int upTo) {
            Length most = most(upTo);
            int low = 0;
            int high = upTo;
            while (low < high) {
                int middle = (low + high) / 2;
                if (most(middle).isUnder(most)) {
                    low = middle + 1;
                } else {
                    high = middle;
                }
            }
            return low;
        }
    }

    /** Wherever they lie, each begins a window or more after all that begin before it have ended; a pore is not its own pair. */
    private boolean surelyKept(List<Somewhere> pores) {
        Length ended = null;
        int by = -1;
        for (Somewhere p : pores) {
            if (p.count() > 1) {
                return false;
            }
            if (ended != null && by != p.index() && p.from().minus(ended).isUnder(rule.window())) {
                return false;
            }
            if (ended == null || p.to().isOver(ended)) {
                ended = p.to();
                by = p.index();
            }
        }
        return true;
    }
}
