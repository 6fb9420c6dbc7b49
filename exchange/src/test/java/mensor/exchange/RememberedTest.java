package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class RememberedTest {
    private final Remembered<String, Integer> lengths = new Remembered<>(3);
    private final List<String> read = new ArrayList<>();

    private int length(String s) {
        return lengths.get(s, () -> {
            read.add(s);
            return s.length();
        });
    }

    @Test
    void whatWasReadIsNotReadAgain() {
        assertThat(length("four")).isEqualTo(4);
        assertThat(length("four")).isEqualTo(4);
        assertThat(read).containsExactly("four");
    }

    @Test
    void whatFailedIsTriedAgain() {
        for (int i = 0; i < 2; i++) {
            assertThatThrownBy(() -> lengths.get("bad", () -> {
                        throw new UnreadableInput("at", "is missing");
                    }))
                    .isInstanceOf(UnreadableInput.class);
        }
        assertThat(lengths.size()).isZero();
    }

    @Test
    void itNeverHoldsMoreThanItMay() {
        for (int i = 0; i < 100; i++) {
            length("n" + i);
            assertThat(lengths.size()).isBetween(1, 3);
        }
        assertThat(length("n7")).isEqualTo(2);
    }
}
