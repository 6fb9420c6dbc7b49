package mensor.server.background;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What is to be done in the background, as it stands in the database: a restart forgets none of it, and of several nodes one alone
 * does each. A node says now and then that it is still at it; one that has not for a minute is gone, and its work waits again.
 */
@Component
public class BackgroundQueue {
    private static final Duration GONE = Duration.ofMinutes(1);
    /** What was made is kept as long as somebody may come for it. */
    private static final Duration KEPT = Duration.ofHours(2);

    private static final String SHOWN =
            "select id, kind, title, wanted, state, done, of_all, asked_at, answer, failure,"
                    + " octet_length(made) as bytes from background_work where person_id = :person";
    private static final String IN_HAND = " where id = :id and node = :node and state = 'running'";

    private final JdbcClient jdbc;
    private final JdbcTemplate template;
    private final Clock clock;
    private final TransactionTemplate apart;

    BackgroundQueue(JdbcClient jdbc, JdbcTemplate template, Clock clock, PlatformTransactionManager transactions) {
        this.jdbc = jdbc;
        this.template = template;
        this.clock = clock;
        this.apart = new TransactionTemplate(transactions);
        this.apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /**
     * How far a piece of work is.
     *
     * @param state waiting, running, done, stopped or failed
     * @param bytes of the file that was made
     */
    public record BackgroundWork(
            UUID id,
            String kind,
            String title,
            String wanted,
            String state,
            int done,
            int ofAll,
            Instant asked,
            @Nullable String answer,
            @Nullable String failure,
            @Nullable Integer bytes) {
        public boolean isUnderWay() {
            return state.equals("waiting") || state.equals("running");
        }
    }

    record Taken(UUID id, String kind, UUID person, String title, String wanted) {}

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }

    /** Puts a piece of work into the queue; what is old is forgotten. */
    public UUID add(String kind, UUID person, String title, String wanted, byte @Nullable [] given, int ofAll) {
        jdbc.sql("delete from background_work where asked_at < :then and state <> 'running'")
                .param("then", clock.instant().minus(KEPT).atOffset(ZoneOffset.UTC))
                .update();
        UUID id = UUID.randomUUID();
        jdbc.sql(
                        "insert into background_work (id, kind, person_id, title, wanted, given, asked_at, state, done, of_all,"
                                + " stop_wanted) values (:id, :kind, :person, :title, :wanted, :given, :now, 'waiting', 0, :all, false)")
                .param("id", id)
                .param("kind", kind)
                .param("person", person)
                .param("title", title)
                .param("wanted", wanted)
                .param("given", given, Types.VARBINARY)
                .param("now", now())
                .param("all", ofAll)
                .update();
        return id;
    }

    public int waiting(Collection<String> kinds) {
        return jdbc.sql("select count(*) from background_work where state = 'waiting' and kind in (:kinds)")
                .param("kinds", kinds)
                .query(Integer.class)
                .single();
    }

    /** What was done so far goes on as work of another kind. @return whether it did; another may have been quicker */
    public boolean goOnAs(UUID person, UUID id, String done, String next, int ofAll) {
        return jdbc.sql(
                                "update background_work set kind = :next, state = 'waiting', done = 0, of_all = :all, stop_wanted = false"
                                        + " where id = :id and person_id = :person and kind = :kind and state = 'done'")
                        .param("next", next)
                        .param("all", ofAll)
                        .param("id", id)
                        .param("person", person)
                        .param("kind", done)
                        .update()
                == 1;
    }

    /** The one that was asked for first, taken for this node; none where none waits or another node was quicker. */
    Optional<Taken> take(Collection<String> kinds, UUID node) {
        OffsetDateTime late = now().minus(GONE);
        String free = "kind in (:kinds) and (state = 'waiting' or state = 'running' and seen_at < :late)";
        return jdbc.sql("select id, kind, person_id, title, wanted from background_work where " + free
                        + " order by asked_at, id fetch first 1 rows only")
                .param("kinds", kinds)
                .param("late", late)
                .query((r, n) -> new Taken(
                        r.getObject("id", UUID.class),
                        r.getString("kind"),
                        r.getObject("person_id", UUID.class),
                        r.getString("title"),
                        r.getString("wanted")))
                .optional()
                .filter(w ->
                        jdbc.sql("update background_work set state = 'running', node = :node, seen_at = :now, done = 0"
                                                + " where id = :id and " + free)
                                        .param("node", node)
                                        .param("now", now())
                                        .param("late", late)
                                        .param("kinds", kinds)
                                        .param("id", w.id())
                                        .update()
                                == 1);
    }

    Optional<byte[]> given(UUID id) {
        return jdbc.sql("select given from background_work where id = :id and given is not null")
                .param("id", id)
                .query((r, n) -> r.getBytes(1))
                .optional();
    }

    Optional<String> answer(UUID id) {
        return jdbc.sql("select answer from background_work where id = :id and answer is not null")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    /** Told at once, whatever transaction the work itself is in. */
    boolean progress(UUID id, UUID node, int done, int ofAll, @Nullable String soFar) {
        return Boolean.TRUE.equals(
                apart.execute(t -> jdbc.sql("update background_work set seen_at = :now, done = :done, of_all = :all,"
                                        + " answer = coalesce(:answer, answer)" + IN_HAND + " and not stop_wanted")
                                .param("now", now())
                                .param("done", done)
                                .param("all", ofAll)
                                .param("answer", soFar, Types.VARCHAR)
                                .param("id", id)
                                .param("node", node)
                                .update()
                        == 1));
    }

    boolean finish(UUID id, UUID node, @Nullable String answer, @Nullable Path made) {
        String done = "update background_work set state = 'done', done = of_all, answer = coalesce(?, answer), made = ?"
                + " where id = ? and node = ? and state = 'running' and not stop_wanted";
        try (InputStream file =
                made == null ? InputStream.nullInputStream() : new BufferedInputStream(Files.newInputStream(made))) {
            long bytes = made == null ? 0 : Files.size(made);
            return template.update(done, s -> {
                        s.setString(1, answer);
                        if (made == null) {
                            s.setNull(2, Types.VARBINARY);
                        } else {
                            s.setBinaryStream(2, file, bytes);
                        }
                        s.setObject(3, id);
                        s.setObject(4, node);
                    })
                    == 1;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    void end(UUID id, UUID node, String state, @Nullable String failure) {
        jdbc.sql("update background_work set state = :state, failure = :failure" + IN_HAND)
                .param("state", state)
                .param("failure", failure, Types.VARCHAR)
                .param("id", id)
                .param("node", node)
                .update();
    }

    /** Whatever was under way waits again: at the start of the only process there is. */
    void beginAgain() {
        jdbc.sql("update background_work set state = 'waiting' where state = 'running'")
                .update();
    }

    /** Work that waits is stopped at once, work under way as soon as it looks. */
    public void stop(UUID person, UUID id) {
        jdbc.sql(
                        "update background_work set stop_wanted = true,"
                                + " state = case when state = 'waiting' then 'stopped' else state end where id = :id and person_id = :person")
                .param("id", id)
                .param("person", person)
                .update();
    }

    /** What was done is no longer wanted. */
    public void giveUp(UUID person, UUID id) {
        jdbc.sql(
                        "update background_work set state = 'stopped', made = null where id = :id and person_id = :person and state = 'done'")
                .param("id", id)
                .param("person", person)
                .update();
    }

    /** What a person asked for, the newest first. */
    public List<BackgroundWork> of(UUID person, Collection<String> kinds) {
        return jdbc.sql(SHOWN + " and kind in (:kinds) order by asked_at desc")
                .param("person", person)
                .param("kinds", kinds)
                .query(BackgroundQueue::work)
                .list();
    }

    public Optional<BackgroundWork> find(UUID person, UUID id) {
        return jdbc.sql(SHOWN + " and id = :id")
                .param("person", person)
                .param("id", id)
                .query(BackgroundQueue::work)
                .optional();
    }

    /** The file that was made. */
    public Optional<byte[]> made(UUID id) {
        return jdbc.sql("select made from background_work where id = :id and made is not null")
                .param("id", id)
                .query((r, n) -> r.getBytes(1))
                .optional();
    }

    private static BackgroundWork work(ResultSet r, int row) throws SQLException {
        long bytes = r.getLong("bytes");
        boolean made = !r.wasNull();
        return new BackgroundWork(
                r.getObject("id", UUID.class),
                r.getString("kind"),
                r.getString("title"),
                r.getString("wanted"),
                r.getString("state"),
                r.getInt("done"),
                r.getInt("of_all"),
                r.getObject("asked_at", OffsetDateTime.class).toInstant(),
                r.getString("answer"),
                r.getString("failure"),
                made ? (int) bytes : null);
    }
}
