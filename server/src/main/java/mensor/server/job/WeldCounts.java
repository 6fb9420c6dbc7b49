package mensor.server.job;

import java.util.Map;
import java.util.UUID;

/** How many welds jobs have; answered by the joints' room. */
public interface WeldCounts {
    Map<UUID, Long> byJob();

    long ofJob(UUID job);
}
