package mensor.judge;

import java.util.List;
import mensor.criteria.Rule;
import mensor.inspection.ArcStrike;
import mensor.inspection.CheckMethod;
import mensor.inspection.Inspection;

/** Arc strikes ground smooth and, where the code wants it, checked. */
final class ArcStrikeCheck {
    private final Inspection inspection;
    private final Finding.Builder finding;

    ArcStrikeCheck(Inspection inspection, Finding.Builder finding) {
        this.inspection = inspection;
        this.finding = finding;
    }

    void judge(Rule.ArcStrikeDressed rule) {
        boolean anyCheck = rule.checkedBy().size() == CheckMethod.values().length;
        String methods = String.join(
                " or ", rule.checkedBy().stream().map(CheckMethod::id).sorted().toList());
        List<Occurrence<ArcStrike>> found = Occurrence.indications(inspection, ArcStrike.class);
        List<Occurrence<ArcStrike>> left =
                found.stream().filter(f -> !isDressed(f.what(), rule)).toList();
        if (!left.isEmpty()) {
            ArcStrike first = left.get(0).what();
            String lacks = first.ground().orElse(false)
                    ? "ground, not checked" + (anyCheck ? "" : " by " + methods)
                    : "not ground";
            finding.measured(lacks)
                    .span(first.span())
                    .indications(Occurrence.indices(left))
                    .reject(Why.ARC_STRIKE_NOT_DRESSED.of(first.at(), lacks));
        } else if (!found.isEmpty()) {
            String by = found.stream()
                    .flatMap(f -> f.what().checked().stream())
                    .map(CheckMethod::id)
                    .distinct()
                    .reduce((a, b) -> a + ", " + b)
                    .orElse("");
            finding.measured(by.isEmpty() ? "ground" : "ground, checked by " + by)
                    .indications(Occurrence.indices(found))
                    .accept(Why.ARC_STRIKES_DRESSED.of(rule.checkedBy().isEmpty() ? "" : " and checked"));
        }
    }

    private static boolean isDressed(ArcStrike a, Rule.ArcStrikeDressed rule) {
        boolean checked = rule.checkedBy().isEmpty()
                || a.checked().filter(rule.checkedBy()::contains).isPresent();
        return a.ground().orElse(false) && checked;
    }
}
