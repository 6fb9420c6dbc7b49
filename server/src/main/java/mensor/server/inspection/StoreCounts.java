package mensor.server.inspection;

import java.util.Collection;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * What those who store for the worklist agree on: one weld's row is made by one of them at a time, and how often something was
 * stored is counted. In one process for the embedded database, in the database where several nodes share it.
 */
interface StoreCounts {
    /** So many in a PostgreSQL: welds that fall on the same one wait for each other, which is short. */
    int LOCKS = 256;

    /** Waits until nobody else makes the rows of these welds; until {@link #done}, or in the database to the transaction's end. */
    void take(Collection<UUID> joints);

    /** After the transaction, of whatever outcome. */
    void done(Collection<UUID> joints);

    void countShown();

    void countMoved();

    String shown();

    String moved();

    static StoreCounts inThisProcess() {
        return new StoreCounts() {
            private final InHand inHand = new InHand();
            private final String start = UUID.randomUUID().toString();
            private final AtomicLong shown = new AtomicLong();
            private final AtomicLong moved = new AtomicLong();

            @Override
            public void take(Collection<UUID> joints) {
                inHand.take(joints);
            }

            @Override
            public void done(Collection<UUID> joints) {
                inHand.giveBack(joints);
            }

            @Override
            public void countShown() {
                shown.incrementAndGet();
            }

            @Override
            public void countMoved() {
                moved.incrementAndGet();
            }

            @Override
            public String shown() {
                return start + "-" + shown.get();
            }

            @Override
            public String moved() {
                return start + "-" + moved.get();
            }
        };
    }

    /** By locks and sequences of a PostgreSQL. A sequence goes on whether or not a transaction does, and nobody waits for it. */
    static StoreCounts inDatabase(JdbcClient jdbc) {
        return new StoreCounts() {
            @Override
            public void take(Collection<UUID> joints) {
                // in one order, so that no two wait for each other; a weld list is longer than the locks that a
                // PostgreSQL has
                joints.stream()
                        .map(j -> Math.floorMod(j.getMostSignificantBits() ^ j.getLeastSignificantBits(), LOCKS))
                        .distinct()
                        .sorted()
                        .forEach(key -> jdbc.sql("select cast(pg_advisory_xact_lock(:key) as varchar)")
                                .param("key", key)
                                .query(String.class)
                                .optional());
            }

            @Override
            public void done(Collection<UUID> joints) {
                // the lock went with the transaction
            }

            @Override
            public void countShown() {
                next("worklist_shown");
            }

            @Override
            public void countMoved() {
                next("worklist_moved");
            }

            @Override
            public String shown() {
                return value("worklist_shown");
            }

            @Override
            public String moved() {
                return value("worklist_moved");
            }

            private void next(String sequence) {
                jdbc.sql("select nextval('" + sequence + "')").query(Long.class).single();
            }

            private String value(String sequence) {
                return jdbc.sql("select concat(last_value, is_called) from " + sequence)
                        .query(String.class)
                        .single();
            }
        };
    }
}
