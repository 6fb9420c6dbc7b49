package mensor.server.inspection;

import java.util.List;
import mensor.server.disposition.DispositionView;

/** What comes next for a joint, in a few words, in the order of the work. */
final class NextStep {
    private NextStep() {}

    static String of(InspectionEntity i, List<DispositionView> dispositions) {
        long open = dispositions.stream().filter(d -> d.decision() == null).count();
        return words(i.isSigned(), i.verdict(), i.entryCount(), i.todos(), open);
    }

    static String words(boolean signed, String verdict, int entries, int todos, long undisposed) {
        boolean reject = verdict.equals("reject");
        if (signed) {
            if (!reject) {
                return "Accepted and signed";
            }
            return undisposed > 0 ? "Dispose of " + count(undisposed, "finding") : "Repair, then look again";
        }
        if (entries == 0) {
            return reject ? "Stopped at fit-up" : "Look at it";
        }
        if (reject) {
            return "Sign the reject";
        }
        return verdict.equals("accept") ? "Sign the accept" : "Finish the look: " + todos + " to do";
    }

    private static String count(long n, String what) {
        return n + " " + what + (n == 1 ? "" : "s");
    }
}
