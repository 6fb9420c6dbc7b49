package mensor.server.inspection;

import java.util.List;
import mensor.drawing.StripDrawing;
import mensor.judge.InspectionGuide;
import mensor.length.Span;
import mensor.weld.Joint;

/** The next steps of an inspection as the bench offers them, each with its place and what to type. */
final class GuideSteps {
    static List<BenchView.StepView> of(InspectionResult judged) {
        Joint joint = judged.inspection().joint();
        String reading = !joint.isFillet() ? "crown " : joint.throat().isPresent() ? "throat " : "leg ";
        return InspectionGuide.steps(judged.inspection(), judged.evaluation()).stream()
                .map(s -> new BenchView.StepView(
                        s.kind(),
                        s.place().map(p -> StripDrawing.mm(p.from())).orElse(null),
                        s.place().map(p -> StripDrawing.mm(p.to())).orElse(null),
                        s.place().map(Span::shown).orElse(null),
                        s.criterion().id(),
                        s.words(),
                        s.kind() == InspectionGuide.Kind.STATION
                                ? reading + s.place().orElseThrow().shown().replace(' ', '-') + " "
                                : null,
                        s.indication()
                                .map(n -> judged.indications().get(n).id())
                                .or(() -> s.reading()
                                        .map(n -> judged.readings().get(n).id()))
                                .orElse(null)))
                .toList();
    }

    private GuideSteps() {}
}
