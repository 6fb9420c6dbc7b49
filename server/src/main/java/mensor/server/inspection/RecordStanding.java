package mensor.server.inspection;

import java.time.Clock;
import java.util.List;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.server.criteria.CriteriaChecks;
import mensor.server.record.SignatureView;
import mensor.server.record.Signatures;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Where an inspection stands: its signature, its repairs, what stops it and what comes next. */
@Component
class RecordStanding {
    private final Signatures signatures;
    private final RepairStanding repairs;
    private final CriteriaChecks checks;
    private final GaugeFaults faults;
    private final Clock clock;

    RecordStanding(
            Signatures signatures, RepairStanding repairs, CriteriaChecks checks, GaugeFaults faults, Clock clock) {
        this.signatures = signatures;
        this.repairs = repairs;
        this.checks = checks;
        this.faults = faults;
        this.clock = clock;
    }

    /**
     * Of one inspection.
     *
     * @param stop why it cannot be signed by its criteria; absent where it can, or is
     */
    record RecordState(
            @Nullable SignatureView signature,
            RepairStanding.Standing repair,
            List<GaugeFaults.GaugeFaultView> notInCalibration,
            @Nullable String stop,
            String next) {}

    RecordState of(Bench.State o) {
        StoredInspection i = o.inspection();
        Evaluation evaluation = o.judged().evaluation();
        RepairStanding.Standing repair = i.isSigned() ? repairs.of(i.id()) : RepairStanding.Standing.NONE;
        List<GaugeFaults.GaugeFaultView> notInCalibration = faults.of(o);
        String stop = i.isSigned() ? null : checks.stop(evaluation.book()).orElse(null);
        return new RecordState(
                signatures.of(i.id()).orElse(null),
                repair,
                notInCalibration,
                stop,
                next(o, repair, stop, notInCalibration));
    }

    /** What to do next; an inspection that could be signed but for a gauge or an unchecked book says so. */
    private String next(
            Bench.State o,
            RepairStanding.Standing standing,
            @Nullable String stop,
            List<GaugeFaults.GaugeFaultView> notInCalibration) {
        StoredInspection i = o.inspection();
        boolean ready = !i.isSigned() && o.judged().evaluation().verdict() != Verdict.INCOMPLETE;
        if (ready && notInCalibration.stream().anyMatch(f -> f.waived() == null)) {
            return "Replace the gauge, or have it waived";
        }
        if (ready && stop != null) {
            return "Check the criteria against your copy";
        }
        return NextStep.of(i, standing, NextStep.wait(o.joint().readyAt(), clock.instant()));
    }
}
