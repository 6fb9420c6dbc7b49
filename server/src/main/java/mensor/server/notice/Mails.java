package mensor.server.notice;

import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import mensor.server.people.People;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Sends by mail what was told, where there is a mail server; a mail says what kind of thing it is and where to look, nothing of it. */
@Component
class Mails {
    private static final Logger LOG = LoggerFactory.getLogger(Mails.class);
    private static final int TRIES = 5;
    private static final String SIMULATED = "simulated";

    private final JdbcClient jdbc;
    private final People people;
    private final MailSettings settings;
    private final SimulatedMailbox simulated;
    private final Optional<MailCarrier> carrier;
    private final AtomicBoolean busy = new AtomicBoolean();
    private final ExecutorService thread = Executors.newSingleThreadExecutor(task -> {
        Thread t = new Thread(task, "mail");
        t.setDaemon(true);
        return t;
    });

    Mails(
            JdbcClient jdbc,
            People people,
            MailSettings settings,
            SimulatedMailbox simulated,
            @Value("${mensor.demo}") boolean demo) {
        this.jdbc = jdbc;
        this.people = people;
        this.settings = settings;
        this.simulated = simulated;
        boolean asked = settings.host().equals(SIMULATED) || settings.host().isEmpty() && demo;
        this.carrier = asked
                ? Optional.of(simulated)
                : settings.host().isEmpty() ? Optional.empty() : Optional.of(new SmtpCarrier(settings));
    }

    boolean isOn() {
        return carrier.isPresent();
    }

    NoticeView.Mailbox mailbox() {
        String mode = carrier.map(MailCarrier::mode).orElse("off");
        return new NoticeView.Mailbox(mode, mode.equals(SIMULATED) ? simulated.newest() : List.of());
    }

    private record Waiting(UUID id, UUID person, NoticeKind kind, String words, String link, int tries) {}

    /** A mail server that is slow holds nobody up: it has a thread of its own. */
    void sendWaiting() {
        if (carrier.isPresent() && busy.compareAndSet(false, true)) {
            thread.execute(() -> {
                try {
                    sendNow();
                } catch (RuntimeException e) { // the database is away: the next look sends
                    LOG.warn("mails could not be sent: {}", e.getMessage());
                } finally {
                    busy.set(false);
                }
            });
        }
    }

    @PreDestroy
    void close() {
        thread.shutdownNow();
    }

    /** Each is taken by one node before it is sent: a stop in between loses a mail, it never sends one twice; the notice stays. */
    void sendNow() {
        if (carrier.isEmpty()) {
            return;
        }
        for (Waiting w : jdbc.sql(
                        "select id, person_id, kind, words, link, mail_tries from notice where mail_state = 'waiting'"
                                + " order by raised_at fetch first 50 rows only")
                .query((r, n) -> new Waiting(
                        r.getObject(1, UUID.class),
                        r.getObject(2, UUID.class),
                        NoticeKind.of(r.getString(3)),
                        r.getString(4),
                        r.getString(5),
                        r.getInt(6)))
                .list()) {
            if (becomes(w, "sent", " and mail_state = 'waiting'") == 1) {
                send(w);
            }
        }
    }

    private void send(Waiting w) {
        Optional<String> to = people.mailOf(w.person());
        if (to.isEmpty()) {
            becomes(w, "none", "");
            return;
        }
        try {
            carrier.orElseThrow()
                    .send(
                            to.get(),
                            "Mensor: " + w.kind().subject(),
                            w.kind().text() + (w.kind() == NoticeKind.SEALS ? "\n\n" + w.words() : "")
                                    + "\n\nSee to it here: " + settings.address() + w.link()
                                    + "\n\nThis mail names no weld, no person and no finding; sign in to see them.\n");
        } catch (RuntimeException e) {
            boolean last = w.tries() + 1 >= TRIES;
            LOG.warn(
                    "a mail was not sent{}: {}",
                    last ? ", and is not tried again" : "",
                    e.getClass().getSimpleName());
            becomes(w, last ? "failed" : "waiting", "");
        }
    }

    private int becomes(Waiting w, String state, String where) {
        return jdbc.sql("update notice set mail_state = :state, mail_tries = :tries where id = :id" + where)
                .param("state", state)
                .param("tries", w.tries() + 1)
                .param("id", w.id())
                .update();
    }
}
