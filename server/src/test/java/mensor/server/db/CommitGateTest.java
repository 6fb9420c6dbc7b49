package mensor.server.db;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Proxy;
import java.sql.PreparedStatement;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("postgresql")
class CommitGateTest {
    private final CommitGate gate = new CommitGate();
    private final CountDownLatch begun = new CountDownLatch(1);
    private final CountDownLatch goOn = new CountDownLatch(1);
    private final ExecutorService hands = Executors.newCachedThreadPool();

    @AfterEach
    void stop() {
        goOn.countDown();
        hands.shutdownNow();
    }

    private Object hold() throws InterruptedException {
        begun.countDown();
        goOn.await();
        return null;
    }

    private Future<Object> held(boolean commit) throws InterruptedException {
        CommitGate.Work<Object> work = () -> {
            try {
                return hold();
            } catch (InterruptedException e) {
                return null;
            }
        };
        Future<Object> f = hands.submit(() -> commit ? gate.commit(work) : gate.write(work));
        begun.await();
        return f;
    }

    private PreparedStatement statement(String sql) {
        Object any = Proxy.newProxyInstance(
                getClass().getClassLoader(), new Class<?>[] {PreparedStatement.class}, (p, m, a) -> false);
        return (PreparedStatement) gate.watched(any, PreparedStatement.class, sql);
    }

    @Test
    void noStatementWritesWhileACommitGoesToTheDisk() throws Exception {
        Future<Object> commit = held(true);
        Future<Boolean> insert =
                hands.submit(() -> statement("insert into joint values (1)").execute());
        Future<Boolean> select = hands.submit(() -> statement("select 1").execute());
        select.get(10, TimeUnit.SECONDS);
        Thread.sleep(200);
        assertThat(insert.isDone()).as("beside the commit").isFalse();
        goOn.countDown();
        commit.get(10, TimeUnit.SECONDS);
        insert.get(10, TimeUnit.SECONDS);
    }

    /** It waits for a row of the one who wants to commit: neither would ever go on. */
    @Test
    void aStatementThatWaitsForARowDoesNotHoldTheCommitUp() throws Exception {
        Future<Object> waiting = held(false);
        hands.submit(() -> gate.commit(() -> null)).get(10, TimeUnit.SECONDS);
        assertThat(waiting.isDone()).isFalse();
    }

    @Test
    void statementsWriteBesideEachOther() throws Exception {
        held(false);
        hands.submit(() -> statement("update joint set a = 1").execute()).get(10, TimeUnit.SECONDS);
    }
}
