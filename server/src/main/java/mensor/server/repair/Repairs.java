package mensor.server.repair;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.exchange.InspectionParts;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.length.Unit;
import mensor.repair.Disposition;
import mensor.repair.RepairState;
import mensor.repair.RepairWork;
import mensor.server.inspection.Bench;
import mensor.server.inspection.NewInspections;
import mensor.server.inspection.Rejudgement;
import mensor.server.inspection.RepairSummary;
import mensor.server.inspection.StoredInspection;
import mensor.server.job.TermsChange;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.photo.Photos;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.server.web.Refusal.FieldProblem;
import mensor.weld.Named;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The contractor's side of a reject: what is decided, what waits, what was done, until the weld is re-inspected. */
@Service
public class Repairs {
    private final DefectRepository defects;
    private final RepairStepRepository stored;
    private final RepairPhotoRepository repairPhotos;
    private final Holds holds;
    private final Steps steps;
    private final Bench bench;
    private final NewInspections beginnings;
    private final Rejudgement rejudgement;
    private final Joints joints;
    private final People people;
    private final Photos photos;
    private final JsonMapper json;
    private final Clock clock;

    Repairs(
            DefectRepository defects,
            RepairStepRepository stored,
            RepairPhotoRepository repairPhotos,
            Holds holds,
            Steps steps,
            Bench bench,
            NewInspections beginnings,
            Rejudgement rejudgement,
            Joints joints,
            People people,
            Photos photos,
            JsonMapper json,
            Clock clock) {
        this.defects = defects;
        this.stored = stored;
        this.repairPhotos = repairPhotos;
        this.holds = holds;
        this.steps = steps;
        this.bench = bench;
        this.beginnings = beginnings;
        this.rejudgement = rejudgement;
        this.joints = joints;
        this.people = people;
        this.photos = photos;
        this.json = json;
        this.clock = clock;
    }

    /** What the contractor decides on a rejected place; {@code version} is that of the defect as it was shown. */
    @AllOptional
    public record Decision(String decision, String note, Boolean cutsApart, Long version) {}

    DefectEntity get(UUID id) {
        return defects.findById(id).orElseThrow(Repairs::unknown);
    }

    /** The defects of one finding of an inspection. */
    @Transactional(readOnly = true)
    public List<UUID> of(UUID inspection, String finding) {
        return defects.findByInspectionIdOrderByPlaceIndex(inspection).stream()
                .filter(d -> d.finding().equals(finding))
                .map(DefectEntity::id)
                .toList();
    }

    private static Refusal unknown() {
        return Refusal.notFound("there is no such defect");
    }

    DefectEntity forChange(UUID id, Long version) {
        DefectEntity d = defects.findForChangeById(id).orElseThrow(Repairs::unknown);
        if (version != null && version != d.version()) {
            throw Refusal.stale("somebody changed " + d.number() + " meanwhile; check it again", null);
        }
        return d;
    }

    private static String words(Actor actor) {
        return actor.role().name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    @Transactional
    public void decide(Actor actor, UUID id, Decision given) {
        if (!actor.role().decidesDisposition()) {
            throw Refusal.forbidden(
                    "the disposition is for the repair lead or the welding engineer, not the " + words(actor));
        }
        DefectEntity d = forChange(id, given.version());
        Criterion criterion = Named.find(Criterion.class, d.criterion()).orElseThrow();
        Disposition chosen = given.decision() == null
                ? null
                : Named.find(Disposition.class, given.decision()).orElse(null);
        if (chosen == null) {
            throw Refusal.invalid("decision", "one of " + Named.list(Disposition.class) + " is required");
        }
        if (!Disposition.suiting(criterion).contains(chosen)) {
            throw Refusal.invalid(
                    "decision",
                    chosen.title().toLowerCase(Locale.ROOT) + " does not suit " + criterion.id() + ": "
                            + Disposition.why(criterion));
        }
        if (given.note() != null && given.note().length() > 500) {
            throw Refusal.invalid("note", "at most 500 letters");
        }
        if (d.isClosed()) {
            throw Refusal.conflict(d.number() + " is closed: " + d.closedWhy());
        }
        if (d.state() != RepairState.OPEN) {
            throw Refusal.conflict("work on " + d.number()
                    + " has begun; take back what was recorded, with a reason, before it is decided anew");
        }
        d.decide(
                chosen,
                given.note() == null || given.note().isBlank()
                        ? null
                        : given.note().strip(),
                Boolean.TRUE.equals(given.cutsApart()),
                actor.id(),
                clock.instant());
        holds.sync(d, bench.openAsItStands(d.inspectionId()).judged());
        holds.closeIfReleased(d, clock.instant());
        defects.saveAndFlush(d);
    }

    /** Who on the contractor's side was told of it. */
    @Transactional
    public void notified(Actor actor, UUID id, String whom, Long version) {
        DefectEntity d = forChange(id, version);
        if (whom == null || whom.isBlank() || whom.length() > 200) {
            throw Refusal.invalid("notified", "who was told, up to 200 letters");
        }
        d.notified(whom.strip(), actor.id(), clock.instant());
        defects.saveAndFlush(d);
    }

    /** Records the next step of a repair; a step that must be seen cannot be skipped. */
    @Transactional
    public void step(Actor actor, UUID id, String to, StepForm form) {
        boolean cavity =
                to.equals(RepairState.CAVITY_ACCEPTED.id()) && actor.role().inspects();
        if (!actor.role().decidesDisposition() && !cavity) {
            throw Refusal.forbidden(
                    "the repair lead or the welding engineer records the repair; a cavity may be accepted by an inspector too");
        }
        RepairState wanted = Named.find(RepairState.class, to)
                .orElseThrow(() -> Refusal.notFound("there is no such state of a repair"));
        DefectEntity d = forChange(id, form.version());
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
        stored.save(new RepairStepEntity(
                d,
                wanted,
                InspectionParts.canonical(json.writeValueAsString(form.withoutVersion())),
                json.writeValueAsString(RepairWork.warnings(wanted, step, place)),
                actor.id(),
                clock.instant()));
        d.reach(wanted);
        defects.saveAndFlush(d);
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
        if (!actor.role().decidesDisposition()) {
            throw Refusal.forbidden("the repair lead or the welding engineer records the repair");
        }
        if (why == null || why.isBlank() || why.length() > 300) {
            throw Refusal.invalid("why", "say in a line what was wrong with it");
        }
        DefectEntity d = forChange(id, version);
        List<RepairStepEntity> standing = steps.standing(d, d.cycle());
        if (standing.isEmpty() || d.isClosed()) {
            throw Refusal.conflict("nothing is recorded that could be taken back");
        }
        checkNoInspectionBegan(d);
        standing.get(standing.size() - 1).withdraw(actor.name() + ": " + why.strip());
        d.reach(
                standing.size() == 1
                        ? RepairState.OPEN
                        : standing.get(standing.size() - 2).state());
        defects.saveAndFlush(d);
    }

    /** A picture of the repair, under the browser's id. */
    @Transactional
    public void photo(Actor actor, UUID id, UUID photoId, byte[] sent) {
        if (!actor.role().decidesDisposition() && !actor.role().inspects()) {
            throw Refusal.forbidden(
                    "pictures of a repair are added by the repair lead, the welding engineer or an inspector");
        }
        DefectEntity d = forChange(id, null);
        Optional<RepairPhotoEntity> standing = repairPhotos.findById(photoId);
        if (standing.isPresent()) {
            if (!standing.get().defectId().equals(id)) {
                throw Refusal.conflict("that id belongs to another picture");
            }
            return;
        }
        if (d.isClosed()) {
            throw Refusal.conflict(d.number() + " is closed: " + d.closedWhy());
        }
        repairPhotos.save(new RepairPhotoEntity(photoId, d, photos.keep(sent), actor.id(), clock.instant()));
        d.touched();
        defects.saveAndFlush(d);
    }

    /** Begins the inspection after the repair, once every rejected place is repaired or accepted as it is. */
    @Transactional
    public StoredInspection reinspect(Actor actor, UUID inspectionId) {
        if (!actor.role().inspects()) {
            throw Refusal.forbidden("only an inspector re-inspects");
        }
        Bench.State o = bench.open(actor, inspectionId);
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
        if (of.stream().allMatch(DefectEntity::isClosed)) {
            throw Refusal.conflict("the Engineer's documents accept all of it as it is; nothing was repaired");
        }
        return beginnings.beginAgain(actor, inspectionId, since(of, o.joint().unit()));
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

    /** The contract's holds or limit changed: what waits is told anew. */
    @EventListener
    @Transactional
    public void termsChanged(TermsChange changed) {
        defects.findByJobIdOrderByNumber(changed.jobId()).stream()
                .filter(d -> !d.isClosed())
                .forEach(d ->
                        holds.sync(d, bench.openAsItStands(d.inspectionId()).judged()));
    }
}
