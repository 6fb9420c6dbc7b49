package mensor.server.repair;

import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import mensor.inspection.Verdict;
import mensor.judge.Finding;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.repair.DefectPlace;
import mensor.server.inspection.Bench;
import mensor.server.inspection.InspectionResult;
import mensor.server.inspection.InspectionSigned;
import mensor.server.inspection.StoredInspection;
import mensor.server.job.Jobs;
import mensor.server.record.Signatures;
import mensor.weld.Joint;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** With each signature: what was rejected gets its numbers, what was rejected again its next cycle; an accept closes them. */
@Service
class DefectRegister {
    private final DefectRepository defects;
    private final Holds holds;
    private final Steps steps;
    private final Bench bench;
    private final Jobs jobs;
    private final Signatures signatures;
    private final Clock clock;

    DefectRegister(
            DefectRepository defects,
            Holds holds,
            Steps steps,
            Bench bench,
            Jobs jobs,
            Signatures signatures,
            Clock clock) {
        this.defects = defects;
        this.holds = holds;
        this.steps = steps;
        this.bench = bench;
        this.jobs = jobs;
        this.signatures = signatures;
        this.clock = clock;
    }

    @EventListener
    @Transactional
    public void signed(InspectionSigned inspection) {
        raise(bench.openAsItStands(inspection.inspectionId()));
    }

    void raise(Bench.State o) {
        StoredInspection inspection = o.inspection();
        List<DefectEntity> before =
                defects.findByJointIdAndCapacityOrderByNumber(o.joint().id(), inspection.capacity());
        if (o.judged().evaluation().verdict() != Verdict.REJECT) {
            String why = inspection.cycle() > 0
                    ? "accepted and signed at " + inspection.stage()
                    : "revision " + inspection.revision() + " no longer rejects it";
            before.stream().filter(d -> !d.isClosed()).forEach(d -> {
                d.close(why, clock.instant());
                holds.sync(d, o.judged());
            });
            defects.flush();
            return;
        }
        Set<DefectEntity> left = new LinkedHashSet<>(before);
        for (DefectEntity.Raised r : raised(o)) {
            Optional<DefectEntity> same = left.stream()
                    .filter(d -> !d.isAcceptedAsIs() && isSame(d, r, o))
                    .findFirst();
            if (same.isPresent()) {
                left.remove(same.get());
                seenAgain(same.get(), r, inspection);
                holds.sync(same.get(), o.judged());
            } else {
                DefectEntity fresh = fresh(o, r);
                before.stream()
                        .filter(d -> inspection.cycle() > 0 && d.cycle() > 1 && isSame(d, r, o))
                        .findFirst()
                        .ifPresent(d -> fresh.inCycle(d.cycle()));
                defects.saveAndFlush(fresh);
                holds.sync(fresh, o.judged());
            }
        }
        // after a repair the rest waits for an accept, but for what a revision of this very look takes back
        left.stream()
                .filter(d -> !d.isClosed()
                        && (inspection.cycle() == 0 || d.inspectionId().equals(inspection.amends())))
                .forEach(d -> {
                    d.close("revision " + inspection.revision() + " no longer rejects it", clock.instant());
                    holds.sync(d, o.judged());
                });
        defects.flush();
    }

    private DefectEntity fresh(Bench.State o, DefectEntity.Raised r) {
        UUID job = jobs.forSigning(o.joint().jobId()).id();
        return new DefectEntity(
                job,
                o.joint().id(),
                o.inspection().capacity(),
                defects.lastNumber(job) + 1,
                r,
                signatures.signer(o.inspection().id()),
                clock.instant());
    }

    /** A revision of the same inspection says the same again; a later inspection rejects what was repaired. */
    private static void seenAgain(DefectEntity d, DefectEntity.Raised r, StoredInspection inspection) {
        boolean sameInspection =
                inspection.amends() != null && inspection.amends().equals(d.inspectionId());
        if (inspection.cycle() == 0 || sameInspection && !d.isClosed()) {
            d.seenIn(r);
        } else {
            d.rejectedAgain(r);
        }
    }

    private static List<DefectEntity.Raised> raised(Bench.State o) {
        InspectionResult judged = o.judged();
        List<DefectEntity.Raised> raised = new ArrayList<>();
        List<DefectPlace> places = DefectPlace.of(judged.inspection(), judged.evaluation());
        for (int i = 0; i < places.size(); i++) {
            DefectPlace p = places.get(i);
            Finding f = judged.evaluation().finding(p.finding()).orElseThrow();
            List<UUID> entries = Stream.concat(
                            p.indication().stream().mapToObj(n -> judged.entryOfIndication(n)),
                            p.readings().stream().map(n -> judged.entryOfReading(n)))
                    .toList();
            raised.add(new DefectEntity.Raised(
                    o.inspection().id(),
                    i,
                    p.finding(),
                    p.criterion().id(),
                    p.kind(),
                    entries,
                    p.span().map(s -> s.from().toString()).orElse(null),
                    p.span().map(s -> s.to().toString()).orElse(null),
                    p.words(judged.inspection(), f)));
        }
        return raised;
    }

    /**
     * The first inspection tells a place by its kind; after a repair whatever stands in the repaired stretch is the same place, for
     * the cycles are counted per place.
     */
    private boolean isSame(DefectEntity d, DefectEntity.Raised r, Bench.State o) {
        Joint joint = o.judged().inspection().joint();
        Optional<Span> now = r.from() == null
                ? Optional.empty()
                : Optional.of(new Span(
                        Length.parse(r.from(), o.joint().unit()),
                        Length.parse(r.to(), o.joint().unit())));
        Optional<Span> then = d.place(o.joint().unit());
        if (now.isEmpty() || then.isEmpty()) {
            return now.isEmpty() && then.isEmpty() && d.kind().equals(r.kind());
        }
        boolean touches = touch(joint, now.get(), then.get());
        if (o.inspection().cycle() == 0) {
            return touches && d.kind().equals(r.kind());
        }
        return touches
                || steps.repaired(d, o.joint().unit())
                        .filter(s -> touch(joint, now.get(), s))
                        .isPresent();
    }

    private static boolean touch(Joint joint, Span a, Span b) {
        return !SpanSet.of(joint.ruler().straight(a))
                .intersect(SpanSet.of(joint.ruler().straight(b)))
                .isEmpty();
    }
}
