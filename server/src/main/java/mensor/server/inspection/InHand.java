package mensor.server.inspection;

import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.springframework.dao.CannotAcquireLockException;

/** What somebody is at: all that one needs is taken at once, so that no two wait for each other. */
final class InHand {
    private static final long PATIENCE = TimeUnit.SECONDS.toNanos(10);

    private final Set<UUID> taken = new HashSet<>();

    synchronized void take(Collection<UUID> wanted) {
        long until = System.nanoTime() + PATIENCE;
        while (!Collections.disjoint(taken, wanted)) {
            long left = TimeUnit.NANOSECONDS.toMillis(until - System.nanoTime());
            try {
                if (left > 0) {
                    wait(left);
                    continue;
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            throw new CannotAcquireLockException("another change of the same weld takes too long");
        }
        taken.addAll(wanted);
    }

    synchronized void giveBack(Collection<UUID> held) {
        taken.removeAll(held);
        notifyAll();
    }
}
