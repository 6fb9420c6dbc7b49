package mensor.server.report;

import java.time.Instant;
import java.util.UUID;
import mensor.server.background.BackgroundQueue.BackgroundWork;
import org.jspecify.annotations.Nullable;

/** How far a report of many welds is: waiting, running, done, stopped or failed. */
record ReportView(
        UUID id,
        String title,
        String as,
        String state,
        int done,
        int welds,
        Instant asked,
        @Nullable Integer bytes) {
    static ReportView of(BackgroundWork work, ReportForm form) {
        return new ReportView(
                work.id(),
                work.title(),
                form.as(),
                work.state(),
                work.done(),
                work.ofAll(),
                work.asked(),
                work.bytes());
    }
}
