package mensor.server.background;

import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import mensor.server.db.WhichDatabase;
import mensor.server.web.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Works the queue off: a thread for each worker. What a stop interrupts is begun again by the next start, or by another node. */
@Component
class BackgroundRunner {
    private static final Logger LOG = LoggerFactory.getLogger(BackgroundRunner.class);
    private static final long LOOK_EVERY_MS = 250;
    private static final long STOP_WITHIN_S = 10;

    private final BackgroundQueue queue;
    private final List<BackgroundWorker> workers;
    private final boolean alone;
    private final UUID node = UUID.randomUUID();
    private final List<ScheduledExecutorService> threads = new ArrayList<>();
    private volatile boolean closing;
    private volatile boolean unreadable;

    BackgroundRunner(BackgroundQueue queue, List<BackgroundWorker> workers, @Value("${mensor.db}") String db) {
        this.queue = queue;
        this.workers = workers;
        this.alone = WhichDatabase.isEmbedded(db);
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        if (alone) {
            queue.beginAgain();
        }
        for (BackgroundWorker worker : workers) {
            ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(task -> {
                Thread t = new Thread(
                        task, "background-" + worker.kinds().iterator().next());
                t.setDaemon(true);
                return t;
            });
            threads.add(thread);
            thread.scheduleWithFixedDelay(() -> workOff(worker), 0, LOOK_EVERY_MS, TimeUnit.MILLISECONDS);
        }
    }

    private void workOff(BackgroundWorker worker) {
        try {
            for (Optional<Turn> next = next(worker); next.isPresent(); next = next(worker)) {
                take(worker, next.get());
            }
            unreadable = false;
        } catch (RuntimeException e) {
            if (!unreadable) { // said once, not four times a second for as long as the database is away
                LOG.error("the background work that waits could not be read", e);
            }
            unreadable = true;
        }
    }

    private Optional<Turn> next(BackgroundWorker worker) {
        return closing
                ? Optional.empty()
                : queue.take(worker.kinds(), node).map(t -> new Turn(queue, node, () -> closing, t));
    }

    private void take(BackgroundWorker worker, Turn turn) {
        try {
            worker.work(turn);
            queue.end(turn.id(), node, closing ? "waiting" : "stopped", null); // only where it was not finished
        } catch (Refusal e) {
            queue.end(turn.id(), node, closing ? "waiting" : "failed", e.getMessage());
        } catch (RuntimeException e) {
            if (!closing) {
                LOG.error("{} failed: {}", turn.kind(), turn.title(), e);
            }
            queue.end(turn.id(), node, closing ? "waiting" : "failed", null);
        }
    }

    @PreDestroy
    void close() throws InterruptedException {
        closing = true;
        threads.forEach(ScheduledExecutorService::shutdown);
        for (ScheduledExecutorService thread : threads) {
            if (!thread.awaitTermination(STOP_WITHIN_S, TimeUnit.SECONDS)) {
                thread.shutdownNow();
            }
        }
    }
}
