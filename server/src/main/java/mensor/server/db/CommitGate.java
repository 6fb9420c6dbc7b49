package mensor.server.db;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantReadWriteLock;

/**
 * No statement writes while somebody's commit goes to the disk. The embedded database writes all its tables at any commit, one after another; a
 * row that another connection adds just then may get there without the note that takes it back, and would be found after a kill although its work
 * was never committed.
 */
final class CommitGate {
    /** A statement may wait for a row of the very one who commits: then the commit goes on. */
    private static final long LONGEST_WAIT_MS = 50;

    private static final Set<String> RUNS =
            Set.of("execute", "executeUpdate", "executeLargeUpdate", "executeBatch", "executeLargeBatch");

    private final ReentrantReadWriteLock lock = new ReentrantReadWriteLock();

    /** What is done at the database. */
    interface Work<T> {
        T run() throws InvocationTargetException, IllegalAccessException, SQLException;
    }

    /** Beside other writing, not beside a commit. */
    <T> T write(Work<T> work) throws InvocationTargetException, IllegalAccessException, SQLException {
        lock.readLock().lock();
        try {
            return work.run();
        } finally {
            lock.readLock().unlock();
        }
    }

    /** Alone, as far as that does not take long. */
    <T> T commit(Work<T> work) throws InvocationTargetException, IllegalAccessException, SQLException {
        boolean alone = false;
        try {
            alone = lock.writeLock().tryLock(LONGEST_WAIT_MS, TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt(); // whoever was told to stop still commits what is done
        }
        try {
            return work.run();
        } finally {
            if (alone) {
                lock.writeLock().unlock();
            }
        }
    }

    /** A statement that passes the gate where it writes; one that reads alone does not wait. */
    Object watched(Object statement, Class<?> type, String sql) {
        boolean reads =
                sql != null && sql.stripLeading().toLowerCase(Locale.ROOT).startsWith("select");
        if (reads || !(statement instanceof Statement)) {
            return statement;
        }
        return Proxy.newProxyInstance(getClass().getClassLoader(), new Class<?>[] {type}, (proxy, method, args) -> {
            try {
                return RUNS.contains(method.getName())
                        ? write(() -> method.invoke(statement, args))
                        : method.invoke(statement, args);
            } catch (InvocationTargetException e) {
                throw e.getCause();
            }
        });
    }
}
