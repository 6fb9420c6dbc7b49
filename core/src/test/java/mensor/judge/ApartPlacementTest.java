package mensor.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mensor.inspection.Porosity;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.Unit;
import org.junit.jupiter.api.Test;

/** Against trying every order, each thing as early as it can be; and around a ring against every whole place. */
class ApartPlacementTest {
    private static final int APART = 4;

    private static Length in(int n) {
        return Length.inches(n);
    }

    private static boolean fitsInSomeOrder(List<int[]> left, int earliest) {
        if (left.isEmpty()) {
            return true;
        }
        for (int i = 0; i < left.size(); i++) {
            int at = Math.max(left.get(i)[0], earliest);
            if (at <= left.get(i)[1]) {
                List<int[]> rest = new ArrayList<>(left);
                rest.remove(i);
                if (fitsInSomeOrder(rest, at + APART)) {
                    return true;
                }
            }
        }
        return false;
    }

    @Test
    void agreesWithTryingEveryOrder() {
        Random random = new Random(3);
        int crowded = 0;
        for (int round = 0; round < 4_000; round++) {
            List<int[]> stretches = new ArrayList<>();
            List<Span> spans = new ArrayList<>();
            for (int n = 1 + random.nextInt(6); n > 0; n--) {
                int from = random.nextInt(24);
                int to = from + random.nextInt(10);
                stretches.add(new int[] {from, to});
                spans.add(new Span(in(from), in(to)));
            }
            boolean fits = fitsInSomeOrder(stretches, 0);
            Optional<Span> found = new ApartPlacement(spans, in(APART)).crowded();
            assertThat(found.isEmpty()).as(spans.toString()).isEqualTo(fits);
            crowded += fits ? 0 : 1;
        }
        assertThat(crowded).isBetween(500, 3_500);
    }

    /** Around a ring nothing that can lie apart may be called crowded. */
    @Test
    void aroundARingNothingIsCalledCrowdedThatHasRoom() {
        Random random = new Random(5);
        int called = 0;
        for (int round = 0; round < 1_500; round++) {
            int length = 14 + random.nextInt(10);
            List<int[]> stretches = new ArrayList<>();
            List<Occurrence<Porosity>> pores = new ArrayList<>();
            for (int n = 2 + random.nextInt(3); n > 0; n--) {
                int from = random.nextInt(length);
                int extent = random.nextInt(7);
                stretches.add(new int[] {from, extent});
                Span span = new Span(in(from), in((from + extent) % length));
                pores.add(new Occurrence<>(0, new Porosity(span, Length.inches(1, 16), 1, Optional.empty())));
            }
            boolean called1 = new PoreRing(new Ruler(in(length), true), pores, in(APART))
                    .crowded()
                    .isPresent();
            if (called1) {
                called++;
                assertThat(hasRoom(stretches, new int[stretches.size()], 0, length))
                        .as(pores + " on a ring of " + length)
                        .isFalse();
            }
        }
        assertThat(called).isBetween(100, 1_400);
    }

    private static boolean hasRoom(List<int[]> stretches, int[] at, int next, int length) {
        if (next == stretches.size()) {
            return true;
        }
        for (int step = 0; step <= stretches.get(next)[1]; step++) {
            at[next] = (stretches.get(next)[0] + step) % length;
            boolean free = true;
            for (int i = 0; i < next; i++) {
                int d = Math.floorMod(at[next] - at[i], length);
                free &= Math.min(d, length - d) >= APART;
            }
            if (free && hasRoom(stretches, at, next + 1, length)) {
                return true;
            }
        }
        return false;
    }

    @Test
    void namesTheUnit() {
        assertThat(new ApartPlacement(List.of(new Span(in(9), in(13)), Span.at(in(10))), in(4)).crowded())
                .hasValueSatisfying(s -> assertThat(s.from().unit()).isEqualTo(Unit.INCH));
    }
}
