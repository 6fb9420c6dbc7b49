package mensor.server.demo;

import java.time.LocalDate;
import java.util.UUID;
import java.util.function.Consumer;
import mensor.server.people.Actor;
import mensor.server.repair.HoldRelease;
import mensor.server.repair.RepairSteps;
import mensor.server.repair.RepairedWelds;
import mensor.server.repair.Repairs;
import mensor.server.repair.StepForm;
import org.springframework.stereotype.Component;

/** What is decided in the demo on a rejected place, and what is done to it. */
@Component
class DemoDecisions {
    private final Repairs repairs;
    private final RepairSteps steps;
    private final RepairedWelds repaired;
    private final HoldRelease releases;

    DemoDecisions(Repairs repairs, RepairSteps steps, RepairedWelds repaired, HoldRelease releases) {
        this.repairs = repairs;
        this.steps = steps;
        this.repaired = repaired;
        this.releases = releases;
    }

    private void each(UUID inspection, String finding, Consumer<UUID> defect) {
        repairs.of(inspection, finding).forEach(defect);
    }

    void decide(Actor actor, UUID inspection, String finding, String decision, String note) {
        each(inspection, finding, d -> repairs.decide(actor, d, new Repairs.Decision(decision, note, null, null)));
    }

    void did(Actor actor, UUID inspection, String finding, String state, String fields) {
        StepForm form = DemoFields.read(StepForm.class, fields);
        each(inspection, finding, d -> steps.record(actor, d, state, form));
    }

    void notified(Actor actor, UUID inspection, String finding, String whom) {
        each(inspection, finding, d -> repairs.notified(actor, d, whom, null));
    }

    void released(Actor actor, UUID inspection, String finding, String hold, String number, LocalDate date) {
        each(
                inspection,
                finding,
                d -> releases.release(
                        actor,
                        d,
                        hold,
                        new HoldRelease.EngineersDocument(
                                number, "P. Quill", date, number + ".pdf", DemoPaper.of(number))));
    }

    void denied(Actor actor, UUID inspection, String finding, String hold, String why) {
        each(inspection, finding, d -> releases.deny(actor, d, hold, why));
    }

    UUID reinspect(Actor actor, UUID inspection) {
        return repaired.reinspect(actor, inspection).id();
    }
}
