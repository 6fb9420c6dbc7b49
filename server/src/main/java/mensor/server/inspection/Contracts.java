package mensor.server.inspection;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mensor.criteria.CriteriaBook;
import mensor.exchange.InspectionParts;
import mensor.inspection.Addendum;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.server.contract.Deviations;
import mensor.server.contract.Waivers;
import mensor.server.gauge.Gauges;
import mensor.server.job.ContractTerms;
import mensor.server.job.Jobs;
import mensor.server.joint.StoredJoint;
import mensor.weld.Joint;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What stands beside the code for an inspection, read from the job, the Engineer's documents, the register and the waivers. */
@Component
class Contracts {
    private final Jobs jobs;
    private final Deviations deviations;
    private final Gauges gauges;
    private final Waivers waivers;
    private final JsonMapper json;

    Contracts(Jobs jobs, Deviations deviations, Gauges gauges, Waivers waivers, JsonMapper json) {
        this.jobs = jobs;
        this.deviations = deviations;
        this.gauges = gauges;
        this.waivers = waivers;
        this.json = json;
    }

    /** What stands beside the code: of a signed inspection what stood then, else what stands now. */
    Contract of(StoredJoint joint, StoredInspection inspection, Set<String> namedGauges) {
        if (inspection.isSigned()) {
            return inspection.contract() == null
                    ? Contract.NONE
                    : json.readValue(inspection.contract(), Contract.class).filled();
        }
        return new Contract(
                jobs.terms(jobs.get(joint.jobId())),
                deviations.standing(joint.id()).stream()
                        .map(Deviations.DeviationView::form)
                        .toList(),
                gauges.named(List.copyOf(namedGauges)),
                waivers.of(inspection.id()).stream()
                        .map(Waivers.WaiverView::gauge)
                        .toList());
    }

    /** The job's limits that tighten the code for this joint; a job has thick welds and thin ones. */
    List<Addendum> addenda(Joint weld, Unit unit, CriteriaBook book, ContractTerms terms, List<String> notes) {
        if (terms.allLimits().isEmpty()) {
            return List.of();
        }
        List<Addendum> tighter = new ArrayList<>();
        for (Addendum a : InspectionParts.readAddenda(json.writeValueAsString(terms.allLimits()), unit)) {
            Optional<Length> loosest = book.loosest(a.kind(), weld, unit);
            boolean looser = a.max().isPresent()
                    && loosest.map(l -> a.max().get().isOver(l)).orElse(false);
            if (looser) {
                notes.add("The contract's " + a.kind().id() + " of "
                        + a.max().get().shownWithUnit()
                        + " does not tighten the code here, which accepts at most "
                        + loosest.get().in(unit).shownWithUnit() + ": the code governs.");
            } else {
                tighter.add(a);
            }
        }
        return tighter;
    }
}
