package mensor.server.repair;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mensor.inspection.Criterion;
import mensor.length.Span;
import mensor.plan.WeldMetal;
import mensor.repair.Disposition;
import mensor.repair.RepairPlan;
import mensor.repair.RepairState;
import mensor.server.job.Jobs;
import mensor.server.people.People;
import mensor.server.repair.DefectsView.HoldView;
import mensor.server.repair.DefectsView.RejectedPlace;
import mensor.server.repair.DefectsView.RepairChoice;
import mensor.weld.Joint;
import mensor.weld.Named;
import org.springframework.stereotype.Component;

/** One rejected place as the screens show it. */
@Component
class RejectedPlaces {
    private final Holds holds;
    private final Steps steps;
    private final RepairPhotos photos;
    private final NextRecords next;
    private final Jobs jobs;
    private final People people;

    RejectedPlaces(Holds holds, Steps steps, RepairPhotos photos, NextRecords next, Jobs jobs, People people) {
        this.holds = holds;
        this.steps = steps;
        this.photos = photos;
        this.next = next;
        this.jobs = jobs;
        this.people = people;
    }

    RejectedPlace of(DefectEntity d, Joint joint, Optional<RepairPlan> plan) {
        Optional<Span> place = d.place(joint.length().unit());
        Criterion criterion = Named.find(Criterion.class, d.criterion()).orElseThrow();
        List<Disposition> suits =
                plan.map(RepairPlan::suits).orElseGet(() -> Disposition.suiting(Disposition.Kind.of(criterion)));
        // what was chosen is in the plan; the proposal is what it would be without
        Disposition proposed = suits.get(0);
        return new RejectedPlace(
                d.id(),
                d.number(),
                d.inspectionId(),
                plan.isPresent(),
                d.finding(),
                criterion.title(),
                d.words(),
                place.map(Span::shown).orElse(null),
                joint.clock().flatMap(c -> place.map(c::shown)).orElse(null),
                d.raisedAt(),
                people.nameOf(d.raisedBy()),
                d.notified(),
                nameOf(d.notifiedBy()),
                d.notifiedAt(),
                d.cycle(),
                jobs.terms(jobs.get(d.jobId())).cycles(),
                d.state().id(),
                d.state().title(),
                proposed.id(),
                proposed.title(),
                plan.map(RepairPlan::why).orElseGet(() -> Disposition.why(Disposition.Kind.of(criterion))),
                suits.stream().map(s -> new RepairChoice(s.id(), s.title())).toList(),
                d.disposition().map(Disposition::id).orElse(null),
                d.disposition().map(Disposition::title).orElse(null),
                d.note(),
                d.cutsApart(),
                nameOf(d.decidedBy()),
                d.decidedAt(),
                holds.of(d).stream().map(this::hold).toList(),
                plan.filter(p -> !d.isClosed()).map(RejectedPlaces::plan).orElse(null),
                route(d),
                steps.of(d).stream().map(this::step).toList(),
                next.of(d),
                photos.of(d).stream()
                        .map(p -> new DefectsView.RepairPhotoView(
                                p.id(), p.cycle(), people.nameOf(p.takenBy()), p.addedAt()))
                        .toList(),
                d.closedWhy(),
                d.closedAt(),
                d.version());
    }

    private String nameOf(UUID person) {
        return person == null ? null : people.nameOf(person);
    }

    private HoldView hold(RepairHoldEntity h) {
        return new HoldView(
                h.kind().id(),
                h.kind().words(),
                h.isOpen(),
                h.kind().mayBeDenied(),
                h.raisedAt(),
                h.documentNo(),
                h.documentBy(),
                h.documentDate(),
                h.fileName(),
                h.deniedWhy(),
                nameOf(h.releasedBy()),
                h.releasedAt());
    }

    private static DefectsView.RepairRods rods(RepairPlan.Rods r) {
        return new DefectsView.RepairRods(
                r.electrode(), r.diameter(), r.count(), r.beads(), r.arcMinutes(), r.workHours());
    }

    private static DefectsView.RepairPlanView plan(RepairPlan p) {
        boolean takesOut = p.disposition().takesOut();
        return new DefectsView.RepairPlanView(
                p.extent().map(Span::shown).orElse(null),
                p.least().orElse(null),
                p.steps(),
                p.numbers()
                        .map(n -> new DefectsView.RepairNumbers(
                                n.depth(),
                                n.width(),
                                n.length(),
                                n.grams(),
                                n.grams() / WeldMetal.GRAMS_PER_POUND,
                                n.rods().map(RejectedPlaces::rods).orElse(null)))
                        .orElse(null),
                p.preheat().orElse(null),
                p.numbers().isEmpty() && p.place().indication().isPresent() && takesOut);
    }

    private static List<DefectsView.RouteState> route(DefectEntity d) {
        List<RepairState> route = d.disposition().map(RepairState::route).orElseGet(() -> List.of(RepairState.OPEN));
        int at = route.indexOf(d.state());
        List<DefectsView.RouteState> states = new ArrayList<>();
        for (int i = 0; i < route.size(); i++) {
            states.add(
                    new DefectsView.RouteState(route.get(i).id(), route.get(i).title(), i <= at));
        }
        return states;
    }

    private DefectsView.RecordedStep step(RepairStepEntity s) {
        return new DefectsView.RecordedStep(
                s.cycle(),
                s.state().id(),
                s.state().title(),
                StepWords.said(steps.form(s)),
                steps.warnings(s),
                people.nameOf(s.recordedBy()),
                s.recordedAt(),
                s.withdrawnWhy());
    }
}
