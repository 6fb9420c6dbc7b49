package mensor.server.inspection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import mensor.server.inspection.BenchChange.Splice;
import org.junit.jupiter.api.Test;

class SpliceTest {
    /** As a browser puts it together. */
    private static List<Integer> applied(List<Integer> had, Splice<Integer> s) {
        List<Integer> now = new ArrayList<>(had.subList(0, s.first()));
        now.addAll(s.items());
        now.addAll(had.subList(had.size() - s.last(), had.size()));
        return now;
    }

    @Test
    void anyListComesFromAnyOther() {
        Random random = new Random(5);
        for (int n = 0; n < 5_000; n++) {
            List<Integer> had = numbers(random);
            List<Integer> now = numbers(random);
            assertThat(applied(had, Splice.between(had, now)))
                    .as(had + " to " + now)
                    .isEqualTo(now);
        }
    }

    @Test
    void oneThatComesGoesOrChangesIsAllThatIsSent() {
        List<Integer> had = IntStream.range(0, 700).boxed().toList();
        List<Integer> more = new ArrayList<>(had);
        more.add(350, -1);
        assertThat(Splice.between(had, more)).isEqualTo(new Splice<>(350, List.of(-1), 350));
        assertThat(Splice.between(more, had)).isEqualTo(new Splice<>(350, List.of(), 350));
        more.set(350, -2);
        assertThat(Splice.between(had, more).items()).containsExactly(-2);
        assertThat(Splice.between(had, had)).isEqualTo(new Splice<>(700, List.of(), 0));
    }

    private static List<Integer> numbers(Random random) {
        // few different ones, so that beginnings and ends are often alike
        return random.ints(random.nextInt(6), 0, 3).boxed().toList();
    }
}
