package mensor.scan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.scan.WeldScan.Quantity;
import mensor.scan.WeldScan.Stretch;
import mensor.scan.WeldScan.ToeReach;

/** Where a scan does not tell what is beside a toe: no light came back there, or what looks deep is too short, or no deeper than the surface is rough. */
final class ToeLooks {
    private final double report;

    /** @param report the least depth that is reported, mm */
    ToeLooks(double report) {
        this.report = report;
    }

    private static final List<Quantity> TOES = List.of(Quantity.UNDERCUT_A, Quantity.UNDERCUT_B);
    /** A toe without returns over less than this is a lone profile's matter, mm. */
    private static final double LEAST_UNSEEN = 1.5;
    /** So deep on one profile alone, or on two, it is worth a look, mm: less is often a wild point. */
    private static final double LOOK_ON_ONE = 0.5;

    private static final double LOOK_ON_TWO = 0.3;
    /** Where profiles lie so far apart one that tells nothing can hide a place, mm. */
    private static final double WIDE = 0.9;

    /** Where neighboring profiles had no returns beside a toe. */
    static List<ToeReach> unseen(double[][] all, double spacing) {
        List<ToeReach> unseen = new ArrayList<>();
        for (Quantity q : TOES) {
            int column = WeldScan.FIRST + 2 * q.ordinal();
            for (int i = 0; i < all.length; i++) {
                int from = i;
                while (i < all.length && Double.isNaN(all[i][column])) {
                    i++;
                }
                boolean many =
                        i - from >= 2 && all[i - 1][WeldScan.S] - all[from][WeldScan.S] + spacing >= LEAST_UNSEEN;
                if (many || i - from == 1 && spacing >= LEAST_UNSEEN) {
                    addJoined(unseen, new ToeReach(q, all[from][WeldScan.S], all[i - 1][WeldScan.S]), 2 * spacing);
                }
            }
        }
        return List.copyOf(unseen);
    }

    /** A profile between two of them, on which a grain of spatter lies in the notch, does not part them. */
    private static void addJoined(List<ToeReach> all, ToeReach next, double near) {
        ToeReach last = all.isEmpty() ? null : all.get(all.size() - 1);
        boolean joins = last != null && last.toe() == next.toe() && next.from() - last.to() <= near + 1e-9;
        if (joins) {
            all.set(all.size() - 1, new ToeReach(last.toe(), last.from(), next.to()));
        } else {
            all.add(next);
        }
    }

    /**
     * What stands on one or two profiles, which the median of five takes away, with what beside it gave nothing back; and what is no deeper than the
     * surface is rough: proposed as a place to look at, not as a number.
     */
    List<Stretch> looks(double[][] taken, double[][] calm, double spacing) {
        List<Stretch> looks = new ArrayList<>();
        for (Quantity q : TOES) {
            int column = WeldScan.FIRST + 2 * q.ordinal();
            List<Stretch> measured = WeldScan.passing(calm, WeldScan.covered(calm, spacing), q, report, false);
            measured.stream().filter(s -> !isSure(s, report)).forEach(looks::add);
            for (int i = 0; i < taken.length; i++) {
                int from = i;
                while (i < taken.length && !isQuiet(taken[i], column, calm, measured)) {
                    i++;
                }
                look(q, taken, from, i, spacing).ifPresent(looks::add);
            }
        }
        looks.sort((a, b) -> Double.compare(a.from(), b.from()));
        return List.copyOf(looks);
    }

    /** Neighboring profiles that are deep or tell nothing, where there are enough of them, or one is deep enough. */
    private static Optional<Stretch> look(Quantity q, double[][] taken, int from, int to, double spacing) {
        int column = WeldScan.FIRST + 2 * q.ordinal();
        int unknown = 0;
        double deepest = 0;
        double u = 0;
        for (int i = from; i < to; i++) {
            if (Double.isNaN(taken[i][column])) {
                unknown++;
            } else if (taken[i][column] > deepest) {
                deepest = taken[i][column];
                u = taken[i][column + 1];
            }
        }
        boolean two = to - from >= 2 && (deepest > LOOK_ON_TWO || unknown >= 1 && deepest > 0 || unknown >= 2);
        boolean one = to - from == 1 && (deepest >= LOOK_ON_ONE || unknown == 1 && spacing >= WIDE);
        return two || one
                ? Optional.of(new Stretch(q, taken[from][WeldScan.S], taken[to - 1][WeldScan.S], deepest, u))
                : Optional.empty();
    }

    /** No deeper than what is reported, or than its neighbors are; one that tells nothing is quiet among deep ones, which reject by themselves. */
    private boolean isQuiet(double[] row, int column, double[][] calm, List<Stretch> measured) {
        double v = row[column];
        if (v <= report) {
            return true;
        }
        boolean in = measured.stream().anyMatch(m -> m.from() <= row[WeldScan.S] && row[WeldScan.S] <= m.to());
        double around = in ? calm[nearest(calm, row[WeldScan.S])][column] : 0;
        return in && (Double.isNaN(v) ? around > LOOK_ON_TWO : v <= around + LOOK_ON_TWO);
    }

    private static int nearest(double[][] calm, double s) {
        int at = 0;
        for (int i = 1; i < calm.length; i++) {
            at = Math.abs(calm[i][WeldScan.S] - s) < Math.abs(calm[at][WeldScan.S] - s) ? i : at;
        }
        return at;
    }

    /** Deeper than it is uncertain by more than what is reported. */
    static boolean isSure(Stretch s, double report) {
        return s.worst() - 2 * s.u() >= report / 2;
    }
}
