package mensor.server.inspection;

import java.util.List;
import java.util.UUID;
import mensor.inspection.Verdict;
import mensor.server.criteria.CriteriaChecks;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Component;

/** Who may sign an inspection: who has it in hand, by valid papers, with gauges in calibration, by criteria that were checked, and not of his own repair. */
@Component
class SigningRules {
    private final People people;
    private final CriteriaChecks checks;
    private final GaugeFaults faults;
    private final Hands hands;
    private final ScannedPlaces scanned;

    SigningRules(People people, CriteriaChecks checks, GaugeFaults faults, Hands hands, ScannedPlaces scanned) {
        this.people = people;
        this.checks = checks;
        this.faults = faults;
        this.hands = hands;
        this.scanned = scanned;
    }

    void check(Actor actor, Bench.State opened) {
        UUID holder = opened.inspection().holder();
        if (holder != null && !holder.equals(actor.id())) {
            throw Refusal.conflict(
                    people.nameOf(holder) + " has this inspection in hand; it is handed over, then signed");
        }
        people.maySign(actor, opened.inspection().capacity());
        hands.checkInspects(actor, opened.joint());
        checks.stop(opened.judged().evaluation().book()).ifPresent(why -> {
            throw Refusal.conflict(why);
        });
        faults.of(opened).stream().filter(f -> f.waived() == null).findFirst().ifPresent(f -> {
            throw Refusal.conflict(
                    f.fault() + ": read again with another gauge, or have the quality manager waive it with a reason");
        });
        if (opened.judged().evaluation().verdict() == Verdict.ACCEPT) {
            scanned.checkAnswered(opened);
        }
    }

    /** What the signer did on this weld in another role. */
    List<String> beside(Actor signer, Bench.State opened) {
        return hands.beside(signer, opened.joint(), faults.of(opened));
    }
}
