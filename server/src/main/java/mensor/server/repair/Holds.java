package mensor.server.repair;

import java.time.Clock;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.repair.DefectPlace;
import mensor.repair.Disposition;
import mensor.repair.HoldKind;
import mensor.server.inspection.InspectionResult;
import mensor.server.job.ContractTerms;
import mensor.server.job.Jobs;
import mensor.weld.Named;
import mensor.weld.Sign;
import mensor.weld.Steel;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What waits for the Engineer: kept beside the defects, raised and dropped as their facts change. */
@Component
class Holds {
    private final RepairHoldRepository holds;
    private final Jobs jobs;
    private final Clock clock;

    Holds(RepairHoldRepository holds, Jobs jobs, Clock clock) {
        this.holds = holds;
        this.jobs = jobs;
        this.clock = clock;
    }

    /** Of this cycle, without those that were dropped. */
    List<RepairHoldEntity> of(DefectEntity d) {
        return holds.findByDefectIdOrderByRaisedAt(d.id()).stream()
                .filter(h -> h.cycle() == d.cycle() && !h.isDropped())
                .toList();
    }

    List<RepairHoldEntity> open(DefectEntity d) {
        return of(d).stream().filter(RepairHoldEntity::isOpen).toList();
    }

    /** Raises what the facts ask for and drops what they no longer do; what was released stays. */
    @Transactional
    public void sync(DefectEntity d, InspectionResult judged) {
        if (d.isClosed()) {
            open(d).forEach(RepairHoldEntity::drop);
            return;
        }
        Set<HoldKind> wanted = EnumSet.noneOf(HoldKind.class);
        wanted.addAll(HoldKind.of(facts(d, judged)));
        List<RepairHoldEntity> standing = of(d);
        standing.stream().filter(h -> h.isOpen() && !wanted.contains(h.kind())).forEach(RepairHoldEntity::drop);
        Set<HoldKind> there = standing.stream().map(RepairHoldEntity::kind).collect(Collectors.toSet());
        wanted.stream()
                .filter(k -> !there.contains(k))
                .forEach(k -> holds.save(new RepairHoldEntity(d, k, clock.instant())));
        holds.flush();
    }

    private HoldKind.Facts facts(DefectEntity d, InspectionResult judged) {
        ContractTerms terms = jobs.terms(jobs.get(d.jobId()));
        return new HoldKind.Facts(
                indication(d, judged),
                judged.inspection().welding().signs().contains(Sign.APPEARED_LATER),
                judged.inspection().joint().steel() != Steel.UNKNOWN,
                isRodKnown(judged),
                judged.inspection().joint().isRootReached(),
                d.disposition(),
                d.cutsApart(),
                d.cycle(),
                terms.cycles(),
                terms.holds());
    }

    /** By the record of its passes, or by the procedure. */
    private static boolean isRodKnown(InspectionResult judged) {
        return judged.welding().procedure().isPresent()
                || judged.inspection().welding().passes().stream()
                        .anyMatch(p -> p.isStick() && p.electrode().isPresent());
    }

    /** What the disposition of the place goes by. */
    static Disposition.Kind kind(DefectEntity d, InspectionResult judged) {
        List<DefectPlace> places = DefectPlace.of(judged.inspection(), judged.evaluation());
        return d.placeIndex() < places.size()
                ? places.get(d.placeIndex()).dispositionKind(judged.inspection())
                : Disposition.Kind.of(Named.find(Criterion.class, d.criterion()).orElseThrow());
    }

    static Optional<Indication> indication(DefectEntity d, InspectionResult judged) {
        List<DefectPlace> places = DefectPlace.of(judged.inspection(), judged.evaluation());
        if (d.placeIndex() >= places.size()) {
            return Optional.empty();
        }
        DefectPlace place = places.get(d.placeIndex());
        return place.indication().isPresent()
                ? Optional.of(
                        judged.inspection().indications().get(place.indication().getAsInt()))
                : Optional.empty();
    }

    /** A place that the Engineer accepts as it is needs nothing more. */
    void closeIfReleased(DefectEntity d, Instant now) {
        boolean asIs = d.disposition().filter(Disposition.ACCEPT_AS_IS::equals).isPresent();
        if (!asIs || d.isClosed()) {
            return;
        }
        of(d).stream()
                .filter(h -> h.kind() == HoldKind.ACCEPT_AS_IS && h.documentNo() != null)
                .findFirst()
                .ifPresent(h -> d.close(
                        acceptedBy(
                                h.documentNo(), h.documentBy(), h.documentDate().toString()),
                        now));
    }

    static String acceptedBy(String document, String engineer, String date) {
        return "accepted as it is by the Engineer's document " + document + " (" + engineer + ", " + date + ")";
    }
}
