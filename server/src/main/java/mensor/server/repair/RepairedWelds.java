package mensor.server.repair;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import mensor.inspection.Verdict;
import mensor.length.Unit;
import mensor.repair.RepairState;
import mensor.server.inspection.Bench;
import mensor.server.inspection.Hands;
import mensor.server.inspection.NewInspections;
import mensor.server.inspection.RepairSummary;
import mensor.server.inspection.StoredInspection;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Welds of which all that was rejected is repaired or accepted as it is: their re-inspection begins here. */
@Service
public class RepairedWelds {
    private final DefectRepository defects;
    private final Steps steps;
    private final Bench bench;
    private final NewInspections beginnings;
    private final Hands hands;

    RepairedWelds(DefectRepository defects, Steps steps, Bench bench, NewInspections beginnings, Hands hands) {
        this.defects = defects;
        this.steps = steps;
        this.bench = bench;
        this.beginnings = beginnings;
        this.hands = hands;
    }

    /** Begins the inspection after the repair, once every rejected place is repaired or accepted as it is. */
    @Transactional
    public StoredInspection reinspect(Actor actor, UUID inspectionId) {
        if (!actor.inspects()) {
            throw Refusal.forbidden("only an inspector re-inspects");
        }
        Bench.State o = bench.open(actor, inspectionId);
        hands.checkInspects(actor, o.joint());
        List<DefectEntity> of = defects.findByInspectionIdOrderByPlaceIndex(inspectionId);
        if (!o.inspection().isSigned() || of.isEmpty()) {
            throw Refusal.conflict("no signed reject is repaired here");
        }
        List<String> waiting = of.stream()
                .filter(d -> !d.isClosed() && d.state() != RepairState.READY)
                .map(d -> d.number() + " is " + d.state().title().toLowerCase(Locale.ROOT))
                .toList();
        if (!waiting.isEmpty()) {
            throw Refusal.conflict("not ready for re-inspection: " + String.join(", ", waiting));
        }
        List<DefectEntity> left = unaccepted(o);
        boolean asItIs = of.stream().allMatch(DefectEntity::isClosed);
        if (asItIs && left.isEmpty()) {
            throw Refusal.conflict("the Engineer's documents accept all of it as it is; nothing was repaired");
        }
        List<DefectEntity> inspected = new ArrayList<>(of);
        boolean complete =
                o.judged().evaluation().findings().stream().noneMatch(f -> f.verdict() == Verdict.INCOMPLETE);
        if (asItIs || !complete) { // else the re-inspection before came to them all
            inspected.addAll(left);
        }
        return beginnings.beginAgain(
                actor, inspectionId, since(inspected, o.joint().unit()));
    }

    /** What was repaired and re-inspected by one that rejected something else: it waits for an accept. */
    private List<DefectEntity> unaccepted(Bench.State o) {
        return defects
                .findByJointIdAndCapacityOrderByNumber(
                        o.joint().id(), o.inspection().capacity())
                .stream()
                .filter(d ->
                        !d.isClosed() && !d.inspectionId().equals(o.inspection().id()))
                .toList();
    }

    private RepairSummary since(List<DefectEntity> of, Unit unit) {
        List<RepairSummary.RepairedStretch> stretches = new ArrayList<>();
        List<UUID> corrected = new ArrayList<>();
        List<UUID> asIs = new ArrayList<>();
        for (DefectEntity d : of) {
            if (d.isAcceptedAsIs()) {
                asIs.addAll(d.entries());
                continue;
            }
            steps.repaired(d, unit)
                    .ifPresent(s -> stretches.add(
                            new RepairSummary.RepairedStretch(s.from().toString(), s.to().toString())));
            if (d.place(unit).isEmpty()) {
                corrected.addAll(d.entries());
            }
        }
        return new RepairSummary(
                stretches,
                corrected,
                asIs,
                of.stream().map(DefectEntity::number).toList());
    }
}
