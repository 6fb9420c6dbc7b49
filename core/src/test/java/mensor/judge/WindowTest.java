package mensor.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
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

/** The worst windows against a brute-force search over every start on a grid that holds all ends, seeded random cases. */
class WindowTest {
    private static Length at(int halves) {
        return Length.ofNanometres(halves * 1_000L, Unit.MILLIMETRE);
    }

    private static Span span(int from, int to) {
        return new Span(at(from), at(to));
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void stretches(boolean closed) {
        Random random = new Random(closed ? 11 : 12);
        for (int round = 0; round < 1_500; round++) {
            int length = 6 + random.nextInt(30);
            int width = 1 + random.nextInt(length + 3);
            Ruler ruler = new Ruler(at(length), closed);
            List<boolean[]> cells = new ArrayList<>();
            List<SpanSet> lanes = new ArrayList<>();
            for (int lane = 0; lane < 2; lane++) {
                boolean[] cell = new boolean[length];
                List<Span> spans = new ArrayList<>();
                for (int i = random.nextInt(4); i > 0; i--) {
                    int from = random.nextInt(length + 1);
                    int to = closed ? random.nextInt(length + 1) : from + random.nextInt(length - from + 1);
                    spans.add(span(from, to));
                    for (int c = from; c != to && !(from > to && c % length == to % length && c >= length); c++) {
                        if (c % length == to && c >= length) {
                            break;
                        }
                        cell[c % length] = true;
                    }
                }
                cells.add(cell);
                lanes.add(ruler.straight(spans));
            }
            int best = 0;
            for (int s = 0; s < length; s++) {
                if (!closed && s + width > length && width < length) {
                    continue;
                }
                int sum = 0;
                for (int c = s; c < s + Math.min(width, length); c++) {
                    for (boolean[] cell : cells) {
                        boolean onWeld = closed || c < length;
                        sum += onWeld && cell[c % length] ? 1 : 0;
                    }
                }
                best = Math.max(best, sum);
            }
            WorstWindow window = new WorstWindow(ruler, lanes, at(width));
            assertThat(window.sum())
                    .as("length %d, width %d, lanes %s", length, width, lanes)
                    .isEqualByComparingTo(at(best));
            Length inside = Length.zero(Unit.MILLIMETRE);
            for (SpanSet lane : lanes) {
                inside = inside.plus(
                        lane.intersect(ruler.straight(List.of(window.span()))).total(Unit.MILLIMETRE));
            }
            assertThat(inside).as("the window named holds the sum").isEqualByComparingTo(window.sum());
        }
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void pores(boolean closed) {
        Random random = new Random(closed ? 21 : 22);
        for (int round = 0; round < 1_500; round++) {
            int length = 6 + random.nextInt(30);
            int width = 1 + random.nextInt(length + 2);
            List<PoreWindow.Pores> pores = new ArrayList<>();
            int[] weight = new int[length + 1];
            for (int i = random.nextInt(7); i > 0; i--) {
                int place = random.nextInt(length + 1);
                int diameter = 1 + random.nextInt(5);
                pores.add(new PoreWindow.Pores(Span.at(at(place)), at(diameter), 1));
                weight[closed ? place % length : place] += diameter;
            }
            int best = 0;
            for (int s = 0; s <= length; s++) {
                int sum = 0;
                int reach = closed ? Math.min(width, length - 1) : width;
                for (int c = s; c <= s + reach; c++) {
                    sum += closed ? weight[c % length] : c <= length ? weight[c] : 0;
                }
                best = Math.max(best, sum);
            }
            PoreWindow window = new PoreWindow(new Ruler(at(length), closed), pores, at(width));
            assertThat(window.atMost().total())
                    .as("%d %d %s", length, width, pores)
                    .isEqualByComparingTo(at(best));
            assertThat(window.atLeast().total()).isEqualByComparingTo(at(best));
        }
    }

    /** Bounds of pores along a stretch, counted by hand: 5 pores of 2 along 0–25, window 10. */
    @Test
    void poresAlongAStretch() {
        Ruler ruler = new Ruler(at(100), false);
        PoreWindow window = new PoreWindow(ruler, List.of(new PoreWindow.Pores(span(0, 25), at(2), 5)), at(10));
        assertThat(window.atMost().total()).isEqualByComparingTo(at(10));
        assertThat(window.atLeast().total())
                .as("three tiles: two pores share one")
                .isEqualByComparingTo(at(4));
        PoreWindow shortOne = new PoreWindow(ruler, List.of(new PoreWindow.Pores(span(0, 10), at(2), 5)), at(10));
        assertThat(shortOne.atLeast().total()).isEqualByComparingTo(at(10));
    }

    /** Every way of laying the pores of one stretch on a grid lies between the bounds. */
    @Test
    void noLayoutEscapesTheBounds() {
        Random random = new Random(23);
        for (int round = 0; round < 1_000; round++) {
            int length = 40;
            int width = 3 + random.nextInt(10);
            int from = random.nextInt(20);
            int to = from + random.nextInt(20);
            int count = 1 + random.nextInt(6);
            Ruler ruler = new Ruler(at(length), false);
            PoreWindow bounds =
                    new PoreWindow(ruler, List.of(new PoreWindow.Pores(span(from, to), at(1), count)), at(width));
            List<PoreWindow.Pores> laid = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                laid.add(new PoreWindow.Pores(Span.at(at(from + random.nextInt(to - from + 1))), at(1), 1));
            }
            Length sum = new PoreWindow(ruler, laid, at(width)).atMost().total();
            assertThat(sum).isBetween(bounds.atLeast().total(), bounds.atMost().total());
        }
    }
}
