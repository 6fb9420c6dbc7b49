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
            finding.measured(lacks).span(first.span()).indications(Occurrence.indices(left));
            if (rule.eitherSuffices()) {
                finding.incomplete(
                        Why.ARC_STRIKE_UNSURE.of(first.at()), Ask.Kind.PARENT_METAL_UNAFFECTED.of(first.at()));
            } else {
                finding.reject(Why.ARC_STRIKE_NOT_DRESSED.of(first.at(), lacks));
            }
        } else if (!found.isEmpty()) {
            boolean alike = found.stream().allMatch(f -> f.what().ground().orElse(false));
            String by = found.stream()
                    .flatMap(f -> f.what().checked().stream())
                    .map(CheckMethod::id)
                    .distinct()
                    .reduce((a, b) -> a + ", " + b)
                    .orElse("");
            String dressed = alike ? "ground" : "";
            finding.measured(by.isEmpty() ? dressed : dressed + (alike ? ", " : "") + "checked by " + by)
                    .indications(Occurrence.indices(found))
                    .accept(Why.ARC_STRIKES_DRESSED.of(rule.checkedBy().isEmpty() ? "" : " and checked"));
        }
    }

    private static boolean isDressed(ArcStrike a, Rule.ArcStrikeDressed rule) {
        boolean checked = rule.checkedBy().isEmpty()
                || a.checked().filter(rule.checkedBy()::contains).isPresent();
        boolean ground = a.ground().orElse(false);
        return rule.eitherSuffices() ? ground || checked : ground && checked;
    }
}
