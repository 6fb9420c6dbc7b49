package mensor.server.web;

import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;

/** Work that takes much of the machine, for a few at once: the others wait in line for a while, and are then told so. */
public final class Desks {
    /** Whoever comes when so many wait is told at once: the others' requests need room too. */
    private static final int LINE = 100;

    private final Semaphore free;
    private final Duration patience;
    private final String busy;

    /** @param busy what is said to whoever waited in vain */
    public Desks(int desks, Duration patience, String busy) {
        this.free = new Semaphore(desks, true);
        this.patience = patience;
        this.busy = busy;
    }

    /** Work, and the fault that it may end with. */
    public interface Work<T, X extends Exception> {
        T run() throws X;
    }

    public <T, X extends Exception> T at(Work<T, X> work) throws X {
        try {
            if (free.getQueueLength() >= LINE || !free.tryAcquire(patience.toMillis(), TimeUnit.MILLISECONDS)) {
                throw Refusal.busy(busy);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw Refusal.busy("Mensor is stopping");
        }
        try {
            return work.run();
        } finally {
            free.release();
        }
    }
}
