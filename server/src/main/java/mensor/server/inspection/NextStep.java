package mensor.server.inspection;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import mensor.server.disposition.DispositionView;

/** What comes next for a joint, in a few words, in the order of the work. */
final class NextStep {
    private NextStep() {}

    static String of(InspectionEntity i, List<DispositionView> dispositions, Duration wait) {
        long open = dispositions.stream().filter(d -> d.decision() == null).count();
        return words(i.isSigned(), i.verdict(), i.entryCount(), i.todos(), open, wait);
    }

    static String words(boolean signed, String verdict, int entries, int todos, long undisposed, Duration wait) {
        boolean reject = verdict.equals("reject");
        if (signed) {
            if (!reject) {
                return "Accepted and signed";
            }
            return undisposed > 0 ? "Dispose of " + count(undisposed, "finding") : "Repair, then look again";
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
            return "Look at it";
        }
        return verdict.equals("accept") ? "Sign the accept" : "Finish the look: " + todos + " to do";
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
