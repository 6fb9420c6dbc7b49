package mensor.server.repair;

import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import mensor.repair.Disposition;
import mensor.repair.RepairState;
import mensor.server.inspection.Bench;
import mensor.server.inspection.Hands;
import mensor.server.job.TermsChange;
import mensor.server.people.Actor;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.weld.Named;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The contractor's side of a reject: what is decided on it and who was told. */
@Service
public class Repairs {
    private final DefectRepository defects;
    private final Holds holds;
    private final Bench bench;
    private final Hands hands;
    private final Clock clock;

    Repairs(DefectRepository defects, Holds holds, Bench bench, Hands hands, Clock clock) {
        this.defects = defects;
        this.holds = holds;
        this.bench = bench;
        this.hands = hands;
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

    void save(DefectEntity d) {
        defects.saveAndFlush(d);
    }

    @Transactional
    public void decide(Actor actor, UUID id, Decision given) {
        if (!actor.decidesDisposition()) {
            throw Refusal.forbidden(
                    "the disposition is for the repair lead or the welding engineer, not the " + actor.rolesInWords());
        }
        DefectEntity d = forChange(id, given.version());
        hands.checkRepairs(actor, d.jointId());
        Disposition.Kind kind =
                Holds.kind(d, bench.openAsItStands(d.inspectionId()).judged());
        Disposition chosen = given.decision() == null
                ? null
                : Named.find(Disposition.class, given.decision()).orElse(null);
        if (chosen == null) {
            throw Refusal.invalid("decision", "one of " + Named.list(Disposition.class) + " is required");
        }
        if (!Disposition.suiting(kind).contains(chosen)) {
            throw Refusal.invalid(
                    "decision",
                    chosen.title().toLowerCase(Locale.ROOT) + " does not suit "
                            + kind.criterion().title().toLowerCase(Locale.ROOT) + " here: " + Disposition.why(kind));
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
