package mensor.judge;

import java.util.List;
import mensor.inspection.Crater;
import mensor.inspection.Inspection;
import mensor.length.Length;
import mensor.length.SpanSet;
import mensor.weld.Joint;

/** Craters filled to the size of the weld; the ends of intermittent fillets outside their segments are free. */
final class CraterCheck {
    private final Inspection inspection;
    private final Finding.Builder finding;

    CraterCheck(Inspection inspection, Finding.Builder finding) {
        this.inspection = inspection;
        this.finding = finding;
    }

    void judge() {
        List<Occurrence<Crater>> found = Occurrence.indications(inspection, Crater.class);
        Joint joint = inspection.joint();
        SpanSet segments = joint.ruler().straight(joint.segments());
        boolean everyCrater = segments.isEmpty() || !joint.isFillet();
        List<Occurrence<Crater>> counting = found.stream()
                .filter(f ->
                        everyCrater || joint.ruler().isOn(segments, f.what().at()))
                .toList();
        List<Occurrence<Crater>> open = counting.stream()
                .filter(f -> f.what().depth().map(Length::isPositive).orElse(true))
                .toList();
        if (counting.size() < found.size()) {
            finding.trace((found.size() - counting.size())
                    + " crater(s) at ends of the intermittent fillet, outside its segments: not judged");
        }
        if (!open.isEmpty()) {
            Crater first = open.get(0).what();
            String how = first.depth()
                    .map(d -> d.in(inspection.units()).shownWithUnit() + " below the section")
                    .orElse("not filled");
            finding.measured(how)
                    .span(first.span())
                    .indications(Occurrence.indices(open))
                    .reject(Why.CRATER_OPEN.of(
                            first.at(), how, open.size() > 1 ? " and " + (open.size() - 1) + " more" : ""));
        } else if (!found.isEmpty()) {
            finding.measured(counting.isEmpty() ? "outside the segments" : "filled")
                    .indications(Occurrence.indices(found))
                    .accept(counting.isEmpty() ? Why.ONLY_ENDS_OUTSIDE.of() : Why.CRATERS_FILLED.of());
        }
    }
}
