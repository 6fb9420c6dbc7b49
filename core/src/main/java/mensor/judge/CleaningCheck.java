package mensor.judge;

import java.util.List;
import mensor.criteria.Rule;
import mensor.inspection.Inspection;
import mensor.inspection.Slag;
import mensor.inspection.Spatter;

/** Slag and spatter: what is trapped is a defect, what only covers is cleaned off first. */
final class CleaningCheck {
    private final Inspection inspection;
    private final Finding.Builder finding;

    CleaningCheck(Inspection inspection, Finding.Builder finding) {
        this.inspection = inspection;
        this.finding = finding;
    }

    void slag(Rule.SlagRemoved rule) {
        List<Occurrence<Slag>> found = Occurrence.indications(inspection, Slag.class);
        List<Occurrence<Slag>> trapped =
                found.stream().filter(f -> f.what().trapped()).toList();
        if (!trapped.isEmpty() && rule.trappedFree().isPresent() && trapped.size() == found.size()) {
            finding.measured("trapped")
                    .allowed("no limit")
                    .span(trapped.get(0).what().span())
                    .indications(Occurrence.indices(trapped))
                    .accept(Why.RULE_SAYS.of(rule.trappedFree().get()));
        } else if (!trapped.isEmpty() && rule.trappedFree().isEmpty()) {
            finding.measured("trapped")
                    .span(trapped.get(0).what().span())
                    .indications(Occurrence.indices(trapped))
                    .reject(Why.SLAG_TRAPPED.of(trapped.get(0).what().span()));
        } else if (!found.isEmpty()) {
            List<Occurrence<Slag>> covering =
                    found.stream().filter(f -> !f.what().trapped()).toList();
            String at = covering.get(0).what().span().shown();
            finding.measured("covers the weld")
                    .span(covering.get(0).what().span())
                    .indications(Occurrence.indices(covering))
                    .incomplete(Why.SLAG_COVERS.of(at), Ask.Kind.CLEAN_SLAG.of(at));
        }
    }

    void spatter() {
        List<Occurrence<Spatter>> found = Occurrence.indications(inspection, Spatter.class);
        List<Occurrence<Spatter>> loose =
                found.stream().filter(f -> f.what().loose()).toList();
        if (!loose.isEmpty()) {
            String at = loose.get(0).what().span().shown();
            finding.measured("loose")
                    .span(loose.get(0).what().span())
                    .indications(Occurrence.indices(loose))
                    .incomplete(Why.SPATTER_LOOSE.of(at), Ask.Kind.CLEAN_SPATTER.of(at));
        } else if (!found.isEmpty()) {
            finding.measured("adherent")
                    .span(found.get(0).what().span())
                    .indications(Occurrence.indices(found))
                    .trace("tight spatter may stay unless further testing or the contract requires it off")
                    .accept(Why.SPATTER_TIGHT.of());
        }
    }
}
