package mensor.server.record;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.web.Refusal;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import tools.jackson.databind.json.JsonMapper;

/**
 * No signature is dated before one that stands: a clock that was set back stops signing. Where it was the earlier signature's clock
 * that was wrong, the quality manager confirms the clock, by name, in the journal of seals.
 */
@Service
public class SigningClock {
    /** The clocks of two nodes differ by so much. */
    private static final Duration APART = Duration.ofMinutes(2);

    private static final int LONGEST_REASON = 300;

    private final JdbcClient jdbc;
    private final SealJournal journal;
    private final JsonMapper json;
    private final Clock clock;

    SigningClock(JdbcClient jdbc, SealJournal journal, JsonMapper json, Clock clock) {
        this.jdbc = jdbc;
        this.journal = journal;
        this.json = json;
        this.clock = clock;
    }

    /** Why nothing can be signed by this clock, in words; empty where it can. */
    @Transactional(readOnly = true)
    public Optional<String> fault() {
        Instant now = clock.instant();
        return last().filter(last -> now.isBefore(last.minus(APART)))
                .map(last -> "this machine's clock says " + shown(now) + ", which is before the last signature, "
                        + shown(last)
                        + ": set the clock, or let the quality manager confirm it under Other installations");
    }

    /** @throws Refusal where the clock is earlier than the last signature */
    @Transactional(readOnly = true)
    public void check() {
        fault().ifPresent(f -> {
            throw Refusal.conflict(f);
        });
    }

    private static String shown(Instant at) {
        return at.truncatedTo(ChronoUnit.MINUTES).toString().replace('T', ' ').replace(":00Z", " UTC");
    }

    /** The last signature of this shop that the clock must not be before; a confirmed clock counts from when it was confirmed. */
    private Optional<Instant> last() {
        Optional<Confirmed> confirmed = jdbc.sql("select last_signed, confirmed_at from clock_confirmation"
                        + " order by confirmed_at desc fetch first 1 rows only")
                .query((r, n) -> new Confirmed(
                        r.getObject(1, OffsetDateTime.class).toInstant(),
                        r.getObject(2, OffsetDateTime.class).toInstant()))
                .optional();
        Optional<Instant> signed =
                lastSignedAfter(confirmed.map(Confirmed::lastSigned).orElse(Instant.EPOCH));
        return signed.or(() -> confirmed.map(Confirmed::at));
    }

    private record Confirmed(Instant lastSigned, Instant at) {}

    /** What comes from other installations was signed by other clocks. */
    private Optional<Instant> lastSignedAfter(Instant after) {
        return jdbc.sql("select signed_at from signature where origin is null and signed_at > :after"
                        + " order by signed_at desc fetch first 1 rows only")
                .param("after", after.atOffset(ZoneOffset.UTC))
                .query((r, n) -> r.getObject(1, OffsetDateTime.class).toInstant())
                .optional();
    }

    /** The clock is right, and what was signed last had a wrong one: signing goes on from now. */
    @Transactional
    public void confirm(Actor actor, String reason) {
        if (!actor.is(Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden(
                    "that a clock is right which is before the last signature, the quality manager says");
        }
        if (reason == null || reason.isBlank() || reason.length() > LONGEST_REASON) {
            throw Refusal.invalid("reason", "what was wrong with the clock, in up to " + LONGEST_REASON + " letters");
        }
        if (fault().isEmpty()) {
            throw Refusal.conflict("the clock is not before the last signature; there is nothing to confirm");
        }
        Instant last = lastSignedAfter(Instant.EPOCH).orElseThrow();
        Instant now = clock.instant();
        jdbc.sql("insert into clock_confirmation (id, last_signed, confirmed_at, confirmed_by, reason)"
                        + " values (:id, :last, :at, :by, :reason)")
                .param("id", UUID.randomUUID())
                .param("last", last.atOffset(ZoneOffset.UTC))
                .param("at", now.atOffset(ZoneOffset.UTC))
                .param("by", actor.id())
                .param("reason", reason.strip())
                .update();
        String line = json.writeValueAsString(Map.of(
                "format",
                "mensor-clock/1",
                "lastSigned",
                last.toString(),
                "at",
                now.toString(),
                "by",
                actor.id().toString(),
                "reason",
                reason.strip()));
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                journal.note(line);
            }
        });
    }
}
