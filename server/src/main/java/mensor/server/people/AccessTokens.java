package mensor.server.people;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Base64;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import mensor.exchange.ChainFile;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.server.web.ScriptAccess;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tokens for scripts: shown once, kept as a hash, revoked at any time. */
@Service
public class AccessTokens implements ScriptAccess {
    private static final String PREFIX = "mensor_";
    private static final int BYTES = 32;
    private static final int LONGEST_DAYS = 366;
    private static final int MOST = 20;
    /** When it was last used is kept no finer. */
    private static final Duration USE = Duration.ofMinutes(1);

    private final AccessTokenRepository tokens;
    private final PersonRepository persons;
    private final JdbcTemplate db;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    AccessTokens(AccessTokenRepository tokens, PersonRepository persons, JdbcTemplate db, Clock clock) {
        this.tokens = tokens;
        this.persons = persons;
        this.db = db;
        this.clock = clock;
    }

    /** @param days how long it holds: 1 to 366 */
    @AllOptional
    public record NewToken(String name, List<TokenScope> scopes, Integer days) {}

    /** A token as it is listed; what a script shows is not kept. */
    public record TokenView(
            UUID id,
            String person,
            String name,
            List<TokenScope> scopes,
            Instant madeAt,
            LocalDate endsOn,
            @Nullable Instant lastUsed,
            @Nullable Instant revokedAt,
            boolean holds) {}

    /** @param token shown this once */
    public record MadeToken(String token, TokenView its) {}

    /** One's own; the quality manager sees everybody's. */
    @Transactional(readOnly = true)
    public List<TokenView> of(Actor actor) {
        return (actor.managesPeople()
                        ? tokens.findAllByOrderByMadeAtDesc()
                        : tokens.findByPersonIdOrderByMadeAtDesc(actor.id()))
                .stream().map(this::view).toList();
    }

    private TokenView view(AccessToken t) {
        return new TokenView(
                t.id(),
                persons.findById(t.personId()).map(Person::name).orElse(""),
                t.name(),
                t.scopes(),
                t.madeAt(),
                t.endsOn(),
                t.lastUsed(),
                t.revokedAt(),
                t.holds(LocalDate.now(clock)));
    }

    @Transactional
    public MadeToken make(Actor actor, NewToken wanted) {
        String name = wanted.name() == null ? "" : wanted.name().strip();
        if (name.isEmpty() || name.length() > 120) {
            throw Refusal.invalid("name", "what the token is for, in up to 120 letters");
        }
        List<TokenScope> scopes = wanted.scopes() == null
                ? List.of()
                : wanted.scopes().stream()
                        .filter(Objects::nonNull)
                        .distinct()
                        .sorted()
                        .toList();
        if (scopes.isEmpty()) {
            throw Refusal.invalid("scopes", "what the script may do is required");
        }
        if (wanted.days() == null || wanted.days() < 1 || wanted.days() > LONGEST_DAYS) {
            throw Refusal.invalid("days", "1 to " + LONGEST_DAYS + " days");
        }
        LocalDate today = LocalDate.now(clock);
        long holding = tokens.findByPersonIdOrderByMadeAtDesc(actor.id()).stream()
                .filter(t -> t.holds(today))
                .count();
        if (holding >= MOST) {
            throw Refusal.conflict("you have " + MOST + " tokens that hold; revoke one that is not used");
        }
        byte[] secret = new byte[BYTES];
        random.nextBytes(secret);
        String token = PREFIX + Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
        AccessToken made = new AccessToken(
                actor.id(), name, scopes, ChainFile.sha256(token), clock.instant(), today.plusDays(wanted.days()));
        return new MadeToken(token, view(tokens.saveAndFlush(made)));
    }

    /** One's own, or the quality manager anybody's. */
    @Transactional
    public void revoke(Actor actor, UUID id) {
        AccessToken token = tokens.findById(id)
                .filter(t -> t.personId().equals(actor.id()) || actor.managesPeople())
                .orElseThrow(() -> Refusal.notFound("there is no such token of yours"));
        token.revoke(actor.id(), clock.instant());
    }

    @Override
    @Transactional
    public Optional<Script> by(String token) {
        Instant now = clock.instant();
        return tokens.findByHash(ChainFile.sha256(token.strip()))
                .filter(t -> t.holds(LocalDate.now(clock)))
                .flatMap(t -> persons.findById(t.personId())
                        .filter(Person::isActive)
                        .map(p -> {
                            if (t.lastUsed() == null || t.lastUsed().isBefore(now.minus(USE))) {
                                db.update(
                                        "update access_token set last_used = ? where id = ?",
                                        java.sql.Timestamp.from(now),
                                        t.id());
                            }
                            return new Script(
                                    SignedIn.context(Actor.of(p)),
                                    (method, path) -> t.scopes().stream().anyMatch(s -> s.allows(method, path)));
                        }));
    }
}
