package mensor.server.report;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * The reports that are asked for, as they stand in the database: a restart forgets none, and of several nodes one alone makes
 * each. A node says now and then that it is still at it; one that has not for a minute is gone, and its report waits again.
 */
@Component
class ReportQueue {
    private static final Duration GONE = Duration.ofMinutes(1);
    private static final String SHOWN =
            "select id, title, form, state, done, welds, asked_at, octet_length(file) as bytes from report_run";

    private final JdbcClient jdbc;
    private final Clock clock;

    ReportQueue(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** How far a report is: waiting, running, done, stopped or failed. */
    public record ReportView(
            UUID id,
            String title,
            String as,
            String state,
            int done,
            int welds,
            Instant asked,
            @Nullable Integer bytes) {}

    /** What is to be made, for whom. */
    record Wanted(UUID id, UUID person, String title, ReportForm form) {}

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }

    UUID add(UUID person, String title, ReportForm form, int welds) {
        UUID id = UUID.randomUUID();
        jdbc.sql(
                        "insert into report_run (id, person_id, title, job_id, lot, form, paper, asked_at, state, done, welds,"
                                + " stop_wanted) values (:id, :person, :title, :job, :lot, :form, :paper, :now, 'waiting', 0, :welds, false)")
                .param("id", id)
                .param("person", person)
                .param("title", title)
                .param("job", form.job())
                .param("lot", form.lot())
                .param("form", form.as())
                .param("paper", form.paper().name())
                .param("now", now())
                .param("welds", welds)
                .update();
        return id;
    }

    int waiting() {
        return jdbc.sql("select count(*) from report_run where state = 'waiting'")
                .query(Integer.class)
                .single();
    }

    /** The one that was asked for first, taken for this node; none where none waits or another node was quicker. */
    Optional<Wanted> take(UUID node) {
        OffsetDateTime late = now().minus(GONE);
        String free = "(state = 'waiting' or state = 'running' and seen_at < :late)";
        return jdbc.sql("select id, person_id, title, job_id, lot, form, paper from report_run where " + free
                        + " order by asked_at, id fetch first 1 rows only")
                .param("late", late)
                .query((r, n) -> new Wanted(
                        r.getObject("id", UUID.class),
                        r.getObject("person_id", UUID.class),
                        r.getString("title"),
                        new ReportForm(
                                r.getObject("job_id", UUID.class),
                                r.getString("lot"),
                                r.getString("form"),
                                Paper.valueOf(r.getString("paper")))))
                .optional()
                .filter(w -> jdbc.sql("update report_run set state = 'running', node = :node, seen_at = :now, done = 0"
                                        + " where id = :id and " + free)
                                .param("node", node)
                                .param("now", now())
                                .param("late", late)
                                .param("id", w.id())
                                .update()
                        == 1);
    }

    /** @return whether this node is to go on: nobody stopped it, and no other node took it over */
    boolean progress(UUID id, UUID node, int done, int welds) {
        return jdbc.sql("update report_run set seen_at = :now, done = :done, welds = :welds"
                                + " where id = :id and node = :node and state = 'running' and not stop_wanted")
                        .param("now", now())
                        .param("done", done)
                        .param("welds", welds)
                        .param("id", id)
                        .param("node", node)
                        .update()
                == 1;
    }

    /** Keeps what was made, unless somebody stopped it meanwhile. */
    void finish(UUID id, UUID node, byte[] file) {
        int kept = jdbc.sql("update report_run set state = 'done', done = welds, file = :file"
                        + " where id = :id and node = :node and state = 'running' and not stop_wanted")
                .param("file", file)
                .param("id", id)
                .param("node", node)
                .update();
        if (kept == 0) {
            end(id, node, "stopped");
        }
    }

    void end(UUID id, UUID node, String state) {
        jdbc.sql("update report_run set state = :state where id = :id and node = :node and state = 'running'")
                .param("state", state)
                .param("id", id)
                .param("node", node)
                .update();
    }

    /** Whatever was under way waits again: at the start of the only process there is. */
    void beginAgain() {
        jdbc.sql("update report_run set state = 'waiting' where state = 'running'")
                .update();
    }

    void stop(UUID person, UUID id) {
        jdbc.sql(
                        "update report_run set stop_wanted = true, state = case when state = 'waiting' then 'stopped' else state end"
                                + " where id = :id and person_id = :person")
                .param("id", id)
                .param("person", person)
                .update();
    }

    List<ReportView> of(UUID person) {
        return jdbc.sql(SHOWN + " where person_id = :person order by asked_at desc")
                .param("person", person)
                .query(ReportQueue::view)
                .list();
    }

    Optional<ReportView> find(UUID person, UUID id) {
        return jdbc.sql(SHOWN + " where person_id = :person and id = :id")
                .param("person", person)
                .param("id", id)
                .query(ReportQueue::view)
                .optional();
    }

    Optional<byte[]> file(UUID id) {
        return jdbc.sql("select file from report_run where id = :id and file is not null")
                .param("id", id)
                .query((r, n) -> r.getBytes(1))
                .optional();
    }

    void forgetBefore(Instant then) {
        jdbc.sql("delete from report_run where asked_at < :then and state <> 'running'")
                .param("then", then.atOffset(ZoneOffset.UTC))
                .update();
    }

    private static ReportView view(ResultSet r, int row) throws SQLException {
        long bytes = r.getLong("bytes");
        boolean made = !r.wasNull();
        return new ReportView(
                r.getObject("id", UUID.class),
                r.getString("title"),
                r.getString("form"),
                r.getString("state"),
                r.getInt("done"),
                r.getInt("welds"),
                r.getObject("asked_at", OffsetDateTime.class).toInstant(),
                made ? (int) bytes : null);
    }
}
