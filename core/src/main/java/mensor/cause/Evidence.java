package mensor.cause;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mensor.weld.Sign;

/** What speaks for and against each cause of one defect, gathered from the inspection, the joint and the record. */
final class Evidence {
    /** Whole millionths add up to the same sum in any order. */
    private static final double MILLION = 1e6;

    private final Situation situation;
    private final Map<CauseClass, Long> millionths = new EnumMap<>(CauseClass.class);
    private final Map<CauseClass, List<String>> speaksFor = new EnumMap<>(CauseClass.class);
    private final Map<CauseClass, List<String>> speaksAgainst = new EnumMap<>(CauseClass.class);
    private final Set<Fact> notified = EnumSet.noneOf(Fact.class);

    Evidence(Situation situation) {
        this.situation = situation;
    }

    /** The fact in words; told twice, as by two passes, it weighs once. */
    void tell(Fact fact, String words) {
        boolean first = notified.add(fact);
        for (CauseTable.Weight w : CauseTable.weights(fact, situation)) {
            add(w.cause(), first ? w.weight() : 0, w.weight() > 0, words);
        }
    }

    void seen(Sign sign) {
        for (CauseTable.Weight w : CauseTable.weights(sign)) {
            add(w.cause(), w.weight(), w.weight() > 0, CauseTable.words(sign) + ": seen");
        }
    }

    /** Looked for and not seen: it speaks against what it would have spoken for. */
    void absent(Sign sign) {
        for (CauseTable.Weight w : CauseTable.weights(sign)) {
            if (w.weight() > 0) {
                double against = CauseTable.constant("absent") * w.weight();
                add(w.cause(), against, false, CauseTable.words(sign) + ": inspected for, not seen");
            }
        }
    }

    void add(CauseClass cause, double by, boolean speaksForIt, String line) {
        millionths.merge(cause, Math.round(by * MILLION), Long::sum);
        List<String> lines = (speaksForIt ? speaksFor : speaksAgainst).computeIfAbsent(cause, c -> new ArrayList<>());
        if (!lines.contains(line)) {
            lines.add(line);
        }
    }

    double weight(CauseClass cause) {
        return millionths.getOrDefault(cause, 0L) / MILLION;
    }

    List<String> speaksFor(CauseClass cause) {
        return speaksFor.getOrDefault(cause, List.of());
    }

    List<String> speaksAgainst(CauseClass cause) {
        return speaksAgainst.getOrDefault(cause, List.of());
    }
}
