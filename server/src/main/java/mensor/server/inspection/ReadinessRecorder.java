package mensor.server.inspection;

import java.util.UUID;
import mensor.exchange.InspectionParts;
import mensor.server.people.Actor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Answers whether a weld is ready to be inspected. */
@Service
public class ReadinessRecorder {
    private final Bench bench;
    private final JsonMapper json;

    ReadinessRecorder(Bench bench, JsonMapper json) {
        this.bench = bench;
        this.json = json;
    }

    /** Answers whether the weld is ready: what is not answered here stays as it was. */
    @Transactional
    public Bench.State conditions(Actor actor, UUID inspectionId, ConditionsForm form) {
        InspectionEntity inspection = bench.forChange(actor, inspectionId);
        ConditionsForm before = json.readValue(inspection.conditions(), ConditionsForm.class);
        inspection.setConditions(InspectionParts.canonical(json.writeValueAsString(form.over(before))));
        return bench.judged(inspection);
    }
}
