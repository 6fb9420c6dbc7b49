package mensor.server.inspection;

import java.time.Clock;
import mensor.server.joint.Joints;
import mensor.server.joint.WaitOver;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Judges an inspection anew when the wait after welding ends, for nobody touches it then and the worklist shows the verdict
 * that is stored.
 */
@Component
class WaitEnd {
    private static final Logger LOG = LoggerFactory.getLogger(WaitEnd.class);

    private final Joints joints;
    private final Rejudgement rejudgement;
    private final Clock clock;

    WaitEnd(Joints joints, Rejudgement rejudgement, Clock clock) {
        this.joints = joints;
        this.rejudgement = rejudgement;
        this.clock = clock;
    }

    // not while the first page is wanted: whoever reads a query first holds up the others
    @Scheduled(fixedDelay = 10_000, initialDelay = 10_000)
    void judge() {
        for (WaitOver over : joints.waitedUntil(clock.instant())) {
            try {
                rejudgement.waitOver(over.joint());
                joints.judgedAfterWait(over.joint(), over.ended());
            } catch (ConcurrencyFailureException e) {
                LOG.debug("somebody changes {} just now; it is judged the next time", over.mark());
            }
        }
    }
}
