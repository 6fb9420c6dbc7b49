package mensor.server.inspection;

import java.util.List;
import java.util.stream.Collectors;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Component;

/**
 * What a scan of the inspection measured and nobody answered: an accept is not signed over it. It is answered where it was taken
 * over, also where it was taken off again since.
 */
@Component
class ScannedPlaces {
    private final InspectionScans scans;
    private final InspectionJudge judging;

    ScannedPlaces(InspectionScans scans, InspectionJudge judging) {
        this.scans = scans;
        this.judging = judging;
    }

    void checkAnswered(Bench.State opened) {
        scans.waiting(opened.inspection().id()).ifPresent(name -> {
            throw Refusal.conflict("the scan " + name + " is still being measured; wait for it, or take it off");
        });
        List<Bench.NewEntry> unanswered = scans.unanswered(opened);
        if (unanswered.isEmpty()) {
            return;
        }
        Evaluation joined = judging.with(opened.joint(), opened.inspection(), opened.entries(), unanswered);
        if (joined.verdict() != Verdict.ACCEPT) {
            String what = joined.findings().stream()
                    .filter(f -> f.verdict() == Verdict.REJECT || f.verdict() == Verdict.INCOMPLETE)
                    .map(f -> f.criterion().title().toLowerCase(java.util.Locale.ROOT))
                    .distinct()
                    .collect(Collectors.joining(", "));
            throw Refusal.conflict("a scan measured what is not recorded, and with it the weld is not accepted (" + what
                    + "): take it over; where it is none, take it off again after that");
        }
    }
}
