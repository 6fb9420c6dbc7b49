package mensor.server.repair;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.repair.DefectPlace;
import mensor.repair.Disposition;
import mensor.repair.RepairPlan;
import mensor.repair.RepairPlanner;
import mensor.repair.RepairState;
import mensor.server.inspection.Bench;
import mensor.server.inspection.InspectionResult;
import mensor.server.job.ContractTerms;
import mensor.server.job.Jobs;
import mensor.server.joint.StoredJoint;
import org.springframework.stereotype.Component;

/** How each rejected place of an inspection is repaired, with what was found and decided since. */
@Component
class RepairPlans {
    private final DefectRepository defects;
    private final Steps steps;
    private final Jobs jobs;

    RepairPlans(DefectRepository defects, Steps steps, Jobs jobs) {
        this.defects = defects;
        this.steps = steps;
        this.jobs = jobs;
    }

    private final Cache<UUID, Map<String, String>> least =
            Caffeine.newBuilder().maximumSize(500).build();

    /** The plans of an inspection; {@code depths} are tried, not stored. */
    Plans of(Bench.State o, Map<UUID, Length> depths) {
        return new Plans(o, depths);
    }

    /** The plans of what one inspection rejected, with what was found and decided since. */
    final class Plans {
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
}
