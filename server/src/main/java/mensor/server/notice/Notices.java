package mensor.server.notice;

import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import mensor.server.notice.NoticeView.Notice;
import mensor.server.web.Refusal;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What each person was told of, each thing once, and has seen or not. */
@Service
public class Notices {
    private static final int MOST_SHOWN = 30;
    private static final int LONGEST = 500;

    private final JdbcClient jdbc;
    private final Clock clock;

    Notices(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** @param about tells it from every other; the same is told once */
    record News(UUID person, String about, NoticeKind kind, String words, String link) {}

    /** Whether it was new; of two nodes that tell at once one does. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public boolean tell(News n, boolean byMail) {
        try {
            return jdbc.sql(
                                    "insert into notice (id, person_id, about, kind, words, link, raised_at, mail_state, mail_tries)"
                                            + " select cast(:id as uuid), cast(:person as uuid), cast(:about as varchar(120)), cast(:kind as varchar(20)),"
                                            + " cast(:words as varchar(500)), cast(:link as varchar(200)),"
                                            + " cast(:at as timestamp with time zone), cast(:mail as varchar(10)), 0"
                                            + " where not exists (select 1 from notice x where x.person_id = :person and x.about = :about)")
                            .param("id", UUID.randomUUID())
                            .param("person", n.person())
                            .param("about", n.about())
                            .param("kind", n.kind().id())
                            .param(
                                    "words",
                                    n.words().length() > LONGEST ? n.words().substring(0, LONGEST) : n.words())
                            .param("link", n.link())
                            .param("at", now())
                            .param("mail", byMail ? "waiting" : "none")
                            .update()
                    == 1;
        } catch (DuplicateKeyException e) {
            return false;
        }
    }

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }

    @Transactional(readOnly = true)
    public NoticeView unseen(UUID person) {
        List<Notice> notices = jdbc.sql(
                        "select id, kind, words, link, raised_at from notice where person_id = :person and seen_at is null"
                                + " order by raised_at desc, id fetch first " + MOST_SHOWN + " rows only")
                .param("person", person)
                .query((r, n) -> new Notice(
                        r.getObject(1, UUID.class),
                        NoticeKind.of(r.getString(2)),
                        r.getString(3),
                        r.getString(4),
                        r.getTimestamp(5).toInstant()))
                .list();
        int count = notices.size() < MOST_SHOWN
                ? notices.size()
                : jdbc.sql("select count(*) from notice where person_id = :person and seen_at is null")
                        .param("person", person)
                        .query(Integer.class)
                        .single();
        return new NoticeView(notices, count);
    }

    /** Nobody but the one who was told. */
    @Transactional
    public void see(UUID person, UUID id) {
        int seen = jdbc.sql("update notice set seen_at = coalesce(seen_at, :at) where id = :id and person_id = :person")
                .param("at", now())
                .param("id", id)
                .param("person", person)
                .update();
        if (seen == 0) {
            throw Refusal.notFound("there is no such notice of yours");
        }
    }

    /** All that were told up to then: what came after the list was read stays. */
    @Transactional
    public void seeAll(UUID person, Instant upTo) {
        jdbc.sql("update notice set seen_at = :at where person_id = :person and seen_at is null and raised_at <= :to")
                .param("at", now())
                .param("person", person)
                .param("to", upTo.atOffset(ZoneOffset.UTC))
                .update();
    }
}
