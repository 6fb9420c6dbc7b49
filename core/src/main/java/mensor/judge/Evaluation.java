package mensor.judge;

import java.util.List;
import java.util.Optional;
import mensor.criteria.CriteriaBook;
import mensor.inspection.Verdict;

/** An inspection judged by a book: all criteria in their order, then the addenda in theirs. */
public record Evaluation(
        CriteriaBook book, Verdict verdict, List<Finding> findings, List<Todo> todo, List<String> notes) {

    public Optional<Finding> finding(String id) {
        return findings.stream().filter(f -> f.id().equals(id)).findFirst();
    }

    public List<Finding> rejected() {
        return findings.stream().filter(f -> f.verdict() == Verdict.REJECT).toList();
    }
}
