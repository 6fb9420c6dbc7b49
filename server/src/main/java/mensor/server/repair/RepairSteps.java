package mensor.server.repair;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.inspection.Indication;
import mensor.repair.Disposition;
import mensor.repair.RepairState;
import mensor.repair.RepairWork;
import mensor.server.inspection.Bench;
import mensor.server.inspection.Hands;
import mensor.server.inspection.Rejudgement;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import mensor.server.web.Refusal.FieldProblem;
import mensor.weld.Named;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was done to a rejected place, a step after another; a step that must be seen is not skipped. */
@Service
public class RepairSteps {
    private final Repairs repairs;
    private final Steps steps;
    private final Holds holds;
    private final MetalOfRepairs metals;
    private final Bench bench;
    private final Rejudgement rejudgement;
    private final Joints joints;
    private final Hands hands;
    private final Clock clock;

    RepairSteps(
            Repairs repairs,
            Steps steps,
            Holds holds,
            MetalOfRepairs metals,
            Bench bench,
            Rejudgement rejudgement,
            Joints joints,
            Hands hands,
            Clock clock) {
        this.repairs = repairs;
        this.steps = steps;
        this.holds = holds;
        this.metals = metals;
        this.bench = bench;
        this.rejudgement = rejudgement;
        this.joints = joints;
        this.hands = hands;
        this.clock = clock;
    }

    /** Records the next step of a repair; a step that must be seen cannot be skipped. */
    @Transactional
    public void record(Actor actor, UUID id, String to, StepForm form) {
        boolean cavity = to.equals(RepairState.CAVITY_ACCEPTED.id()) && actor.inspects();
        if (!actor.decidesDisposition() && !cavity) {
            throw Refusal.forbidden(
                    "the repair lead or the welding engineer records the repair; a cavity may be accepted by an inspector too");
        }
        RepairState wanted = Named.find(RepairState.class, to)
                .orElseThrow(() -> Refusal.notFound("there is no such state of a repair"));
        DefectEntity d = repairs.forChange(id, form.version());
        if (!cavity) {
            hands.checkRepairs(actor, d.jointId());
        }
        Disposition decided = d.disposition()
                .orElseThrow(() -> Refusal.conflict("nobody decided yet how " + d.number() + " is repaired"));
        Optional<RepairState> next = d.state().next(decided);
        if (next.isEmpty() || next.get() != wanted) {
            throw Refusal.conflict(
                    next.isEmpty()
                            ? d.number() + " is " + d.state().title().toLowerCase(Locale.ROOT)
                                    + "; nothing is recorded next"
                            : "first: " + next.get().title().toLowerCase(Locale.ROOT)
                                    + ". A step that must be seen is not skipped");
        }
        List<RepairHoldEntity> stopping =
                holds.open(d).stream().filter(h -> h.kind().stops(wanted)).toList();
        if (!stopping.isEmpty()) {
            throw Refusal.conflict(
                    "on hold: " + stopping.stream().map(h -> h.kind().words()).collect(Collectors.joining("; ")));
        }
        checkNoInspectionBegan(d);
        StoredJoint joint = joints.get(d.jointId());
        RepairWork.Step step = Steps.read(form, joint.unit());
        RepairWork.Place place = place(d, joint);
        List<FieldProblem> problems = new ArrayList<>();
        RepairWork.problems(wanted, step, place).forEach(p -> problems.add(new FieldProblem(p.field(), p.problem())));
        if (wanted == RepairState.WELDED) {
            welded(problems, form, d);
        }
        if (!problems.isEmpty()) {
            throw Refusal.invalid(problems);
        }
        RepairStepEntity stored =
                steps.save(d, wanted, form, RepairWork.warnings(wanted, step, place), actor.id(), clock.instant());
        if (wanted == RepairState.WELDED) {
            metals.count(d, stored);
        }
        d.reach(wanted);
        repairs.save(d);
        boolean last = joint.weldedAt() == null
                || form.weldedAt() != null && form.weldedAt().isAfter(joint.weldedAt());
        if (wanted == RepairState.WELDED && last) {
            joints.welded(joint.id(), form.weldedAt()); // a delayed steel waits from its last welding
            rejudgement.rejudgeOpen(joint.id());
        }
    }

    private void welded(List<FieldProblem> problems, StepForm form, DefectEntity d) {
        if (form.weldedAt() == null) {
            problems.add(new FieldProblem("weldedAt", "when it was welded"));
        } else if (form.weldedAt().isAfter(clock.instant().plusSeconds(60))) {
            problems.add(new FieldProblem("weldedAt", "that is still to come"));
        } else if (form.weldedAt().isBefore(d.raisedAt().minusSeconds(60))) {
            problems.add(new FieldProblem("weldedAt", "that was before the place was rejected"));
        }
    }

    private RepairWork.Place place(DefectEntity d, StoredJoint joint) {
        var judged = bench.openAsItStands(d.inspectionId()).judged();
        Optional<Indication> indication = Holds.indication(d, judged);
        return new RepairWork.Place(
                judged.inspection().joint(),
                indication,
                d.place(joint.unit()),
                d.disposition().orElseThrow(),
                steps.at(d, d.cycle(), RepairState.EXTENT_KNOWN).flatMap(f -> Steps.span(f, joint.unit())));
    }

    private void checkNoInspectionBegan(DefectEntity d) {
        boolean began = bench.ofJoint(d.jointId()).stream()
                .anyMatch(i -> d.inspectionId().equals(i.follows()));
        if (began) {
            throw Refusal.conflict("the weld is being re-inspected; what was done to it stands");
        }
    }

    /** Takes the last step back, with the reason; it stays readable. */
    @Transactional
    public void back(Actor actor, UUID id, String why, Long version) {
        if (!actor.decidesDisposition()) {
            throw Refusal.forbidden("the repair lead or the welding engineer records the repair");
        }
        if (why == null || why.isBlank() || why.length() > 300) {
            throw Refusal.invalid("why", "say in a line what was wrong with it");
        }
        DefectEntity d = repairs.forChange(id, version);
        List<RepairStepEntity> standing = steps.standing(d, d.cycle());
        if (standing.isEmpty() || d.isClosed()) {
            throw Refusal.conflict("nothing is recorded that could be taken back");
        }
        checkNoInspectionBegan(d);
        metals.takeBack(standing.get(standing.size() - 1));
        standing.get(standing.size() - 1).withdraw(actor.name() + ": " + why.strip());
        d.reach(
                standing.size() == 1
                        ? RepairState.OPEN
                        : standing.get(standing.size() - 2).state());
        repairs.save(d);
    }
}
