package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import mensor.inspection.Verdict;

/**
 * A criterion's finding out of those of its parts: it is as its worst part, with the numbers and the place of the part that
 * decides, so that an accepting part never takes back another's verdict. Parts that say nothing are left out.
 */
final class WorstPart {
    private final Finding.Builder whole;
    private final List<Finding> judged = new ArrayList<>();
    private final List<String> clauses = new ArrayList<>();

    /** @param whole takes the answer */
    WorstPart(Finding.Builder whole) {
        this.whole = whole;
    }

    /** @param clause where the part stands; empty where the criterion's own clause holds */
    WorstPart add(String clause, Finding part) {
        part.trace().forEach(line -> whole.trace(clause.isEmpty() ? line : clause + ": " + line));
        if (!part.reason().is(Why.NOTHING_RECORDED) && part.verdict() != Verdict.NOT_APPLICABLE) {
            judged.add(part);
            clauses.add(clause);
            whole.confidence(part.confidence());
        }
        return this;
    }

    /** Whether no part has said anything. */
    boolean isOpen() {
        return judged.isEmpty();
    }

    /** Writes the answer; leaves the finding open where no part has said anything. */
    void settle() {
        if (judged.isEmpty()) {
            return;
        }
        Verdict worst = Verdict.of(judged.stream().map(Finding::verdict).toList());
        List<Finding> deciding =
                judged.stream().filter(f -> f.verdict() == worst).toList();
        Finding first = deciding.get(0);
        String clause = clauses.get(judged.indexOf(first));
        if (!clause.isEmpty()) {
            whole.clause(clause);
        }
        whole.shows(first)
                .indications(union(deciding, Finding::indications))
                .readings(union(deciding, Finding::readings));
        judged.forEach(f -> whole.nearLimit(f.nearLimit()));
        switch (worst) {
            case REJECT -> whole.reject(first.reason());
            case INCOMPLETE -> {
                deciding.forEach(f -> f.asks().forEach(whole::ask));
                whole.incomplete(first.reason());
            }
            default -> whole.accept(first.reason());
        }
    }

    private static List<Integer> union(List<Finding> findings, Function<Finding, List<Integer>> indices) {
        return findings.stream()
                .flatMap(f -> indices.apply(f).stream())
                .distinct()
                .sorted()
                .toList();
    }
}
