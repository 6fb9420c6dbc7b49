package mensor.server.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.function.LongSupplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Wrong passwords, counted by login together with where they come from, so that nobody is kept out by another's tries from
 * elsewhere; and by where they come from alone, over all logins. Known and unknown logins are counted alike. Kept in memory,
 * on a clock that only runs forward.
 */
@Component
class WrongTries {
    /** After so many wrong passwords each further one doubles the wait. */
    private static final int FREE_TRIES = 3;

    /** From one address, over all logins: a shop behind one address mistypes now and then. */
    private static final int FREE_TRIES_FROM_ONE_ADDRESS = 30;

    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    /** A whole shop may sit behind one address: it is slowed, never shut. */
    private static final Duration LONGEST_WAIT_FOR_AN_ADDRESS = Duration.ofSeconds(2);

    private static final int MOST_KEPT = 20_000;

    private record From(String login, String address) {}

    private record Tries(int wrong, long until) {}

    private final Cache<From, Tries> tries = Caffeine.newBuilder()
            .maximumSize(MOST_KEPT)
            .expireAfterWrite(LONGEST_WAIT.multipliedBy(2))
            .build();
    private final LongSupplier nanoseconds;

    @Autowired
    WrongTries() {
        this(System::nanoTime);
    }

    WrongTries(LongSupplier nanoseconds) {
        this.nanoseconds = nanoseconds;
    }

    private static From anyLogin(String address) {
        return new From(null, address);
    }

    /** How long the next try must wait; zero where it need not. */
    Duration wait(String login, String address) {
        Duration one = left(new From(login, address));
        Duration all = left(anyLogin(address));
        return one.compareTo(all) > 0 ? one : all;
    }

    private Duration left(From from) {
        Tries t = tries.getIfPresent(from);
        long left = t == null ? 0 : t.until() - nanoseconds.getAsLong();
        return left <= 0 ? Duration.ZERO : Duration.ofNanos(left);
    }

    void wrong(String login, String address) {
        count(new From(login, address), FREE_TRIES, LONGEST_WAIT);
        count(anyLogin(address), FREE_TRIES_FROM_ONE_ADDRESS, LONGEST_WAIT_FOR_AN_ADDRESS);
    }

    private void count(From from, int free, Duration longest) {
        tries.asMap().compute(from, (f, t) -> {
            int wrong = t == null ? 1 : t.wrong() + 1;
            Duration wait = wrong < free ? Duration.ZERO : Duration.ofSeconds(1L << Math.min(wrong - free, 12));
            Duration capped = wait.compareTo(longest) > 0 ? longest : wait;
            return new Tries(wrong, nanoseconds.getAsLong() + capped.toNanos());
        });
    }

    void right(String login, String address) {
        tries.invalidate(new From(login, address));
    }

    /** The quality manager lets somebody try again at once, from wherever. */
    void unlock(String login) {
        tries.asMap().keySet().removeIf(f -> login.equals(f.login()));
    }
}
