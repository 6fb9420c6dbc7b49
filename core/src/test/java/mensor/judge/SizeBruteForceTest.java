package mensor.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The bounds of the undersize portion against a slow reading of the rule on unit cells: a cell between two neighbouring
 * low stations is surely low, a cell between neighbouring good ones is surely good, any other open cell may be either.
 */
class SizeBruteForceTest {
    private static final int LENGTH = 24;

    private static Length at(int n) {
        return Length.ofNanometres(n * 1_000L, Unit.MILLIMETRE);
    }

    /** The state of each place 0..LENGTH: null where nothing was read. */
    private static Boolean[] randomStations(Random random, boolean closed) {
        Boolean[] low = new Boolean[LENGTH + 1];
        for (int n = random.nextInt(7); n > 0; n--) {
            int place = random.nextInt(closed ? LENGTH : LENGTH + 1);
            low[place] = random.nextBoolean();
        }
        return low;
    }

    private static boolean[] randomKnown(Random random) {
        boolean[] known = new boolean[LENGTH];
        if (random.nextBoolean()) {
            int from = random.nextInt(LENGTH);
            Arrays.fill(known, from, Math.min(LENGTH, from + 1 + random.nextInt(6)), true);
        }
        return known;
    }

    private static SpanSet spans(boolean[] cells) {
        List<Span> spans = new ArrayList<>();
        for (int c = 0; c < cells.length; c++) {
            if (cells[c]) {
                spans.add(new Span(at(c), at(c + 1)));
            }
        }
        return SpanSet.of(spans);
    }

    /** Looks from a cell to one side for the first station or known stretch: TRUE low, FALSE good, null an end. */
    private static Boolean neighbour(Boolean[] stations, boolean[] known, int cell, int step, boolean closed) {
        int place = step > 0 ? cell + 1 : cell;
        int c = cell;
        for (int moved = 0; moved <= LENGTH; moved++) {
            int p = closed ? Math.floorMod(place, LENGTH) : place;
            boolean beside = isKnownAt(known, p, closed);
            if (!beside && stations[p] != null) {
                return stations[p];
            }
            if (beside) {
                return null;
            }
            place += step;
            c += step;
            if (!closed && (c < 0 || c >= LENGTH)) {
                return null;
            }
        }
        return null;
    }

    private static boolean isKnownAt(boolean[] known, int place, boolean closed) {
        int before = closed ? Math.floorMod(place - 1, LENGTH) : place - 1;
        int after = closed ? Math.floorMod(place, LENGTH) : place;
        return before >= 0 && before < LENGTH && known[before] || after < LENGTH && known[after];
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void boundsAgreeWithCells(boolean closed) {
        Random random = new Random(closed ? 5 : 6);
        int compared = 0;
        for (int round = 0; round < 3_000; round++) {
            Boolean[] stations = randomStations(random, closed);
            boolean[] known = randomKnown(random);
            boolean anyBound = false;
            int least = 0;
            int most = 0;
            for (int c = 0; c < LENGTH; c++) {
                if (known[c]) {
                    continue;
                }
                Boolean left = neighbour(stations, known, c, -1, closed);
                Boolean right = neighbour(stations, known, c, 1, closed);
                anyBound |= Boolean.FALSE.equals(left) || Boolean.FALSE.equals(right);
                if (Boolean.TRUE.equals(left) && Boolean.TRUE.equals(right)) {
                    least++;
                }
                if (Boolean.TRUE.equals(left) || Boolean.TRUE.equals(right)) {
                    most++;
                }
            }
            boolean anyKnown = spans(known).total(Unit.MILLIMETRE).isPositive();
            if (closed && !anyBound && !anyKnown) {
                continue; // a ring of low stations only has its own rule, below
            }
            List<UndersizePortion.Station> list = new ArrayList<>();
            for (int p = 0; p < stations.length; p++) {
                if (stations[p] != null) {
                    list.add(new UndersizePortion.Station(at(p), stations[p]));
                }
            }
            Ruler ruler = new Ruler(at(LENGTH), closed);
            UndersizePortion portion =
                    new UndersizePortion(ruler, SpanSet.of(List.of(ruler.whole())), spans(known), list);
            String what = Arrays.toString(stations) + Arrays.toString(known);
            assertThat(portion.atLeast().total(Unit.MILLIMETRE)).as(what).isEqualByComparingTo(at(least));
            assertThat(portion.atMost().total(Unit.MILLIMETRE)).as(what).isEqualByComparingTo(at(most));
            compared++;
        }
        assertThat(compared).isGreaterThan(1_500);
    }

    @Test
    void aRingOfLowStationsIsLowButForItsWidestSpacing() {
        Ruler ring = new Ruler(at(LENGTH), true);
        List<UndersizePortion.Station> low = List.of(
                new UndersizePortion.Station(at(2), true),
                new UndersizePortion.Station(at(6), true),
                new UndersizePortion.Station(at(20), true));
        UndersizePortion portion =
                new UndersizePortion(ring, SpanSet.of(List.of(ring.whole())), SpanSet.of(List.of()), low);
        assertThat(portion.atLeast().total(Unit.MILLIMETRE)).isEqualByComparingTo(at(10));
        assertThat(portion.atMost().total(Unit.MILLIMETRE)).isEqualByComparingTo(at(LENGTH));
    }

    @Test
    void anEmptyRegionHasNothingUnderSize() {
        Ruler ruler = new Ruler(at(LENGTH), false);
        UndersizePortion portion = new UndersizePortion(
                ruler,
                SpanSet.of(List.of()),
                SpanSet.of(List.of()),
                List.of(new UndersizePortion.Station(at(3), true)));
        assertThat(portion.atLeast().isEmpty()).isTrue();
        assertThat(portion.atMost().isEmpty()).isTrue();
    }
}
