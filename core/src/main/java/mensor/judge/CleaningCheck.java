package mensor.judge;

import java.util.List;
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

    void slag() {
        List<Occurrence<Slag>> found = Occurrence.indications(inspection, Slag.class);
        List<Occurrence<Slag>> trapped =
                found.stream().filter(f -> f.what().trapped()).toList();
        if (!trapped.isEmpty()) {
            finding.measured("trapped")
                    .span(trapped.get(0).what().span())
                    .indications(Occurrence.indices(trapped))
                    .reject(Why.SLAG_TRAPPED.of(trapped.get(0).what().span()));
        } else if (!found.isEmpty()) {
            String at = found.get(0).what().span().shown();
            finding.measured("covers the weld")
                    .span(found.get(0).what().span())
                    .indications(Occurrence.indices(found))
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
