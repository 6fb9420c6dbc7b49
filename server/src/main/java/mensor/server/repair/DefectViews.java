package mensor.server.repair;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mensor.drawing.SectionDrawing;
import mensor.drawing.StripDrawing;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.repair.RepairPlanner;
import mensor.repair.RepairState;
import mensor.server.inspection.Bench;
import mensor.server.inspection.InspectionResult;
import mensor.server.inspection.StoredInspection;
import mensor.server.job.Jobs;
import mensor.server.joint.JointForm;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.repair.DefectsView.RejectedPlace;
import mensor.server.web.Refusal;
import mensor.weld.Protection;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Makes what the screens and papers show of rejected places. */
@Component
public class DefectViews {
    private final DefectRepository defects;
    private final RepairPlans repairPlans;
    private final RejectedPlaces places;
    private final Bench bench;
    private final Jobs jobs;
    private final JsonMapper json;

    DefectViews(
            DefectRepository defects,
            RepairPlans repairPlans,
            RejectedPlaces places,
            Bench bench,
            Jobs jobs,
            JsonMapper json) {
        this.defects = defects;
        this.repairPlans = repairPlans;
        this.places = places;
        this.bench = bench;
        this.jobs = jobs;
        this.json = json;
    }

    /** All defects of the weld as this inspection's side raised them, the open ones first. */
    @Transactional(readOnly = true)
    public DefectsView of(Bench.State o, Map<UUID, Length> depths) {
        StoredInspection inspection = o.inspection();
        List<DefectEntity> all =
                defects.findByJointIdAndCapacityOrderByNumber(o.joint().id(), inspection.capacity());
        RepairPlans.Plans plans = repairPlans.of(o, depths);
        List<RejectedPlace> views = all.stream()
                .sorted(Comparator.comparing(DefectEntity::isClosed).thenComparing(DefectEntity::count))
                .map(d -> places.of(d, o.judged().inspection().joint(), plans.of(d)))
                .toList();
        List<DefectEntity> here = all.stream()
                .filter(d -> d.inspectionId().equals(inspection.id()))
                .toList();
        boolean began = bench.ofJoint(inspection.jointId()).stream()
                .anyMatch(i -> inspection.id().equals(i.follows()));
        // also what an earlier inspection raised and none accepted since
        boolean repaired = all.stream().anyMatch(d -> d.state() == RepairState.READY);
        List<String> open = here.stream()
                .filter(d -> !d.isClosed() && d.state() != RepairState.READY)
                .map(DefectEntity::number)
                .toList();
        String why = here.isEmpty() || began || open.isEmpty()
                ? null
                : "Not ready for re-inspection: " + String.join(", ", open) + " to do";
        return new DefectsView(
                views,
                plans.least(),
                !here.isEmpty() && !began && repaired && open.isEmpty(),
                why,
                RepairPlanner.cautions());
    }

    /** Of one defect, with its drawing, as far as the person may see the inspection. */
    @Transactional(readOnly = true)
    public DefectsView.TicketView ticket(Actor actor, UUID id) {
        DefectEntity d = defects.findById(id).orElseThrow(() -> Refusal.notFound("there is no such defect"));
        Bench.State o = bench.open(actor, d.inspectionId());
        StoredJoint joint = o.joint();
        Unit unit = joint.unit();
        InspectionResult judged = o.judged();
        Optional<Span> place = d.place(unit);
        JointForm form = json.readValue(joint.document(), JointForm.class);
        return new DefectsView.TicketView(
                joint.id(),
                d.inspectionId(),
                jobs.get(joint.jobId()).name(),
                joint.lot(),
                joint.mark(),
                joint.weldNo(),
                joint.side(),
                joint.inWords(),
                joint.drawing(),
                joint.wps(),
                form.datum() == null ? "datum end" : form.datum(),
                joint.units(),
                judged.inspection().joint().length().in(unit).shownWithUnit(),
                StripDrawing.of(judged.inspection(), judged.evaluation()),
                section(judged, place),
                place.map(s -> StripDrawing.mm(s.from())).orElse(null),
                place.map(s -> StripDrawing.mm(s.to())).orElse(null),
                places.of(
                        d,
                        judged.inspection().joint(),
                        repairPlans.of(o, Map.of()).of(d)),
                Protection.lines(
                        judged.inspection().joint().position(),
                        judged.inspection().joint().grade()),
                RepairPlanner.cautions());
    }

    private static SectionDrawing section(InspectionResult judged, Optional<Span> place) {
        return place.map(p -> SectionDrawing.ofPlace(judged.inspection(), judged.evaluation(), p))
                .orElseGet(() -> SectionDrawing.asDrawn(judged.inspection().joint()));
    }
}
