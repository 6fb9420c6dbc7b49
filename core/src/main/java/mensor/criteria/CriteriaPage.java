package mensor.criteria;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import mensor.inspection.Criterion;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Joint;

/** A book to read: what it asks of a joint, and how that goes by the thickness of its members; from the rules that judge. */
public final class CriteriaPage {
    private CriteriaPage() {}

    /** One criterion as it holds for a joint. */
    public record Line(Criterion criterion, Citation citation, List<RuleWords.Limit> limits) {
        /** The lowest of its values. */
        public Confidence confidence() {
            return limits.stream()
                    .map(RuleWords.Limit::confidence)
                    .reduce(citation.clauseConfidence(), Confidence::lower);
        }
    }

    /** A limit that goes by thickness: one value for each thickness of the table. */
    public record Row(Criterion criterion, String of, List<String> allowed) {}

    public static List<Line> of(CriteriaBook book, Joint joint, Unit column) {
        List<Line> lines = new ArrayList<>();
        for (Criterion c : Criterion.values()) {
            lines.add(new Line(c, book.citation(c, joint), RuleWords.of(book.rule(c, joint, column), column)));
        }
        return lines;
    }

    /** Those limits that are not the same for all these thicknesses. */
    public static List<Row> byThickness(
            CriteriaBook book, Function<Length, Joint> ofThickness, List<Length> thicknesses, Unit column) {
        Map<String, Row> rows = new LinkedHashMap<>();
        for (int i = 0; i < thicknesses.size(); i++) {
            Joint joint = ofThickness.apply(thicknesses.get(i));
            for (Criterion c : Criterion.values()) {
                for (RuleWords.Limit l : RuleWords.of(book.rule(c, joint, column), column)) {
                    String key = c.id() + l.clause() + l.of();
                    Row row = rows.computeIfAbsent(key, k -> new Row(c, l.of(), new ArrayList<>()));
                    while (row.allowed().size() < i) {
                        row.allowed().add("");
                    }
                    if (row.allowed().size() == i) {
                        row.allowed().add(l.allowed() + exception(l));
                    }
                }
            }
        }
        rows.values().forEach(r -> {
            while (r.allowed().size() < thicknesses.size()) {
                r.allowed().add("");
            }
        });
        return rows.values().stream()
                .filter(r -> r.allowed().stream().distinct().count() > 1)
                .map(r -> new Row(r.criterion(), r.of(), List.copyOf(r.allowed())))
                .toList();
    }

    /** An exception belongs to the value; how a value was reckoned does not. */
    private static String exception(RuleWords.Limit l) {
        return l.by().startsWith("up to ") ? ", " + l.by() : "";
    }
}
