package mensor.server.inspection;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import mensor.inspection.Verdict;

/** What comes next for a joint, in a few words, in the order of the work. */
final class NextStep {
    static final String ELSEWHERE = "Signed elsewhere: amend it to inspect it here";

    private NextStep() {}

    static String of(StoredInspection i, RepairStanding.Standing repairs, Duration wait) {
        if (i.isSignedElsewhere()
                && (i.result() != Verdict.REJECT || group(repairs).equals("done"))) {
            return ELSEWHERE;
        }
        return words(i.isSigned(), i.result(), i.entryCount(), i.todos(), repairs, wait);
    }

    static String words(
            boolean signed, Verdict verdict, int entries, int todos, RepairStanding.Standing repairs, Duration wait) {
        boolean reject = verdict == Verdict.REJECT;
        if (signed) {
            if (!reject) {
                return "Accepted and signed";
            }
            return repair(repairs);
        }
        if (entries == 0 && reject) {
            return "Stopped at fit-up";
        }
        if (reject) {
            return "Sign the reject";
        }
        if (!wait.isZero()) {
            long minutes = wait.toMinutes() + 1;
            return "Wait " + (minutes > 120 ? (minutes + 59) / 60 + " h" : minutes + " min") + " more after welding";
        }
        if (entries == 0) {
            return "Inspect";
        }
        return verdict == Verdict.ACCEPT ? "Sign the accept" : "Finish the inspection: " + todos + " to do";
    }

    private static String repair(RepairStanding.Standing r) {
        if (r.undecided() > 0) {
            return "Disposition needed: " + count(r.undecided(), "defect");
        }
        if (r.waiting() > 0) {
            return "On hold: waits for the Engineer";
        }
        if (r.working() > 0) {
            return "Repair: " + r.working() + " of " + r.all() + " to do";
        }
        return r.ready() > 0 ? "Re-inspect" : "Accepted as it is by the Engineer";
    }

    /** Which group of the list a signed reject belongs to. */
    static String group(RepairStanding.Standing r) {
        if (r.undecided() > 0) {
            return "disposition";
        }
        if (r.waiting() > 0) {
            return "hold";
        }
        return r.working() > 0 ? "repair" : r.ready() > 0 ? "inspect" : "done";
    }

    /** What is left of the wait; nothing where it is over or none is asked. */
    static Duration wait(Optional<Instant> readyAt, Instant now) {
        return readyAt.map(r -> Duration.between(now, r))
                .filter(d -> !d.isNegative())
                .orElse(Duration.ZERO);
    }

    private static String count(long n, String what) {
        return n + " " + what + (n == 1 ? "" : "s");
    }
}
