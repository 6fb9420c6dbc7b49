package mensor.length;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Against trying every stretch at every place. */
class GreatestAlongTest {
    private static Length half(int n) {
        return Length.ofNanometres(n * 500L, Unit.MILLIMETRE);
    }

    private record Held(int from, int to, int value) {}

    @Test
    void agreesWithTryingEveryStretch() {
        Random random = new Random(11);
        for (int round = 0; round < 400; round++) {
            List<Held> held = new ArrayList<>();
            for (int n = random.nextInt(7); n > 0; n--) {
                int from = 2 * random.nextInt(20);
                held.add(new Held(from, from + 2 * random.nextInt(8), random.nextInt(5)));
            }
            GreatestAlong<Integer> along = new GreatestAlong<>(
                    held.stream()
                            .map(h -> new GreatestAlong.Piece<>(new Span(half(h.from()), half(h.to())), h.value()))
                            .toList(),
                    Comparator.naturalOrder());
            for (int place = 0; place < 60; place++) {
                int p = place;
                assertThat(along.at(half(p)))
                        .isEqualTo(greatest(held, h -> h.to() > h.from() && h.from() <= p && p <= h.to()));
            }
            for (int from = 0; from < 50; from += 3) {
                for (int to = from + 1; to < 56; to += 5) {
                    int f = from;
                    int t = to;
                    Span stretch = new Span(half(f), half(t));
                    Optional<Integer> slow =
                            greatest(held, h -> h.to() > h.from() && Math.max(f, h.from()) < Math.min(t, h.to()));
                    assertThat(along.over(stretch)).isEqualTo(slow);
                    assertThat(along.touching(stretch).stream()
                                    .map(GreatestAlong.Piece::value)
                                    .max(Comparator.naturalOrder()))
                            .isEqualTo(slow);
                }
            }
        }
    }

    private static Optional<Integer> greatest(List<Held> held, java.util.function.Predicate<Held> where) {
        return held.stream().filter(where).map(Held::value).max(Comparator.naturalOrder());
    }
}
