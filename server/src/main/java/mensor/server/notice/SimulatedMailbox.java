package mensor.server.notice;

import java.time.Clock;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import mensor.server.notice.NoticeView.KeptMail;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Stands in for a mail server and everybody's mailbox: keeps what was sent for the quality manager to read. */
@Component
class SimulatedMailbox implements MailCarrier {
    private static final int MOST_SHOWN = 50;

    private final JdbcClient jdbc;
    private final Clock clock;

    SimulatedMailbox(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    @Override
    public String mode() {
        return "simulated";
    }

    @Override
    @Transactional
    public void send(String to, String subject, String text) {
        jdbc.sql("insert into kept_mail (id, mail_to, subject, content, sent_at) values (?, ?, ?, ?, ?)")
                .params(UUID.randomUUID(), to, subject, text, clock.instant().atOffset(ZoneOffset.UTC))
                .update();
    }

    @Transactional(readOnly = true)
    public List<KeptMail> newest() {
        return jdbc.sql(
                        "select mail_to, subject, content, sent_at from kept_mail order by sent_at desc, id fetch first "
                                + MOST_SHOWN + " rows only")
                .query((r, n) -> new KeptMail(
                        r.getString(1),
                        r.getString(2),
                        r.getString(3),
                        r.getTimestamp(4).toInstant()))
                .list();
    }
}
