package mensor.server.people;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import mensor.server.web.Desks;
import mensor.server.web.Refusal;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** What a password must be, and its hash. Hashing is slow on purpose: few at once, so that a flood of sign-ins leaves room for the rest. */
@Component
class Passwords {
    private static final int SHORTEST = 10;
    /** Bytes: what is longer the hash would not see. */
    private static final int LONGEST = 72;

    /** Of no password that is known, at the usual cost: made beforehand, since it takes a moment of each start. */
    private static final String NOBODYS_HASH = "$2a$11$kI5aOK/NNONetEa1JuL6a.mjlQH/z0Z1aCgtEj2liCKirvWu.nf66";

    private final PasswordEncoder encoder;
    /** At the cost of all others: an unknown login takes as long to refuse as a known one. */
    private final String nobodysHash;

    private final Desks desks = new Desks(
            Math.max(1, Runtime.getRuntime().availableProcessors() / 2),
            Duration.ofSeconds(25), // a shift of a hundred signs in at once
            "many people sign in at this moment; try again shortly");
    private final Set<String> common;

    Passwords(PasswordEncoder encoder, @Value("${mensor.password-cost}") int cost) {
        this.encoder = encoder;
        this.nobodysHash = NOBODYS_HASH.startsWith("$2a$" + cost + "$") ? NOBODYS_HASH : encoder.encode("nobody");
        this.common = common();
    }

    private static Set<String> common() {
        try (InputStream in = Passwords.class.getResourceAsStream("/common-passwords.txt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.startsWith("#"))
                    .collect(Collectors.toUnmodifiableSet());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The hash to keep; a password that is too short, too common or the login is refused by field. */
    String hash(String password, String login) {
        if (password == null
                || password.length() < SHORTEST
                || password.getBytes(StandardCharsets.UTF_8).length > LONGEST) {
            throw Refusal.invalid(
                    "password",
                    SHORTEST + " to " + LONGEST + " characters are required; letters with accents count double");
        }
        String plain = password.toLowerCase(Locale.ROOT);
        if (!login.isEmpty() && plain.replace(login, "").length() < SHORTEST / 2) {
            throw Refusal.invalid("password", "the login is no password");
        }
        if (common.contains(plain) || plain.chars().distinct().count() < 4) {
            throw Refusal.invalid(
                    "password", "many people use this one, and it is tried first; take three words of your own");
        }
        return desks.at(() -> encoder.encode(password));
    }

    /** Whether the password is that of the hash; without a hash it takes as long, and is not. */
    boolean matches(String given, String hash) {
        return desks.at(() -> encoder.matches(given, hash == null ? nobodysHash : hash)) && hash != null;
    }
}
