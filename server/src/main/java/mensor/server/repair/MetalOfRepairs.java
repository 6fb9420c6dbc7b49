package mensor.server.repair;

import java.util.Map;
import java.util.Optional;
import mensor.length.Length;
import mensor.repair.RepairState;
import mensor.server.inspection.Bench;
import mensor.server.joint.Joints;
import mensor.weld.RodTable;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Keeps what the welding of each repair took beside what was estimated before it: rods that were counted, minutes that were noted. */
@Component
class MetalOfRepairs {
    private final RepairMetalRepository metals;
    private final RepairStepRepository stored;
    private final DefectRepository defects;
    private final Steps steps;
    private final RepairPlans plans;
    private final Bench bench;
    private final Joints joints;
    private final TransactionTemplate transactions;

    MetalOfRepairs(
            RepairMetalRepository metals,
            RepairStepRepository stored,
            DefectRepository defects,
            Steps steps,
            RepairPlans plans,
            Bench bench,
            Joints joints,
            TransactionTemplate transactions) {
        this.metals = metals;
        this.stored = stored;
        this.defects = defects;
        this.steps = steps;
        this.plans = plans;
        this.bench = bench;
        this.joints = joints;
        this.transactions = transactions;
    }

    /** Those that were welded before they were counted. */
    @EventListener(ApplicationReadyEvent.class)
    public void catchUp() {
        metals.notCounted(RepairState.WELDED.id())
                .forEach(id -> transactions.executeWithoutResult(t -> stored.findById(id)
                        .ifPresent(s -> defects.findById(s.defectId()).ifPresent(d -> count(d, s)))));
    }

    void count(DefectEntity d, RepairStepEntity step) {
        RepairMetalEntity metal = new RepairMetalEntity(step);
        if (d.cycle() == step.cycle()) { // the plan of an earlier cycle is not drawn up any more
            plans.of(bench.openAsItStands(d.inspectionId()), Map.of())
                    .of(d)
                    .flatMap(p -> p.numbers())
                    .ifPresent(n -> n.rods().ifPresent(r -> metal.estimated(n.grams(), r.arcMinutes())));
        }
        StepForm form = steps.form(step);
        metal.took(grams(form, d).orElse(null), form.minutes());
        metals.save(metal);
    }

    void takeBack(RepairStepEntity step) {
        metals.deleteById(step.id());
    }

    /** Of a rod that the table knows; of another nothing is said. */
    private Optional<Double> grams(StepForm form, DefectEntity d) {
        if (form.rods() == null || form.rod() == null || form.diameter() == null) {
            return Optional.empty();
        }
        Length diameter = Length.parse(form.diameter(), joints.get(d.jointId()).unit());
        return RodTable.deposit(form.rod(), diameter).map(r -> form.rods() * r.grams());
    }
}
