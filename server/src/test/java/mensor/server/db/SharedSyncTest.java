package mensor.server.db;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.SQLException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("postgresql")
class SharedSyncTest {
    /** A write of the disk that began before a commit says nothing about it: those who wait share the one after. */
    @Test
    void whoComesWhileTheDiskWritesSharesTheNextWrite() throws Exception {
        AtomicInteger writes = new AtomicInteger();
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch goOn = new CountDownLatch(1);
        SyncedCommits.SharedSync shared = new SyncedCommits.SharedSync(() -> {
            if (writes.incrementAndGet() == 1) {
                begun.countDown();
                try {
                    goOn.await();
                } catch (InterruptedException e) {
                    throw new SQLException(e);
                }
            }
        });
        ExecutorService hands = Executors.newCachedThreadPool();
        Future<?>[] all = new Future<?>[9];
        all[0] = hands.submit(() -> {
            shared.run();
            return null;
        });
        begun.await();
        for (int i = 1; i < all.length; i++) {
            all[i] = hands.submit(() -> {
                shared.run();
                return null;
            });
        }
        Thread.sleep(300);
        for (Future<?> f : all) {
            assertThat(f.isDone()).isFalse();
        }
        goOn.countDown();
        for (Future<?> f : all) {
            f.get(10, TimeUnit.SECONDS);
        }
        hands.shutdown();
        assertThat(writes).hasValue(2);
    }

    @Test
    void aFailedWriteIsSaidToWhoeverAskedAndTheNextTriesAgain() throws Exception {
        AtomicInteger writes = new AtomicInteger();
        SyncedCommits.SharedSync shared = new SyncedCommits.SharedSync(() -> {
            if (writes.incrementAndGet() == 1) {
                throw new SQLException("No space left on device");
            }
        });
        assertThatThrownBy(shared::run).hasMessageContaining("No space");
        shared.run();
        assertThat(writes).hasValue(2);
    }
}
