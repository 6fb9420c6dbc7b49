package mensor.server.inspection;

import java.time.Clock;
import java.time.Instant;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import mensor.server.joint.JointEntity;
import mensor.server.joint.JointRepository;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Judges a look anew when its wait after welding ends, for nobody touches it then and the worklist shows the verdict that is
 * stored.
 */
@Component
class WaitOver {
    private static final Logger LOG = LoggerFactory.getLogger(WaitOver.class);

    private final JointRepository joints;
    private final Bench bench;
    private final Clock clock;
    /** Those that were judged since their wait ended. */
    private final Set<UUID> done = new HashSet<>();

    WaitOver(JointRepository joints, Bench bench, Clock clock) {
        this.joints = joints;
        this.bench = bench;
        this.clock = clock;
    }

    @Scheduled(fixedDelay = 10_000)
    void look() {
        Instant now = clock.instant();
        for (JointEntity joint : joints.findByDelayHoursNotNullAndWeldedAtNotNull()) {
            boolean over = joint.readyAt().filter(r -> !r.isAfter(now)).isPresent();
            if (!over) {
                done.remove(joint.id()); // welded again: it waits again
            } else if (!done.contains(joint.id())) {
                try {
                    bench.waitOver(joint.id());
                    done.add(joint.id());
                } catch (ConcurrencyFailureException e) {
                    LOG.debug("somebody changes {} just now; it is judged the next time", joint.mark());
                }
            }
        }
    }
}
