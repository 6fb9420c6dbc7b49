package mensor.server.repair;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.drawing.SectionDrawing;
import mensor.drawing.StripDrawing;
import mensor.inspection.Criterion;
import mensor.inspection.IndicationKind;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.plan.WeldMetal;
import mensor.repair.DefectPlace;
import mensor.repair.Disposition;
import mensor.repair.RemovalMethod;
import mensor.repair.RepairPlan;
import mensor.repair.RepairPlanner;
import mensor.repair.RepairState;
import mensor.server.inspection.Bench;
import mensor.server.inspection.InspectionResult;
import mensor.server.inspection.StoredInspection;
import mensor.server.job.ContractTerms;
import mensor.server.job.Jobs;
import mensor.server.joint.JointForm;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.repair.DefectsView.HoldView;
import mensor.server.repair.DefectsView.RejectedPlace;
import mensor.server.repair.DefectsView.RepairChoice;
import mensor.server.web.Refusal;
import mensor.weld.Named;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Makes what the screens and papers show of rejected places. */
@Component
public class DefectViews {
    private final DefectRepository defects;
    private final RepairStepRepository stored;
    private final RepairPhotoRepository photos;
    private final Holds holds;
    private final Steps steps;
    private final Bench bench;
    private final Jobs jobs;
    private final Joints joints;
    private final People people;
    private final JsonMapper json;
    private final Cache<UUID, Map<String, String>> least =
            Caffeine.newBuilder().maximumSize(500).build();

    DefectViews(
            DefectRepository defects,
            RepairStepRepository stored,
            RepairPhotoRepository photos,
            Holds holds,
            Steps steps,
            Bench bench,
            Jobs jobs,
            Joints joints,
            People people,
            JsonMapper json) {
        this.defects = defects;
        this.stored = stored;
        this.photos = photos;
        this.holds = holds;
        this.steps = steps;
        this.bench = bench;
        this.jobs = jobs;
        this.joints = joints;
        this.people = people;
        this.json = json;
    }

    /** All defects of the weld as this inspection's side raised them, the open ones first. */
    @Transactional(readOnly = true)
    public DefectsView of(Bench.State o, Map<UUID, Length> depths) {
        StoredInspection inspection = o.inspection();
        List<DefectEntity> all =
                defects.findByJointIdAndCapacityOrderByNumber(o.joint().id(), inspection.capacity());
        Plans plans = new Plans(o, depths);
        List<RejectedPlace> views = all.stream()
                .sorted(Comparator.comparing(DefectEntity::isClosed).thenComparing(DefectEntity::count))
                .map(d -> view(d, o.joint().unit(), plans.of(d)))
                .toList();
        List<DefectEntity> here = all.stream()
                .filter(d -> d.inspectionId().equals(inspection.id()))
                .toList();
        boolean began = bench.ofJoint(inspection.jointId()).stream()
                .anyMatch(i -> inspection.id().equals(i.follows()));
        boolean repaired = here.stream().anyMatch(d -> d.state() == RepairState.READY);
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

    /** The plans of what one inspection rejected, with what was found and decided since. */
    private final class Plans {
        private final Bench.State o;
        private final List<RepairPlan> plans;

        Plans(Bench.State o, Map<UUID, Length> depths) {
            this.o = o;
            InspectionResult judged = o.judged();
            List<DefectPlace> places = DefectPlace.of(judged.inspection(), judged.evaluation());
            Unit unit = o.joint().unit();
            Map<Integer, Length> found = new HashMap<>();
            Map<Integer, Span> ends = new HashMap<>();
            Map<Integer, Disposition> chosen = new HashMap<>();
            for (DefectEntity d :
                    defects.findByInspectionIdOrderByPlaceIndex(o.inspection().id())) {
                d.disposition().ifPresent(x -> chosen.put(d.placeIndex(), x));
                if (d.placeIndex() >= places.size()
                        || places.get(d.placeIndex()).indication().isEmpty()) {
                    continue;
                }
                int indication = places.get(d.placeIndex()).indication().getAsInt();
                steps.at(d, d.cycle(), RepairState.EXTENT_KNOWN)
                        .flatMap(f -> Steps.span(f, unit))
                        .ifPresent(s -> ends.put(indication, s));
                steps.at(d, d.cycle(), RepairState.EXCAVATED)
                        .flatMap(f -> Steps.depth(f, unit))
                        .ifPresent(x -> found.put(indication, x));
                if (depths.containsKey(d.id())) {
                    found.put(indication, depths.get(d.id()));
                }
            }
            this.plans = RepairPlanner.plan(
                    judged.inspection(),
                    judged.evaluation(),
                    judged.terms(),
                    terms(o.joint()).constants(),
                    new RepairPlanner.Known(
                            found,
                            ends,
                            chosen,
                            o.inspection().isSigned() ? Optional.of(leastOf(o)) : Optional.empty()));
        }

        Optional<RepairPlan> of(DefectEntity d) {
            return d.inspectionId().equals(o.inspection().id()) && d.placeIndex() < plans.size()
                    ? Optional.of(plans.get(d.placeIndex()))
                    : Optional.empty();
        }

        List<String> least() {
            return plans.stream().flatMap(p -> p.least().stream()).distinct().toList();
        }
    }

    /** What is signed stays: its least repair, which takes long on a bad weld, is found once. */
    private Map<String, String> leastOf(Bench.State o) {
        InspectionResult judged = o.judged();
        return least.get(
                o.inspection().id(),
                key -> RepairPlanner.least(judged.inspection(), judged.evaluation(), judged.terms()));
    }

    private ContractTerms terms(StoredJoint joint) {
        return jobs.terms(jobs.get(joint.jobId()));
    }

    private RejectedPlace view(DefectEntity d, Unit unit, Optional<RepairPlan> plan) {
        Criterion criterion = Named.find(Criterion.class, d.criterion()).orElseThrow();
        List<Disposition> suits = Disposition.suiting(criterion);
        // what was chosen is in the plan; the proposal is what it would be without
        Disposition proposed = Disposition.proposed(criterion, d.indicationKind());
        return new RejectedPlace(
                d.id(),
                d.number(),
                d.inspectionId(),
                plan.isPresent(),
                d.finding(),
                criterion.title(),
                d.words(),
                d.place(unit).map(Span::shown).orElse(null),
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
                Disposition.why(criterion),
                suits.stream().map(s -> new RepairChoice(s.id(), s.title())).toList(),
                d.disposition().map(Disposition::id).orElse(null),
                d.disposition().map(Disposition::title).orElse(null),
                d.note(),
                d.cutsApart(),
                nameOf(d.decidedBy()),
                d.decidedAt(),
                holds.of(d).stream().map(this::hold).toList(),
                plan.filter(p -> !d.isClosed()).map(DefectViews::plan).orElse(null),
                route(d),
                stored.findByDefectIdOrderByRecordedAt(d.id()).stream()
                        .map(this::step)
                        .toList(),
                next(d, isQuenched(d)),
                photos.findByDefectIdOrderByAddedAt(d.id()).stream()
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

    private static DefectsView.RepairPlanView plan(RepairPlan p) {
        boolean takesOut = p.disposition() == Disposition.REMOVE_AND_REWELD || p.disposition() == Disposition.REPLACE;
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
                                n.rod(),
                                n.diameter(),
                                n.rods(),
                                n.beads(),
                                n.arcMinutes()))
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

    /** Steels that the code names are not gouged with oxygen. */
    private boolean isQuenched(DefectEntity d) {
        return joints.find(d.jointId())
                .map(j -> json.readValue(j.document(), JointForm.class).delayed())
                .filter(Boolean.TRUE::equals)
                .isPresent();
    }

    private DefectsView.NextRecord next(DefectEntity d, boolean quenched) {
        Optional<RepairState> next = d.disposition().flatMap(x -> d.state().next(x));
        if (next.isEmpty()) {
            return null;
        }
        String stopped = holds.open(d).stream()
                .filter(h -> h.kind().stops(next.get()))
                .map(h -> h.kind().words())
                .collect(Collectors.joining("; "));
        boolean crack = d.indicationKind().filter(IndicationKind.CRACK::equals).isPresent();
        Disposition x = d.disposition().orElseThrow();
        List<String> asks = switch (next.get()) {
            case EXTENT_KNOWN -> crack ? List.of("from", "to", "foundBy") : List.of("from", "to");
            case EXCAVATED ->
                x == Disposition.BLEND || x == Disposition.ADD_METAL
                        ? List.of("from", "to", "method")
                        : List.of("from", "to", "method", "depth");
            case CAVITY_ACCEPTED -> {
                List<String> wanted = new ArrayList<>(List.of("clean", "seenBy"));
                if (crack) {
                    wanted.addAll(List.of("proof", "proofReport"));
                }
                if (x == Disposition.BLEND) {
                    wanted.add("left");
                }
                yield wanted;
            }
            case WELDED -> List.of("welder", "rod", "diameter", "rods", "preheat", "weldedAt");
            default -> List.of("cleaned", "cooled");
        };
        return new DefectsView.NextRecord(
                next.get().id(),
                next.get().title(),
                asks,
                asks.contains("method")
                        ? List.of(RemovalMethod.values()).stream()
                                .filter(m -> m != RemovalMethod.OXYGEN || !quenched)
                                .map(m -> new RepairChoice(m.id(), m.title()))
                                .toList()
                        : List.of(),
                stopped.isEmpty() ? null : stopped);
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
                view(d, unit, new Plans(o, Map.of()).of(d)),
                RepairPlanner.cautions());
    }

    /** The section at the station nearest to the place, else the joint as drawn. */
    private static SectionDrawing section(InspectionResult judged, Optional<Span> place) {
        SectionDrawing drawn = SectionDrawing.asDrawn(judged.inspection().joint());
        if (place.isEmpty()) {
            return drawn;
        }
        double at = StripDrawing.mm(place.get().from());
        Unit unit = judged.inspection().units();
        return judged.sections().stream()
                .min(Comparator.comparingDouble(s -> Math.abs(StripDrawing.mm(Length.parse(s.at(), unit)) - at)))
                .orElse(drawn);
    }
}
