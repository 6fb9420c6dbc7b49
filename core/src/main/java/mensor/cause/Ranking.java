package mensor.cause;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.weld.Sign;

/**
 * The causes of one defect with their shares of the evidence: log-odds of a cause = its place in the shop's order plus the
 * weights of what speaks for and against it, shared out over the causes of the table and "other" (naive Bayes).
 */
final class Ranking {
    private final List<CauseTable.Row> rows;
    private final double[] share; // of each row; the last is "other"
    private final Map<CauseTable.Row, String> ruledOut = new LinkedHashMap<>();
    private final Map<CauseTable.Row, Standing> standings = new LinkedHashMap<>();

    /**
     * @param ruledOut the rows that cannot be the cause, and why
     * @param neverFirst causes that cannot lead whatever speaks for them
     */
    Ranking(Situation situation, Evidence evidence, Map<CauseTable.Row, String> ruledOut, List<CauseClass> neverFirst) {
        this.rows = CauseTable.rows(situation);
        rows.stream().filter(ruledOut::containsKey).forEach(r -> this.ruledOut.put(r, ruledOut.get(r)));
        double[] odds = new double[rows.size() + 1];
        for (int i = 0; i < rows.size(); i++) {
            CauseTable.Row r = rows.get(i);
            odds[i] =
                    this.ruledOut.containsKey(r) ? 0 : Math.exp(-CauseTable.constant("order") * i + evidence.weight(r));
        }
        odds[rows.size()] = Math.exp(CauseTable.constant("other"));
        for (CauseClass c : neverFirst) {
            heldBack(odds, c);
        }
        this.share = shared(odds);
        for (int i = 0; i < rows.size(); i++) {
            CauseTable.Row r = rows.get(i);
            standings.put(
                    r,
                    neverFirst.contains(r.cause())
                            ? Standing.UNLIKELY
                            : Standing.of(
                                    share[i],
                                    evidence.factsFor(r),
                                    evidence.speaksAgainst(r).size()));
        }
    }

    private void heldBack(double[] odds, CauseClass cause) {
        double best = 0;
        for (int i = 0; i < rows.size(); i++) {
            if (rows.get(i).cause() != cause) {
                best = Math.max(best, odds[i]);
            }
        }
        for (int i = 0; i < rows.size(); i++) {
            if (rows.get(i).cause() == cause) {
                odds[i] = Math.min(odds[i], best / 2);
            }
        }
    }

    private static double[] shared(double[] odds) {
        double sum = 0;
        for (double o : odds) {
            sum += o;
        }
        double[] share = new double[odds.length];
        for (int i = 0; i < odds.length; i++) {
            share[i] = odds[i] / sum;
        }
        return share;
    }

    /** The rows that are not ruled out, the leading one first: by their standing, then by their share. */
    List<CauseTable.Row> order() {
        return rows.stream()
                .filter(r -> !ruledOut.containsKey(r))
                .sorted(Comparator.comparing(this::standing).thenComparingDouble(r -> -share(r)))
                .toList();
    }

    Standing standing(CauseTable.Row row) {
        return standings.get(row);
    }

    double share(CauseTable.Row row) {
        return share[rows.indexOf(row)];
    }

    Map<CauseTable.Row, String> ruledOut() {
        return ruledOut;
    }

    /** The sign not answered yet whose answer leaves the least expected entropy over the causes; empty where none settles anything. */
    Optional<Sign> next(List<Sign> answered) {
        Sign best = null;
        double least = entropy(share) - 1e-9;
        for (Sign sign : Sign.values()) {
            if (answered.contains(sign)) {
                continue;
            }
            double expected = expectedEntropy(sign);
            if (expected < least) {
                least = expected;
                best = sign;
            }
        }
        return Optional.ofNullable(best);
    }

    /** What each cause makes of the chance to see a sign, given the causes' shares. */
    double expectedEntropy(Sign sign) {
        double[] yes = new double[share.length];
        double[] no = new double[share.length];
        double pYes = 0;
        for (int i = 0; i < share.length; i++) {
            double likely = i < rows.size() ? likely(sign, rows.get(i)) : CauseTable.constant("by-chance");
            yes[i] = share[i] * likely;
            no[i] = share[i] * (1 - likely);
            pYes += yes[i];
        }
        for (int i = 0; i < share.length; i++) {
            yes[i] /= pYes;
            no[i] /= 1 - pYes;
        }
        return pYes * entropy(yes) + (1 - pYes) * entropy(no);
    }

    /** How often the sign is seen where this is the cause. */
    private static double likely(Sign sign, CauseTable.Row row) {
        double chance = CauseTable.constant("by-chance");
        return CauseTable.weights(sign).stream()
                .filter(w -> w.speaksOf(row))
                .findFirst()
                .map(w -> Math.min(0.95, chance * Math.exp(w.weight())))
                .orElse(chance);
    }

    private static double entropy(double[] shares) {
        double sum = 0;
        for (double p : shares) {
            if (p > 0) {
                sum -= p * Math.log(p);
            }
        }
        return sum;
    }
}
