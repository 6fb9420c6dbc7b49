package mensor.cause;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import mensor.weld.Sign;

/** What speaks for and against each cause of one defect, gathered from the inspection, the joint and the record. */
final class Evidence {
    /** Whole millionths add up to the same sum in any order. */
    private static final double MILLION = 1e6;

    private final Situation situation;
    private final List<Line> lines = new ArrayList<>();
    private final Set<Fact> notified = EnumSet.noneOf(Fact.class);

    /** @param isFact something that was seen or recorded of this weld, and weighs enough to stand for a cause */
    private record Line(CauseTable.Weight weight, boolean speaksFor, boolean isFact, String words) {}

    Evidence(Situation situation) {
        this.situation = situation;
    }

    /** The fact in words; told twice, as by two passes, it weighs once. */
    void tell(Fact fact, String words) {
        boolean first = notified.add(fact);
        for (CauseTable.Weight w : CauseTable.weights(fact, situation)) {
            add(first ? w : new CauseTable.Weight(w.cause(), w.how(), 0), w.weight() > 0, isWeighty(w), words);
        }
    }

    void seen(Sign sign) {
        for (CauseTable.Weight w : CauseTable.weights(sign)) {
            add(w, w.weight() > 0, isWeighty(w), CauseTable.words(sign) + ": seen");
        }
    }

    /** Looked for and not seen: it speaks against what it would have spoken for. */
    void absent(Sign sign) {
        for (CauseTable.Weight w : CauseTable.weights(sign)) {
            if (w.weight() > 0) {
                double against = CauseTable.constant("absent") * w.weight();
                add(
                        new CauseTable.Weight(w.cause(), w.how(), against),
                        false,
                        true,
                        CauseTable.words(sign) + ": inspected for, not seen");
            }
        }
    }

    /** What was tried on a weld before: it moves the ranking, and is a fact of this shop. */
    void tried(CauseClass cause, double by, boolean speaksForIt, String words) {
        add(new CauseTable.Weight(cause, Optional.empty(), by), speaksForIt, true, words);
    }

    /** What follows from the ranking of other defects: it moves this one, and is no fact. */
    void shared(CauseClass cause, double by, String words) {
        add(new CauseTable.Weight(cause, Optional.empty(), by), true, false, words);
    }

    private void add(CauseTable.Weight weight, boolean speaksForIt, boolean isFact, String words) {
        lines.add(new Line(weight, speaksForIt, isFact, words));
    }

    private static boolean isWeighty(CauseTable.Weight w) {
        return Math.abs(w.weight()) >= CauseTable.constant("fact-from");
    }

    double weight(CauseTable.Row row) {
        return lines.stream()
                        .filter(l -> l.weight().speaksOf(row))
                        .mapToLong(l -> Math.round(l.weight().weight() * MILLION))
                        .sum()
                / MILLION;
    }

    List<String> speaksFor(CauseTable.Row row) {
        return words(row, Line::speaksFor);
    }

    List<String> speaksAgainst(CauseTable.Row row) {
        return words(row, l -> !l.speaksFor());
    }

    /** How many facts and signs of this weld speak for it. */
    int factsFor(CauseTable.Row row) {
        return words(row, l -> l.speaksFor() && l.isFact()).size();
    }

    private List<String> words(CauseTable.Row row, Predicate<Line> which) {
        Set<String> words = new LinkedHashSet<>();
        lines.stream()
                .filter(l -> l.weight().speaksOf(row))
                .filter(which)
                .map(Line::words)
                .forEach(words::add);
        return List.copyOf(words);
    }
}
