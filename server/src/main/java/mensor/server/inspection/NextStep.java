package mensor.server.inspection;

import java.util.List;
import mensor.server.disposition.DispositionView;

/** What comes next for a joint, in a few words, in the order of the work. */
final class NextStep {
    private NextStep() {}

    static String of(InspectionEntity i, List<DispositionView> dispositions) {
        long open = dispositions.stream().filter(d -> d.decision() == null).count();
        return words(i, open);
    }

    static String words(InspectionEntity i, long undisposed) {
        boolean reject = i.verdict().equals("reject");
        if (i.state() == InspectionEntity.State.SIGNED) {
            if (!reject) {
                return "Accepted and signed";
            }
            return undisposed > 0 ? "Dispose of " + count(undisposed, "finding") : "Repair, then look again";
        }
        if (i.entryCount() == 0) {
            return "Look at it";
        }
        if (reject) {
            return "Sign the reject";
        }
        return i.verdict().equals("accept") ? "Sign the accept" : "Finish the look: " + i.todos() + " to do";
    }

    private static String count(long n, String what) {
        return n + " " + what + (n == 1 ? "" : "s");
    }
}
