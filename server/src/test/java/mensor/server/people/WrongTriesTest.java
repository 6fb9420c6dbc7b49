package mensor.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;

class WrongTriesTest {
    private long now = Long.MAX_VALUE - 5; // a clock of nanoseconds may pass its end at any moment
    private final WrongTries tries = new WrongTries(() -> now);

    private void wrong(int times, String login, String address) {
        for (int i = 0; i < times; i++) {
            tries.wrong(login, address);
        }
    }

    @Test
    void fromTheThirdOnTheWaitDoublesUpToAQuarterHour() {
        wrong(2, "ines", "a");
        assertThat(tries.wait("ines", "a")).isZero();
        wrong(1, "ines", "a");
        assertThat(tries.wait("ines", "a")).isEqualTo(Duration.ofSeconds(1));
        wrong(1, "ines", "a");
        assertThat(tries.wait("ines", "a")).isEqualTo(Duration.ofSeconds(2));
        now += Duration.ofSeconds(2).toNanos();
        assertThat(tries.wait("ines", "a")).isZero();
        wrong(20, "ines", "a");
        assertThat(tries.wait("ines", "a")).isEqualTo(Duration.ofMinutes(15));
    }

    @Test
    void nobodyIsKeptOutByTriesFromElsewhere() {
        wrong(10, "ines", "a");
        assertThat(tries.wait("ines", "b")).isZero();
        assertThat(tries.wait("tomas", "a")).isZero();
    }

    @Test
    void oneAddressCannotGoThroughAllLogins() {
        for (int i = 0; i < 40; i++) {
            wrong(1, "login" + i, "a");
        }
        assertThat(tries.wait("ines", "a")).isPositive();
        assertThat(tries.wait("ines", "b")).isZero();
    }

    /** A shop behind one address, and somebody in it who guesses: all others still come in. */
    @Test
    void anAddressIsSlowedAndNeverShut() {
        for (int i = 0; i < 200; i++) {
            wrong(1, "login" + i, "a");
        }
        wrong(20, "tomas", "a");
        assertThat(tries.wait("ines", "a")).isEqualTo(Duration.ofSeconds(2));
        assertThat(tries.wait("tomas", "a")).as("who was guessed at").isEqualTo(Duration.ofMinutes(15));
    }

    @Test
    void aRightPasswordAndTheQualityManagerBothEndTheWait() {
        wrong(5, "ines", "a");
        wrong(5, "ines", "b");
        tries.right("ines", "a");
        assertThat(tries.wait("ines", "a")).isZero();
        assertThat(tries.wait("ines", "b")).isPositive();
        tries.unlock("ines");
        assertThat(tries.wait("ines", "b")).isZero();
    }
}
