package mensor.server.inspection;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.drawing.StripDrawing;
import mensor.judge.Reinspection;
import mensor.length.Span;
import mensor.weld.Joint;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Beside a re-inspection: what was repaired, where to inspect, and what stands from before. */
@Component
class ReinspectionViews {
    private final JsonMapper json;

    ReinspectionViews(JsonMapper json) {
        this.json = json;
    }

    BenchView.AgainView of(Bench.State o, Map<UUID, String> names) {
        StoredInspection i = o.inspection();
        if (i.follows() == null) {
            return null;
        }
        RepairSummary since = json.readValue(i.repaired(), RepairSummary.class);
        List<Span> repaired = since.spans(o.joint().unit());
        Joint joint = o.judged().inspection().joint();
        List<Span> inspectAlong = Reinspection.stretches(joint, repaired);
        return new BenchView.AgainView(
                i.follows(),
                i.cycle(),
                shown(repaired),
                shown(inspectAlong),
                spans(joint.ruler().straight(repaired).spans()),
                spans(inspectAlong),
                since.defects(),
                o.judged().indications().stream()
                        .filter(e -> !e.inspectionId().equals(i.id()))
                        .map(EntryEntity::id)
                        .toList(),
                o.judged().before().stream()
                        .map(e -> EntryView.of(e, names.getOrDefault(e.enteredBy(), "")))
                        .toList());
    }

    private static String shown(List<Span> spans) {
        return spans.stream().map(Span::shown).collect(Collectors.joining(" and "));
    }

    private static List<BenchView.SpanView> spans(List<Span> spans) {
        return spans.stream()
                .map(s -> new BenchView.SpanView(StripDrawing.mm(s.from()), StripDrawing.mm(s.to())))
                .toList();
    }
}
