package mensor.judge;

import java.util.List;
import java.util.Optional;
import mensor.inspection.Cover;
import mensor.inspection.Criterion;
import mensor.inspection.Inspection;

/** The answer where nothing was recorded of a criterion: none seen, covered by another, or not inspected yet. */
final class NothingRecorded {
    private NothingRecorded() {}

    static void answer(Inspection inspection, Criterion criterion, Finding.Builder finding) {
        Optional<String> cover = inspection.coveredBy(criterion);
        List<Cover> stretches = inspection.covered().stream()
                .filter(c -> c.criterion() == criterion && c.where().isPresent())
                .toList();
        if (criterion == Criterion.BASE_METAL) {
            finding.notApplicable(Why.BASE_METAL_UNHARMED.of());
        } else if (inspection.isClear(criterion)) {
            String said = clearedWords(criterion);
            stretches.forEach(c -> finding.trace("not seen at " + c.words()));
            finding.measured(said).accept(Why.CLEARED.of(said));
        } else if (cover.isPresent()) {
            finding.measured("covered")
                    .trace("cannot be seen; covered by " + cover.get())
                    .accept(Why.COVERED.of(cover.get()));
        } else if (!stretches.isEmpty()) {
            finding.incomplete(Why.NOT_INSPECTED.of(), Ask.Kind.INSPECT_REST.of(question(criterion)));
        } else {
            finding.incomplete(Why.NOT_INSPECTED.of(), Ask.Kind.INSPECT.of(question(criterion)));
        }
    }

    private static String clearedWords(Criterion criterion) {
        return switch (criterion) {
            case PROFILE -> "flat to slightly convex, no underfill";
            case LENGTH -> "as specified";
            case AS_DRAWN -> "as drawn";
            case MISALIGNMENT -> "aligned";
            default -> "none seen";
        };
    }

    private static String question(Criterion criterion) {
        return switch (criterion) {
            case READINESS -> "answer whether the weld is ready to be inspected";
            case CRACK -> "inspect for cracks along the weld, its craters and both toes";
            case FUSION -> "inspect for incomplete fusion along both toes";
            case CRATER -> "inspect the craters: each filled to the size";
            case OVERLAP -> "inspect for overlap along both toes";
            case PROFILE -> "inspect along the face: flat to slightly convex, no underfill; or read the convexity";
            case SIZE -> "read the legs, or try the blade, along the weld";
            case LENGTH -> "measure the weld's length";
            case AS_DRAWN -> "compare the weld with the drawing: place, returns, tabs, backing";
            case UNDERCUT -> "inspect for undercut along both toes";
            case POROSITY -> "inspect for pores along the face";
            case ARC_STRIKE -> "inspect for arc strikes beside the weld";
            case SLAG -> "inspect for slag at the toes and open on the face";
            case SPATTER -> "inspect for loose spatter";
            case ROOT -> "inspect the root side";
            case MISALIGNMENT -> "measure the alignment across the joint";
            case BASE_METAL -> "inspect the base metal beside the weld";
        };
    }
}
